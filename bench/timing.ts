/** The middle one of some values; NaN of none. */
export const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

/** How long some work takes. @unit ms */
export const clock = (work: () => void): number => {
  const start = performance.now();
  work();
  return performance.now() - start;
};
