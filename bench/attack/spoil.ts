/** Numbers from a seed, evenly spread from 0 to 1 (mulberry32). */
export const randomFrom = (seed: number): (() => number) => {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
};

export type Random = () => number;

export const pick = <T>(random: Random, list: readonly T[]): T =>
  list[Math.floor(random() * list.length)] as T;

const ODD: readonly unknown[] = [
  null,
  true,
  -1,
  0,
  2.3,
  1e308,
  -0,
  2 ** 31,
  2 ** 53,
  '',
  ' ',
  '\0',
  '\uD800',
  'x'.repeat(100_000),
  '<b>x</b>',
  '../../etc/passwd',
  "'; drop table rigs; --",
  '{}',
  [],
  {},
  [[]],
  { __proto__: { a: 1 } },
  { constructor: 1 },
  '2026-11-26',
  'NaN',
  '🎤'.repeat(60),
];

/** A JSON value with something odd put in at a random place, or something taken out. */
export const spoil = (random: Random, value: unknown): unknown => {
  if (random() < 0.15 || typeof value !== 'object' || value === null) return pick(random, ODD);
  if (Array.isArray(value)) {
    const list = [...(value as unknown[])];
    const at = Math.floor(random() * (list.length + 1));
    list[at] = spoil(random, list[at]);
    return list;
  }
  const keys = Object.keys(value);
  const key =
    random() < 0.85 && keys.length > 0
      ? pick(random, keys)
      : pick(random, ['extra', '', 'type', 'version', 'toString', 'then']);
  const copy = { ...(value as Record<string, unknown>) };
  if (random() < 0.15) delete copy[key];
  else copy[key] = spoil(random, copy[key]);
  return copy;
};

/** A text with bytes changed, cut, doubled or put in. */
export const mangle = (random: Random, bytes: Uint8Array): Buffer => {
  const copy = Buffer.from(bytes);
  const at = Math.floor(random() * copy.length);
  switch (Math.floor(random() * 5)) {
    case 0:
      return copy.subarray(0, at);
    case 1:
      copy[at] = Math.floor(random() * 256);
      return copy;
    case 2:
      return Buffer.concat([copy.subarray(0, at), copy]);
    case 3:
      return Buffer.concat([
        copy.subarray(0, at),
        Buffer.from([0xff, 0x00, 0x22]),
        copy.subarray(at),
      ]);
    default:
      return Buffer.from(
        Array.from({ length: Math.floor(random() * 200) }, () => Math.floor(random() * 256)),
      );
  }
};
