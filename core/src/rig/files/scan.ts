/**
 * What is looked for in a JSON text before it is parsed: everything that would make parsing dear or
 * its result a surprise.
 */

/** Deepest nesting read; a rig needs 11. */
export const MAX_DEPTH = 40;
/** Most items of one list, and most keys of one object. The most that a rig has are 20,000 links. */
const MAX_WIDTH = 20_000;
/** Most values of one file: about twice what the largest rig has. */
const MAX_VALUES = 2_000_000;

export interface ScanProblem {
  /** Keys and list places from the root; empty where the whole file is meant */
  readonly path: readonly PropertyKey[];
  readonly says: string;
  /** Where in the text; left out where the path says it */
  readonly offset?: number;
}

interface Open {
  /** Keys met so far; null in a list */
  readonly keys: Set<string> | null;
  count: number;
  /** The key or list place being read */
  at: PropertyKey;
}

const FORBIDDEN_KEYS = new Set(['__proto__', 'constructor', 'prototype']);

const QUOTE = 34;
const BACKSLASH = 92;
const COMMA = 44;
const COLON = 58;
const OPEN_OBJECT = 123;
const CLOSE_OBJECT = 125;
const OPEN_LIST = 91;
const CLOSE_LIST = 93;

/** The place behind the closing quote of a string that begins at `from`. */
const endOfString = (text: string, from: number): number => {
  for (let index = from + 1; index < text.length; index++) {
    const code = text.charCodeAt(index);
    if (code === BACKSLASH) index++;
    else if (code === QUOTE) return index + 1;
  }
  return text.length;
};

const readKey = (literal: string): string => {
  if (!literal.includes('\\')) return literal.slice(1, -1);
  try {
    return String(JSON.parse(literal));
  } catch {
    return literal.slice(1, -1);
  }
};

/**
 * Looks through a JSON text once, without recursion: nesting, width, number of values, the same key twice (one would
 * silently win), and keys that reach an object's prototype. Whether it is JSON at all is for the parser to say.
 * @param limit most problems looked for
 */
export const scanJson = (text: string, limit: number): ScanProblem[] => {
  const problems: ScanProblem[] = [];
  const open: Open[] = [];
  let values = 0;
  let isKeyNext = false;
  const path = (): PropertyKey[] => open.map(({ at }) => at);
  const tooWide = (): ScanProblem => ({
    path: path().slice(0, -1),
    says: `this holds more than ${MAX_WIDTH} items`,
  });
  for (let index = 0; index < text.length && problems.length < limit; index++) {
    const code = text.charCodeAt(index);
    const inside = open.at(-1);
    switch (code) {
      case QUOTE: {
        const end = endOfString(text, index);
        if (isKeyNext && inside?.keys) {
          const key = readKey(text.slice(index, end));
          inside.at = key;
          if (inside.keys.has(key))
            problems.push({ path: path(), says: 'this key or id stands here twice' });
          else if (FORBIDDEN_KEYS.has(key))
            problems.push({ path: path(), says: 'this key is not allowed' });
          inside.keys.add(key);
          if (inside.keys.size > MAX_WIDTH) return [...problems, tooWide()];
          isKeyNext = false;
        }
        index = end - 1;
        break;
      }
      case OPEN_OBJECT:
      case OPEN_LIST:
        if (open.length === MAX_DEPTH) {
          return [
            ...problems,
            { path: [], says: `nested deeper than ${MAX_DEPTH} levels`, offset: index },
          ];
        }
        isKeyNext = code === OPEN_OBJECT;
        open.push({ keys: isKeyNext ? new Set() : null, count: 0, at: isKeyNext ? '' : 0 });
        if (++values > MAX_VALUES)
          return [...problems, { path: [], says: `this holds more than ${MAX_VALUES} values` }];
        break;
      case CLOSE_OBJECT:
      case CLOSE_LIST:
        open.pop();
        isKeyNext = false;
        break;
      case COMMA:
        if (++values > MAX_VALUES)
          return [...problems, { path: [], says: `this holds more than ${MAX_VALUES} values` }];
        if (inside && !inside.keys) {
          inside.at = ++inside.count;
          if (inside.count >= MAX_WIDTH) return [...problems, tooWide()];
        }
        isKeyNext = inside !== undefined && inside.keys !== null;
        break;
      case COLON:
        isKeyNext = false;
        break;
    }
  }
  return problems;
};
