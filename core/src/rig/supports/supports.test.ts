import { classById } from '../../catalogue';
import { RigDraft } from '../../catalogue/draft';
import { apply, applyTracked } from '../apply';
import type { SimpleCommand } from '../commands';
import { rigToJson } from '../files/export';
import { revertOf } from '../history';
import { sentence } from '../sentences';
import { usualSupport } from './usual';

const draft = (): RigDraft =>
  new RigDraft('Case')
    .support('desk', 'Desk, 1.4 m', [2, 2, 0], { name: 'Desk' })
    .support('arm', 'Arm, middle', [1.5, 1.8, 0], { name: 'Arm', onId: 'desk' })
    .device('mic', 'mic-dynamic-quiet', { name: 'Mic' })
    .device('laptop', 'computer-laptop', { name: 'Laptop' })
    .stand('laptop', 'desk', 0.2, 0.1);
const rig = draft().build();

describe('what carries devices', () => {
  it('every change reads as a sentence and can be taken back to the byte', () => {
    const on = { supportId: 'desk', xM: 0, yM: 0, turnDeg: 0, upM: 0 };
    const commands: [SimpleCommand, string][] = [
      [{ type: 'standDevice', deviceId: 'mic', on }, 'Put Mic on Desk.'],
      [{ type: 'standDevice', deviceId: 'laptop', on }, 'Moved Laptop on Desk.'],
      [{ type: 'standDevice', deviceId: 'laptop', on: null }, 'Took Laptop off what it stood on.'],
      [{ type: 'raiseDevice', deviceId: 'mic', heightM: 1.2 }, 'Set Mic 1.2 m above the floor.'],
      [
        {
          type: 'changeSupport',
          supportId: 'desk',
          support: { at: { xM: 3, yM: 2, facingDeg: 0 } },
        },
        'Moved Desk.',
      ],
      [{ type: 'removeSupport', supportId: 'desk' }, 'Took Desk away.'],
      [
        { type: 'keepSet', setId: 'one', name: 'Talk' },
        'Made where everything stands the set Talk.',
      ],
    ];
    for (const [command, says] of commands) {
      expect(sentence(rig, command)).toBe(says);
      const { rig: after, changes } = applyTracked(rig, command);
      expect(rigToJson(after)).not.toBe(rigToJson(rig));
      expect(rigToJson(apply(after, revertOf({ id: 'a', changes, says }, 'undo')))).toBe(
        rigToJson(rig),
      );
    }
  });
  it.each<[string, SimpleCommand, RegExp]>([
    [
      'a device on what is not there',
      {
        type: 'standDevice',
        deviceId: 'mic',
        on: { supportId: 'shelf', xM: 0, yM: 0, turnDeg: 0, upM: 0 },
      },
      /nothing "shelf" that carries things/,
    ],
    [
      'an arm clamped to an arm',
      { type: 'changeSupport', supportId: 'arm', support: { onId: 'arm' } },
      /clamped to a desk; Arm is none/,
    ],
    ['a set that is not there', { type: 'standAsSet', setId: 'two' }, /no set "two"/],
    [
      'an opening that is not there',
      { type: 'removeOpening', openingId: 'door' },
      /no opening "door"/,
    ],
    ['a way that is not there', { type: 'removeWalkway', walkwayId: 'way' }, /no walkway "way"/],
  ])('%s is refused', (_what, command, why) => expect(() => apply(rig, command)).toThrow(why));
  it('a device stands by itself or on something, never both', () => {
    const placed = apply(rig, {
      type: 'placeDevice',
      deviceId: 'laptop',
      at: { xM: 1, yM: 1, facingDeg: 0 },
      aim: null,
    });
    expect(placed.devices['laptop']?.on).toBeNull();
    const back = apply(placed, {
      type: 'standDevice',
      deviceId: 'laptop',
      on: { supportId: 'desk', xM: 0, yM: 0, turnDeg: 0, upM: 0 },
    });
    expect(back.devices['laptop']?.at).toBeNull();
  });
  it('a desk that leaves lets go of its arms and of what stands on it', () => {
    const after = apply(rig, { type: 'removeSupport', supportId: 'desk' });
    expect(after.supports['arm']?.onId).toBeNull();
    expect(after.devices['laptop']?.on).toBeNull();
  });
});

describe('sets', () => {
  const two = [
    { type: 'keepSet', setId: 'talk', name: 'Talk' },
    {
      type: 'changeSupport',
      supportId: 'desk',
      support: { at: { xM: 5, yM: 2, facingDeg: 90 } },
    },
    { type: 'standDevice', deviceId: 'laptop', on: null },
  ] as const satisfies readonly SimpleCommand[];
  const moved = two.reduce(apply, rig);
  it('standing as a set puts everything back where it stood', () => {
    const back = apply(moved, { type: 'standAsSet', setId: 'talk' });
    expect(back.supports).toEqual(rig.supports);
    expect(back.devices).toEqual(rig.devices);
  });
  it('kept and stood as in one batch, and a model changed that the batch itself brought', () => {
    const commands: SimpleCommand[] = [
      ...two,
      { type: 'standAsSet', setId: 'talk' },
      {
        type: 'addDevice',
        deviceId: 'interface',
        name: 'Interface',
        model: classById('interface-2'),
        settings: {},
        personId: null,
        placeId: null,
      },
      {
        type: 'setFigure',
        deviceId: 'interface',
        path: 'routes.mic-1.sound.ein.0.dbu',
        value: -120,
      },
    ];
    const after = apply(rig, { type: 'batch', label: 'All at once.', commands });
    expect(after.supports).toEqual(rig.supports);
    expect(after.devices['interface']?.model.stated).toEqual(['routes.mic-1.sound.ein.0.dbu']);
  });
  it('what came after the set was kept stays where it is', () => {
    const more = apply(moved, {
      type: 'addSupport',
      supportId: 'rack',
      support: {
        name: 'Rack',
        at: { xM: 1, yM: 1, facingDeg: 0 },
        onId: null,
        figures: usualSupport('Rack, 6 units').figures,
      },
    });
    const back = apply(more, { type: 'standAsSet', setId: 'talk' });
    expect(back.supports['rack']).toEqual(more.supports['rack']);
  });
  it('keeps how things are set where that is asked for, and goes on doing so', () => {
    const gain = (value: number) =>
      ({ type: 'setControl', deviceId: 'interface', control: 'gain-1', value }) as const;
    const add: SimpleCommand = {
      type: 'addDevice',
      deviceId: 'interface',
      name: 'Interface',
      model: classById('interface-2'),
      settings: { 'gain-1': 30 },
      personId: null,
      placeId: null,
    };
    const gainOf = (of: typeof rig) => of.devices['interface']?.settings['gain-1'];
    const kept = [
      add,
      { type: 'keepSet', setId: 'loud', name: 'Loud', withSettings: true },
      gain(40),
      { type: 'keepSet', setId: 'bare', name: 'Bare' },
    ] as const satisfies readonly SimpleCommand[];
    const both = kept.reduce(apply, rig);
    expect(both.sets['bare']?.settings).toBeUndefined();
    expect(gainOf(apply(both, { type: 'standAsSet', setId: 'bare' }))).toBe(40);
    expect(gainOf(apply(both, { type: 'standAsSet', setId: 'loud' }))).toBe(30);
    // Kept again without a word, it keeps as before; said, it does otherwise.
    const again = apply(both, { type: 'keepSet', setId: 'loud', name: 'Loud' });
    expect(again.sets['loud']?.settings?.['interface']?.['gain-1']).toBe(40);
    const without = apply(again, {
      type: 'keepSet',
      setId: 'loud',
      name: 'Loud',
      withSettings: false,
    });
    expect(without.sets['loud']?.settings).toBeUndefined();
    // What the device can no longer be set to is passed over; the rest is set.
    const other = apply(both, {
      type: 'replaceModel',
      deviceId: 'interface',
      model: classById('mic-dynamic-stage'),
    } as SimpleCommand);
    expect(() => apply(other, { type: 'standAsSet', setId: 'loud' })).not.toThrow();
    expect(gainOf(apply(other, { type: 'standAsSet', setId: 'loud' }))).toBeUndefined();
    const gone = apply(both, { type: 'removeDevice', deviceId: 'interface' });
    expect(gone.sets['loud']?.settings).not.toHaveProperty('interface');
  });
  it('remembers what coming to it took by hand, through being kept again', () => {
    const said = apply(moved, { type: 'setByHand', setId: 'talk', minutes: 22 });
    const again = apply(said, { type: 'keepSet', setId: 'talk', name: 'Talk' });
    expect(again.sets['talk']?.byHandMin).toBe(22);
    const none = apply(again, { type: 'setByHand', setId: 'talk', minutes: null });
    expect(none.sets['talk']).not.toHaveProperty('byHandMin');
    expect(() => apply(moved, { type: 'setByHand', setId: 'two', minutes: 3 })).toThrow(/no set/);
  });
  it('what leaves the rig leaves its sets', () => {
    const after = apply(moved, { type: 'removeSupport', supportId: 'desk' });
    expect(after.sets['talk']?.supports).not.toHaveProperty('desk');
    expect(after.sets['talk']?.devices['laptop']?.on).toBeNull();
    const without = apply(moved, { type: 'removeDevice', deviceId: 'laptop' });
    expect(without.sets['talk']?.devices).not.toHaveProperty('laptop');
  });
});
