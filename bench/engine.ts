import { analyse, apply, reanalyse, type Rig, type SimpleCommand } from '@echo-loom/core';
import { harbourHall } from '../demo/harbour-hall';
import { benchRig, denseRig } from './rigs';

/** What `bench/recompute` runs, bundled once with each version of core. */
export const RIGS: Readonly<Record<string, () => Rig>> = {
  'dense 500': denseRig,
  'sparse 500': () => benchRig(500),
  'Harbour Hall': harbourHall,
};

export { analyse, apply, reanalyse, benchRig };
export type { Rig, SimpleCommand };
