import { delayTimes } from '../../catalogue/delays';
import type { RouteOfModel, Stage } from '../../graph';
import { entry, type KnownDelay, numberSetting, type Rig, type SetDelay } from '../../rig';
import { framesPerSecond } from '../../units';
import type { Measured } from '../measured';
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
const routeStep = (measured: Measured, stage: Stage, of: RouteOfModel): DelayStep => {
  const deviceId = stage.at.device.id;
  const routeId = of.id;
  const known = knownStep(measured, deviceId, routeId);
  const ms = known ? known.ms : typicalMs(measured, stage, of);
  const { delay } = of.route;
  const isSet = delay !== null && 'control' in delay;
  const [least, most] = isSet ? [1, 1] : delayTimes(stage.at.device.model);
  // Field by field: a large rig has ten thousand of them.
  return {
    deviceId,
    key: knownKey(deviceId, routeId),
    routeId,
    ms,
    leastMs: known ? known.leastMs : least * (ms ?? 0),
    mostMs: known ? known.mostMs : most * (ms ?? 0),
    by: known ? known.by : isSet && ms !== null ? 'set' : 'typical',
  };
};

/** What is held back on purpose at the socket a thread stands at. */
const setStep = (delays: Rig['delays'], { at, signal }: Stage): DelayStep | null => {
  const deviceId = at.device.id;
  const set = entry(delays, deviceId)?.find(
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

/** What a stage adds to the delay of its thread. */
export interface StageSteps {
  /** By the device's own way; null at a source and at the far end of a cable */
  readonly route: DelayStep | null;
  /** Held back on purpose at its socket */
  readonly set: DelayStep | null;
}

const isSameStep = (before: DelayStep | null, after: DelayStep | null): boolean =>
  before === after ||
  (before !== null &&
    after !== null &&
    before.key === after.key &&
    before.ms === after.ms &&
    before.leastMs === after.leastMs &&
    before.mostMs === after.mostMs &&
    before.by === after.by);

/** What every stage adds, by stage index: threads share stages, so each is worked out once. */
export const stageSteps = pass(
  'delay steps',
  (measured): readonly StageSteps[] => {
    const { delays } = measured.rig;
    return measured.traced.stages.map((stage) => ({
      route: stage.via.by === 'route' ? routeStep(measured, stage, stage.via.route) : null,
      set: setStep(delays, stage),
    }));
  },
  (before, after) =>
    before.length === after.length &&
    before.every(({ route, set }, index) => {
      const now = after[index];
      return now !== undefined && isSameStep(route, now.route) && isSameStep(set, now.set);
    }),
);
