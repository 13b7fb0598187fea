import type { Stage } from '../../graph';
import type { Knob } from '../../passes/sound/ladder';
import type { Bench } from './bench';

/** Voices, the knobs they share, and how they fall apart once these are set. */

/** A way of a voice to one of its converters, on a bench. */
export interface OnBench {
  readonly stage: Stage;
  readonly bench: Bench;
  readonly knobs: readonly Knob[];
}

/** A voice with all the ways that are set together: a converter of the interface, one of the recorder. */
export interface Voice {
  readonly ways: readonly OnBench[];
  /** Knobs on any of them, each once, in the order the signal meets them */
  readonly knobs: readonly Knob[];
  readonly counts: Counts;
}

/** How far the search of a voice has come. */
interface Counts {
  tried: number;
  /** Of the settings tried, how many keep the headroom everywhere, and how many of these also meet the level */
  keepHeadroom: number;
  meetLevel: number;
}

export const keyOf = ({ deviceId, control }: Pick<Knob, 'deviceId' | 'control'>): string =>
  `${deviceId}.${control}`;

/** A voice of its ways, nothing tried yet. */
export const voiceOf = (
  ways: readonly OnBench[],
  counts: Counts = { tried: 0, keepHeadroom: 0, meetLevel: 0 },
): Voice => {
  const knobs = new Map<string, Knob>();
  for (const way of ways)
    for (const knob of way.knobs) if (!knobs.has(keyOf(knob))) knobs.set(keyOf(knob), knob);
  return { ways, knobs: [...knobs.values()], counts };
};

/** How many combinations knobs have. */
export const settingsCount = (knobs: readonly Knob[]): number =>
  knobs.reduce((count, { settingsDb }) => count * settingsDb.length, 1);

/** The knob that most of the voices pass, of those that are free; null where no two share one. */
const mostShared = (voices: readonly Voice[], free: ReadonlySet<string>): Knob | null => {
  const counts = new Map<string, { knob: Knob; of: number }>();
  for (const { knobs } of voices)
    for (const knob of knobs) {
      const key = keyOf(knob);
      if (!free.has(key)) continue;
      const known = counts.get(key);
      if (known) known.of++;
      else counts.set(key, { knob, of: 1 });
    }
  const [most] = [...counts.values()].sort((a, b) => b.of - a.of);
  return most && most.of > 1 ? most.knob : null;
};

/** Things put together that share a key with one another, directly or through others, in their order. */
export const together = <T>(
  all: readonly T[],
  keysOf: (one: T) => Iterable<string>,
): readonly (readonly T[])[] => {
  const groups: { members: T[]; keys: Set<string> }[] = [];
  for (const one of all) {
    const keys = new Set(keysOf(one));
    const met = groups.filter((group) => [...keys].some((key) => group.keys.has(key)));
    const [into] = met;
    if (!into) {
      groups.push({ members: [one], keys });
      continue;
    }
    for (const other of met.slice(1)) {
      into.members.push(...other.members);
      for (const key of other.keys) into.keys.add(key);
      groups.splice(groups.indexOf(other), 1);
    }
    into.members.push(one);
    for (const key of keys) into.keys.add(key);
  }
  return groups.map(({ members }) => members);
};

/** How voices fall apart once the knob that most of them share is set. */
interface Split {
  readonly knob: Knob;
  readonly parts: readonly (readonly Voice[])[];
  readonly free: ReadonlySet<string>;
}
/** The knob most voices share, and the groups they fall into without it; null where none is shared. */
export const split = (voices: readonly Voice[], free: ReadonlySet<string>): Split | null => {
  const knob = mostShared(voices, free);
  if (!knob) return null;
  const left = new Set(free);
  left.delete(keyOf(knob));
  const parts = together(voices, ({ knobs }) => knobs.map(keyOf).filter((key) => left.has(key)));
  return { knob, parts, free: left };
};

/** The knobs on a voice’s ways that may be turned. */
export const freeOf = ({ knobs }: Voice, free: ReadonlySet<string>): Knob[] =>
  knobs.filter((knob) => free.has(keyOf(knob)));

/** How many settings the search would try for each voice. */
const tally = (
  voices: readonly Voice[],
  free: ReadonlySet<string>,
  times: number,
  into: Map<Voice, number>,
): Map<Voice, number> => {
  const at = split(voices, free);
  if (at)
    for (const part of at.parts) tally(part, at.free, times * at.knob.settingsDb.length, into);
  else for (const voice of voices) into.set(voice, times * settingsCount(freeOf(voice, free)));
  return into;
};

/**
 * Leaves knobs as they are until no voice has more combinations than can be tried: those nearest the
 * converter first, since gain is best early, and of these the shared ones.
 */
export const cutDown = (voices: readonly Voice[], most: number): ReadonlySet<string> => {
  const free = new Set(voices.flatMap(({ knobs }) => knobs.map(keyOf)));
  for (;;) {
    const counts = tally(voices, free, 1, new Map());
    const over = voices.find((voice) => (counts.get(voice) ?? 0) > most);
    if (!over) return free;
    const own = freeOf(over, free).map(keyOf);
    const passed = (key: string): boolean =>
      voices.some((voice) => voice !== over && voice.knobs.some((knob) => keyOf(knob) === key));
    const drop = own.findLast(passed) ?? own.at(-1) ?? [...free].at(-1);
    if (drop === undefined) return free;
    free.delete(drop);
  }
};

/** Voices that share knobs that may be turned, together. */
export const groupsOf = (
  voices: readonly Voice[],
  free: ReadonlySet<string>,
): readonly (readonly Voice[])[] =>
  together(voices, ({ knobs }) => knobs.map(keyOf).filter((key) => free.has(key)));

/** How many settings would be tried for each voice, in no order. */
export const tallies = (voices: readonly Voice[], free: ReadonlySet<string>): number[] =>
  groupsOf(voices, free).flatMap((part) => [...tally(part, free, 1, new Map()).values()]);

/** All of them. */
export const sumOf = (counts: readonly number[]): number =>
  counts.reduce((sum, one) => sum + one, 0);
