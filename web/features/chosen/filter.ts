import type { Signal } from '@echo-loom/core';

/** Which threads somebody wants to see; what is null asks for nothing. */
export interface LoomFilter {
  /** Whose voice or picture it is, or who hears or sees it */
  readonly personId: string | null;
  readonly signal: Signal | null;
  /** A device the thread passes */
  readonly deviceId: string | null;
  /** Only threads with a finding on their way */
  readonly onlyFindings: boolean;
}

export const NO_FILTER: LoomFilter = {
  personId: null,
  signal: null,
  deviceId: null,
  onlyFindings: false,
};

export const isFiltered = (filter: LoomFilter): boolean =>
  filter.personId !== null ||
  filter.signal !== null ||
  filter.deviceId !== null ||
  filter.onlyFindings;
