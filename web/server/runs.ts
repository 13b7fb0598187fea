import {
  contentsOf,
  MOST_EVENTS,
  type RunEvent,
  type RunPlan,
  runEventSchema,
  runPlanSchema,
  runState,
} from '@echo-loom/core';
import { createHash } from 'node:crypto';
import { and, asc, count, desc, eq, gt, inArray } from 'drizzle-orm';
import { database } from './database';
import type { RunLine } from '@/session/protocol';
import { isOnShelf } from './rigs';
import { runEvents, runs } from './schema';

/** Runs: a plan each, and a stream of events to which is only added. */

/** Most runs of one rig: twice a day for three years. */
export const MOST_RUNS = 2000;
/** Most events told at once. */
const AT_ONCE = 2000;

export type Begun = 'begun' | 'no rig' | 'other run' | 'too many';

/** Begins a run. The same id with the same plan again is the same run: the answer may not have arrived. */
export const beginRun = async (rigId: string, id: string, plan: RunPlan): Promise<Begun> => {
  if (!(await isOnShelf(rigId))) return 'no rig';
  const [there] = await database()
    .select({ many: count() })
    .from(runs)
    .where(eq(runs.rigId, rigId));
  if ((there?.many ?? 0) >= MOST_RUNS) return 'too many';
  const [made] = await database()
    .insert(runs)
    .values({ id, rigId, plan })
    .onConflictDoNothing()
    .returning({ id: runs.id });
  if (made) return 'begun';
  const [other] = await database().select().from(runs).where(eq(runs.id, id));
  const isSame = other?.rigId === rigId && JSON.stringify(other.plan) === JSON.stringify(plan);
  return isSame ? 'begun' : 'other run';
};

export interface PlacedEvent {
  readonly place: number;
  readonly event: RunEvent;
}

/** What happened in a run behind a place. */
export interface Happenings {
  /** In the order of their arrival; what a later version wrote and this one cannot read is left out */
  readonly events: readonly PlacedEvent[];
  /** Whether there are more behind the last of them */
  readonly hasMore: boolean;
}

const readable = (rows: readonly { place: number; event: RunEvent }[]): PlacedEvent[] =>
  rows.filter(({ event }) => runEventSchema.safeParse(event).success);

/** The plan of a run. @returns null where the rig has no such run */
export const planOf = async (rigId: string, runId: string): Promise<RunPlan | null> => {
  const [run] = await database()
    .select({ plan: runs.plan })
    .from(runs)
    .where(and(eq(runs.id, runId), eq(runs.rigId, rigId)));
  return runPlanSchema.safeParse(run?.plan).data ?? null;
};

/** What happened in a run behind a place: a window asks every moment. @returns null where the rig has no such run */
export const eventsBehind = async (
  rigId: string,
  runId: string,
  after: number,
): Promise<Happenings | null> => {
  const [run] = await database()
    .select({ id: runs.id })
    .from(runs)
    .where(and(eq(runs.id, runId), eq(runs.rigId, rigId)));
  if (!run) return null;
  const rows = await database()
    .select({ place: runEvents.place, event: runEvents.event })
    .from(runEvents)
    .where(and(eq(runEvents.runId, runId), gt(runEvents.place, after)))
    .orderBy(asc(runEvents.place))
    .limit(AT_ONCE + 1);
  return {
    events: readable(rows.slice(0, AT_ONCE)),
    hasMore: rows.length > AT_ONCE,
  };
};

/**
 * Adds events to a run: all or none. One that is there already stays as it was: it was sent twice.
 * @returns the ids that are in the stream now; why not otherwise
 */
export const addEvents = async (
  rigId: string,
  runId: string,
  events: readonly RunEvent[],
): Promise<{ readonly kept: readonly string[] } | 'no run' | 'too many'> =>
  database().transaction(async (transaction) => {
    // One at a time for each run, in every instance: places are given in the order in which they can be seen.
    const [run] = await transaction
      .select({ last: runs.events })
      .from(runs)
      .where(and(eq(runs.id, runId), eq(runs.rigId, rigId)))
      .for('update');
    if (!run) return 'no run';
    const rows = await transaction
      .select({ id: runEvents.eventId })
      .from(runEvents)
      .where(
        and(
          eq(runEvents.runId, runId),
          inArray(
            runEvents.eventId,
            events.map((event) => event.id),
          ),
        ),
      );
    const there = new Set(rows.map(({ id }) => id));
    const fresh = [...new Map(events.map((event) => [event.id, event])).values()].filter(
      ({ id }) => !there.has(id),
    );
    if (run.last + fresh.length > MOST_EVENTS) return 'too many';
    if (fresh.length > 0) {
      await transaction.insert(runEvents).values(
        fresh.map((event, at) => ({
          runId,
          place: run.last + at + 1,
          eventId: event.id,
          event,
        })),
      );
      await transaction
        .update(runs)
        .set({ events: run.last + fresh.length })
        .where(eq(runs.id, runId));
    }
    return { kept: events.map(({ id }) => id) };
  });

const firstOf = (all: readonly number[]): number | null =>
  all.reduce<number | null>((first, one) => (first === null || one < first ? one : first), null);

/** Every run of a rig, the latest first. */
export const listRuns = async (rigId: string): Promise<RunLine[]> => {
  const [all, happened] = await Promise.all([
    database().select().from(runs).where(eq(runs.rigId, rigId)).orderBy(desc(runs.at)),
    database()
      .select({ runId: runEvents.runId, place: runEvents.place, event: runEvents.event })
      .from(runEvents)
      .innerJoin(runs, eq(runs.id, runEvents.runId))
      .where(eq(runs.rigId, rigId)),
  ]);
  const byRun = new Map<string, PlacedEvent[]>();
  for (const { runId, ...placed } of happened) {
    const its = byRun.get(runId);
    if (its) its.push(placed);
    else byRun.set(runId, [placed]);
  }
  return all.flatMap(({ id, plan, at }) => {
    const read = runPlanSchema.safeParse(plan);
    if (!read.success) return [];
    const state = runState(readable(byRun.get(id) ?? []).map(({ event }) => event));
    return [
      {
        id,
        plan: read.data,
        at: at.toISOString(),
        stage: state.stage,
        liveMs: state.liveMs,
        endedMs: state.endedMs,
        ticked: state.ticks.size,
        firstTickMs: firstOf([...state.ticks.values()].map(({ atMs }) => atMs)),
        marks: state.marks.filter(({ kind }) => kind !== 'incident').length,
        incidents: state.marks.filter(({ kind }) => kind === 'incident').map(({ text }) => text),
        overruled: state.overruled?.words ?? null,
        measured: [...state.measured].map(([lineId, read]) => ({ lineId, ...read })),
        troubled: state.marks.flatMap(({ kind, deviceId }) =>
          kind === 'incident' && deviceId !== null ? [deviceId] : [],
        ),
        moves: state.moves,
        checks: state.checks.map(({ files, ...check }) => ({
          ...check,
          files: files.length,
          contents: createHash('sha256').update(contentsOf(files)).digest('hex'),
        })),
        segments: state.segments.map(({ segmentId, fromMs, toMs }) => ({
          segmentId,
          lastedS: toMs === null ? null : (toMs - fromMs) / 1000,
        })),
      },
    ];
  });
};
