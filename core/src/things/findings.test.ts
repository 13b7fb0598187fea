import fc from 'fast-check';
import { RigDraft } from '../catalogue/draft';
import { apply } from '../rig';
import { thingFindings } from './findings';
import { ownThing } from './things-for-cases';
import { asLens, type NamedRig, takeCommand, usesIn } from './uses';
import type { OwnThing } from './schema';
import { times } from '../runs-for-cases';

const findingsOf = (things: readonly OwnThing[], rigs: readonly NamedRig[]) =>
  thingFindings(things, rigs.flatMap(usesIn));

const rigOf = (
  id: string,
  days: readonly string[],
  mics: Readonly<Record<string, OwnThing>>,
): NamedRig => {
  let rig = Object.keys(mics)
    .reduce((draft, mic) => draft.device(mic, 'mic-dynamic-quiet'), new RigDraft(`Rig ${id}`))
    .build();
  for (const [mic, own] of Object.entries(mics)) rig = apply(rig, takeCommand('device', mic, own));
  for (const [index, on] of days.entries())
    rig = apply(rig, { type: 'addShow', showId: `s-${index}`, show: { name: 'Show', on } });
  return { id, rig };
};
const DAYS = ['2026-12-03', '2026-12-04', '2026-12-05'] as const;
const mic = ownThing('mic');
const codes = (things: readonly OwnThing[], rigs: readonly NamedRig[]) =>
  findingsOf(things, rigs).map(({ code }) => code);

describe('the same thing in two rigs', () => {
  const a = rigOf('a', ['2026-12-03', '2026-12-10'], { one: mic });
  const b = rigOf('b', ['2026-12-10', '2026-12-17'], { two: mic });
  it('on one day is a stop, with the day and the sum', () => {
    const [found] = findingsOf([mic], [a, b]);
    expect(found).toMatchObject({
      code: 'things.same-day',
      level: 'stop',
      says: 'mic is wanted in Rig a and Rig b on 2026-12-10.',
      sum: '2026-12-10: Rig a 1 + Rig b 1 = 2, of 1 there',
    });
  });
  it('on different days is none', () =>
    expect(codes([mic], [a, rigOf('b', ['2026-12-04'], { two: mic })])).toEqual([]));
  it('is none where there are two of it', () =>
    expect(codes([ownThing('mic', { count: 2 })], [a, b])).toEqual([]));
  it('offers another that is free that day, and it mends it', () => {
    const spare = ownThing('spare');
    const [found] = findingsOf([mic, spare], [a, b]);
    const fix = found?.fixes[0];
    expect(fix?.says).toBe(
      'Rig a: take spare for Quiet dynamic microphone'.replace(
        'Quiet dynamic microphone',
        a.rig.devices['one']?.name ?? '',
      ),
    );
    const mended = { id: 'a', rig: apply(a.rig, fix?.command ?? { type: 'renameRig', name: 'x' }) };
    expect(codes([mic, spare], [mended, b])).toEqual([]);
  });
  it('never offers one that is broken, back already, or taken itself', () => {
    const others = [
      ownThing('broken', { condition: 'broken' }),
      ownThing('gone', { had: 'borrowed', backOn: '2026-12-05' }),
      ownThing('taken'),
      ownThing('other-model', { modelRef: 'mic-condenser-large' }),
    ];
    const c = rigOf('c', ['2026-12-03', '2026-12-10', '2026-12-17'], { three: others[2] ?? mic });
    const [found] = findingsOf([mic, ...others], [a, b, c]);
    expect(found?.fixes.map(({ says }) => says.split(':')[1]?.trim().split(' ')[0])).toEqual([
      'buy',
      'buy',
    ]);
  });
});

describe('one rig and the things', () => {
  it('twice the same is a stop whatever the day', () => {
    const [found] = findingsOf([mic], [rigOf('a', [], { one: mic, two: mic })]);
    expect(found).toMatchObject({ code: 'things.twice', sum: '2 used − 1 there = 1 too many' });
  });
  it('borrowed and back before the show', () => {
    const lent = ownThing('lent', { had: 'borrowed', backOn: '2026-12-02' });
    expect(codes([lent], [rigOf('a', ['2026-12-03'], { one: lent })])).toEqual([
      'things.gone-back',
    ]);
    expect(codes([lent], [rigOf('a', ['2026-12-02'], { one: lent })])).toEqual([]);
  });
  it.each([
    ['broken', 'stop'],
    ['faulty', 'warn'],
  ] as const)('%s is a %s', (condition, level) => {
    const own = ownThing('own', { condition });
    expect(findingsOf([own], [rigOf('a', [], { one: own })])).toMatchObject([
      { code: 'things.not-fit', level },
    ]);
  });
  it.each(['new', 'good', 'worn'] as const)('%s is fit', (condition) => {
    const own = ownThing('own', { condition });
    expect(codes([own], [rigOf('a', [], { one: own })])).toEqual([]);
  });
  it('wanted, another model, off the list', () => {
    const wanted = ownThing('wanted', { had: 'wanted' });
    const other = ownThing('other', { modelRef: 'mic-condenser-large' });
    expect(codes([wanted], [rigOf('a', [], { one: wanted })])).toEqual(['things.not-had']);
    expect(codes([other], [rigOf('a', [], { one: other })])).toEqual(['things.other-model']);
    expect(codes([], [rigOf('a', [], { one: mic })])).toEqual(['things.not-listed']);
  });
});

/** Rigs and things at random: few of each, so that they meet. */
const worlds = fc
  .record({
    counts: fc.array(fc.integer({ min: 1, max: 2 }), { minLength: 2, maxLength: 4 }),
    lent: fc.array(fc.option(fc.constantFrom(...DAYS), { nil: null }), {
      minLength: 4,
      maxLength: 4,
    }),
    broken: fc.array(fc.integer({ min: 0, max: 5 }), { minLength: 4, maxLength: 4 }),
    rigs: fc.array(
      fc.record({
        days: fc.subarray([...DAYS]),
        mics: fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 1, maxLength: 3 }),
      }),
      { minLength: 1, maxLength: 3 },
    ),
  })
  .map(({ counts, lent, broken, rigs }) => {
    const things = counts.map((count, at) =>
      ownThing(`t-${at}`, {
        count,
        had: lent[at] ? 'borrowed' : 'owned',
        backOn: lent[at] ?? null,
        condition: broken[at] === 0 ? 'broken' : 'good',
      }),
    );
    return {
      things,
      rigs: rigs.map(({ days, mics }, at) =>
        rigOf(
          `r${at}`,
          days,
          Object.fromEntries(
            mics.map((thing, index) => [`m-${index}`, things[thing % things.length] ?? mic]),
          ),
        ),
      ),
    };
  });

/** What is wrong with a thing, counted another way: day by day and rig by rig, over the devices themselves. */
const byHand = ({ thing, id }: OwnThing, rigs: readonly NamedRig[]): string[] => {
  const times = ({ rig }: NamedRig) =>
    Object.values(rig.devices).filter(({ thingId }) => thingId === id).length;
  const isOn = ({ rig }: NamedRig, day: string) =>
    Object.values(rig.shows).some(({ on }) => on === day);
  const using = rigs.filter((rig) => times(rig) > 0);
  const clash = DAYS.some((day) => {
    const then = using.filter((rig) => isOn(rig, day));
    return then.length > 1 && then.reduce((sum, rig) => sum + times(rig), 0) > thing.count;
  });
  const { backOn } = thing;
  const late =
    backOn !== null && using.some((rig) => DAYS.some((day) => isOn(rig, day) && day > backOn));
  return [
    ...(clash ? ['things.same-day'] : []),
    ...using.filter((rig) => times(rig) > thing.count).map(() => 'things.twice'),
    ...(late ? ['things.gone-back'] : []),
    ...(using.length > 0 && thing.condition === 'broken' ? ['things.not-fit'] : []),
  ].sort();
};

describe('things and rigs at random', () => {
  it('are found wrong exactly where a count by hand finds them wrong', () => {
    fc.assert(
      fc.property(worlds, ({ things, rigs }) => {
        const found = findingsOf(things, rigs);
        for (const own of things)
          expect(
            found
              .filter(({ thingId }) => thingId === own.id)
              .map(({ code }) => code)
              .sort(),
          ).toEqual(byHand(own, rigs));
      }),
      { numRuns: times(150) },
    );
  });
  it('are never made worse by what is offered', () => {
    fc.assert(
      fc.property(worlds, ({ things, rigs }) => {
        const before = findingsOf(things, rigs);
        for (const { fixes } of before)
          for (const { rigId, command } of fixes) {
            const then = rigs.map((one) =>
              one.id === rigId ? { id: one.id, rig: apply(one.rig, command) } : one,
            );
            const after = findingsOf(things, then);
            const was = new Set(before.map(({ code, thingId }) => `${code} ${thingId}`));
            for (const { code, thingId } of after) expect(was).toContain(`${code} ${thingId}`);
          }
      }),
      { numRuns: times(150) },
    );
  });
});

describe('lenses', () => {
  const zoom = (id: string, more: Partial<OwnThing['thing']> = {}) =>
    ownThing(id, {
      is: 'lens',
      modelRef: null,
      shortestMm: 24,
      longestMm: 70,
      widest: 2.8,
      massKg: 0.7,
      nearestM: 0.4,
      mount: 'Mirrorless',
      ...more,
    });
  const one = zoom('one');
  const withLens = (id: string): NamedRig => {
    const lens = asLens(one);
    if (!lens) throw new Error('no lens');
    const rig = [
      {
        type: 'addLens' as const,
        lensId: 'zoom',
        lens: { ...lens, price: null, ownership: 'owned' as const },
      },
      takeCommand('lens', 'zoom', one),
      { type: 'addShow' as const, showId: 's', show: { name: 'Show', on: '2026-12-03' } },
    ].reduce(apply, new RigDraft(`Rig ${id}`).build());
    return { id, rig };
  };
  const offered = (...others: readonly OwnThing[]) =>
    findingsOf([one, ...others], [withLens('a'), withLens('b')])[0]?.fixes.map(({ says }) => says);
  it('clash as devices do, and another that is alike is offered', () => {
    expect(codes([one], [withLens('a'), withLens('b')])).toEqual(['things.same-day']);
    expect(offered(zoom('two'))).toContain('Rig a: take two for one');
  });
  it.each([
    ['shorter', { shortestMm: 16 }],
    ['longer', { longestMm: 105 }],
    ['slower', { widest: 4 }],
    ['of another mount', { mount: 'Small' }],
  ])('one that is %s is not', (_what, more) =>
    expect(offered(zoom('two', more))).toEqual([
      'Rig a: buy another for one',
      'Rig b: buy another for one',
    ]),
  );
  it('a thing of another kind is no lens', () => {
    expect(asLens(mic)).toBeNull();
    expect(asLens(zoom('bare', { nearestM: null }))).toBeNull();
    const lens = { id: 'a', rig: apply(withLens('a').rig, takeCommand('lens', 'zoom', mic)) };
    expect(codes([mic], [lens])).toEqual(['things.other-model']);
  });
});

describe('what is said', () => {
  it('counts, and names the serial number where there is one', () => {
    const two = ownThing('pair', { count: 2 });
    const [found] = findingsOf([two], [rigOf('a', [], { one: two, more: two, third: two })]);
    expect(found?.says).toMatch(/^pair is in Rig a 3 times, as .*; there are 2\.$/);
    expect(found?.sum).toBe('3 used − 2 there = 1 too many');
    const numbered = ownThing('mic', { serial: 'B7', condition: 'broken' });
    expect(findingsOf([numbered], [rigOf('a', [], { one: numbered })])[0]?.says).toBe(
      'mic (B7) is broken, and Rig a is built on it.',
    );
  });
  it('counts the days on which they meet, the first of them named', () => {
    const days = ['2026-12-03', '2026-12-04', '2026-12-05'];
    const [found] = findingsOf(
      [mic],
      [rigOf('a', days, { one: mic }), rigOf('b', days, { two: mic })],
    );
    expect(found?.says).toBe('mic is wanted in Rig a and Rig b on 2026-12-03 and on 2 more days.');
  });
  it('names whom it goes back to, and the first day it is missed', () => {
    const lent = ownThing('lent', { had: 'borrowed', from: 'The college', backOn: '2026-12-03' });
    const rig = rigOf('a', ['2026-12-03', '2026-12-05', '2026-12-04'], { one: lent });
    expect(findingsOf([lent], [rig])[0]?.says).toBe(
      'lent goes back to The college on 2026-12-03, and Rig a needs it on 2026-12-04.',
    );
  });
  it('of a thing that nothing uses is nothing', () =>
    expect(
      codes(
        [
          ownThing('a', { condition: 'broken' }),
          ownThing('b', { had: 'wanted' }),
          ownThing('c', { had: 'borrowed', backOn: '2020-01-01' }),
        ],
        [rigOf('a', ['2026-12-03'], {})],
      ),
    ).toEqual([]));
});
