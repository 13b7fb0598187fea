import type { z } from 'zod';
import { type AskedCommand, askedRevertSchema, commandSchema } from '../commands';
import { refusals } from '../refusal';

/** `recordingsOfVoice` as a person would read it: `recordings of voice`. */
const fieldName = (key: PropertyKey): string =>
  String(key).replace(
    /([a-z0-9])([A-Z])/g,
    (_, last: string, first: string) => `${last} ${first.toLowerCase()}`,
  );

/** Parts of a command's path that name its shape and not what was typed. */
const SHAPE = new Set<PropertyKey>([
  'rules',
  'person',
  'place',
  'brief',
  'sight',
  'deliverable',
  'shot',
  'scene',
  'noise',
  'room',
  'button',
  'commands',
  'cable',
]);

const numberText = (value: unknown): string => String(value).replace('-', '−');

/** What a schema has against a value, in words for whoever typed it. */
const inWords = (issue: z.core.$ZodIssue): string => {
  switch (issue.code) {
    case 'invalid_type':
      return issue.expected === 'int'
        ? 'expected a whole number'
        : `expected ${article(issue.expected)}`;
    case 'too_big':
      if (issue.origin === 'string') return `expected at most ${issue.maximum} characters`;
      if (issue.origin === 'array') return `expected at most ${issue.maximum} items`;
      return `expected at most ${numberText(issue.maximum)}`;
    case 'too_small':
      if (issue.origin === 'number' || issue.origin === 'int') {
        return `expected ${issue.inclusive ? 'at least' : 'more than'} ${numberText(issue.minimum)}`;
      }
      return issue.message;
    case 'unrecognized_keys':
      return `there is no such field as ${issue.keys.slice(0, 3).join(', ')}`;
    default:
      return issue.message.replace(/^Invalid (input|option): /, '');
  }
};

const article = (what: string): string => (/^[aeiou]/.test(what) ? `an ${what}` : `a ${what}`);

/**
 * A command as it came from a field, a file or a network: parsed, or refused in words.
 * @throws Refusal that says which field and why
 */
export const readCommand = (value: unknown): AskedCommand => {
  const isRevert =
    typeof value === 'object' && value !== null && 'type' in value && value.type === 'revert';
  const read = isRevert ? askedRevertSchema.safeParse(value) : commandSchema.safeParse(value);
  if (read.success) {
    if (read.data.type === 'revert')
      return { type: 'revert', does: read.data.does, entryId: read.data.entryId };
    return read.data;
  }
  const [issue] = read.error.issues;
  if (!issue) throw refusals.notUnderstood('', 'it is not an edit');
  if (issue.code === 'invalid_union' && issue.path.at(-1) === 'type') {
    throw refusals.notUnderstood('', 'this version of Echo Loom has no such edit');
  }
  const field = issue.path.findLast((key) => typeof key !== 'number' && !SHAPE.has(key));
  throw refusals.notUnderstood(field === undefined ? '' : fieldName(field), inWords(issue));
};
