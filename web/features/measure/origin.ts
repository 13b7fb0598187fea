import type { KeptReading, Reading } from '@echo-loom/core';
import { today } from '@/ui/today';

/** Longest name of a file that a rig keeps. */
const MOST_NAME = 80;

/** Where a figure that is kept comes from: today, and this file. */
export const originOf = ({
  name,
  sha256,
}: {
  readonly name: string;
  readonly sha256: string;
}): Pick<Reading, 'on' | 'file'> => ({
  on: today(),
  file: { name: name.slice(0, MOST_NAME), sha256 },
});

/** ` measured on 2026-11-28`; empty where a figure was typed. */
export const measuredText = (kept: KeptReading | null): string =>
  kept ? ` measured${kept.reading.on === null ? '' : ` on ${kept.reading.on}`}` : '';
