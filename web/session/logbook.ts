import type { Happened, RunEvent } from '@echo-loom/core';
import { nanoid } from 'nanoid';
import type { RunLine } from './protocol';
import type { ReadRun } from './run-session';

/** The logbook of a rig, as the server has it. */

export interface Logbook {
  readonly runs: readonly RunLine[];
  /** What the server’s clock showed */
  readonly serverMs: number;
}

/** Every run of a rig, the latest first. @throws Error where the server does not answer */
export const readLogbook = async (rigId: string): Promise<Logbook> => {
  const response = await fetch(`/api/rigs/${rigId}/runs`, { cache: 'no-store' });
  if (!response.ok) throw new Error('away');
  return (await response.json()) as Logbook;
};

/** Everything that happened in a run, page by page. @throws Error where the server does not answer */
export const eventsOf = async (rigId: string, runId: string): Promise<RunEvent[]> => {
  const events: RunEvent[] = [];
  for (let after = 0; ;) {
    const response = await fetch(`/api/rigs/${rigId}/runs/${runId}?after=${after}`, {
      cache: 'no-store',
    });
    if (!response.ok) throw new Error('away');
    const read = (await response.json()) as ReadRun;
    events.push(...read.events.map(({ event }) => event));
    after = read.events.at(-1)?.place ?? after;
    if (!read.hasMore) return events;
  }
};

/**
 * Adds to a run that is over, one by one.
 * @param atMs by the server’s clock
 * @returns why it was not taken; null where it was
 */
export const addToRun = async (
  rigId: string,
  runId: string,
  by: string,
  atMs: number,
  happened: readonly Happened[],
): Promise<string | null> => {
  try {
    for (const [at, one] of happened.entries()) {
      const event: RunEvent = { id: nanoid(), atMs: Math.round(atMs) + at, by, happened: one };
      const response = await fetch(`/api/rigs/${rigId}/runs/${runId}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ events: [event] }),
      });
      if (!response.ok)
        return ((await response.json()) as { says?: string }).says ?? 'It was not taken.';
    }
    return null;
  } catch {
    return 'The server does not answer: it was not kept. Try again.';
  }
};
