import type { Fix } from '../edits/fix';
import { simpleOf } from '../edits/fix';
import { costOf } from '../passes/money';
import { entry, type Rig, type SimpleCommand } from '../rig';

/** Whether a command brings something into the studio that has to come from somewhere, priced or not. */
const bringsThing = (rig: Rig, command: SimpleCommand): boolean => {
  switch (command.type) {
    case 'addDevice':
    case 'replaceModel':
    case 'addSupport':
    case 'addLens':
    case 'addSurface':
    case 'changeSurface':
    case 'finishRoom':
      return true;
    case 'changeSupport':
      return command.support.figures !== undefined;
    case 'setCable':
      return (
        command.cable.kind !== entry(rig.links, command.linkId)?.cable.kind ||
        command.cable.lengthM > (entry(rig.links, command.linkId)?.cable.lengthM ?? 0)
      );
    case 'writeBrief':
      return command.brief.uplinkMbps !== undefined;
    default:
      return false;
  }
};

/**
 * Whether a remedy needs nothing but hands: it turns, moves, re-plugs or re-writes what is there. What the
 * catalogue has no price for, as panels on a wall, is not free.
 * @throws Refusal where it no longer applies
 */
export const isFree = (rig: Rig, fix: Pick<Fix, 'command'>): boolean => {
  const commands = simpleOf(fix);
  const count = (type: SimpleCommand['type']) =>
    commands.filter((command) => command.type === type).length;
  return (
    commands.every((command) => !bringsThing(rig, command)) &&
    // A cable that is taken out can be put in again; one more has to be found.
    count('connect') <= count('disconnect') &&
    costOf(rig, fix.command) <= 0
  );
};
