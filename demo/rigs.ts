import type { Rig } from '@echo-loom/core';
import { harbourHall } from './harbour-hall';
import { nightTide } from './night-tide';
import { secondFiring } from './second-firing';

/** The rigs of the demo, by the name of their file. */
export const DEMO_RIGS: Readonly<Record<string, () => Rig>> = {
  'night-tide': nightTide,
  'second-firing': secondFiring,
  'harbour-hall': harbourHall,
};
