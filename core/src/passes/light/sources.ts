import isDeepEqual from 'fast-deep-equal';
import {
  BARE_LAMP,
  type Device,
  entry,
  inOrder,
  kelvinOf,
  type Lamp,
  levelOf,
  type LightFigures,
  type Rig,
  USUAL_WINDOW,
  type WindowLight,
} from '../../rig';
import type { Measured } from '../measured';
import { pass } from '../pass';
import {
  cross,
  dot,
  eyesOf,
  fromTo,
  type InRoom,
  looking,
  middleM,
  type Opened,
  openings,
  rightOf,
  stood,
  type Stood,
  times,
  unit,
  type Vector,
} from '../place';
import type { Shining } from './photometry';
import { sunLight, type SunLight, uprightSkyLux } from './sun';

/** Everything that gives light in the room. */

/** A lamp, a window or a screen, as it shines. */
export interface LightSource extends Shining {
  readonly id: string;
  readonly of: 'lamp' | 'window' | 'screen';
  /** What it is turned up to, 0 to 1 */
  readonly share: number;
  readonly kelvin: number;
  /** From the mains or a battery, at full. @unit W; 0 for daylight */
  readonly watts: number;
  /** The sun through a window: where its beam falls; null where none shines in */
  readonly beam: SunBeam | null;
  readonly lamp: Lamp | null;
  readonly figures: LightFigures | null;
}

/** The sun as it comes through a window. */
export interface SunBeam {
  readonly towards: Vector;
  /** On a plane that looks at the sun, behind the glass. @unit lux */
  readonly lux: number;
}

/** Colours of daylight: the sun itself, the sky, clouds. Typical. @unit K */
const SUN_K = 5300;
const SKY_K = 7500;
const CLOUD_K = 6500;
/** What something thin before a window lets through, scattered. Typical. */
const SHEER = 0.5;

/** What a lamp gives on its axis with what it wears. @unit lux at 1 m */
export const lampLux = (figures: Pick<LightFigures, 'luxAt1m'>, { modifier }: Lamp): number =>
  figures.luxAt1m * (modifier?.transmission ?? 1);

/** Where a lamp points, as a unit vector. */
const axisOf = (rig: Rig, { spot }: Stood, at: InRoom, { aim }: Lamp): Vector => {
  const target = targetOf(rig, aim);
  if (target) {
    const towards = unit(fromTo(at, target));
    if (Math.hypot(...towards) > 0) return towards;
  }
  return looking(spot.facingDeg, aim.at === 'turned' ? aim.downDeg : 0);
};

/** The point that is aimed at. @returns null where a lamp points as it stands */
export const targetOf = (rig: Rig, aim: Lamp['aim']): InRoom | null => {
  switch (aim.at) {
    case 'turned':
      return null;
    case 'point':
      return { xM: aim.xM, yM: aim.yM, zM: aim.zM };
    case 'person': {
      const person = entry(rig.people, aim.personId);
      return person ? eyesOf(person) : null;
    }
    case 'backdrop': {
      const backdrop = entry(rig.backdrops, aim.backdropId);
      return backdrop
        ? {
            xM: backdrop.at.xM,
            yM: backdrop.at.yM,
            zM: backdrop.bottomM + (backdrop.is === 'area' ? 0 : backdrop.heightM / 2),
          }
        : null;
    }
  }
};

const axes = (axis: Vector): Pick<Shining, 'axis' | 'right' | 'up'> => {
  const right = rightOf(axis);
  return { axis, right, up: cross(right, axis) };
};

/** Heights of lamps nobody has said anything of. @unit m */
export const USUAL_LAMP_M = 1.9;

const lampOf = (
  measured: Measured,
  standing: Stood,
  device: Device,
  figures: LightFigures,
): LightSource => {
  const lamp = entry(measured.rig.lamps, standing.id) ?? BARE_LAMP;
  const at = { ...standing.spot, zM: middleM(standing) ?? USUAL_LAMP_M };
  const { modifier } = lamp;
  return {
    id: standing.id,
    of: 'lamp',
    at: { xM: at.xM, yM: at.yM, zM: at.zM },
    ...axes(axisOf(measured.rig, standing, at, lamp)),
    luxAt1m: lampLux(figures, lamp),
    beamDeg: modifier?.beamDeg ?? figures.beamDeg,
    widthM: modifier?.widthM ?? figures.widthM,
    heightM: modifier?.heightM ?? figures.heightM,
    share: (levelOf(device)?.dimmer ?? 100) / 100,
    kelvin: kelvinOf(device) ?? measured.rig.lightRules.whiteK,
    watts: standing.body?.heatW ?? 0,
    beam: null,
    lamp,
    figures,
  };
};

/** Luminance of a screen that shows something of middle brightness, and its colour. Typical. */
const SCREEN_CD_M2 = 100;
const SCREEN_K = 6500;
/** Of the body of a screen, the part that shines. */
const SCREEN_SHARE = 0.75;

const screenOf = (standing: Stood): LightSource | null => {
  const { body } = standing;
  const zM = middleM(standing);
  if (!body || zM === null || body.mount === 'on a thread') return null;
  const heightM = SCREEN_SHARE * body.heightM;
  return {
    id: standing.id,
    of: 'screen',
    at: { xM: standing.spot.xM, yM: standing.spot.yM, zM: zM + (body.heightM - heightM) / 2 },
    ...axes(looking(standing.spot.facingDeg)),
    luxAt1m: SCREEN_CD_M2 * body.widthM * heightM,
    beamDeg: 120,
    widthM: body.widthM,
    heightM,
    share: 1,
    kelvin: SCREEN_K,
    watts: 0,
    beam: null,
    lamp: null,
    figures: null,
  };
};

/** What a window gives at a moment: as a face that shines, and the sun that comes through. */
export const windowOf = (
  { id, opening, from, to, inwardDeg }: Opened,
  light: WindowLight,
  sun: SunLight | null,
): LightSource | null => {
  const inward = looking(inwardDeg);
  const areaM2 = opening.widthM * opening.heightM;
  const open = light.transmission * light.openShare * (light.isSheer ? SHEER : 1);
  // From outside the sun must stand before the glass.
  const intoDeg = sun ? -dot(sun.towards, inward) : 0;
  const sunOnGlass = sun ? sun.sunLux * Math.max(0, intoDeg) : 0;
  const scattered = sun ? uprightSkyLux(sun) + (light.isSheer ? sunOnGlass : 0) : 0;
  const luxAt1m = light.luxAt1m ?? (open * scattered * areaM2) / Math.PI;
  const shinesIn =
    open > 0 && sun !== null && sunOnGlass > 0 && !light.isSheer && light.luxAt1m === null;
  if (luxAt1m === 0 && !shinesIn) return null;
  return {
    id,
    of: 'window',
    at: {
      xM: (from.xM + to.xM) / 2,
      yM: (from.yM + to.yM) / 2,
      zM: opening.bottomM + opening.heightM / 2,
    },
    ...axes(inward),
    luxAt1m,
    beamDeg: 120,
    widthM: opening.widthM,
    heightM: opening.heightM,
    share: 1,
    kelvin: sun === null || sun.sunLux === 0 ? CLOUD_K : light.isSheer ? SUN_K : SKY_K,
    watts: 0,
    beam: shinesIn ? { towards: sun.towards, lux: open * sun.sunLux } : null,
    lamp: null,
    figures: null,
  };
};

/** The windows at a moment. @param atMin minutes after midnight; ignored where there is no sky */
export const windowsAt = (measured: Measured, atMin: number): readonly LightSource[] => {
  const { sky, windows } = measured.rig;
  const sun = sky && sunLight(sky, atMin);
  return openings(measured).flatMap((opened) => {
    if (opened.opening.what !== 'window') return [];
    const light = entry(windows, opened.id) ?? USUAL_WINDOW;
    if (!sun && light.luxAt1m === null) return [];
    return windowOf(opened, light, sun) ?? [];
  });
};

/** Every lamp that stands somewhere, in the rig's order. */
export const lampSources = pass(
  'lamps',
  (measured): readonly LightSource[] =>
    stood(measured).flatMap((standing) => {
      const device = measured.device({ id: standing.id });
      const { light } = device.model;
      return light ? [lampOf(measured, standing, device, light)] : [];
    }),
  isDeepEqual,
);

/** Lamps that are in the rig and stand nowhere yet. */
export const lampsNowhere = pass('lamps nowhere', (measured): readonly string[] => {
  const placed = new Set(stood(measured).map(({ id }) => id));
  return inOrder(Object.fromEntries(measured.devices())).flatMap(([id, { model }]) =>
    model.light && !placed.has(id) ? [id] : [],
  );
});

/** Everything that gives light, when the show begins. */
export const lightSources = pass(
  'light sources',
  (measured): readonly LightSource[] => [
    ...lampSources(measured),
    ...windowsAt(measured, measured.rig.sky?.atMin ?? 0),
    ...stood(measured).flatMap((standing) =>
      standing.kind === 'display' ? (screenOf(standing) ?? []) : [],
    ),
  ],
  isDeepEqual,
);

/** Whether anybody has said anything of light: lamps, a sky or a window that was measured. */
export const isLit = pass(
  'is lit',
  (measured): boolean =>
    lampSources(measured).length > 0 ||
    measured.rig.sky !== null ||
    Object.values(measured.rig.windows).some(({ luxAt1m }) => luxAt1m !== null),
);

/** Whether the sun reaches a point through a window. */
export const sunReaches = (source: LightSource, point: InRoom): boolean => {
  const { beam } = source;
  if (!beam) return false;
  const towardsWall = dot(fromTo(point, source.at), source.axis);
  const pace = dot(beam.towards, source.axis);
  // Both lead out through the wall: against the way the window looks in.
  if (towardsWall >= 0 || pace >= 0) return false;
  const way = times(beam.towards, towardsWall / pace);
  const at: InRoom = { xM: point.xM + way[0], yM: point.yM + way[1], zM: point.zM + way[2] };
  const off = fromTo(source.at, at);
  return (
    Math.abs(dot(off, source.right)) <= source.widthM / 2 &&
    Math.abs(dot(off, source.up)) <= source.heightM / 2
  );
};
