import type { SupportFigures } from './schema';

/** Supports as they are usually bought or built. Figures are typical; yours may be typed over them. */

export interface UsualSupport {
  readonly name: string;
  readonly figures: SupportFigures;
}

const desk = (
  name: string,
  widthM: number,
  depthM: number,
  topM: number,
  more: Partial<Extract<SupportFigures, { is: 'desk' }>> = {},
): UsualSupport => ({
  name,
  figures: {
    is: 'desk',
    widthM,
    depthM,
    topM,
    lowestM: topM,
    highestM: topM,
    edgeMm: 25,
    bearsKg: 60,
    rolls: false,
    ...more,
  },
});

const stand = (
  name: string,
  legM: number,
  massKg: number,
  heightM: number,
  bearsKg: number,
  more: Partial<Extract<SupportFigures, { is: 'stand' }>> = {},
): UsualSupport => ({
  name,
  figures: {
    is: 'stand',
    feet: 3,
    legM,
    massKg,
    heightM,
    bearsKg,
    out: null,
    ballastKg: 0,
    counterKg: 0,
    counterAtM: 0,
    ...more,
  },
});

const rack = (name: string, units: number): UsualSupport => ({
  name,
  figures: {
    is: 'rack',
    units,
    widthM: 0.55,
    depthM: 0.6,
    bottomM: 0.1,
    bearsKg: units * 12,
  },
});

const arm = (name: string, reachM: number, leastKg: number, mostKg: number): UsualSupport => ({
  name,
  figures: { is: 'arm', reachM, leastKg, mostKg, clampLeastMm: 10, clampMostMm: 55 },
});

export const USUAL_SUPPORTS: readonly UsualSupport[] = [
  desk('Desk, 1.4 m', 1.4, 0.7, 0.73),
  desk('Desk, 1.8 m', 1.8, 0.8, 0.73),
  desk('Sit-stand desk, 1.6 m', 1.6, 0.8, 0.73, { lowestM: 0.62, highestM: 1.27, bearsKg: 80 }),
  desk('Table, 2.2 m', 2.2, 0.9, 0.75, { bearsKg: 100, edgeMm: 30 }),
  desk('Side table', 0.6, 0.5, 0.6, { bearsKg: 25 }),
  desk('Shelf, 1 m', 1, 0.35, 1.8, { bearsKg: 120 }),
  desk('Trolley', 0.7, 0.5, 0.85, { bearsKg: 80, rolls: true }),
  rack('Rack, 6 units', 6),
  rack('Rack, 12 units', 12),
  rack('Rack, 24 units', 24),
  stand('Tripod, light', 0.45, 2, 1.4, 4),
  stand('Tripod, studio', 0.55, 4.5, 1.45, 12),
  stand('Stand, light', 0.5, 1.6, 2, 4),
  stand('Stand, heavy', 0.84, 5.2, 2.2, 10),
  stand('Boom stand', 0.84, 5.2, 1.8, 8, { out: { reachM: 1.4, massKg: 1.6, massAtM: 0.6 } }),
  stand('Microphone stand, boom', 0.35, 3, 1.3, 2, {
    out: { reachM: 0.75, massKg: 0.6, massAtM: 0.3 },
  }),
  stand('Microphone stand, round plate', 0.14, 4, 1.2, 2, { feet: 0 }),
  arm('Arm, light', 0.8, 0.2, 0.9),
  arm('Arm, middle', 0.9, 0.7, 1.2),
  arm('Arm, heavy', 1, 1, 2),
  {
    name: 'Grid, 3 m by 2 m',
    figures: {
      is: 'overhead',
      widthM: 3,
      depthM: 2,
      heightM: 2.6,
      bearsKg: 60,
      hasSecondFixing: true,
    },
  },
  { name: 'Wall bracket', figures: { is: 'wall', heightM: 1.6, bearsKg: 12 } },
];

/** One of them by its name. @throws RangeError where there is none */
export const usualSupport = (name: string): UsualSupport => {
  const usual = USUAL_SUPPORTS.find((support) => support.name === name);
  if (!usual) throw new RangeError(`there is no usual support "${name}"`);
  return usual;
};
