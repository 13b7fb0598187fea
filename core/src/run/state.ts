import type { CheckLine, RunsOut } from '../day';
import type { DriveCheck } from '../files/checked';
import type { EpisodeStep, Happened, MarkKind, RunClock, RunEvent, RunPlan } from './schema';

/** What a stream of events comes to. Whatever order they arrive in, the same events come to the same. */

export interface Tick {
  readonly atMs: number;
  readonly by: string;
}

export interface Mark {
  readonly id: string;
  readonly atMs: number;
  readonly by: string;
  readonly kind: MarkKind | 'incident';
  readonly text: string;
  /** What an incident is about */
  readonly deviceId: string | null;
  /** Counted by kind, from 1 */
  readonly number: number;
}

export interface SegmentDone {
  readonly segmentId: string;
  readonly fromMs: number;
  /** null: it is on */
  readonly toMs: number | null;
}

export interface RunState {
  readonly stage: 'before' | 'live' | 'after';
  readonly liveMs: number | null;
  readonly endedMs: number | null;
  readonly ticks: ReadonlyMap<string, Tick>;
  readonly overruled: (Tick & { readonly words: string }) | null;
  readonly segments: readonly SegmentDone[];
  readonly marks: readonly Mark[];
  /** Dead at the end of the stream, by device */
  readonly dead: ReadonlyMap<string, Tick>;
  /** When what runs out was changed last */
  readonly fresh: ReadonlyMap<string, number>;
  readonly measured: ReadonlyMap<string, { readonly value: number; readonly unit: string }>;
  /** What became of the episode, step by step */
  readonly moves: readonly (Tick & { readonly step: EpisodeStep })[];
  /** The latest check of each drive in each place */
  readonly checks: readonly (Tick & DriveCheck)[];
}

/** The order of the stream: by the clock, then by id, so that every window has the same. */
export const inStreamOrder = (events: readonly RunEvent[]): RunEvent[] =>
  [...events].sort((a, b) => a.atMs - b.atMs || (a.id < b.id ? -1 : 1));

/** Those that happened: without what was withdrawn, and the withdrawing. */
export const standing = (events: readonly RunEvent[]): RunEvent[] => {
  const withdrawn = new Set(
    events.flatMap(({ happened }) => (happened.is === 'withdrawn' ? [happened.eventId] : [])),
  );
  return inStreamOrder(events).filter(
    ({ id, happened }) => happened.is !== 'withdrawn' && !withdrawn.has(id),
  );
};

export const runState = (events: readonly RunEvent[]): RunState => {
  let liveMs: number | null = null;
  let endedMs: number | null = null;
  let overruled: RunState['overruled'] = null;
  const ticks = new Map<string, Tick>();
  const segments: SegmentDone[] = [];
  const marks: Mark[] = [];
  const dead = new Map<string, Tick>();
  const fresh = new Map<string, number>();
  const measured = new Map<string, { value: number; unit: string }>();
  const moves: RunState['moves'][number][] = [];
  const checks = new Map<string, Tick & DriveCheck>();
  const counts = new Map<Mark['kind'], number>();
  const mark = ({ id, atMs, by }: RunEvent, of: Pick<Mark, 'kind' | 'text' | 'deviceId'>) => {
    const number = (counts.get(of.kind) ?? 0) + 1;
    counts.set(of.kind, number);
    marks.push({ id, atMs, by, ...of, number });
  };
  const closeSegment = (atMs: number): void => {
    const last = segments.at(-1);
    if (last?.toMs === null) segments[segments.length - 1] = { ...last, toMs: atMs };
  };
  const happen: {
    [Is in Happened['is']]: (event: RunEvent, of: Extract<Happened, { is: Is }>) => void;
  } = {
    ticked: ({ atMs, by }, { lineId }) => void ticks.set(lineId, { atMs, by }),
    unticked: (_event, { lineId }) => void ticks.delete(lineId),
    overruled: ({ atMs, by }, { words }) => {
      overruled = { atMs, by, words };
    },
    // Going live again after the end is a second part of the same show.
    live: ({ atMs }) => {
      liveMs ??= atMs;
      endedMs = null;
    },
    ended: ({ atMs }) => {
      endedMs = atMs;
      closeSegment(atMs);
    },
    segment: ({ atMs }, { segmentId }) => {
      closeSegment(atMs);
      segments.push({ segmentId, fromMs: atMs, toMs: null });
    },
    marked: (event, { kind, text }) => mark(event, { kind, text, deviceId: null }),
    incident: (event, { what, deviceId }) =>
      mark(event, { kind: 'incident', text: what, deviceId }),
    died: ({ atMs, by }, { deviceId }) => void dead.set(deviceId, { atMs, by }),
    back: (_event, { deviceId }) => void dead.delete(deviceId),
    fresh: ({ atMs }, { runsOutId }) => void fresh.set(runsOutId, atMs),
    measured: (_event, { lineId, value, unit }) => void measured.set(lineId, { value, unit }),
    moved: ({ atMs, by }, { step }) => void moves.push({ atMs, by, step }),
    checked: ({ atMs, by }, { check }) =>
      void checks.set(`${check.driveId} ${check.storeId ?? ''}`, { atMs, by, ...check }),
    withdrawn: () => undefined,
  };
  for (const event of standing(events)) {
    const does = happen[event.happened.is] as (event: RunEvent, of: Happened) => void;
    does(event, event.happened);
  }
  return {
    stage: liveMs === null ? 'before' : endedMs === null ? 'live' : 'after',
    liveMs,
    endedMs,
    ticks,
    overruled,
    segments,
    marks,
    dead,
    fresh,
    measured,
    moves,
    checks: [...checks.values()],
  };
};

/** What a run’s clock shows when the server’s shows something. */
export const runNowMs = (clock: RunClock, serverMs: number): number =>
  clock.is === 'real'
    ? serverMs
    : Math.round(clock.fromMs + (serverMs - clock.serverMs) * clock.speed);

/** Whether live may be gone, and what is in the way. */
export interface LiveGate {
  readonly isOpen: boolean;
  readonly stops: number;
  readonly open: readonly CheckLine[];
}

/** Must-lines before the show, each ticked; no stops; or overruled in words. */
export const liveGate = (
  lines: readonly CheckLine[],
  { ticks, overruled }: Pick<RunState, 'ticks' | 'overruled'>,
  stops: number,
): LiveGate => {
  const open = lines.filter(
    ({ id, phase, isMust }) => isMust && phase !== 'during' && phase !== 'strike' && !ticks.has(id),
  );
  return { isOpen: overruled !== null || (stops === 0 && open.length === 0), stops, open };
};

/** Where the show stands in its rundown. */
export interface OnAir {
  /** Of the plan; null before the first and after the last */
  readonly now: RunPlan['segments'][number] | null;
  readonly next: RunPlan['segments'][number] | null;
  /** Left of what is on; below 0 it runs over. @unit s */
  readonly leftS: number | null;
  /** Since live. @unit s */
  readonly sinceLiveS: number | null;
  /** When the show would end if all that follows took what is planned, less when it should. @unit s, above 0 over */
  readonly overS: number | null;
}

export const onAir = (plan: RunPlan, state: RunState, nowMs: number): OnAir => {
  const { liveMs, endedMs } = state;
  const last = state.segments.at(-1);
  const isOn = state.stage === 'live';
  const at =
    isOn && last?.toMs === null ? plan.segments.findIndex(({ id }) => id === last.segmentId) : -1;
  const now = plan.segments[at] ?? null;
  const next = isOn
    ? (plan.segments[at + 1] ?? null)
    : state.stage === 'before'
      ? (plan.segments[0] ?? null)
      : null;
  const leftS = now && last ? now.lengthS - (nowMs - last.fromMs) / 1000 : null;
  const sinceLiveS = liveMs === null ? null : ((endedMs ?? nowMs) - liveMs) / 1000;
  if (!isOn || sinceLiveS === null) return { now, next, leftS, sinceLiveS, overS: null };
  const plannedS = plan.segments.reduce((sum, { lengthS }) => sum + lengthS, 0);
  const wantedS = plan.lengthMin === null ? plannedS : plan.lengthMin * 60;
  const toCome = plan.segments.slice(at + 1).reduce((sum, { lengthS }) => sum + lengthS, 0);
  // What is on ends at its planned end, or now, where that is past.
  const endsS = sinceLiveS + Math.max(0, leftS ?? 0) + toCome;
  return { now, next, leftS, sinceLiveS, overS: plannedS === 0 ? null : endsS - wantedS };
};

export interface RunningOut extends RunsOut {
  /** By the clock of the run */
  readonly endsMs: number;
  /** Below 0 it has run out. @unit s */
  readonly leftS: number;
}

/** What runs out in this show and when, the next first; nothing before it is live. */
export const runningOut = (
  all: readonly RunsOut[],
  { liveMs, fresh }: Pick<RunState, 'liveMs' | 'fresh'>,
  nowMs: number,
): RunningOut[] =>
  liveMs === null
    ? []
    : all
        .map((one) => {
          const endsMs = (fresh.get(one.id) ?? liveMs) + one.afterMin * 60_000;
          return { ...one, endsMs, leftS: (endsMs - nowMs) / 1000 };
        })
        .sort((a, b) => a.endsMs - b.endsMs);
