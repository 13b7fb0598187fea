import { type Change, type Command, MAX_LABEL } from './commands';
import { RIG_VERSION } from './rig';
import { shorten } from './text';

/** One line of a rig's log. */
export interface LogEntry {
  /** Given by whoever made it; the same entry sent twice counts once */
  readonly id: string;
  readonly author: string;
  /** Version of the document its changes are written in; 0 where no upgrade reached it, and it cannot be taken back */
  readonly version: number;
  /** null where an earlier version wrote it and it can no longer be read; then only what it says is known */
  readonly command: Command | null;
  readonly changes: readonly Change[];
  readonly says: string;
}

/** What one author can take back and do again, the next one last. */
export interface UndoState<Entry extends LogEntry = LogEntry> {
  readonly undo: readonly Entry[];
  readonly redo: readonly Entry[];
}

/**
 * Reads from the log what an author can undo and redo. A new edit empties the redo list; only own edits are taken back.
 * @param entries the whole log, oldest first
 */
export const undoState = <Entry extends LogEntry>(
  entries: readonly Entry[],
  author: string,
): UndoState<Entry> => {
  const undo: Entry[] = [];
  let redo: Entry[] = [];
  for (const item of entries) {
    if (item.author !== author || item.version !== RIG_VERSION) continue;
    const { command } = item;
    if (command?.type !== 'revert') {
      undo.push(item);
      redo = [];
      continue;
    }
    const from = command.does === 'undo' ? undo : redo;
    const to = command.does === 'undo' ? redo : undo;
    const index = from.findLastIndex((candidate) => candidate.id === command.entryId);
    const [moved] = index < 0 ? [] : from.splice(index, 1);
    if (moved) to.push(moved);
  }
  return { undo, redo };
};

/** Changes that take others back. */
export const inverse = (changes: readonly Change[]): Change[] =>
  [...changes].reverse().map(({ path, before, after }) => ({
    path: [...path],
    ...(after === undefined ? {} : { before: after }),
    ...(before === undefined ? {} : { after: before }),
  }));

/** The command that takes an entry back, or does it again. */
export const revertOf = (
  item: Pick<LogEntry, 'id' | 'changes' | 'says'>,
  does: 'undo' | 'redo',
): Extract<Command, { type: 'revert' }> => ({
  type: 'revert',
  does,
  entryId: item.id,
  label: shorten(item.says, MAX_LABEL),
  changes: does === 'redo' ? item.changes.map((change) => ({ ...change })) : inverse(item.changes),
});
