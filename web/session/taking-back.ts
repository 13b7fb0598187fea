import { type AskedCommand, undoState } from '@echo-loom/core';
import type { HistoryLine, Opened, RigLog } from './log';
import { PAGE_VERSION, type Pending } from './protocol';
import type { RigState, SessionDoor } from './state';

/** What taking back needs of a log that is known only in part. */

/** The entries that undos and redos speak of. */
const revertedBy = (items: readonly { readonly command: AskedCommand | null }[]): string[] =>
  items.flatMap(({ command }) => (command?.type === 'revert' ? [command.entryId] : []));

/** An author's own undos and redos that can still be read. */
const ownReverts = (history: readonly HistoryLine[], author: string): HistoryLine[] =>
  history.filter((line) => line.author === author && line.version === PAGE_VERSION);

/** The entries that pending undos speak of, but those that are pending themselves. */
export const revertedByPending = (pending: readonly Pending[]): string[] => {
  const own = new Set(pending.map(({ id }) => id));
  return revertedBy(pending).filter((id) => !own.has(id));
};

/** Whether what is to be taken back may lie in what is not known of the log. */
export const isShort = (
  log: RigLog,
  author: string,
  does: 'undo' | 'redo',
  history = log.history(),
): boolean =>
  log.earlier > 0 &&
  (revertedBy(ownReverts(history, author)).some((id) => !log.knows(id)) ||
    (does === 'undo' && undoState(history, author).undo.length === 0));

/** Whether there is, or may be, something to take back and to do again. */
export const mayTakeBack = (
  log: RigLog,
  history: HistoryLine[],
  author: string,
): RigState['may'] => {
  const { undo, redo } = undoState(history, author);
  return {
    undo: undo.length > 0 || isShort(log, author, 'undo', history),
    redo: redo.length > 0 || isShort(log, author, 'redo', history),
  };
};

/** A rig that was read anew, with as much of its log as pending undos speak of. @throws as the door does */
export const withUndone = async (
  whole: Opened,
  log: RigLog,
  door: Pick<SessionDoor, 'fetchBefore'>,
): Promise<Opened> => {
  const wanted = revertedByPending(log.pending.map(({ pending }) => pending));
  let { entries } = whole;
  for (;;) {
    const [first] = entries;
    const known = new Set(entries.map(({ id }) => id));
    if (!first || first.revision <= 1 || wanted.every((id) => known.has(id)))
      return { ...whole, entries };
    const page = await door.fetchBefore(first.revision);
    if (page === 'gone' || page.length === 0) return { ...whole, entries };
    entries = [...page, ...entries];
  }
};
