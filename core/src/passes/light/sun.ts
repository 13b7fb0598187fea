import { getPosition } from 'suncalc';
import type { Sky } from '../../rig';
import { looking, type Vector } from '../place';

/** Where the sun stands and what it and the sky give outside. */

/** Of the sun at a moment. Illuminances outside. @unit lux */
export interface SunLight {
  readonly altitudeDeg: number;
  /** Clockwise from north */
  readonly azimuthDeg: number;
  /** Towards the sun, on the plan */
  readonly towards: Vector;
  /** On a plane that looks at the sun */
  readonly sunLux: number;
  /** On level ground from the sky alone */
  readonly skyLux: number;
}

/** The moment that a clock shows. @param atMin minutes after midnight */
export const momentOf = ({ on, aheadMin }: Pick<Sky, 'on' | 'aheadMin'>, atMin: number): Date =>
  new Date(Date.parse(`${on}T00:00:00Z`) + (atMin - aheadMin) * 60_000);

/** Sunlight outside the air. @unit lux @source IES, daylight availability */
const EXTRATERRESTRIAL_LUX = 127_500;
const CLEAR_EXTINCTION = 0.21;

/** How much air the sun shines through, against straight down. @source Kasten and Young 1989 */
export const airMass = (altitudeDeg: number): number =>
  1 / (Math.sin((altitudeDeg * Math.PI) / 180) + 0.505_72 * (altitudeDeg + 6.079_95) ** -1.636_4);

/** Ground sends back so much of what falls on it. Typical. */
export const GROUND_REFLECTS = 0.2;

/**
 * Sun and sky at a moment of the show's day.
 * @param atMin minutes after midnight by the clock of the sky
 * @source IES daylight availability: sun 127.5 klx·e^(−0.21·m); clear sky 800 + 15,500·√sin a, overcast
 * 300 + 21,000·sin a
 */
export const sunLight = (sky: Sky, atMin: number): SunLight => {
  const { azimuth, altitude } = getPosition(
    momentOf(sky, atMin),
    sky.latitudeDeg,
    sky.longitudeDeg,
  );
  const isUp = altitude > 0;
  const sine = Math.max(0, Math.sin((altitude * Math.PI) / 180));
  const isClear = sky.is === 'clear';
  return {
    altitudeDeg: altitude,
    azimuthDeg: azimuth,
    towards: looking(azimuth - sky.upThePlanDeg, -altitude),
    sunLux:
      isUp && isClear ? EXTRATERRESTRIAL_LUX * Math.exp(-CLEAR_EXTINCTION * airMass(altitude)) : 0,
    skyLux: !isUp ? 0 : isClear ? 800 + 15_500 * Math.sqrt(sine) : 300 + 21_000 * sine,
  };
};

/**
 * What an upright plane outside takes in without the sun itself: the half of the sky it sees, and what
 * the ground sends back. @unit lux
 */
export const uprightSkyLux = ({ skyLux, sunLux, altitudeDeg }: SunLight): number =>
  skyLux / 2 +
  (GROUND_REFLECTS / 2) * (skyLux + sunLux * Math.max(0, Math.sin((altitudeDeg * Math.PI) / 180)));
