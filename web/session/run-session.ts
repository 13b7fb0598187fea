import {
  type Happened,
  type RunEvent,
  runEventSchema,
  runNowMs,
  type RunPlan,
} from '@echo-loom/core';
import { z } from 'zod';
import { createStore, type StoreApi } from 'zustand/vanilla';
import { type ServerClock, serverClock } from './run-clock';
import { recall, remember, type RunBox } from './run-memory';

/** A run in this browser: what is ticked and marked counts at once, is kept here, and is sent until it is there. */

export interface RunShown {
  readonly plan: RunPlan;
  /** All that is known of it, sent or not */
  readonly events: readonly RunEvent[];
  /** Kept here and not on the server yet */
  readonly unsent: number;
  readonly isAway: boolean;
  /** Why the server refuses what is kept here; it stays kept */
  readonly refused: string | null;
}

export interface RunSession {
  readonly store: StoreApi<RunShown>;
  readonly record: (happened: Happened, by: string) => RunEvent;
  /** By the clock of the run */
  readonly nowMs: () => number;
  /** Sends what is kept and asks what is new; safe to call at any time */
  readonly catchUp: () => Promise<void>;
  readonly clock: ServerClock;
}

/** Each event that is not sent yet has a key of its own, so that two tabs harm nothing. */
const boxKey = (runId: string, eventId: string): string => `echo-loom-run ${runId} ${eventId}`;

const keptIn = (box: RunBox, runId: string): RunEvent[] => {
  const start = boxKey(runId, '');
  const found: RunEvent[] = [];
  for (let at = 0; at < box.length; at++) {
    const key = box.key(at);
    if (key === null || !key.startsWith(start)) continue;
    try {
      const read = runEventSchema.safeParse(JSON.parse(box.getItem(key) ?? ''));
      if (read.success) found.push(read.data);
    } catch {
      // Not ours, or half written by a browser that died: there is nothing in it to send.
    }
  }
  return found;
};

const readAnswerSchema = z.object({
  events: z.array(z.object({ place: z.number(), event: runEventSchema })),
  hasMore: z.boolean(),
  serverMs: z.number(),
});
/** What is new in a run. */
export type ReadRun = z.infer<typeof readAnswerSchema>;
const addedSchema = z.object({ kept: z.array(z.string()), serverMs: z.number() });
const refusedSchema = z.object({ says: z.string() });

/** Most sent at once; the rest follows. */
const AT_ONCE = 100;

export interface RunAround {
  readonly box: RunBox;
  readonly fetch: (path: string, init?: RequestInit) => Promise<Response>;
  readonly steadyMs: () => number;
  readonly wallMs: () => number;
  readonly newId: () => string;
}

interface Opening {
  readonly rigId: string;
  readonly runId: string;
  readonly plan: RunPlan;
}

/** Opens a run. What an earlier page of this browser heard, and what it kept and could not send, is taken up. */
export const openRun = ({ rigId, runId, plan }: Opening, around: RunAround): RunSession => {
  const { box, steadyMs } = around;
  const heardBefore = recall(box, runId);
  const clock = serverClock(steadyMs, around.wallMs, heardBefore?.aheadMs);
  const path = `/api/rigs/${rigId}/runs/${runId}`;
  const known = new Map(heardBefore?.events.map((event) => [event.id, event]));
  const unsent = new Map<string, RunEvent>();
  /** Told to an earlier page, and not told again yet */
  const remembered = new Set(known.keys());
  /** Refused by the server: kept, shown, and not sent again and again */
  const setAside = new Set<string>();
  let after = 0;
  let lastMs = 0;
  for (const event of keptIn(box, runId)) {
    unsent.set(event.id, event);
    lastMs = Math.max(lastMs, event.atMs);
  }
  const allKnown = (): RunEvent[] => [
    ...known.values(),
    ...[...unsent.values()].filter(({ id }) => !known.has(id)),
  ];
  const store = createStore<RunShown>(() => ({
    plan,
    events: allKnown(),
    unsent: unsent.size,
    isAway: false,
    refused: null,
  }));
  const show = (more: Partial<RunShown> = {}): void =>
    store.setState({
      events: allKnown(),
      unsent: unsent.size,
      ...more,
    });

  const keepTold = (): void =>
    remember(box, runId, known.values(), clock.nowMs() - around.wallMs());

  const nowMs = (): number => runNowMs(plan.clock, clock.nowMs());

  /** Learns the clock on the way. @returns null where the server is away */
  const ask = async (init?: RequestInit, query = ''): Promise<Response | null> => {
    try {
      const response = await around.fetch(`${path}${query}`, init);
      return response.status >= 500 ? null : response;
    } catch {
      return null;
    }
  };
  const answerOf = async <T extends { serverMs: number }>(
    schema: z.ZodType<T>,
    init?: RequestInit,
    query?: string,
  ): Promise<T | { readonly says: string } | null> => {
    const sentMs = steadyMs();
    const response = await ask(init, query);
    const heardMs = steadyMs();
    const body: unknown = await response?.json().catch(() => null);
    if (!response || body === null) return null;
    const read = schema.safeParse(body);
    if (!response.ok || !read.success)
      return {
        says: refusedSchema.safeParse(body).data?.says ?? 'The server is of another version.',
      };
    clock.learn(read.data.serverMs, sentMs, heardMs);
    return read.data;
  };

  /** @returns whether the server was there */
  const send = async (): Promise<boolean> => {
    const events = [...unsent.values()].filter(({ id }) => !setAside.has(id)).slice(0, AT_ONCE);
    if (events.length === 0) return true;
    const answer = await answerOf(addedSchema, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ events }),
    });
    if (answer === null) return false;
    if ('says' in answer) {
      for (const { id } of events) setAside.add(id);
      show({ refused: answer.says });
      return true;
    }
    for (const id of answer.kept) {
      const event = unsent.get(id);
      if (!event) continue;
      known.set(id, event);
      unsent.delete(id);
      box.removeItem(boxKey(runId, id));
    }
    keepTold();
    show();
    return events.length < AT_ONCE ? true : send();
  };

  let catching: Promise<void> | null = null;
  /** Asked for while it was on its way: what came since is not sent yet */
  let isWanted = false;
  const keepUnsent = (event: RunEvent): void => {
    unsent.set(event.id, event);
    try {
      box.setItem(boxKey(runId, event.id), JSON.stringify(event));
    } catch {
      // A browser that keeps nothing still sends it.
    }
  };

  /** What an earlier page was told and the server lost, as when it is put back from a backup: it is sent again. */
  const takeUpForgotten = (): void => {
    if (remembered.size === 0) return;
    for (const id of remembered) {
      const event = known.get(id);
      known.delete(id);
      if (event) keepUnsent(event);
    }
    remembered.clear();
    isWanted = true;
    show();
  };

  const hear = async (): Promise<boolean> => {
    const answer = await answerOf(readAnswerSchema, undefined, `?after=${after}`);
    if (answer === null) return false;
    if ('says' in answer) {
      show({ refused: answer.says });
      return true;
    }
    let isNew = false;
    for (const { place, event } of answer.events) {
      after = Math.max(after, place);
      // Sent by this page, and the answer was lost: it is there.
      if (unsent.delete(event.id)) box.removeItem(boxKey(runId, event.id));
      remembered.delete(event.id);
      isNew ||= !known.has(event.id);
      known.set(event.id, event);
    }
    if (!answer.hasMore) takeUpForgotten();
    if (isNew) {
      keepTold();
      show();
    }
    return answer.hasMore ? hear() : true;
  };

  const catchUp = (): Promise<void> => {
    isWanted = true;
    catching ??= (async () => {
      while (isWanted) {
        isWanted = false;
        const isThere = (await send()) && (await hear());
        if (store.getState().isAway === isThere) show({ isAway: !isThere });
      }
    })().finally(() => {
      catching = null;
    });
    return catching;
  };

  return {
    store,
    clock,
    nowMs,
    catchUp,
    record: (happened, by) => {
      // What one window does stands in the order in which it was done, within one millisecond too.
      lastMs = Math.max(lastMs + 1, nowMs());
      const event: RunEvent = { id: around.newId(), atMs: lastMs, by, happened };
      keepUnsent(event);
      show();
      void catchUp();
      return event;
    },
  };
};
