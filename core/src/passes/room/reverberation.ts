/**
 * How long a room rings, by its surfaces. Volumes in m³, areas in m², times in s; absorption as a
 * share of what meets a surface, 0 to 1. @source handbook 5-room-desk-power, room sound
 */

/** `24·ln 10 / c` at 20 °C. @unit s/m */
const SABINE_S_PER_M = 0.161;
/** Mean absorption above which Sabine's sum tells too long a time, and Eyring's is taken. */
export const EYRING_ABOVE = 0.2;

/** Sabine: `0.161·V/(A + 4mV)`. @param absorptionM2 above 0 @param airM2 what the air takes up @unit s */
export const sabineS = (volumeM3: number, absorptionM2: number, airM2 = 0): number =>
  (SABINE_S_PER_M * volumeM3) / (absorptionM2 + airM2);

/** A mean absorption at which Eyring's relation already holds. */
const JUST_ABOVE = EYRING_ABOVE * (1 + 1e-9);

/**
 * Eyring: `0.161·V/(−S·ln(1 − A/S) + 4mV)`. @param absorptionM2 above 0 @param airM2 what the air
 * takes up @returns 0 where everything is absorbed @unit s
 */
export const eyringS = (
  volumeM3: number,
  surfaceM2: number,
  absorptionM2: number,
  airM2 = 0,
): number =>
  absorptionM2 >= surfaceM2
    ? 0
    : (SABINE_S_PER_M * volumeM3) / (-surfaceM2 * Math.log(1 - absorptionM2 / surfaceM2) + airM2);

/** How much sound loses in air on its way, at 20 °C and 50 to 70 % humidity, by band. @unit 1/m @source EN 12354-6 */
const AIR_PER_M = [0.0001, 0.0003, 0.0006, 0.001, 0.0019, 0.0058] as const;
/** In rooms smaller than this the air counts for nothing up to 1 kHz. @unit m³ @source EN 12354-6 */
const AIR_COUNTS_M3 = 200;
const UP_TO_1_KHZ = 3;

/** What the air of a room takes up: `4·m·V`. @param band place in the octave bands @unit m² */
export const airM2 = (volumeM3: number, band: number): number =>
  volumeM3 < AIR_COUNTS_M3 && band <= UP_TO_1_KHZ ? 0 : 4 * (AIR_PER_M[band] ?? 0) * volumeM3;

/** Which of the two relations a room is told by. */
export type Relation = 'Sabine' | 'Eyring';
export const relationFor = (surfaceM2: number, absorptionM2: number): Relation =>
  absorptionM2 / surfaceM2 > EYRING_ABOVE ? 'Eyring' : 'Sabine';

/** Time in which a sound dies away by 60 dB, by the relation that holds. @unit s */
export const reverberationS = (
  volumeM3: number,
  surfaceM2: number,
  absorptionM2: number,
  air = 0,
): number =>
  relationFor(surfaceM2, absorptionM2) === 'Eyring'
    ? eyringS(volumeM3, surfaceM2, absorptionM2, air)
    : sabineS(volumeM3, absorptionM2, air);

/**
 * Absorption a room needs for a time. Sabine asks for more than Eyring; between the two, where
 * neither holds with what it asks for, it is the mean absorption at which they change over.
 * @param targetS above 0 @returns less than the surface @unit m²
 */
export const absorptionForM2 = (volumeM3: number, surfaceM2: number, targetS: number): number => {
  const bySabine = (SABINE_S_PER_M * volumeM3) / targetS;
  if (relationFor(surfaceM2, bySabine) === 'Sabine') return bySabine;
  const byEyring = surfaceM2 * (1 - Math.exp(-bySabine / surfaceM2));
  return Math.max(byEyring, JUST_ABOVE * surfaceM2);
};

/** What treatment comes to. */
export interface TreatmentArea {
  /** @unit m² */
  readonly areaM2: number;
  /** What the room must absorb in all. @unit m² */
  readonly absorptionM2: number;
  readonly relation: Relation;
}

/**
 * Area that must be covered for a time.
 * @param present what the room absorbs now, m² @param better absorption of what is hung @param covered
 * of what it covers
 * @returns null where what is hung absorbs no more than what it covers; an area of 0 where the room needs none
 */
export const treatmentFor = (
  volumeM3: number,
  surfaceM2: number,
  present: number,
  targetS: number,
  better: number,
  covered: number,
): TreatmentArea | null => {
  if (better <= covered) return null;
  const absorptionM2 = absorptionForM2(volumeM3, surfaceM2, targetS);
  return {
    areaM2: Math.max(0, (absorptionM2 - present) / (better - covered)),
    absorptionM2,
    relation: relationFor(surfaceM2, absorptionM2),
  };
};

/** Time that speech is best recorded at, by the size of the room: `0.25·(V/100)^⅓`. @unit s @source EBU Tech 3276 */
export const speechTargetS = (volumeM3: number): number => 0.25 * Math.cbrt(volumeM3 / 100);

/**
 * Below this single resonances of the room rule, and a reverberation time says little:
 * `2000·√(T/V)`. @unit Hz @source Schroeder
 */
export const singleModesBelowHz = (volumeM3: number, rt60S: number): number =>
  2000 * Math.sqrt(rt60S / volumeM3);
