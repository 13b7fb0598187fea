import { analyse, reanalyse } from '@echo-loom/core';

/** The engine of one version of core: bundled once with each that is compared. */
export { analyse, reanalyse };
