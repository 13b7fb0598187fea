import { analyse } from '../analyse';
import { add, rig, wire } from './commands-for-cases';
import {
  apply,
  applyTracked,
  blankRig,
  type Command,
  commandSchema,
  type Rig,
  sentence,
  type SimpleCommand,
} from './index';

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
