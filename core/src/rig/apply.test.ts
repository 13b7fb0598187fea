import { classById } from '../catalogue';
import { analyse } from '../analyse';
import { voice } from '../rules/rigs-for-cases';
import {
  apply,
  applyTracked,
  blankRig,
  commandSchema,
  mate,
  rigToJson,
  sentence,
  suggestedCable,
  type Command,
  type Port,
  type Rig,
  type SimpleCommand,
} from './index';

const rig = voice().place('table', 'Table').build();
const port = (classId: string, portId: string): Port => {
  const found = classById(classId).ports[portId];
  if (!found) throw new Error(`${classId} has no ${portId}`);
  return found;
};
const add = (deviceId: string, classId: string): SimpleCommand => ({
  type: 'addDevice',
  deviceId,
  name: deviceId,
  model: classById(classId),
  settings: {},
  personId: null,
  placeId: null,
});
const wire = (
  linkId: string,
  from: string,
  to: string,
  kind: 'balanced' | 'unbalanced' | 'hdmi' | 'usb-2' | 'inside',
  lengthM = 2,
): SimpleCommand => {
  const end = (text: string) => ({
    deviceId: text.split('.')[0] ?? '',
    portId: text.split('.')[1] ?? '',
  });
  return { type: 'connect', linkId, from: end(from), to: end(to), cable: { kind, lengthM } };
};

describe('what each command does, and the sentence it leaves', () => {
  const cases: readonly (readonly [SimpleCommand, (after: Rig) => unknown, unknown, string])[] = [
    [{ type: 'renameRig', name: 'New' }, (after) => after.name, 'New', 'Renamed the rig to New.'],
    [{ type: 'writeNotes', notes: 'Hello' }, (after) => after.notes, 'Hello', 'Wrote the notes.'],
    [
      { type: 'setHouseRules', rules: { headroomDb: 8 } },
      (after) => after.houseRules.headroomDb,
      8,
      'Set the house rule for headroom to 8.',
    ],
    [
      { type: 'setHouseRules', rules: { switching: 'software' } },
      (after) => after.houseRules.switching,
      'software',
      'Set the house rule for where switching happens to In software on the computer.',
    ],
    [
      { type: 'writeBrief', brief: { lengthMin: 90 } },
      (after) => after.brief?.lengthMin,
      90,
      'Began the brief.',
    ],
    [
      { type: 'setOwnership', deviceId: 'mic', ownership: 'owned', price: 80 },
      (after) => [after.devices['mic']?.ownership, after.devices['mic']?.price],
      ['owned', 80],
      'Mic is owned for 80.',
    ],
    [
      { type: 'changePerson', personId: 'host', person: { crestDb: 18 } },
      (after) => after.people['host']?.crestDb,
      18,
      'Changed what is known of Host.',
    ],
    [
      { type: 'removePerson', personId: 'host' },
      (after) => after.devices['mic']?.personId,
      null,
      'Removed Host from the people.',
    ],
    [
      { type: 'addPlace', placeId: 'desk', place: { name: 'Desk' } },
      (after) => after.places['desk']?.order,
      1,
      'Added the place Desk.',
    ],
    [
      { type: 'renamePlace', placeId: 'table', name: 'Bench' },
      (after) => after.places['table']?.name,
      'Bench',
      'Renamed the place Table to Bench.',
    ],
    [
      { type: 'removePlace', placeId: 'table' },
      (after) => after.places['table'],
      undefined,
      'Removed the place Table.',
    ],
    [
      add('second', 'webcam'),
      (after) => after.devices['second']?.model.kind,
      'webcam',
      'Added second, a Webcam, 1080p.',
    ],
    [
      { type: 'removeDevice', deviceId: 'interface' },
      (after) => Object.keys(after.links),
      ['computer-tracks-to-tracks'],
      'Removed Interface and its cables.',
    ],
    [
      { type: 'renameDevice', deviceId: 'mic', name: 'Left' },
      (after) => after.devices['mic']?.name,
      'Left',
      'Renamed Mic to Left.',
    ],
    [
      { type: 'assignDevice', deviceId: 'mic', personId: null, placeId: 'table' },
      (after) => after.devices['mic']?.placeId,
      'table',
      'Gave Mic to Table.',
    ],
    [
      { type: 'setControl', deviceId: 'interface', control: 'gain-1', value: 40 },
      (after) => after.devices['interface']?.settings['gain-1'],
      40,
      'Set Gain 1 of Interface to 40 dB.',
    ],
    [
      { type: 'setControl', deviceId: 'interface', control: 'phantom-1', value: true },
      (after) => after.devices['interface']?.settings['phantom-1'],
      true,
      'Set Phantom power 1–2 of Interface to on.',
    ],
    [
      { type: 'setFigure', deviceId: 'mic', path: 'ports.out.sourceOhms', value: 250 },
      (after) => after.devices['mic']?.model.stated,
      ['ports.out.sourceOhms'],
      'Set ports.out.sourceOhms of Mic to 250, from its data sheet.',
    ],
    [
      { type: 'disconnect', linkId: 'mic-out-to-interface' },
      (after) => after.links['mic-out-to-interface'],
      undefined,
      'Disconnected Mic (Output) from Interface (Input 1).',
    ],
    [
      {
        type: 'setCable',
        linkId: 'mic-out-to-interface',
        cable: { kind: 'balanced', lengthM: 10 },
      },
      (after) => after.links['mic-out-to-interface']?.cable.lengthM,
      10,
      'Made the cable from Mic (Output) to Interface (Input 1) 10 m of Balanced audio cable.',
    ],
  ];
  it.each(cases.map((entry) => [entry[0].type, ...entry] as const))(
    '%s',
    (_type, command, read, expected, says) => {
      expect(read(apply(rig, command))).toEqual(expected);
      expect(sentence(rig, command)).toBe(says);
      expect(commandSchema.parse(JSON.parse(JSON.stringify(command)))).toEqual(command);
    },
  );
  it('connecting the wrong way round turns the cable round', () => {
    const next = apply(
      apply(rig, add('second', 'mic-dynamic-stage')),
      wire('turned', 'interface.mic-2', 'second.out', 'balanced'),
    );
    expect(next.links['turned']).toMatchObject({
      from: { deviceId: 'second' },
      to: { deviceId: 'interface', portId: 'mic-2' },
    });
  });
  it('a batch is one line of history and all or nothing', () => {
    const batch: Command = {
      type: 'batch',
      label: 'Two at once',
      commands: [
        { type: 'renameRig', name: 'Changed' },
        { type: 'removeDevice', deviceId: 'nobody' },
      ],
    };
    expect(sentence(rig, batch)).toBe('Two at once.');
    expect(() => apply(rig, batch)).toThrow('There is no device "nobody"');
    expect(rig.name).toBe('Case');
  });
  it('notes only what changed', () =>
    expect(
      applyTracked(rig, { type: 'renameDevice', deviceId: 'mic', name: 'Left' }).changes,
    ).toEqual([{ path: ['devices', 'mic', 'name'], before: 'Mic', after: 'Left' }]));
  it('setting what is set already changes nothing', () =>
    expect(applyTracked(rig, { type: 'renameRig', name: 'Case' }).changes).toEqual([]));
});

describe('what is refused, and what the refusal says', () => {
  const cases: readonly (readonly [string, SimpleCommand, string])[] = [
    [
      'a sight without a brief',
      {
        type: 'addSight',
        sightId: 'wheel',
        sight: { name: 'Wheel', what: 'hands', shot: 'close', people: [] },
      },
      'This rig has no brief yet',
    ],
    ['a second thing of the same id', add('mic', 'webcam'), '"mic" is already in this rig'],
    [
      'a person who is not there',
      { type: 'assignDevice', deviceId: 'mic', personId: 'ghost', placeId: null },
      'There is no person "ghost"',
    ],
    [
      'a place that is not there',
      { type: 'assignDevice', deviceId: 'mic', personId: null, placeId: 'attic' },
      'There is no place "attic"',
    ],
    [
      'more gain than the knob has',
      { type: 'setControl', deviceId: 'interface', control: 'gain-1', value: 80 },
      'Gain 1 goes from 0 to 69 dB; 80 is outside',
    ],
    [
      'a switch set to a number',
      { type: 'setControl', deviceId: 'interface', control: 'phantom-1', value: 1 },
      'is on or off',
    ],
    [
      'a control that is not there',
      { type: 'setControl', deviceId: 'mic', control: 'volume', value: 1 },
      'has no control "volume"',
    ],
    [
      'a figure that is not there',
      { type: 'setFigure', deviceId: 'mic', path: 'ports.out.colour', value: 1 },
      'this device has no such figure',
    ],
    [
      'a figure out of range',
      {
        type: 'setFigure',
        deviceId: 'mic',
        path: 'ports.out.emits.sound.sensitivityMvPerPa',
        value: -1,
      },
      'Mic: ports.out.emits.sound.sensitivityMvPerPa cannot be set',
    ],
    [
      'a figure that would reach an object’s prototype',
      { type: 'setFigure', deviceId: 'mic', path: 'ports.out.__proto__.polluted', value: 1 },
      'this device has no such figure',
    ],
    [
      'a cable into a port that holds one',
      wire('more', 'mic.out', 'interface.mic-2', 'balanced'),
      'Mic, Output already has a cable in it',
    ],
    [
      'a device to itself',
      wire('loop', 'interface.out-1', 'interface.line-1', 'balanced'),
      'Interface cannot be connected to itself',
    ],
    [
      'two inputs',
      wire('in-in', 'interface.mic-2', 'tracks.in', 'balanced'),
      'cannot be connected to Tracks',
    ],
    [
      'a cable that does not fit',
      wire('misfit', 'interface.out-1', 'computer.call-in', 'hdmi'),
      'cannot be connected to Computer',
    ],
    [
      'a port that is not there',
      wire('nowhere', 'interface.out-9', 'computer.call-in', 'balanced'),
      'Interface has no port "out-9"',
    ],
    [
      'a link that is not there',
      { type: 'disconnect', linkId: 'nothing' },
      'There is no connection "nothing"',
    ],
    [
      'the wrong kind of cable for a link',
      { type: 'setCable', linkId: 'mic-out-to-interface', cable: { kind: 'hdmi', lengthM: 2 } },
      'HDMI cable, passive does not fit these two ports',
    ],
  ];
  it.each(cases)('%s', (_name, command, says) => {
    const before = rigToJson(rig);
    expect(() => apply(rig, command)).toThrow(says);
    expect(rigToJson(rig)).toBe(before);
  });
  it('undo of something somebody else has removed', () => {
    const { changes } = applyTracked(rig, { type: 'renameDevice', deviceId: 'mic', name: 'Left' });
    const gone = apply(rig, { type: 'removeDevice', deviceId: 'mic' });
    expect(() =>
      apply(gone, {
        type: 'revert',
        does: 'undo',
        entryId: 'entry-1',
        label: 'x',
        changes: changes.map((change) => ({
          ...change,
          before: change.after,
          after: change.before,
        })),
      }),
    ).toThrow('has been changed since');
  });
  it('a revert that would leave a cable in the air', () => {
    const forged: Command = {
      type: 'revert',
      does: 'undo',
      entryId: 'entry-1',
      label: 'x',
      changes: [
        {
          path: ['links', 'mic-out-to-interface', 'to', 'portId'],
          before: 'mic-1',
          after: 'mic-99',
        },
      ],
    };
    expect(() => apply(rig, forged)).toThrow('would leave the rig inconsistent');
  });
});

describe('what can be joined', () => {
  it.each([
    [
      'a microphone to a preamp',
      port('mic-dynamic-stage', 'out'),
      port('interface-2', 'mic-1'),
      ['balanced', 'unbalanced'],
    ],
    [
      'a preamp to a microphone, named the other way round',
      port('interface-2', 'mic-1'),
      port('mic-dynamic-stage', 'out'),
      ['balanced', 'unbalanced'],
    ],
    [
      'a phono output to a jack, unbalanced only',
      port('player-sound', 'out'),
      port('interface-4', 'line-1'),
      ['unbalanced'],
    ],
    [
      'micro HDMI to HDMI',
      port('camera-mirrorless', 'hdmi'),
      port('capture-5g', 'in'),
      ['hdmi', 'hdmi-optical'],
    ],
    [
      'two programs of one computer',
      port('call', 'receive'),
      port('computer-laptop', 'call-in'),
      ['inside'],
    ],
  ] as const)('%s', (_name, a, b, cables) =>
    expect(mate(a, b)).toMatchObject({ can: true, cables }),
  );
  it.each([
    [
      'HDMI to SDI',
      port('camera-camcorder', 'hdmi'),
      port('switcher-20', 'in-1'),
      'HDMI and SDI need a converter between them',
    ],
    [
      'a microphone to headphones',
      port('mic-dynamic-stage', 'out'),
      port('headphones-closed', 'in'),
      'a microphone cannot drive headphones',
    ],
    [
      'a camera to a preamp',
      port('camera-camcorder', 'hdmi'),
      port('interface-2', 'mic-1'),
      'one is picture, the other analogue sound',
    ],
    [
      'two hosts',
      port('computer-laptop', 'usb-1'),
      port('hub-5g', 'usb-1'),
      'both are USB sockets of a host',
    ],
    [
      'two outputs',
      port('mic-dynamic-stage', 'out'),
      port('mic-condenser-large', 'out'),
      'both are outputs',
    ],
  ] as const)('not %s', (_name, a, b, why) => {
    const mating = mate(a, b);
    expect(mating.can ? 'they can' : mating.why).toContain(why);
  });
  it('suggests a USB cable of the slower side, short enough for it', () => {
    expect(suggestedCable(port('capture-5g', 'usb'), port('computer-laptop', 'usb-2'))).toEqual({
      kind: 'usb-5g',
      lengthM: 2,
    });
    expect(suggestedCable(port('capture-10g', 'usb'), port('computer-laptop', 'usb-1'))).toEqual({
      kind: 'usb-10g',
      lengthM: 0.5,
    });
    expect(suggestedCable(port('interface-2', 'usb'), port('computer-laptop', 'usb-1'))).toEqual({
      kind: 'usb-2',
      lengthM: 2,
    });
  });
});

describe('a blank rig', () => {
  it('analyses to nothing found', () =>
    expect(analyse(blankRig('Blank'))).toMatchObject({
      findings: [],
      verdict: { stops: 0, warns: 0, notes: 0 },
    }));
  it('refuses the ids every object answers to', () =>
    expect(
      commandSchema.safeParse({ type: 'addPlace', placeId: 'constructor', place: { name: 'x' } })
        .success,
    ).toBe(false));
});
