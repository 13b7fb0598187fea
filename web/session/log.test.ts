import {
  applyTracked,
  type AskedCommand,
  blankRig,
  type Command,
  type Rig,
  RIG_VERSION,
  rigToJson,
  sentence,
} from '@echo-loom/core';
import { type Opened, OtherLog, RigLog } from './log';
import type { SavedEntry } from './protocol';

const rename = (name: string): Command => ({ type: 'renameRig', name });
const undo = (entryId: string): AskedCommand => ({ type: 'revert', does: 'undo', entryId });
const pending = (id: string, command: AskedCommand) => ({
  id,
  author: 'author-one',
  version: 5,
  command,
});

/** A rig on which these commands were saved, as the server would give it after each. */
const history = (...commands: Command[]): Opened[] => {
  let rig: Rig = blankRig('Start');
  const entries: SavedEntry[] = [];
  const stages: Opened[] = [{ rig, revision: 0, entries: [] }];
  commands.forEach((command, index) => {
    const { rig: next, changes } = applyTracked(rig, command);
    const at = '2026-11-26T06:00:00.000Z';
    entries.push({
      revision: index + 1,
      id: `entry-${index + 1}`,
      author: 'author-one',
      version: RIG_VERSION,
      command,
      changes,
      says: sentence(rig, command),
      at,
    });
    rig = next;
    stages.push({ rig, revision: index + 1, entries: [...entries] });
  });
  return stages;
};
const stages = history(rename('One'), rename('Two'), rename('Three'));
const stage = (n: number): Opened => {
  const found = stages[n];
  if (!found) throw new Error('no such stage');
  return found;
};

describe('the log of one page', () => {
  it('begins again where the answer is of another log, though that be shorter', () => {
    const log = new RigLog(stage(3));
    log.add(pending('mine-1', rename('Mine')));
    const [, other] = history(rename('Other'));
    if (!other) throw new Error('no such stage');
    expect(
      log.reopen({
        ...other,
        entries: other.entries.map((entry) => ({ ...entry, id: 'other-1' })),
      }),
    ).toEqual([]);
    expect([log.stand, log.rig.name]).toEqual([{ revision: 1, entryId: 'other-1' }, 'Mine']);
  });

  it('takes nothing in where entries are missing between, and stays as it was', () => {
    const log = new RigLog(stage(1));
    log.add(pending('mine-1', rename('Mine')));
    expect(() => log.absorb(stage(3).entries.slice(2))).toThrow(OtherLog);
    expect([log.stand.revision, log.rig.name]).toEqual([1, 'Mine']);
    expect(log.absorb(stage(3).entries)).toEqual([]);
    expect([log.stand.revision, log.rig.name]).toEqual([3, 'Mine']);
  });

  it('takes nothing in where an entry does not fit, not even those before it', () => {
    const log = new RigLog(stage(1));
    const [second] = stage(2).entries.slice(1);
    const misfit: SavedEntry = {
      ...(second as SavedEntry),
      revision: 3,
      id: 'entry-x',
      command: { type: 'removePlace', placeId: 'nowhere' },
    };
    expect(() => log.absorb([second as SavedEntry, misfit])).toThrow(OtherLog);
    expect([log.stand.revision, rigToJson(log.rig)]).toEqual([1, rigToJson(stage(1).rig)]);
  });

  it('keeps the very document of its own edits when they are confirmed, and drops those that need nothing more', () => {
    const log = new RigLog(stage(0));
    log.add(pending('entry-1', rename('One')));
    log.add(pending('mine-2', rename('Mine')));
    const shown = log.rig;
    expect(log.absorb(stage(1).entries)).toEqual([]);
    expect([log.rig === shown, log.pending.map(({ id }) => id)]).toEqual([true, ['mine-2']]);
    expect(log.absorb([], new Set(['mine-2']))).toEqual([]);
    expect([log.rig.name, log.pending]).toEqual(['One', []]);
  });

  it('adopts each edit once', () => {
    const log = new RigLog(stage(1));
    const left = [
      pending('entry-1', rename('One')),
      pending('left-2', rename('Left')),
      pending('left-2', rename('Left')),
    ];
    log.adopt(left.slice(0, 2));
    log.adopt(left);
    expect(log.pending.map(({ id }) => id)).toEqual(['left-2']);
  });

  it('sets aside an undo of an entry that is in no log', () => {
    const log = new RigLog(stage(1));
    expect(log.adopt([pending('left-1', undo('entry-9'))])).toMatchObject([
      { id: 'left-1', says: 'An undo.', why: expect.stringContaining('not in the log') },
    ]);
  });
});
