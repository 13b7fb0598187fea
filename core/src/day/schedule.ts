/** Who does what when: tasks that need people, some of them after others, done as soon as can be. Times in minutes. */

export interface Task {
  readonly id: string;
  readonly minutes: number;
  /** So many at once, for as long as it takes */
  readonly people: number;
  /** Tasks that must be done before it begins */
  readonly after: readonly string[];
}

export interface Done {
  readonly id: string;
  readonly fromMin: number;
  readonly toMin: number;
  /** Who does it, counted from 1 */
  readonly who: readonly number[];
}

export type Schedule =
  | {
      readonly ok: true;
      /** By when they begin */
      readonly tasks: readonly Done[];
      readonly minutes: number;
      /** No order takes less than this */
      readonly leastMin: number;
      /** Whether it is proved that no order takes less than `minutes` */
      readonly isBest: boolean;
    }
  | { readonly ok: false; readonly why: string };

/** What all of it takes, however many do it. */
export const personMinutes = (tasks: readonly Task[]): number =>
  tasks.reduce((sum, { minutes, people }) => sum + minutes * people, 0);

/** Whole seconds: sums of halves and quarters of minutes stay exact. */
const SECONDS = 60;

/** So many jobs in so many states are looked at and no more: then the best so far is given with its bound. */
const MOST_LOOKED_AT = 400_000;

interface Job {
  readonly id: string;
  readonly lastsS: number;
  readonly people: number;
  readonly before: readonly number[];
  /** From its beginning to the end of whatever must follow it */
  readonly tailS: number;
}

interface Span {
  readonly job: number;
  readonly fromS: number;
  readonly toS: number;
}

/** Tasks with what follows them, in an order in which each comes after those it needs. @returns why there is none */
const jobsOf = (tasks: readonly Task[]): readonly Job[] | string => {
  const index = new Map(tasks.map(({ id }, at) => [id, at]));
  for (const { id, after } of tasks)
    for (const other of after)
      if (!index.has(other)) return `“${id}” waits for “${other}”, which is no task.`;
  const sorted: number[] = [];
  const state = new Map<number, 'open' | 'done'>();
  const visit = (at: number): string | null => {
    if (state.get(at) === 'done') return null;
    const task = tasks[at];
    if (!task) return null;
    if (state.get(at) === 'open') return `“${task.id}” waits for itself.`;
    state.set(at, 'open');
    for (const other of task.after) {
      const why = visit(index.get(other) ?? -1);
      if (why !== null) return why;
    }
    state.set(at, 'done');
    sorted.push(at);
    return null;
  };
  for (const at of tasks.keys()) {
    const why = visit(at);
    if (why !== null) return why;
  }
  const tails = new Array<number>(tasks.length).fill(0);
  for (const at of [...sorted].reverse()) {
    const task = tasks[at];
    if (!task) continue;
    tails[at] = (tails[at] ?? 0) + Math.round(task.minutes * SECONDS);
    for (const other of task.after) {
      const before = index.get(other) ?? -1;
      tails[before] = Math.max(tails[before] ?? 0, tails[at] ?? 0);
    }
  }
  return tasks.map(({ id, minutes, people, after }, at) => ({
    id,
    lastsS: Math.round(minutes * SECONDS),
    people,
    before: after.map((other) => index.get(other) ?? -1),
    tailS: tails[at] ?? 0,
  }));
};

/** When a job can begin beside what is laid already. @param fromS not before */
const earliest = (
  laid: readonly Span[],
  jobs: readonly Job[],
  job: Job,
  fromS: number,
  crew: number,
): number => {
  const starts = [fromS, ...laid.map(({ toS }) => toS).filter((toS) => toS > fromS)].sort(
    (a, b) => a - b,
  );
  const fits = (startS: number): boolean => {
    const endS = startS + job.lastsS;
    // The number at work changes only where something begins.
    return [
      startS,
      ...laid.map((span) => span.fromS).filter((at) => at > startS && at < endS),
    ].every(
      (at) =>
        job.people +
          laid
            .filter((span) => span.fromS <= at && span.toS > at)
            .reduce((sum, span) => sum + (jobs[span.job]?.people ?? 0), 0) <=
        crew,
    );
  };
  return starts.find(fits) ?? fromS;
};

const workOf = (job: Job | undefined): number => (job ? job.lastsS * job.people : 0);

/** Everything that a job waits for, one way or another. */
const everythingBefore = (jobs: readonly Job[], at: number): ReadonlySet<number> => {
  const found = new Set<number>();
  const add = (one: number): void => {
    for (const other of jobs[one]?.before ?? []) {
      if (found.has(other)) continue;
      found.add(other);
      add(other);
    }
  };
  add(at);
  return found;
};

/** No order takes less: the longest chain, all the work shared out, and what cannot go on side by side. */
const leastOf = (jobs: readonly Job[], crew: number): number => {
  const work = jobs.reduce((sum, job) => sum + workOf(job), 0);
  const alone = jobs
    .filter(({ people }) => 2 * people > crew)
    .reduce((sum, { lastsS }) => sum + lastsS, 0);
  // Whatever a job waits for is all done before it, by no more than all of them.
  const afterAll = jobs.map((job, at) => {
    const needed = [...everythingBefore(jobs, at)];
    const before = needed.reduce((sum, other) => sum + workOf(jobs[other]), 0);
    return Math.ceil(before / crew) + job.tailS;
  });
  return Math.max(0, ...jobs.map(({ tailS }) => tailS), Math.ceil(work / crew), alone, ...afterAll);
};

/**
 * What no order takes less than: told at once, however many tasks there are.
 * @returns min; null where they cannot be done at all
 */
export const leastMinutes = (tasks: readonly Task[], people: number): number | null => {
  const jobs = jobsOf(tasks);
  return typeof jobs === 'string' || jobs.some((job) => job.people > people)
    ? null
    : leastOf(jobs, people) / SECONDS;
};

/** What still has to follow, at least. */
const boundOf = (
  jobs: readonly Job[],
  laid: readonly Span[],
  readyS: readonly number[],
  crew: number,
): number => {
  const isLaid = new Set(laid.map(({ job }) => job));
  let chain = 0;
  let beginsS = Infinity;
  let work = 0;
  jobs.forEach((job, at) => {
    if (isLaid.has(at)) return;
    const fromS = readyS[at] ?? 0;
    chain = Math.max(chain, fromS + job.tailS);
    beginsS = Math.min(beginsS, fromS);
    work += job.lastsS * job.people;
  });
  if (beginsS === Infinity) return 0;
  for (const { job, fromS, toS } of laid)
    work += Math.max(0, toS - Math.max(fromS, beginsS)) * (jobs[job]?.people ?? 0);
  return Math.max(chain, beginsS + Math.ceil(work / crew));
};

const endOf = (spans: readonly Span[]): number => Math.max(0, ...spans.map(({ toS }) => toS));

/** Every order of laying jobs one by one, each as early as it can be, as long as it may still be better. */
const search = (
  jobs: readonly Job[],
  crew: number,
  leastS: number,
): { best: Span[]; isBest: boolean } => {
  let best: Span[] | null = null;
  let bestS = Infinity;
  let looked = 0;
  let isWhole = true;
  const lay = (laid: readonly Span[]): void => {
    if (bestS <= leastS) return;
    looked += 1;
    if (looked * jobs.length > MOST_LOOKED_AT && best) {
      isWhole = false;
      return;
    }
    const ends = new Map(laid.map(({ job, toS }) => [job, toS]));
    // When each could begin for what it waits for: what is not laid ends no sooner than it could.
    const readyS: number[] = [];
    const ready = (at: number): number => {
      const known = readyS[at];
      if (known !== undefined) return known;
      const job = jobs[at];
      const fromS = Math.max(
        0,
        ...(job?.before ?? []).map(
          (other) => ends.get(other) ?? ready(other) + (jobs[other]?.lastsS ?? 0),
        ),
      );
      readyS[at] = fromS;
      return fromS;
    };
    jobs.forEach((_, at) => ready(at));
    if (laid.length === jobs.length) {
      const endS = endOf(laid);
      if (endS < bestS) [best, bestS] = [[...laid], endS];
      return;
    }
    if (Math.max(endOf(laid), boundOf(jobs, laid, readyS, crew)) >= bestS) return;
    const open = jobs
      .map((job, at) => ({ job, at }))
      .filter(({ job, at }) => !ends.has(at) && job.before.every((other) => ends.has(other)))
      .sort((a, b) => b.job.tailS - a.job.tailS || a.at - b.at);
    for (const { job, at } of open) {
      const fromS = earliest(laid, jobs, job, readyS[at] ?? 0, crew);
      lay([...laid, { job: at, fromS, toS: fromS + job.lastsS }]);
    }
  };
  lay([]);
  return { best: best ?? [], isBest: isWhole };
};

/** Hands the work out: whoever is free at the beginning, those who have been free longest first. */
const handedOut = (spans: readonly Span[], jobs: readonly Job[], crew: number): Done[] => {
  const freeS = new Array<number>(crew).fill(0);
  return [...spans]
    .sort((a, b) => a.fromS - b.fromS || a.job - b.job)
    .map(({ job, fromS, toS }) => {
      const who = [...freeS.keys()]
        .filter((person) => (freeS[person] ?? 0) <= fromS)
        .slice(0, jobs[job]?.people ?? 0);
      for (const person of who) freeS[person] = toS;
      return {
        id: jobs[job]?.id ?? '',
        fromMin: fromS / SECONDS,
        toMin: toS / SECONDS,
        who: who.map((person) => person + 1),
      };
    });
};

/**
 * The shortest schedule of tasks for so many people. Found by trying every order in which jobs can be laid, each as
 * early as it fits, among which a shortest one is; large ones end with the best so far, and the bound says how far off
 * it is at most.
 * @param people at least 1
 * @source serial schedule generation with branch and bound, as for project scheduling with one shared resource
 */
export const scheduleFor = (tasks: readonly Task[], people: number): Schedule => {
  const jobs = jobsOf(tasks);
  if (typeof jobs === 'string') return { ok: false, why: jobs };
  const tooMany = tasks.find((task) => task.people > people);
  if (tooMany)
    return {
      ok: false,
      why:
        `“${tooMany.id}” needs ${tooMany.people} people at once; ` +
        `there ${people === 1 ? 'is one' : `are ${people}`}.`,
    };
  const leastS = leastOf(jobs, people);
  const { best, isBest } = search(jobs, people, leastS);
  const endS = endOf(best);
  return {
    ok: true,
    tasks: handedOut(best, jobs, people),
    minutes: endS / SECONDS,
    leastMin: (isBest ? endS : leastS) / SECONDS,
    isBest: isBest || endS === leastS,
  };
};
