import type { Absorption, Boundary, Finish } from './schema';

/** A kind of surface with typical absorption. What a sheet states is typed over it. */
export interface Material {
  readonly name: string;
  readonly absorption: Absorption;
  /** What it usually covers */
  readonly covers: Boundary | 'nothing';
  /** Whether a room can be made of it, or it is put into one */
  readonly is: 'built' | 'put in';
  /** What one should know of it */
  readonly about?: string;
}

const material = (
  name: string,
  covers: Material['covers'],
  is: Material['is'],
  absorption: Absorption,
  about?: string,
): Material => ({ name, covers, is, absorption, ...(about === undefined ? {} : { about }) });

/**
 * Typical absorption, 125 Hz to 4 kHz, as published tables give it; shares above 1 are taken as 1.
 * @source common tables of absorption after ISO 354; typical, and said so
 */
export const MATERIALS: readonly Material[] = [
  material('Concrete or tile', 'floor', 'built', [0.01, 0.01, 0.02, 0.02, 0.02, 0.03]),
  material('Wooden floor on joists', 'floor', 'built', [0.15, 0.11, 0.1, 0.07, 0.06, 0.07]),
  material('Laminate or parquet, glued', 'floor', 'built', [0.04, 0.04, 0.07, 0.06, 0.06, 0.07]),
  material('Plasterboard on a frame', 'walls', 'built', [0.29, 0.1, 0.05, 0.04, 0.07, 0.09]),
  material('Plaster on masonry', 'walls', 'built', [0.01, 0.02, 0.02, 0.03, 0.04, 0.05]),
  material('Bare brick', 'walls', 'built', [0.03, 0.03, 0.03, 0.04, 0.05, 0.07]),
  material('Boards, 20 mm on battens', 'walls', 'built', [0.3, 0.25, 0.2, 0.17, 0.15, 0.1]),
  material('Window glass', 'walls', 'put in', [0.35, 0.25, 0.18, 0.12, 0.07, 0.04]),
  material('Door, solid wood', 'walls', 'put in', [0.14, 0.1, 0.06, 0.08, 0.1, 0.1]),
  material('Carpet, thick on underlay', 'floor', 'put in', [0.08, 0.24, 0.57, 0.69, 0.71, 0.73]),
  material('Carpet, thin on concrete', 'floor', 'put in', [0.02, 0.06, 0.14, 0.37, 0.6, 0.65]),
  material('Curtain, light', 'walls', 'put in', [0.03, 0.04, 0.11, 0.17, 0.24, 0.35]),
  material('Curtain, heavy, in folds', 'walls', 'put in', [0.14, 0.35, 0.55, 0.72, 0.7, 0.65]),
  material(
    'Foam, 25 mm',
    'walls',
    'put in',
    [0.08, 0.14, 0.3, 0.62, 0.85, 0.9],
    'Does little under 500 Hz: voices turn dull and boxy, not dry.',
  ),
  material('Foam, 50 mm', 'walls', 'put in', [0.13, 0.31, 0.75, 0.95, 0.95, 0.98]),
  material('Panel of mineral wool, 50 mm', 'walls', 'put in', [0.22, 0.6, 0.95, 0.98, 0.95, 0.95]),
  material(
    'Panel of mineral wool, 100 mm',
    'walls',
    'put in',
    [0.55, 0.95, 0.98, 0.98, 0.95, 0.95],
  ),
  material(
    'Panel of mineral wool, 100 mm, 100 mm off the wall',
    'walls',
    'put in',
    [0.8, 0.98, 0.98, 0.98, 0.95, 0.95],
    'The gap behind it brings the low end without more wool.',
  ),
  material('Moving blanket, hung in folds', 'walls', 'put in', [0.1, 0.3, 0.6, 0.75, 0.75, 0.7]),
  material('Shelves full of books', 'walls', 'put in', [0.3, 0.4, 0.45, 0.5, 0.5, 0.5]),
  material(
    'Upholstered sofa',
    'nothing',
    'put in',
    [0.35, 0.45, 0.55, 0.6, 0.6, 0.55],
    'By its whole upholstered surface.',
  ),
  material(
    'People, seated',
    'nothing',
    'put in',
    [0.25, 0.35, 0.42, 0.46, 0.5, 0.5],
    '1 m² each, on chairs without upholstery.',
  ),
];

/** A material by its name, as a finish. @throws RangeError for one that is not listed */
export const finish = (name: string): Finish => {
  const found = MATERIALS.find((one) => one.name === name);
  if (!found) throw new RangeError(`there is no material "${name}"`);
  return { name, absorption: [...found.absorption] };
};

/** What a room is made of as long as nothing else is said. */
export const USUAL_FINISHES = (): Record<Boundary, Finish> => ({
  floor: finish('Laminate or parquet, glued'),
  ceiling: finish('Plasterboard on a frame'),
  walls: finish('Plaster on masonry'),
});
