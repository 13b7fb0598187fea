import fc from 'fast-check';

const { PROPERTY_SEED, PROPERTY_TIMES } = process.env;

/** Properties are drawn from one seed, so that a run is not red by luck; `bin/test --long` draws another and says which. */
fc.configureGlobal({
  seed: Number(PROPERTY_SEED ?? 20_261_202),
  numRuns: 100 * Number(PROPERTY_TIMES ?? 1),
});
