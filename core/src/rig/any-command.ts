import { anyOf, type Chance } from './chance';
import { commandOf, commandTypes, type SimpleCommand } from './commands';
import type { Rig } from './rig';

/**
 * A command for a test, most of them sensible for this rig.
 * @param types kinds to choose from @returns null where the rig has nothing that the kind chosen is about
 */
export const anyCommand = (
  chance: Chance,
  rig: Rig,
  types: readonly string[] = commandTypes,
): SimpleCommand | null => {
  const type = anyOf(chance, types);
  const given = type === null ? undefined : commandOf(type)?.arbitrary(chance, rig);
  // Made by the command's own generator, which returns what its schema describes.
  return given ? ({ type, ...given } as SimpleCommand) : null;
};
