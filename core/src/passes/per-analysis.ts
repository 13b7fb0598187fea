import type { Measured } from './measure';

/**
 * Something worked out once for each analysis, however many rules and views ask for it, and forgotten with it.
 * @param make works it out from the measured rig
 */
export const perAnalysis = <T extends object>(
  make: (measured: Measured) => T,
): ((measured: Measured) => T) => {
  const kept = new WeakMap<Measured['traced'], T>();
  return (measured) => {
    const known = kept.get(measured.traced);
    if (known) return known;
    const made = make(measured);
    kept.set(measured.traced, made);
    return made;
  };
};
