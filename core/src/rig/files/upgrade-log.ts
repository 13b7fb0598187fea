import isDeepEqual from 'fast-deep-equal';
import type { Change } from '../commands';
import { inverse } from '../history';
import { Refusal } from '../refusal';
import { putChanges } from '../revert';
import { RIG_VERSION } from '../rig';
import { checkRig } from './check';
import { isBranch } from './branch';
import { upgrade } from './upgrade';
import { upgradeCommand } from './upgrade-command';

/** An entry of a log as an earlier version wrote it. */
export interface OldEntry {
  readonly revision: number;
  /** Version of the document its changes are written in; null where nobody has written it down */
  readonly version: number | null;
  readonly command: unknown;
  readonly changes: readonly Change[];
}

/** What becomes of an entry. */
export interface UpgradedEntry {
  readonly revision: number;
  readonly command: unknown;
  readonly changes: readonly Change[];
  /** The present version; 0 where the upgrade did not reach it: it cannot be taken back any more */
  readonly version: number;
}

export interface UpgradedLog {
  /** The document in the present version, not yet checked */
  readonly document: unknown;
  /** Oldest first */
  readonly entries: readonly UpgradedEntry[];
}

/** Places in which two documents differ, each as small as it can be told. Lists are told whole. */
const differences = (before: unknown, after: unknown, path: readonly string[] = []): Change[] => {
  if (before === after) return [];
  if (!isBranch(before) || !isBranch(after)) {
    if (isDeepEqual(before, after)) return [];
    return [
      {
        path: [...path],
        ...(before === undefined ? {} : { before }),
        ...(after === undefined ? {} : { after }),
      } as Change,
    ];
  }
  const keys = new Set([...Object.keys(before), ...Object.keys(after)]);
  return [...keys].sort().flatMap((key) => differences(before[key], after[key], [...path, key]));
};

const upgradedDocument = (document: unknown): unknown => {
  const upgraded = upgrade(document);
  if ('why' in upgraded) throw new Refusal(upgraded.why);
  return upgraded.document;
};

/**
 * Whether taking changes back puts something whole where nothing stands: a device, a person. Where
 * nobody wrote down of which version that is, it must be one that the present version reads.
 */
const bringsBack = (changes: readonly Change[]): boolean =>
  changes.some(({ path, before }) => path.length <= 3 && isBranch(before));

const withChanges = (command: unknown, changes: readonly Change[]): unknown =>
  isBranch(command) && command['type'] === 'revert' ? { ...command, changes } : command;

/**
 * Brings a log up to the present version together with its document, so that what was done before
 * an update can still be taken back. The log is walked backwards once: each entry stands between
 * two documents of its own version, both are upgraded, and what they differ in are its changes now.
 * Linear in the log. Where an entry does not fit on what follows it, it and all before it keep
 * their words and lose their undo.
 * @param document as it stands, of the version it was last written in
 * @param entries all of the log, oldest first
 * @throws Refusal where the document itself cannot be upgraded
 */
export const upgradeLog = (document: unknown, entries: readonly OldEntry[]): UpgradedLog => {
  const own = isBranch(document) ? Number(document['version']) : RIG_VERSION;
  const now = upgradedDocument(document);
  const upgraded: UpgradedEntry[] = [];
  let at = document;
  let after = now;
  let isBroken = false;
  for (const { revision, version, command, changes } of [...entries].reverse()) {
    const present = upgradeCommand(command, version ?? own);
    try {
      if (isBroken || version === 0) throw new Refusal('beyond the boundary');
      at = putChanges(at, inverse(changes));
      const before = upgradedDocument(at);
      if (version === null && bringsBack(changes) && !checkRig(before).ok)
        throw new Refusal('of another version');
      const fresh = differences(before, after);
      upgraded.push({
        revision,
        version: RIG_VERSION,
        command: withChanges(present, fresh),
        changes: fresh,
      });
      after = before;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      isBroken = true;
      upgraded.push({ revision, version: 0, command: present, changes });
    }
  }
  return { document: now, entries: upgraded.reverse() };
};
