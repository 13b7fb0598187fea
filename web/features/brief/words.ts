import { DELIVERABLE_KINDS, ROOM_ANSWERS, SHOTS, SIGHT_KINDS, SWITCHED_BY } from '@echo-loom/core';

/** Choices of the brief as they are read. */

type Options = readonly { readonly value: string; readonly label: string }[];
const upper = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const plain = (values: readonly string[]): Options =>
  values.map((value) => ({ value, label: upper(value) }));

export const FORMS: Options = [
  { value: 'live', label: 'Live' },
  { value: 'recorded', label: 'Recorded' },
  { value: 'both', label: 'Live and recorded' },
];
export const CUTS: Options = plain(['long form', 'clips', 'long form and clips']);
export const SWITCHERS: Options = plain(SWITCHED_BY);
export const ROOMS: Options = [
  { value: 'shared', label: 'Shared, packed away after' },
  { value: 'fixed', label: 'Ours, stays as it is' },
];
const ROOM_WORDS: Readonly<Record<string, string>> = {
  'to fit': 'A usual one that fits',
  'none yet': 'Drawn later',
};
export const USUAL_ROOMS: Options = ROOM_ANSWERS.map((value) => ({
  value,
  label: ROOM_WORDS[value] ?? value,
}));
export const BACKGROUNDS: Options = [
  { value: 'as it is', label: 'What is there' },
  { value: 'green screen', label: 'A green screen, with its lamps' },
];
export const SIGHTS: Options = plain(SIGHT_KINDS);
export const DELIVERABLES: Options = plain(DELIVERABLE_KINDS);
export const SHOT_OPTIONS: Options = plain(SHOTS);
export const NOT_SEEN = 'not seen';
export const PERSON_SHOTS: Options = [
  ...SHOT_OPTIONS,
  { value: NOT_SEEN, label: 'Is not to be seen' },
];
export const POSTURES: Options = plain(['sits', 'stands', 'moves']);
export const WHERE: Options = [
  { value: 'on site', label: 'On site' },
  { value: 'remote', label: 'Remote' },
];
export const OWNERSHIP: Options = [
  { value: 'owned', label: 'Owned' },
  { value: 'borrowed', label: 'Borrowed' },
  { value: 'to buy', label: 'To buy' },
  { value: 'second-hand', label: 'Second-hand' },
];

/** The value of a list's own, or undefined: a select gives back text. */
export const oneOf = <T extends string>(values: readonly T[], text: string): T | undefined =>
  values.find((value) => value === text);
