import { apply, applyTracked, type Command, rigToJson, type SimpleCommand } from '.';
import { add, rig, wire } from './commands-for-cases';

describe('what is refused, and what the refusal says', () => {
  const cases: readonly (readonly [string, SimpleCommand, string])[] = [
    [
      'a sight without a brief',
      {
        type: 'addSight',
        sightId: 'wheel',
        sight: { name: 'Wheel', what: 'hands', shot: 'close', at: null, people: [] },
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
