import { type Command, commandOf } from './commands';
import type { Rig } from './rig';

/**
 * A command as a sentence of the rig's history.
 * @param rig as it stood before the command
 */
export const sentence = (rig: Rig, command: Command): string => {
  switch (command.type) {
    case 'batch':
      return `${command.label}.`.replace(/\.\.$/, '.');
    case 'revert':
      return `${command.does === 'undo' ? 'Took back' : 'Did again'}: ${command.label}`;
    default:
      return commandOf(command.type)?.says(rig, command) ?? 'Did something unknown.';
  }
};
