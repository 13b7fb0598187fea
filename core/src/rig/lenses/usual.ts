import type { Lens } from './schema';

/**
 * Lenses as they are usually sold for large and reduced sensors: generic classes with typical figures
 * and prices.
 */

const lens = (
  name: string,
  [shortestMm, longestMm]: readonly [number, number],
  widest: number,
  massKg: number,
  nearestM: number,
  price: number,
  mount = 'Mirrorless',
): Omit<Lens, 'order'> => ({
  name,
  focal: { shortestMm, longestMm },
  widest,
  massKg,
  nearestM,
  mount,
  price,
  ownership: 'to buy',
});

export const USUAL_LENSES: readonly Omit<Lens, 'order'>[] = [
  lens('16 mm, fast', [16, 16], 1.4, 0.4, 0.25, 380),
  lens('24 mm, fast', [24, 24], 1.8, 0.35, 0.19, 500),
  lens('35 mm, fast', [35, 35], 1.8, 0.3, 0.22, 450),
  lens('50 mm, fast', [50, 50], 1.8, 0.2, 0.45, 220),
  lens('85 mm, fast', [85, 85], 1.8, 0.4, 0.8, 450),
  lens('100 mm, close-up', [100, 100], 2.8, 0.65, 0.28, 800),
  lens('Small zoom, 16–50 mm', [16, 50], 3.5, 0.12, 0.25, 200),
  lens('Zoom, 24–70 mm', [24, 70], 2.8, 0.7, 0.38, 1100),
  lens('Long zoom, 70–200 mm', [70, 200], 2.8, 1.3, 0.85, 1600),
  lens('Servo zoom, 18–110 mm', [18, 110], 4, 1.1, 0.95, 2800),
];
