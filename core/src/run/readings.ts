import type { ToRead } from '../day';
import { number } from '../day/estimates';

/** What was read off a meter in a run, beside what the rig makes of it. */

/** What a difference is said in, and which way it goes. */
const WORDS: Readonly<
  Record<ToRead['unit'], { readonly unit: string; readonly above: string; readonly below: string }>
> = {
  dBFS: { unit: 'dB', above: 'louder', below: 'quieter' },
  LUFS: { unit: 'LU', above: 'louder', below: 'quieter' },
  ms: { unit: 'ms', above: 'later', below: 'earlier' },
};

export interface ReadOff {
  /** Read less expected, in the unit of differences */
  readonly off: number;
  readonly isFar: boolean;
  /** `2.4 dB quieter than computed` */
  readonly says: string;
}

/** @param value as it was read, in the unit of what is to be read */
export const readOff = ({ unit, expected, within }: ToRead, value: number): ReadOff => {
  const off = Math.round((value - expected) * 10) / 10;
  const words = WORDS[unit];
  const against = unit === 'ms' ? 'than when it was measured' : 'than computed';
  return {
    off,
    isFar: Math.abs(off) > within,
    says:
      off === 0
        ? `as ${unit === 'ms' ? 'measured before' : 'computed'}`
        : `${number(Math.abs(off))} ${words.unit} ${off > 0 ? words.above : words.below} ${against}`,
  };
};
