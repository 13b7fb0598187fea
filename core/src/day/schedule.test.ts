import fc from 'fast-check';
import { savings } from './savings';
import { personMinutes, scheduleFor, type Schedule, type Task } from './schedule';
import { times } from '../runs-for-cases';

const task = (id: string, minutes: number, people: number, ...after: string[]): Task => ({
  id,
  minutes,
  people,
  after,
});

/** Worked H of the handbook. */
const WORKED_H: readonly Task[] = [
  task('table', 2, 2),
  task('camera', 1.5, 1, 'table'),
  task('key light', 2, 1),
  task('panels', 3, 1),
  task('arm', 1, 1, 'table'),
  task('cables', 2.5, 1, 'camera', 'arm'),
  task('laptop', 1.5, 1, 'table'),
  task('check', 2, 2, 'cables', 'laptop', 'key light', 'panels'),
];

const found = (schedule: Schedule) => {
  if (!schedule.ok) throw new Error(schedule.why);
  return schedule;
};

/** What makes a schedule one: each task once, after those it waits for, nobody in two places, never too many. */
const expectSound = (tasks: readonly Task[], schedule: Schedule, people: number): void => {
  const { tasks: done } = found(schedule);
  expect(done.map(({ id }) => id).sort()).toEqual(tasks.map(({ id }) => id).sort());
  const at = new Map(done.map((one) => [one.id, one]));
  for (const { id, minutes, people: needed, after } of tasks) {
    const one = at.get(id);
    expect((one?.toMin ?? 0) - (one?.fromMin ?? 0)).toBeCloseTo(minutes, 6);
    expect(new Set(one?.who).size).toBe(needed);
    expect(Math.max(0, ...(one?.who ?? []))).toBeLessThanOrEqual(people);
    for (const other of after)
      expect(one?.fromMin ?? 0).toBeGreaterThanOrEqual((at.get(other)?.toMin ?? Infinity) - 1e-9);
  }
  for (const one of done)
    for (const other of done)
      if (one !== other && one.fromMin < other.toMin - 1e-9 && other.fromMin < one.toMin - 1e-9)
        expect(one.who.filter((person) => other.who.includes(person))).toEqual([]);
};

describe('worked H', () => {
  it('is 19.5 person-minutes', () => expect(personMinutes(WORKED_H)).toBe(19.5));
  it.each([
    [2, 10],
    [3, 8],
    // The longest chain: table, camera, cables, check.
    [4, 8],
  ])('takes %i people %d minutes, and none takes less', (people, minutes) => {
    const schedule = scheduleFor(WORKED_H, people);
    expect(found(schedule)).toMatchObject({ minutes, leastMin: minutes, isBest: true });
    expectSound(WORKED_H, schedule, people);
  });
  it('cannot be done by one, and says which task it is', () =>
    expect(scheduleFor(WORKED_H, 1)).toEqual({
      ok: false,
      why: '“table” needs 2 people at once; there is one.',
    }));
});

describe('tasks that are none', () => {
  it('wait for something that is not there', () =>
    expect(scheduleFor([task('a', 1, 1, 'b')], 1)).toEqual({
      ok: false,
      why: '“a” waits for “b”, which is no task.',
    }));
  it('wait for themselves in a ring', () =>
    expect(scheduleFor([task('a', 1, 1, 'b'), task('b', 1, 1, 'a')], 1).ok).toBe(false));
  it('are none at all: nothing takes no time', () =>
    expect(found(scheduleFor([], 2))).toMatchObject({ minutes: 0, isBest: true, tasks: [] }));
});

/**
 * The shortest by trying every permutation: tasks are begun in that order, each at the first minute at which those it
 * waits for are done and enough people are free, minute by minute.
 */
const byEveryOrder = (tasks: readonly Task[], people: number): number => {
  let best = Infinity;
  const rest = new Set(tasks);
  const spans = new Map<string, readonly [number, number, number]>();
  const lay = (): void => {
    if (rest.size === 0) {
      best = Math.min(best, Math.max(0, ...[...spans.values()].map(([, to]) => to)));
      return;
    }
    for (const one of [...rest]) {
      if (!one.after.every((id) => spans.has(id))) continue;
      let from = Math.max(0, ...one.after.map((id) => spans.get(id)?.[1] ?? 0));
      const busy = (minute: number) =>
        [...spans.values()].reduce(
          (sum, [start, end, needed]) => sum + (start <= minute && minute < end ? needed : 0),
          0,
        );
      const fits = () =>
        Array.from({ length: one.minutes }, (_, at) => from + at).every(
          (minute) => busy(minute) + one.people <= people,
        );
      while (!fits()) from += 1;
      rest.delete(one);
      spans.set(one.id, [from, from + one.minutes, one.people]);
      lay();
      spans.delete(one.id);
      rest.add(one);
    }
  };
  lay();
  return best;
};

describe('small cases at random', () => {
  const cases = fc
    .array(
      fc.record({
        minutes: fc.integer({ min: 1, max: 5 }),
        people: fc.integer({ min: 1, max: 2 }),
        after: fc.array(fc.nat(5), { maxLength: 2 }),
      }),
      { minLength: 1, maxLength: 6 },
    )
    .map((all) =>
      all.map(({ minutes, people, after }, at) => {
        const earlier = [...new Set(after)].filter((other) => other < at);
        return task(`t${at}`, minutes, people, ...earlier.map((other) => `t${other}`));
      }),
    );
  it('take as long as the best of every order, and are sound', () => {
    fc.assert(
      fc.property(cases, fc.integer({ min: 2, max: 4 }), (tasks, people) => {
        const schedule = scheduleFor(tasks, people);
        expect(found(schedule)).toMatchObject({
          minutes: byEveryOrder(tasks, people),
          isBest: true,
        });
        expectSound(tasks, schedule, people);
      }),
      { numRuns: times(200) },
    );
  });
  it('never take longer with one more', () => {
    fc.assert(
      fc.property(cases, (tasks) => {
        const [two, three] = [2, 3].map((people) => found(scheduleFor(tasks, people)).minutes);
        expect(three).toBeLessThanOrEqual(two ?? 0);
      }),
    );
  });
});

describe('a large one', () => {
  it('is sound, and its bound says how far it is off at most', () => {
    const tasks = Array.from({ length: 60 }, (_, at) =>
      task(
        `t${at}`,
        1 + ((at * 7) % 5) / 2,
        at % 9 === 0 ? 2 : 1,
        ...(at > 3 && at % 4 === 0 ? [`t${at - 3}`] : []),
      ),
    );
    const schedule = scheduleFor(tasks, 3);
    expectSound(tasks, schedule, 3);
    const { minutes, leastMin } = found(schedule);
    expect(leastMin).toBeGreaterThanOrEqual(personMinutes(tasks) / 3 - 0.02);
    expect(minutes / leastMin).toBeLessThan(1.1);
  });
});

describe('what would save most', () => {
  const tasks = [
    { id: 'long', minutes: 6, people: 1, after: [] },
    { id: 'short', minutes: 2, people: 1, after: [] },
    { id: 'two', minutes: 1, people: 2, after: ['long'] },
  ];
  it('is what the whole waits for, not what takes work alone', () => {
    // Two people: 6 beside 2, then 1 for both: 7. Without `short` nothing is gained; `long` down to 2 gains 4.
    const all = savings(
      tasks,
      2,
      new Map([
        ['long', 4],
        ['short', 9],
        ['two', 0.5],
      ]),
    );
    expect(all).toEqual([
      { id: 'long', workMin: 4, sooner: 4 },
      { id: 'two', workMin: 1, sooner: 0.5 },
      { id: 'short', workMin: 2, sooner: 0 },
    ]);
  });
  it('is nothing where nothing can be done at all', () =>
    expect(savings(tasks, 1, new Map([['long', 4]]))).toEqual([]));
});
