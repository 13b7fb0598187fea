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

/** Keeps what was told of this run; of others nothing is kept longer. */
export const remember = (
  box: RunBox,
  runId: string,
  events: Iterable<RunEvent>,
  aheadMs: number,
): void => {
  const others: string[] = [];
  for (let at = 0; at < box.length; at++) {
    const key = box.key(at);
    if (key?.startsWith(START) && key !== START + runId) others.push(key);
  }
  for (const key of others) box.removeItem(key);
  try {
    box.setItem(START + runId, JSON.stringify({ events: [...events], aheadMs }));
  } catch {
    // No room: what is not sent yet needs it more.
    box.removeItem(START + runId);
  }
};
