import type { Pattern } from '../../rig';
import { SOUND_MPS } from '../../units';

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

/** Where the swelling of the bass is told: low in a voice. @unit Hz */
export const BASS_HZ = 100;
/** Nearer than this no more is known. @unit m @source handbook 2-sound: held constant below 3 cm */
const NEAREST_M = 0.03;

/**
 * How much louder a pattern hears bass from near than from far: `20·log10|a + (1 − a)·(1 − j·c/(2πfr))|`.
 * @param distanceM counts as 3 cm where it is less @unit dB, 0 for an omni
 * @source handbook 2-sound, more relations
 */
export const proximityDb = (pattern: Pattern, distanceM: number, hz = BASS_HZ): number => {
  const gradient = 1 - OMNI_PART[pattern];
  const nearness = SOUND_MPS / (2 * Math.PI * hz * Math.max(NEAREST_M, distanceM));
  return 20 * Math.log10(Math.hypot(1, gradient * nearness));
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
