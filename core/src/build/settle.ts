import { type Analysis, fixesOfCause, reanalyse } from '../analyse';
import { costOf } from '../passes/money';
import { apply, type Command, type SimpleCommand } from '../rig';
import type { Cause } from '../rules/causes';
import type { Fix } from '../edits/fix';

/** More remedies than this no new rig needs. */
const MOST_TAKEN = 60;

/** What was answered stays as it was answered, whatever would cure a finding. */
const ANSWERED: ReadonlySet<SimpleCommand['type']> = new Set<SimpleCommand['type']>([
  'setHouseRules',
  'writeBrief',
  'removePerson',
  'removeSight',
  'removeDeliverable',
  'addDeliverable',
  'changeDeliverable',
  'setMains',
]);

const keepsAnswer = (command: SimpleCommand): boolean => {
  if (command.type === 'setOwnership') return command.ownership === 'to buy';
  if (command.type === 'changePerson')
    return Object.keys(command.person).every((field) => field === 'at');
  return !ANSWERED.has(command.type);
};
const keepsAnswers = (command: Command): boolean =>
  command.type === 'batch'
    ? command.commands.every(keepsAnswer)
    : command.type !== 'revert' && keepsAnswer(command);

export const isPressing = ({ finding: { level } }: Pick<Cause, 'finding'>): boolean =>
  level !== 'note';

/** The cheapest remedy on offer that makes nothing worse and changes no answer. */
const remedyOf = (analysis: Analysis, cause: Cause): Fix | undefined => {
  const [best] = fixesOfCause(analysis, cause)
    .filter(({ isWorse, command }) => !isWorse && keepsAnswers(command))
    .map((fix) => ({ fix, price: costOf(analysis.rig, fix.command) }))
    .sort((a, b) => a.price - b.price);
  return best?.fix;
};

/**
 * Takes remedies of stops and warnings, the cheapest of each, until none is left that helps.
 * @param wanted which causes are to be mended; all that press where it is left out
 */
export const settle = (
  begin: Analysis,
  wanted: (cause: Cause) => boolean = isPressing,
): Analysis => {
  let now = begin;
  const seen = new Set([JSON.stringify(begin.rig)]);
  for (let taken = 0; taken < MOST_TAKEN; taken++) {
    const here = now;
    const fix = here.causes
      .filter(wanted)
      .map((cause) => remedyOf(here, cause))
      .find((one) => one !== undefined);
    if (!fix) return now;
    now = reanalyse(now, apply(now.rig, fix.command));
    const state = JSON.stringify(now.rig);
    if (seen.has(state)) return now;
    seen.add(state);
  }
  return now;
};
