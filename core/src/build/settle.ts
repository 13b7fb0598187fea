import { type Analysis, edited, fixesOfCause } from '../analyse';
import { costOf } from '../passes/money';
import type { Command, SimpleCommand } from '../rig';
import { findingKey } from '../rules';
import type { Cause } from '../rules/causes';

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

/** What presses, by key. */
export const pressingOf = ({ findings }: Analysis): ReadonlySet<string> =>
  new Set(findings.filter(({ level }) => level !== 'note').map(findingKey));

/** The rig with the cheapest remedy of a cause that changes no answer and brings nothing that presses. */
const mended = (analysis: Analysis, cause: Cause): Analysis | undefined => {
  const before = pressingOf(analysis);
  const cheapestFirst = fixesOfCause(analysis, cause)
    .filter(({ isWorse, command }) => !isWorse && keepsAnswers(command))
    .map(({ command }) => ({ command, price: costOf(analysis.rig, command) }))
    .sort((a, b) => a.price - b.price);
  for (const { command } of cheapestFirst) {
    const after = edited(analysis, command);
    if ([...pressingOf(after)].every((key) => before.has(key))) return after;
  }
  return undefined;
};

/** Takes remedies of stops and warnings, the cheapest of each, until none is left that helps. */
export const settle = (begin: Analysis): Analysis => {
  let now = begin;
  /** What had no remedy once has none later: each is tried once */
  const hopeless = new Set<string>();
  for (let taken = 0; taken < MOST_TAKEN; taken++) {
    let next: Analysis | undefined;
    for (const cause of now.causes.filter(isPressing)) {
      const key = findingKey(cause.finding);
      if (hopeless.has(key)) continue;
      next = mended(now, cause);
      if (next) break;
      hopeless.add(key);
    }
    if (!next) return now;
    now = next;
  }
  return now;
};
