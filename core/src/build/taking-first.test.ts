import { analyse } from '../analyse';
import { build, STARTING_POINTS } from '.';
import { priceOf, moneyOf } from '../passes/money';
import { inOrder } from '../rig/order';
import { ownThing } from '../things/things-for-cases';
import { modelRefOf, usesIn } from '../things/uses';

const answers = STARTING_POINTS.find(({ id }) => id === 'two-voices')?.answers('Two voices');
const built = (things: ReturnType<typeof ownThing>[]) => {
  if (!answers) throw new Error('there is no such starting point');
  const made = build(answers, null, undefined, { things, models: [] });
  if (!made.ok) throw new Error(made.why);
  return made.rig;
};
const bought = built([]);
const stops = (rig: typeof bought) =>
  analyse(rig).findings.filter(({ level }) => level === 'stop').length;

describe('a rig made from a brief', () => {
  it('takes the very model that is there, and pays that much less', () => {
    const [id, device] =
      inOrder(bought.devices).find(([, { model }]) => model.kind === 'microphone') ?? [];
    if (id === undefined || !device) throw new Error('it has no microphone');
    const own = ownThing('mine', { modelRef: modelRefOf(device.model) });
    const rig = built([own]);
    expect(rig.devices[id]).toMatchObject({ thingId: 'mine', ownership: 'owned' });
    expect(moneyOf(bought).toPay - moneyOf(rig).toPay).toBeCloseTo(priceOf(device) ?? NaN, 6);
    expect(stops(rig)).toBe(0);
  });
  it('takes no more of it than there are', () => {
    const devices = inOrder(bought.devices).map(([, { model }]) => modelRefOf(model));
    const things = [...new Set(devices)].flatMap((modelRef) =>
      modelRef === null ? [] : [ownThing(`own-${modelRef}`, { modelRef })],
    );
    const counts = new Map<string, number>();
    for (const { thingId } of usesIn({ id: '', rig: built(things) }))
      counts.set(thingId, (counts.get(thingId) ?? 0) + 1);
    expect(counts.size).toBeGreaterThan(3);
    expect([...counts.values()].every((count) => count === 1)).toBe(true);
  });
  it('takes a larger interface that is there, where nothing new presses', () => {
    const own = ownThing('big', { modelRef: 'interface-8' });
    const rig = built([own]);
    expect(usesIn({ id: '', rig }).map(({ thingId }) => thingId)).toEqual(['big']);
    expect(stops(rig)).toBe(0);
    expect(moneyOf(rig).toPay).toBeLessThan(moneyOf(bought).toPay);
  });
  it.each([
    ['broken', ownThing('x', { modelRef: 'interface-8', condition: 'broken' })],
    ['wanted', ownThing('x', { modelRef: 'interface-8', had: 'wanted' })],
  ])('takes nothing that is %s', (_what, own) =>
    expect(usesIn({ id: '', rig: built([own]) })).toEqual([]),
  );
  it('takes cables out of the box', () => {
    const own = ownThing('xlr', {
      is: 'cable',
      modelRef: null,
      cableKind: 'balanced',
      lengthM: 10,
      count: 4,
    });
    expect(Object.values(built([own]).ownCables)).toMatchObject([
      { kind: 'balanced', lengthM: 10, count: 4 },
    ]);
  });
});
