import type { Modifier } from './schema';

/**
 * Modifiers as they usually are: what is left of the bare lamp's light on its axis, how wide it then
 * goes, and how large the face that gives it. Typical of their kinds.
 */
export const USUAL_MODIFIERS: readonly Modifier[] = [
  {
    name: 'Dome, 0.9 m',
    is: 'dome',
    transmission: 0.55,
    beamDeg: 110,
    widthM: 0.9,
    heightM: 0.9,
    massKg: 1.5,
  },
  {
    name: 'Dome, 0.6 m',
    is: 'dome',
    transmission: 0.6,
    beamDeg: 100,
    widthM: 0.6,
    heightM: 0.6,
    massKg: 0.9,
  },
  {
    name: 'Soft box, 0.6 × 0.9 m',
    is: 'soft box',
    transmission: 0.5,
    beamDeg: 100,
    widthM: 0.6,
    heightM: 0.9,
    massKg: 1.1,
  },
  {
    name: 'Strip box, 0.3 × 1.2 m',
    is: 'soft box',
    transmission: 0.45,
    beamDeg: 90,
    widthM: 0.3,
    heightM: 1.2,
    massKg: 1.2,
  },
  {
    name: 'Lantern, 0.65 m',
    is: 'lantern',
    transmission: 0.3,
    beamDeg: 180,
    widthM: 0.65,
    heightM: 0.65,
    massKg: 0.9,
  },
  {
    name: 'Grid, 40°',
    is: 'grid',
    transmission: 0.6,
    beamDeg: 40,
    widthM: null,
    heightM: null,
    massKg: 0.4,
  },
  {
    name: 'Barn doors',
    is: 'barn doors',
    transmission: 0.95,
    beamDeg: 50,
    widthM: null,
    heightM: null,
    massKg: 0.5,
  },
  {
    name: 'Diffuser',
    is: 'diffuser',
    transmission: 0.7,
    beamDeg: 120,
    widthM: null,
    heightM: null,
    massKg: 0.1,
  },
  {
    name: 'Bounce off white board, 1.2 m',
    is: 'bounce',
    transmission: 0.12,
    beamDeg: 120,
    widthM: 1.2,
    heightM: 1.2,
    massKg: 1.4,
  },
];

/** A usual modifier by its name. @throws RangeError for a name there is none of */
export const usualModifier = (name: string): Modifier => {
  const modifier = USUAL_MODIFIERS.find((one) => one.name === name);
  if (!modifier) throw new RangeError(`there is no usual modifier "${name}"`);
  return modifier;
};
