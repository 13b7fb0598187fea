import type { StoreApi } from 'zustand/vanilla';
import type { Following } from './following';
import type { Applied, RigLog } from './log';
import type { SetAside } from './outbox';
import { PAGE_VERSION, type Pending, type SaveAnswer } from './protocol';
import { NotUnderstood, type RigState, type SessionDoor } from './state';

/** Most entries sent at once; the server takes 200. */
const BATCH = 100;
/** Most sent at once, unless one entry alone is larger. @unit characters of JSON */
const BATCH_SIZE = 500_000;
const FIRST_RETRY_MS = 500;
const LAST_RETRY_MS = 4000;

/** The first of the pending edits, as many as one request should carry. */
const batchOf = (pending: readonly Applied[], most: number): Pending[] => {
  const batch: Pending[] = [];
  let size = 0;
  for (const item of pending.slice(0, most)) {
    size += JSON.stringify(item.pending.command).length;
    if (batch.length > 0 && size > BATCH_SIZE) break;
    batch.push(item.pending);
  }
  return batch;
};

/** The conversation with the server about the edits of this browser. */
export interface Sending {
  /** Sends what is pending; one conversation at a time. */
  flush(): Promise<void>;
  /** Says that the server does not answer, and asks to try again in a while. */
  waiting(error: unknown): void;
}

/** Sends the edits of one open rig, and takes in what became of each. */
export const sendEdits = (
  log: RigLog,
  store: StoreApi<RigState>,
  door: SessionDoor,
  { absorb, reopen, gone }: Following,
): Sending => {
  let sending: Promise<void> | null = null;
  let retryMs = FIRST_RETRY_MS;
  let mostAtOnce = BATCH;

  /** Takes one edit out that the server will never take, and keeps it in sight. */
  const putAside = async (pending: Pending, why: string): Promise<void> => {
    const says = log.pending.find(({ id }) => id === pending.id)?.says ?? 'An edit.';
    await absorb([], new Set([pending.id]), [{ id: pending.id, says, why, kept: pending.command }]);
  };

  const settle = async (
    batch: readonly Pending[],
    answer: Extract<SaveAnswer, { status: 'taken' }>,
  ): Promise<void> => {
    const why = new Map(answer.refused.map((item) => [item.id, item.why]));
    const settled = new Set([...why.keys(), ...answer.done]);
    const saved = new Set(answer.entries.map(({ id }) => id));
    if (batch.some(({ id }) => !settled.has(id) && !saved.has(id))) {
      throw new Error(
        'The server did not say what became of an edit. It is kept in this browser and will be sent again.',
      );
    }
    const aside = log.pending.flatMap(({ id, says, pending }): SetAside[] => {
      const reason = why.get(id);
      return reason === undefined ? [] : [{ id, says, why: reason, kept: pending.command }];
    });
    await absorb(answer.entries, settled, aside);
  };

  /** One request and what follows from its answer. @returns whether there is more to send */
  const sendBatch = async (): Promise<boolean> => {
    const batch = batchOf(log.pending, mostAtOnce);
    const entries = batch.map(({ id, author, command }) => ({ id, author, command }));
    let answer: SaveAnswer;
    try {
      answer = await door.send({ version: PAGE_VERSION, on: log.stand, entries });
    } catch (error) {
      const [only] = batch;
      if (!(error instanceof NotUnderstood) || !only) throw error;
      // One of them is the reason: each goes alone until the one is found and set aside.
      if (batch.length === 1) await putAside(only, error.message);
      mostAtOnce = batch.length === 1 ? BATCH : 1;
      return true;
    }
    switch (answer.status) {
      case 'taken':
        await settle(batch, answer);
        return true;
      case 'other log':
        return reopen();
      case 'other version':
        throw new Error(
          'Echo Loom has been updated meanwhile. Your edits are kept in this browser; reload the page to save them.',
        );
      case 'gone':
        return gone();
    }
  };

  const sendPending = async (): Promise<void> => {
    if (log.pending.length > 0) store.setState({ save: { state: 'saving' } });
    while (log.pending.length > 0) if (!(await sendBatch())) return;
    retryMs = FIRST_RETRY_MS;
    mostAtOnce = BATCH;
    store.setState({ save: { state: 'saved' } });
  };

  const waiting = (error: unknown): void => {
    const says = error instanceof Error ? error.message : 'The server does not answer.';
    store.setState({ save: { state: 'waiting', says } });
    door.retryIn(retryMs);
    retryMs = Math.min(retryMs * 2, LAST_RETRY_MS);
  };

  const flush = (): Promise<void> => {
    sending ??= sendPending()
      .catch(waiting)
      .finally(() => {
        sending = null;
        // What was entered while the last answer was being taken in.
        if (log.pending.length > 0 && store.getState().save.state === 'saved') void flush();
      });
    return sending;
  };

  return { flush, waiting };
};
