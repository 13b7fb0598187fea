import { type RunEvent, runEventSchema } from '@echo-loom/core';
import { z } from 'zod';

/** What the server has told of a run, for a page that is loaded again while it is away. */

/** What keeps a run in this browser. */
export type RunBox = Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>;

const memorySchema = z.object({
  events: z.array(runEventSchema),
  /** The server’s clock less this machine’s. @unit ms */
  aheadMs: z.number(),
});
export type RunMemory = z.infer<typeof memorySchema>;

const START = 'echo-loom-run-told ';

/** @returns null where nothing whole is kept */
export const recall = (box: RunBox, runId: string): RunMemory | null => {
  try {
    return memorySchema.safeParse(JSON.parse(box.getItem(START + runId) ?? 'null')).data ?? null;
  } catch {
    return null;
  }
};

/** Which runs something is kept of, the latest first. */
const ORDER = 'echo-loom-runs-told';
/** Runs that something is kept of; several may be open at once. */
const MOST_RUNS = 4;

const orderIn = (box: RunBox): readonly string[] => {
  try {
    return z.array(z.string()).parse(JSON.parse(box.getItem(ORDER) ?? '[]'));
  } catch {
    return [];
  }
};

/** Keeps what was told of this run; what was told of the oldest goes. */
export const remember = (
  box: RunBox,
  runId: string,
  events: Iterable<RunEvent>,
  aheadMs: number,
): void => {
  const runs = [runId, ...orderIn(box).filter((id) => id !== runId)];
  for (const id of runs.slice(MOST_RUNS)) box.removeItem(START + id);
  try {
    box.setItem(ORDER, JSON.stringify(runs.slice(0, MOST_RUNS)));
    box.setItem(START + runId, JSON.stringify({ events: [...events], aheadMs }));
  } catch {
    // No room: what is not sent yet needs it more.
    box.removeItem(START + runId);
  }
};
