import type { Pattern } from '../../rig';

/**
 * The part of a pattern that hears from all sides alike; the rest hears by the cosine. @source
 * handbook 2-sound, room
 */
const OMNI_PART: Readonly<Record<Pattern, number>> = {
  omni: 1,
  cardioid: 0.5,
  supercardioid: 0.37,
  hypercardioid: 0.25,
  'figure of eight': 0,
  'half space': 1,
};
/** Deepest null of a real microphone in a real room. @unit dB */
const NULL_FLOOR_DB = -25;

/**
 * How a pattern hears from a side: `20·log10|a + (1 − a)·cos θ|`, at least −25 dB. @param deg angle
 * off the axis @unit dB
 */
export const patternDb = (pattern: Pattern, deg: number): number => {
  const a = OMNI_PART[pattern];
  return Math.max(
    NULL_FLOOR_DB,
    20 * Math.log10(Math.abs(a + (1 - a) * Math.cos((deg * Math.PI) / 180))),
  );
};

const randomEnergy = (pattern: Pattern): number => {
  // Of what comes from everywhere it gets the half before its surface. @source handbook 2-sound
  if (pattern === 'half space') return 0.5;
  const a = OMNI_PART[pattern];
  return a ** 2 + (1 - a) ** 2 / 3;
};

/**
 * What a pattern takes of sound from everywhere against an omni: `10·log10(a² + (1 − a)²/3)`.
 * @unit dB, 0 or below
 */
export const randomEnergyDb = (pattern: Pattern): number => 10 * Math.log10(randomEnergy(pattern));

/** Directivity: how much more a pattern hears on its axis than from everywhere. @returns 1 for an omni */
export const directivity = (pattern: Pattern): number => 1 / randomEnergy(pattern);
