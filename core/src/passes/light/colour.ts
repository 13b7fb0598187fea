import type { FaceLight, OnFace } from './faces';
import { mired, miredBetween } from './photometry';

/** Colours of light that meet on a face. */

/** Light of so small a share nobody sees the colour of. */
export const SEEN_SHARE = 0.1;
/** From here a difference is seen, and from there it is ugly. @unit mired @source handbook 6-light */
export const SEEN_MIRED = 20;
export const UGLY_MIRED = 50;

/** The two sources on a face whose colours lie farthest apart. */
export interface ColourMix {
  readonly cooler: OnFace;
  readonly warmer: OnFace;
  /** @unit mired */
  readonly apart: number;
  /** Of all the light together, as a camera is balanced to it. @unit K */
  readonly meanK: number;
}

/** @returns null in the dark */
export const colourMix = ({ parts, lux }: FaceLight): ColourMix | null => {
  const direct = parts.filter((part) => part.lux > 0);
  const all = direct.reduce((sum, part) => sum + part.lux, 0);
  if (all === 0 || lux === 0) return null;
  const seen = direct
    .filter((part) => part.lux >= SEEN_SHARE * lux)
    .sort((a, b) => b.source.kelvin - a.source.kelvin);
  const [cooler, warmer] = [seen[0], seen.at(-1)];
  if (!cooler || !warmer) return null;
  const mean = direct.reduce((sum, part) => sum + part.lux * mired(part.source.kelvin), 0) / all;
  return {
    cooler,
    warmer,
    apart: miredBetween(cooler.source.kelvin, warmer.source.kelvin),
    meanK: 1e6 / mean,
  };
};
