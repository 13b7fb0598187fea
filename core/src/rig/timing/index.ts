import { z } from 'zod';
import { anyId, anyOf, someOf, tenths } from '../chance';
import { collection } from '../collection';
import { deviceName } from '../devices/names';
import { idSchema } from '../ids';
import { entry, mustHave } from '../order';
import { refusals } from '../refusal';
import type { Rig } from '../rig';
import { command, type DraftRig, type Gone, missing, type Problem } from '../slice';
import {
  MOST_SET,
  knownDelaySchema,
  offsetSchema,
  setDelaySchema,
  timeRulesSchema,
} from './schema';

export { blank, shape } from './shape';

/** Delays that are set, those that are known of devices, and offsets that were measured. */

const inMs = (ms: number): string => `${Number(ms.toFixed(2))} ms`;

const checkDevices = (rig: DraftRig, ids: readonly (string | undefined)[]): void => {
  for (const id of ids)
    if (id !== undefined) mustHave(entry(rig.devices, id), refusals.noDevice(id));
};

export const commands = {
  setTimeRules: command({
    schema: z.strictObject({ timeRules: timeRulesSchema.partial() }),
    apply: (rig, { timeRules }) => {
      Object.assign(rig.timeRules, timeRules);
    },
    says: () => 'Changed how far apart sound and picture may be.',
    arbitrary: (chance) => ({
      timeRules: someOf(chance, {
        earlyMs: chance.integer(5, 60),
        lateMs: chance.integer(15, 125),
      }),
    }),
  }),
  /** Sets what is delayed at a socket; null lets it through at once */
  setDelay: command({
    schema: z.strictObject({
      deviceId: idSchema,
      portId: idSchema,
      signal: setDelaySchema.shape.signal,
      ms: setDelaySchema.shape.ms.nullable(),
    }),
    apply: (rig, { deviceId, portId, signal, ms }) => {
      const { model } = mustHave(entry(rig.devices, deviceId), refusals.noDevice(deviceId));
      mustHave(entry(model.ports, portId), refusals.noPort(deviceName(rig, deviceId), portId));
      const others = (entry(rig.delays, deviceId) ?? []).filter(
        (set) => set.portId !== portId || set.signal !== signal,
      );
      const all = ms === null ? others : [...others, { portId, signal, ms }];
      if (all.length > MOST_SET)
        throw refusals.tooMany(`delays at ${deviceName(rig, deviceId)}`, MOST_SET);
      if (all.length === 0) delete rig.delays[deviceId];
      else
        rig.delays[deviceId] = all.sort((a, b) =>
          `${a.portId} ${a.signal}` < `${b.portId} ${b.signal}` ? -1 : 1,
        );
    },
    says: (rig, { deviceId, portId, signal, ms }) => {
      const port = entry(entry(rig.devices, deviceId)?.model.ports ?? {}, portId)?.name ?? portId;
      const where = `${port} of ${deviceName(rig, deviceId)}`;
      return ms === null
        ? `Took the delay of ${signal} off ${where}.`
        : `Delayed ${signal} at ${where} by ${inMs(ms)}.`;
    },
    arbitrary: (chance, rig) => {
      const deviceId = anyId(chance, rig.devices);
      const ports = deviceId === null ? {} : (entry(rig.devices, deviceId)?.model.ports ?? {});
      const portId = anyOf(chance, Object.keys(ports));
      return deviceId === null || portId === null
        ? null
        : {
            deviceId,
            portId,
            signal: chance.oneOf(['sound', 'picture']),
            ms: chance.once(4) ? null : chance.integer(1, 400),
          };
    },
  }),
  ...collection({
    key: 'knownDelay',
    many: 'delays of devices that are known',
    fields: knownDelaySchema.omit({ order: true }),
    at: (rig) => rig.knownDelays,
    read: (rig) => rig.knownDelays,
    none: refusals.noKnownDelay,
    check: (rig, { deviceId }) => checkDevices(rig, [deviceId]),
    says: {
      add: ({ deviceId, ms, by }, rig) =>
        `Noted that ${deviceName(rig, deviceId)} takes ${inMs(ms)}, ` +
        (by === 'measured' ? 'as measured.' : 'by its data sheet.'),
      change: (name) => `Changed ${name}.`,
      remove: (name) => `Forgot ${name}.`,
      name: ({ deviceId }, rig) => `how long ${deviceName(rig, deviceId)} takes`,
    },
    arbitrary: (chance, rig) => {
      const deviceId = anyId(chance, rig.devices);
      const routes = deviceId === null ? {} : (entry(rig.devices, deviceId)?.model.routes ?? {});
      return {
        deviceId: deviceId ?? 'nobody',
        routeId: anyOf(chance, Object.keys(routes)),
        ms: tenths(chance, 0, 2000),
        spreadMs: tenths(chance, 0, 100),
        by: chance.oneOf(['data sheet', 'measured']),
        on: chance.once(2) ? null : '2026-11-20',
        heldWhile: '',
      };
    },
  }),
  ...collection({
    key: 'offset',
    many: 'measured offsets',
    fields: offsetSchema.omit({ order: true }),
    at: (rig) => rig.offsets,
    read: (rig) => rig.offsets,
    none: refusals.noOffset,
    check: (rig, { soundId, pictureId, placeId }) =>
      checkDevices(rig, [soundId, pictureId, placeId]),
    says: {
      add: ({ offsetMs, soundId, pictureId, placeId }, rig) =>
        `Measured ${deviceName(rig, soundId)} ${inMs(Math.abs(offsetMs))} ${offsetMs < 0 ? 'before' : 'after'} ` +
        `${deviceName(rig, pictureId)} at ${deviceName(rig, placeId)}.`,
      change: (name) => `Changed ${name}.`,
      remove: (name) => `Forgot ${name}.`,
      name: ({ placeId }, rig) => `what was measured at ${deviceName(rig, placeId)}`,
    },
    arbitrary: (chance, rig) => ({
      soundId: anyId(chance, rig.devices) ?? 'nobody',
      pictureId: anyId(chance, rig.devices) ?? 'nobody',
      placeId: anyId(chance, rig.devices) ?? 'nobody',
      offsetMs: tenths(chance, -2000, 2000),
      spreadMs: tenths(chance, 0, 50),
      setMs: 0,
      on: chance.once(2) ? null : '2026-11-20',
      heldWhile: '',
      file: null,
    }),
  }),
};

export const problems = (rig: Rig): Problem[] => [
  ...Object.keys(rig.delays).flatMap((deviceId) =>
    missing(rig.devices, 'device', ['delays', deviceId], deviceId),
  ),
  ...Object.entries(rig.knownDelays).flatMap(([id, { deviceId }]) =>
    missing(rig.devices, 'device', ['knownDelays', id, 'deviceId'], deviceId),
  ),
  ...Object.entries(rig.offsets).flatMap(([id, offset]) =>
    (['soundId', 'pictureId', 'placeId'] as const).flatMap((key) =>
      missing(rig.devices, 'device', ['offsets', id, key], offset[key]),
    ),
  ),
];

export const forget = (rig: DraftRig, { kind, id }: Gone): void => {
  if (kind !== 'device') return;
  delete rig.delays[id];
  for (const [key, { deviceId }] of Object.entries(rig.knownDelays))
    if (deviceId === id) delete rig.knownDelays[key];
  for (const [key, { soundId, pictureId, placeId }] of Object.entries(rig.offsets))
    if ([soundId, pictureId, placeId].includes(id)) delete rig.offsets[key];
};

export const limits = {};
