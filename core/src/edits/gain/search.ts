import type { Knob } from '../../passes/sound/ladder';
import { turning } from './bench';
import {
  cutDown,
  freeOf,
  groupsOf,
  keyOf,
  split,
  sumOf,
  tallies,
  type Voice,
  voiceOf,
} from './parting';
import { addWorth, compareWorth, type Worth } from './worth';

/** Told now and then how far a search is. @param tried of so many */
export type Progress = (tried: number, of: number) => void;
/** How often a search says how far it is: once in so many settings. */
const SAYS_EVERY = 20_000;

/** Settings and what they are worth. */
interface Best {
  readonly worth: Worth;
  /** By the key of the knob. @unit dB */
  readonly settingsDb: ReadonlyMap<string, number>;
}

/** Walks every combination of settings of the knobs, the last knob fastest. */
const eachSetting = (
  knobs: readonly Knob[],
  visit: (settings: readonly number[], turned: number) => void,
): void => {
  const at = knobs.map(() => 0);
  const settings = knobs.map(({ settingsDb }) => settingsDb[0] ?? 0);
  let turned = 0;
  for (;;) {
    visit(settings, turned);
    let knob = knobs.length - 1;
    for (; knob >= 0; knob--) {
      const list = knobs[knob]?.settingsDb ?? [];
      const next = (at[knob] ?? 0) + 1;
      at[knob] = next < list.length ? next : 0;
      settings[knob] = list[at[knob] ?? 0] ?? 0;
      if (next < list.length) break;
    }
    if (knob < 0) return;
    turned = knob;
  }
};

const setOn = ({ ways }: Voice, knob: Knob, valueDb: number): void => {
  for (const { bench } of ways) bench.set(knob, valueDb);
};

/** Every setting of what one voice has alone. */
const tryAlone = (voice: Voice, knobs: readonly Knob[], say: () => void): Best | undefined => {
  let worth: Worth | undefined;
  let settings: readonly number[] = [];
  eachSetting(knobs, (now, turned) => {
    for (let index = turned; index < knobs.length; index++) {
      const knob = knobs[index];
      if (knob) setOn(voice, knob, now[index] ?? knob.valueDb);
    }
    let here: Worth | undefined;
    for (const { bench } of voice.ways) {
      const of = here === undefined ? bench.worth(knobs, now) : bench.worth([], []);
      here = here === undefined ? of : addWorth(here, of);
    }
    voice.counts.tried++;
    say();
    if (!here) return;
    if (here.shortDb === 0) {
      voice.counts.keepHeadroom++;
      if (here.missDb === 0) voice.counts.meetLevel++;
    }
    if (worth && compareWorth(here, worth) >= 0) return;
    worth = here;
    settings = [...now];
  });
  return worth
    ? {
        worth,
        settingsDb: new Map(
          knobs.map((knob, index) => [keyOf(knob), settings[index] ?? knob.valueDb]),
        ),
      }
    : undefined;
};

/**
 * The best settings of voices that hang together: each setting of the knob most of them share, and for
 * each of these the best of what then falls apart. No combination is left out.
 */
const bestOf = (
  voices: readonly Voice[],
  free: ReadonlySet<string>,
  say: () => void,
): Best | undefined => {
  const [only] = voices;
  const at = split(voices, free);
  if (!at) return only && tryAlone(only, freeOf(only, free), say);
  let best: Best | undefined;
  for (const valueDb of at.knob.settingsDb) {
    for (const voice of voices) setOn(voice, at.knob, valueDb);
    const parts = at.parts.map((part) => bestOf(part, at.free, say));
    let worth: Worth = {
      ...{ shortDb: 0, missDb: 0, snrDb: 0 },
      ...turning([at.knob], [valueDb]),
    };
    for (const part of parts) if (part) worth = addWorth(worth, part.worth);
    if (best && compareWorth(worth, best.worth) >= 0) continue;
    best = {
      worth,
      settingsDb: new Map([
        ...parts.flatMap((part) => [...(part?.settingsDb ?? [])]),
        [keyOf(at.knob), valueDb],
      ]),
    };
  }
  return best;
};

/** Searching for all voices at once may take so many times what one of them may. */
const TOTAL_TIMES = 3;

/**
 * Voices by their first ways, then by their second, and so on, the way with the fewest knobs first: the
 * preamp is set for the nearest converter, and what stands behind it for what then arrives.
 */
const stagesOfWays = (voices: readonly Voice[]): readonly (readonly Voice[])[] => {
  const sorted = voices.map(({ ways, counts }) => ({
    ways: [...ways].sort((a, b) => a.knobs.length - b.knobs.length),
    counts,
  }));
  const most = Math.max(0, ...sorted.map(({ ways }) => ways.length));
  return Array.from({ length: most }, (_, place) =>
    sorted.flatMap(({ ways, counts }) => {
      const way = ways[place];
      return way ? [voiceOf([way], counts)] : [];
    }),
  );
};

/**
 * The settings of voices that share knobs, searched together: exactly where that can be waited for, else
 * one converter after the other.
 * @param most combinations tried for one voice at the most
 * @returns by the key of the knob; knobs left as they are not in it. @unit dB
 */
export const searchTogether = (
  voices: readonly Voice[],
  most: number,
  onProgress?: Progress,
): ReadonlyMap<string, number> => {
  const all = new Set(voices.flatMap(({ knobs }) => knobs.map(keyOf)));
  const counts = tallies(voices, all);
  const isExact = counts.every((count) => count <= most) && sumOf(counts) <= TOTAL_TIMES * most;
  const stages = isExact ? [voices] : stagesOfWays(voices);
  const settingsDb = new Map<string, number>();
  let said = 0;
  for (const stage of stages) {
    const own = stage.map((voice) => ({
      ...voice,
      knobs: voice.knobs.filter((knob) => !settingsDb.has(keyOf(knob))),
    }));
    for (const voice of stage)
      for (const knob of voice.knobs) {
        const held = settingsDb.get(keyOf(knob));
        if (held !== undefined) setOn(voice, knob, held);
      }
    const free = cutDown(own, most);
    const total = said + sumOf(tallies(own, free));
    const say = (): void => {
      said++;
      if (said % SAYS_EVERY === 0) onProgress?.(said, total);
    };
    for (const part of groupsOf(own, free))
      for (const [key, valueDb] of bestOf(part, free, say)?.settingsDb ?? [])
        settingsDb.set(key, valueDb);
  }
  return settingsDb;
};
