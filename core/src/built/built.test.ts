import { RigDraft } from '../catalogue/draft';
import {
  apply,
  cableNumbers,
  numbering,
  Refusal,
  type Rig,
  type SimpleCommand,
  unnumbered,
} from '../rig';
import { demoRig } from '../rules/demo-for-cases';
import { builtFollows, type BuiltLine, builtLines } from './index';

const WHEN = '2026-12-03T17:00:00Z';
const start = new RigDraft('Case')
  .device('mic', 'mic-dynamic-stage')
  .device('desk', 'interface-2')
  .link('mic.out', 'desk.mic-1', 5)
  .do({
    type: 'placeDevice',
    deviceId: 'desk',
    at: { xM: 1, yM: 2, facingDeg: 90 },
    aim: null,
  })
  .build();
const linkId = Object.keys(start.links)[0] ?? '';

const all = (rig: Rig, commands: readonly SimpleCommand[]): Rig => commands.reduce(apply, rig);
const lineAt = (rig: Rig, part: BuiltLine['part'], key: string): BuiltLine => {
  const found = builtLines(rig).find((line) => line.part === part && line.key === key);
  if (!found) throw new Error(`${part} ${key} is not there`);
  return found;
};
const tick = (rig: Rig, line: BuiltLine): Rig =>
  apply(rig, { type: 'tickBuilt', found: line.toTick, by: 'Ada', when: WHEN });

describe('what is looked at', () => {
  it('is every setting, place and cable, open at first', () => {
    const lines = builtLines(start);
    expect(lines.every(({ state }) => state === 'open')).toBe(true);
    expect(lineAt(start, 'cables', linkId).plan).toBe(
      'Stage dynamic, hand-held, Output → Interface, two microphones, Input 1, 5 m Balanced audio cable',
    );
    expect(lineAt(start, 'places', 'desk').plan).toBe('x 1.00 m, y 2.00 m, facing 90°');
  });
  it('is so once it is ticked, by whom and when', () => {
    for (const line of builtLines(start))
      expect(lineAt(tick(start, line), line.part, line.key)).toMatchObject({
        state: 'so',
        ticked: { by: 'Ada', when: WHEN, found: line.plan },
        planFollows: [],
      });
  });
  it.each<[string, BuiltLine['part'], string, SimpleCommand]>([
    [
      'a gain that is turned',
      'settings',
      'desk.gain-1',
      { type: 'setControl', deviceId: 'desk', control: 'gain-1', value: 7 },
    ],
    [
      'a longer cable',
      'cables',
      linkId,
      { type: 'setCable', linkId, cable: { kind: 'balanced', lengthM: 10 } },
    ],
    [
      'a device that is moved',
      'places',
      'desk',
      {
        type: 'placeDevice',
        deviceId: 'desk',
        at: { xM: 3, yM: 2, facingDeg: 90 },
        aim: null,
      },
    ],
  ])('%s differs, and either side can be taken over', (_what, part, key, command) => {
    const ticked = tick(start, lineAt(start, part, key));
    const planned = apply(ticked, command);
    const line = lineAt(planned, part, key);
    expect(line.state).toBe('differs');
    const follows = all(planned, line.planFollows);
    expect(lineAt(follows, part, key).state).toBe('so');
    expect(lineAt(follows, part, key).plan).toBe(lineAt(start, part, key).plan);
    const made = apply(planned, builtFollows(planned, line, 'Ben', WHEN));
    expect(lineAt(made, part, key)).toMatchObject({ state: 'so', plan: line.plan });
  });
  it('a cable that left the plan is still plugged, until somebody takes it out or plans it again', () => {
    const ticked = tick(start, lineAt(start, 'cables', linkId));
    const without = apply(ticked, { type: 'disconnect', linkId });
    const line = lineAt(without, 'cables', linkId);
    expect(line).toMatchObject({ state: 'differs', plan: 'not in the plan any more' });
    expect(all(without, line.planFollows).links[linkId]).toEqual(start.links[linkId]);
    const out = apply(without, builtFollows(without, line, 'Ben', WHEN));
    expect(builtLines(out).filter(({ part }) => part === 'cables')).toEqual([]);
  });
  it('a plugged cable that was found in another socket is planned there', () => {
    const line = lineAt(start, 'cables', linkId);
    if (line.toTick.part !== 'cables') throw new Error('no cable');
    const found = {
      ...line.toTick,
      found: { ...line.toTick.found, to: { deviceId: 'desk', portId: 'mic-2' } },
    };
    const rig = apply(start, { type: 'tickBuilt', found, by: 'Ada', when: WHEN });
    const follows = all(rig, lineAt(rig, 'cables', linkId).planFollows);
    expect(follows.links[linkId]?.to.portId).toBe('mic-2');
  });
  it('forgets what leaves the rig', () => {
    const ticked = builtLines(start).reduce(tick, start);
    const { built } = apply(ticked, { type: 'removeDevice', deviceId: 'desk' });
    expect(built.places).toEqual({});
    expect(built.cables).toEqual({});
    expect(Object.keys(built.settings).every((key) => key.startsWith('mic.'))).toBe(true);
  });
  it('in Harbour Hall every line can be ticked, and is so then', () => {
    const hall = demoRig('harbour-hall');
    const lines = builtLines(hall);
    expect(lines.length).toBeGreaterThan(300);
    const ticked = lines.reduce(tick, hall);
    expect(builtLines(ticked).filter(({ state }) => state !== 'so')).toEqual([]);
  });
});

describe('what stands on something', () => {
  const standing = new RigDraft('Standing')
    .support('desk', 'Desk, 1.4 m', [1, 2, 0])
    .device('box', 'interface-2')
    .stand('box', 'desk', 0.3, 0.1, 90)
    .build();
  const moved = (rig: Rig, xM: number): Rig =>
    apply(rig, {
      type: 'standDevice',
      deviceId: 'box',
      on: { supportId: 'desk', xM, yM: 0.1, turnDeg: 90, upM: 0 },
    });
  it('is told relative to it, and the plan follows there', () => {
    const line = lineAt(standing, 'places', 'box');
    expect(line.plan).toBe(`on ${standing.supports['desk']?.name}, x 0.30 m, y 0.10 m, turned 90°`);
    const other = moved(tick(standing, line), -0.4);
    expect(lineAt(other, 'places', 'box').plan).toContain('x −0.40 m');
    const follows = all(other, lineAt(other, 'places', 'box').planFollows);
    expect(follows.devices['box']).toEqual(standing.devices['box']);
  });
  it('found on something that is gone, the plan cannot follow', () => {
    const ticked = tick(standing, lineAt(standing, 'places', 'box'));
    const gone = apply(ticked, { type: 'removeSupport', supportId: 'desk' });
    expect(lineAt(gone, 'places', 'box')).toMatchObject({
      state: 'differs',
      plan: 'not said',
      planFollows: [],
    });
    expect(builtLines(gone).filter(({ part }) => part === 'supports')).toEqual([]);
  });
  it('and what carries it is looked at by itself', () => {
    const ticked = tick(standing, lineAt(standing, 'supports', 'desk'));
    const other = apply(ticked, {
      type: 'changeSupport',
      supportId: 'desk',
      support: { at: { xM: 2, yM: 2, facingDeg: 0 } },
    });
    const line = lineAt(other, 'supports', 'desk');
    expect([line.state, line.plan]).toEqual(['differs', 'x 2.00 m, y 2.00 m, facing 0°']);
    expect(all(other, line.planFollows).supports).toEqual(standing.supports);
  });
  it('where nobody said where it stands there is nothing to look at', () =>
    expect(
      builtLines(start)
        .filter(({ part }) => part === 'places')
        .map(({ key }) => key),
    ).toEqual(['desk']));
});

describe('a knob that was found where the model no longer lets it stand', () => {
  it('differs, and the plan cannot follow', () => {
    const rig = apply(start, {
      type: 'tickBuilt',
      found: { part: 'settings', deviceId: 'desk', control: 'gain-1', found: 500 },
      by: 'Ada',
      when: WHEN,
    });
    expect(lineAt(rig, 'settings', 'desk.gain-1')).toMatchObject({
      state: 'differs',
      planFollows: [],
    });
  });
  it.each([
    ['a knob', { part: 'settings', deviceId: 'desk', control: 'nothing', found: 1 }],
    ['a device', { part: 'settings', deviceId: 'nobody', control: 'gain-1', found: 1 }],
    ['a support', { part: 'supports', supportId: 'nobody', found: null }],
  ] as const)('%s that is not there is refused', (_what, found) =>
    expect(() => apply(start, { type: 'tickBuilt', found, by: 'Ada', when: WHEN })).toThrow(
      Refusal,
    ),
  );
  it('a tick that is not there cannot be taken back', () =>
    expect(() => apply(start, { type: 'untickBuilt', part: 'cables', key: 'x' })).toThrow(
      'Nothing is ticked there',
    ));
});

describe('numbers of cables', () => {
  const second = (rig: Rig): Rig =>
    apply(rig, {
      type: 'connect',
      linkId: 'again',
      from: { deviceId: 'mic', portId: 'out' },
      to: { deviceId: 'desk', portId: 'mic-2' },
      cable: { kind: 'balanced', lengthM: 3 },
    });
  const give = (rig: Rig): Rig => {
    const command = numbering(rig);
    return command ? apply(rig, command) : rig;
  };
  it('are given once, stay with the cable, and are never given again', () => {
    const given = give(start);
    expect(given.cableNumbers).toEqual({ [linkId]: 1 });
    const gone = apply(given, { type: 'disconnect', linkId });
    const other = give(second(gone));
    expect(other.cableNumbers).toEqual({ [linkId]: 1, again: 2 });
    expect([...cableNumbers(other)]).toEqual([['again', 2]]);
  });
  it('do not change when another cable comes before', () => {
    const hall = demoRig('harbour-hall');
    expect(unnumbered(hall)).toEqual([]);
    const before = cableNumbers(hall);
    const fewer = apply(hall, {
      type: 'disconnect',
      linkId: Object.keys(hall.links)[0] ?? '',
    });
    for (const [id, number] of cableNumbers(fewer)) expect(number).toBe(before.get(id));
  });
  it('are refused to a second cable, in words', () => {
    const given = give(start);
    const rig = apply(given, { type: 'disconnect', linkId });
    expect(() => apply(second(rig), { type: 'numberCables', numbers: { again: 1 } })).toThrow(
      'Another cable bears the number 1',
    );
  });
});
