import isDeepEqual from 'fast-deep-equal';
import type { Change } from './commands';
import { checkRig } from './files/check';
import { refusals } from './refusal';
import type { Rig } from './rig';

/** A JSON object to be walked by path; what stands there is checked by the schema afterwards. */
type Branch = Record<string, unknown>;

const isBranch = (value: unknown): value is Branch =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Puts changes into copies of the branches they touch; what they do not touch is shared with the document. */
class Reverting {
  /** Branches that are copies of our own already */
  private readonly own = new Set<Branch>();

  put(branch: unknown, change: Change, depth = 0): Branch {
    const { path, after } = change;
    const key = path[depth] ?? '';
    const present = isBranch(branch) && Object.hasOwn(branch, key) ? branch[key] : undefined;
    const isLast = depth === path.length - 1;
    if (!isBranch(branch) || (isLast && !isDeepEqual(present, change.before)))
      throw refusals.changedSince(path.join('.'));
    const copy = this.own.has(branch) ? branch : { ...branch };
    this.own.add(copy);
    const value = isLast ? after : this.put(present, change, depth + 1);
    if (value === undefined) delete copy[key];
    else
      Object.defineProperty(copy, key, {
        value,
        writable: true,
        enumerable: true,
        configurable: true,
      });
    return copy;
  }
}

/**
 * Puts changes into a copy of any document, whatever its version.
 * @throws Refusal where what stands there is not what they started from
 */
export const putChanges = (document: unknown, changes: readonly Change[]): unknown => {
  const reverting = new Reverting();
  let put = document;
  for (const change of changes) put = reverting.put(put, change);
  return put;
};

/** Puts changes back into a copy of the document, refusing where the present state is not the one they started from. */
export const revertChanges = (rig: Rig, changes: readonly Change[]): Rig => {
  const checked = checkRig(putChanges(rig, changes));
  if (checked.ok) return checked.rig;
  const [problem] = checked.problems;
  throw refusals.wouldBreak(problem?.path ?? 'the document', problem?.says ?? 'unknown');
};
