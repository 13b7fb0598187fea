import isDeepEqual from 'fast-deep-equal';
import { enablePatches, type Patch, produceWithPatches } from 'immer';
import { type Change, type Command, commandOf, type SimpleCommand } from './commands';
import { refusals } from './refusal';
import { revertChanges } from './revert';
import type { Rig } from './rig';
import type { DraftRig } from './slice';
import { ALL_SLICES } from './slices';

enablePatches();

const applySimple = (rig: DraftRig, command: SimpleCommand): void => {
  const known = commandOf(command.type);
  if (!known) throw refusals.unknownEdit();
  known.apply(rig, command, (gone) => {
    for (const { forget } of Object.values(ALL_SLICES)) forget(rig, gone);
  });
};

/** Pairs immer's patches with their inverses: each path once, with what stood there before and after. */
const pairUp = (patches: readonly Patch[], inverse: readonly Patch[]): Change[] => {
  const byPath = new Map<string, { path: string[]; before?: unknown; after?: unknown }>();
  const at = (patch: Patch) => {
    const path = patch.path.map(String);
    const key = JSON.stringify(path);
    const change = byPath.get(key) ?? { path };
    byPath.set(key, change);
    return change;
  };
  for (const patch of patches) {
    const change = at(patch);
    if (patch.op !== 'remove') change.after = patch.value;
  }
  for (const patch of inverse) {
    const change = at(patch);
    if (patch.op !== 'remove') change.before = patch.value;
  }
  return [...byPath.values()].filter(
    (change) => !isDeepEqual(change.before, change.after),
  ) as Change[];
};

export interface Applied {
  readonly rig: Rig;
  /** What the command changed, enough to take it back */
  readonly changes: readonly Change[];
}

/**
 * The one function that changes a rig. Pure: the rig given is never touched.
 * @param command already parsed by `commandSchema`
 * @returns the same rig and no changes where the command changes nothing
 * @throws Refusal when the command would make the rig inconsistent; then nothing has happened
 */
export const applyTracked = (rig: Rig, command: Command): Applied => {
  if (command.type === 'revert')
    return { rig: revertChanges(rig, command.changes), changes: command.changes };
  const [next, patches, inverse] = produceWithPatches(rig, (draft) => {
    for (const part of command.type === 'batch' ? command.commands : [command])
      applySimple(draft, part);
  });
  const changes = pairUp(patches, inverse);
  return changes.length === 0 ? { rig, changes } : { rig: next, changes };
};

/** `applyTracked` without the changes. @throws Refusal */
export const apply = (rig: Rig, command: Command): Rig => applyTracked(rig, command).rig;
