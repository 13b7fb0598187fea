import { entry } from '../../rig';
import type { Measured } from '../measured';
import { pass } from '../pass';
import { type InRoom, looking, UP, type Vector } from '../place';
import { directLux, litRoom, roomLuxOf } from './at';
import { faces } from './faces';
import { lampSources, type LightSource, sunReaches, windowsAt } from './sources';
import { sightsLit } from './spots';

/** Light through the show: what daylight does while the clock goes on. */

/** One moment of a place. */
export interface Moment {
  /** By the clock, minutes after midnight */
  readonly atMin: number;
  /** With every lamp as it is set. @unit lux */
  readonly lux: number;
  /** Of that, from windows. @unit lux */
  readonly windowLux: number;
  /** The window through which the sun reaches it; null where it does not */
  readonly sunThrough: LightSource | null;
}

/** A face or a sight through the show. */
export interface ThroughDay {
  readonly of: 'person' | 'sight';
  readonly id: string;
  readonly name: string;
  readonly moments: readonly Moment[];
  /** Brightest over darkest moment. @unit stops */
  readonly driftStops: number;
}

/** Moments lie so far apart. @unit min */
const STEP_MIN = 15;
/** A show nobody has said the length of. @unit min */
const USUAL_MIN = 60;

/** The moments of the show, from its begin to its end. @unit min after midnight */
export const momentsOf = ({ rig }: Pick<Measured, 'rig'>): number[] => {
  if (!rig.sky) return [];
  const { atMin } = rig.sky;
  const lengthMin = rig.brief?.lengthMin ?? USUAL_MIN;
  const steps = Math.ceil(lengthMin / STEP_MIN);
  return Array.from(
    { length: steps + 1 },
    (_, step) => atMin + Math.min(lengthMin, step * STEP_MIN),
  );
};

interface Place {
  readonly of: ThroughDay['of'];
  readonly id: string;
  readonly name: string;
  readonly at: InRoom;
  readonly normal: Vector;
}

const placesOf = (measured: Measured): Place[] => [
  ...faces(measured).flatMap(({ personId, name, eyes, person }) =>
    person.shot === null
      ? []
      : [
          {
            of: 'person' as const,
            id: personId,
            name,
            at: eyes,
            normal: looking(person.at?.facingDeg ?? 0),
          },
        ],
  ),
  ...sightsLit(measured).map(({ sightId, name, at }) => ({
    of: 'sight' as const,
    id: sightId,
    name,
    at,
    normal: UP,
  })),
];

/** Every face and sight through the show; empty where nobody has said where and when it is. */
export const throughDay = pass('light through the show', (measured): readonly ThroughDay[] => {
  const times = momentsOf(measured).map((atMin) => ({
    atMin,
    windows: windowsAt(measured, atMin),
  }));
  if (times.length === 0) return [];
  const room = litRoom(measured);
  const given = (sources: readonly LightSource[], place: Place): number =>
    sources.reduce(
      (sum, source) =>
        sum + source.share * (directLux(source, place.at, place.normal) + roomLuxOf(room, source)),
      0,
    );
  return placesOf(measured).map((place) => {
    const lampLux = given(lampSources(measured), place);
    const moments = times.map(({ atMin, windows }): Moment => {
      const windowLux = given(windows, place);
      return {
        atMin,
        lux: lampLux + windowLux,
        windowLux,
        sunThrough: windows.find((window) => sunReaches(window, place.at)) ?? null,
      };
    });
    const lux = moments.map((moment) => moment.lux);
    const [least, most] = [Math.min(...lux), Math.max(...lux)];
    return {
      of: place.of,
      id: place.id,
      name: place.name,
      moments,
      driftStops: least > 0 ? Math.log2(most / least) : most > 0 ? Infinity : 0,
    };
  });
});

/** A moment by the clock: `11:00`. */
export const clock = (atMin: number): string =>
  `${Math.floor(atMin / 60) % 24}:${String(atMin % 60).padStart(2, '0')}`;

/** Whether any window of the room lets daylight in that is not known. */
export const hasUnknownWindow = pass(
  'window not known',
  ({ rig }): boolean =>
    rig.sky === null &&
    Object.entries(rig.openings).some(
      ([id, { what }]) => what === 'window' && (entry(rig.windows, id)?.luxAt1m ?? null) === null,
    ),
);
