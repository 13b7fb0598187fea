import { delayTimes } from '../../catalogue/delays';
import type { RouteOfModel, Stage } from '../../graph';
import { entry, type KnownDelay, numberSetting, type SetDelay } from '../../rig';
import { framesPerSecond } from '../../units';
import type { Measured } from '../measure';
import { pass } from '../pass';

/** How long one step of a thread takes. Milliseconds. */

/** Where a figure comes from. */
export type DelayBy = 'typical' | 'data sheet' | 'measured' | 'set';

/** What one device or setting adds. */
export interface DelayStep {
  readonly deviceId: string;
  /** Which of its routes, or which socket: the same step of two threads has the same key */
  readonly key: string;
  /** The way through the device; null for a source, and for what is set at a socket */
  readonly routeId: string | null;
  /** null = not known */
  readonly ms: number | null;
  readonly leastMs: number;
  readonly mostMs: number;
  readonly by: DelayBy;
}

export const knownKey = (deviceId: string, routeId: string | null): string =>
  `${deviceId}|${routeId ?? ''}`;

const knownById = pass(
  'known delays',
  ({ rig }): ReadonlyMap<string, KnownDelay> =>
    new Map(
      Object.values(rig.knownDelays).map((known) => [
        knownKey(known.deviceId, known.routeId),
        known,
      ]),
    ),
);

/** What is known of a device, by its data sheet or measured. */
export const knownStep = (
  measured: Measured,
  deviceId: string,
  routeId: string | null,
): Pick<DelayStep, 'ms' | 'leastMs' | 'mostMs' | 'by'> | null => {
  const known = knownById(measured).get(knownKey(deviceId, routeId));
  return known
    ? {
        ms: known.ms,
        leastMs: Math.max(0, known.ms - known.spreadMs),
        mostMs: known.ms + known.spreadMs,
        by: known.by,
      }
    : null;
};

/** Typical delay of a route, in ms; null where nobody knows it. */
const typicalMs = (
  measured: Measured,
  { at, parent }: Stage,
  { route: { delay } }: RouteOfModel,
): number | null => {
  if (delay === null) return null;
  if ('ms' in delay) return delay.ms;
  if ('control' in delay) return numberSetting(measured.device(at.device), delay.control) ?? null;
  if (delay.frames === 0) return 0;
  const format = parent ? measured.picture[parent.index]?.format : null;
  // Two fields make a frame: two frames of 1080i50 are 80 ms.
  return format ? (1000 * delay.frames) / framesPerSecond(format) : null;
};

/** What a device's route adds to the thread that leaves by it. */
export const routeStep = (measured: Measured, stage: Stage, of: RouteOfModel): DelayStep => {
  const deviceId = stage.at.device.id;
  const key = knownKey(deviceId, of.id);
  const known = knownStep(measured, deviceId, of.id);
  const base = { deviceId, key, routeId: of.id };
  if (known) return { ...base, ...known };
  const ms = typicalMs(measured, stage, of);
  if (ms === null) return { ...base, ms, leastMs: 0, mostMs: 0, by: 'typical' };
  const { delay } = of.route;
  if (delay && 'control' in delay) return { ...base, ms, leastMs: ms, mostMs: ms, by: 'set' };
  const [least, most] = delayTimes(stage.at.device.model);
  return { ...base, ms, leastMs: least * ms, mostMs: most * ms, by: 'typical' };
};

/** What is held back on purpose at the socket a thread stands at. */
export const setStep = ({ rig }: Measured, { at, signal }: Stage): DelayStep | null => {
  const deviceId = at.device.id;
  const set = entry(rig.delays, deviceId)?.find(
    (one: SetDelay) => one.portId === at.id && one.signal === signal,
  );
  return set
    ? {
        deviceId,
        key: `${deviceId}|at ${at.id}|${signal}`,
        routeId: null,
        ms: set.ms,
        leastMs: set.ms,
        mostMs: set.ms,
        by: 'set',
      }
    : null;
};
