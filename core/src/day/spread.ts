/** Least, middle and most of what was measured. */
export interface Spread {
  readonly least: number;
  readonly middle: number;
  readonly most: number;
  readonly times: number;
}

export const spreadOf = (values: readonly number[]): Spread | null => {
  const sorted = values.toSorted((a, b) => a - b);
  const [least] = sorted;
  const most = sorted.at(-1);
  if (least === undefined || most === undefined) return null;
  const half = sorted.length / 2;
  const upper = sorted[Math.floor(half)] ?? most;
  const lower = sorted[Math.ceil(half) - 1] ?? least;
  return { least, middle: (lower + upper) / 2, most, times: sorted.length };
};
