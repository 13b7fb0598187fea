import { anyId, anyOf, type Chance, tenths } from '../chance';
import { collection } from '../collection';
import { deviceName } from '../devices/names';
import { entry, mustHave } from '../order';
import { refusals } from '../refusal';
import type { Rig } from '../rig';
import { type DraftRig, type Gone, missing, type Problem } from '../slice';
import { type Reading, readingSchema } from './schema';

export { blank, shape } from './shape';

/** What was read off recordings: levels of voices, and how long the room rings. */

const whatText = ({ of }: Pick<Reading, 'of'>, rig: Rig): string =>
  of.is === 'room'
    ? `that the room rings ${Number(of.rt60S.toFixed(2))} s`
    : `${deviceName(rig, of.soundId)} at ${Number(of.levelDbfs.toFixed(1))} dBFS`;

const anyVoice = (chance: Chance, rig: Rig): Reading['of'] => {
  const inputId = anyId(chance, rig.devices) ?? 'nobody';
  return {
    is: 'voice',
    soundId: anyId(chance, rig.devices) ?? 'nobody',
    inputId,
    portId: anyOf(chance, Object.keys(entry(rig.devices, inputId)?.model.ports ?? {})) ?? 'nowhere',
    levelDbfs: tenths(chance, -60, 0),
    peakDbfs: tenths(chance, -40, 0),
    noiseDbfsA: chance.once(2) ? null : tenths(chance, -90, -40),
    predictedDbfs: chance.once(2) ? null : tenths(chance, -60, 0),
    wayDb: chance.once(2) ? null : tenths(chance, -120, -60),
  };
};

export const commands = collection({
  key: 'reading',
  many: 'readings of recordings',
  fields: readingSchema.omit({ order: true }),
  at: (rig) => rig.readings,
  read: (rig) => rig.readings,
  none: refusals.noReading,
  check: (rig, { of }) => {
    if (of?.is !== 'voice') return;
    mustHave(entry(rig.devices, of.soundId), refusals.noDevice(of.soundId));
    const { model } = mustHave(entry(rig.devices, of.inputId), refusals.noDevice(of.inputId));
    mustHave(
      entry(model.ports, of.portId),
      refusals.noPort(deviceName(rig, of.inputId), of.portId),
    );
  },
  says: {
    add: (reading, rig) => `Measured ${whatText(reading, rig)}.`,
    change: (name) => `Changed ${name}.`,
    remove: (name) => `Forgot ${name}.`,
    name: (reading, rig) => `that was measured ${whatText(reading, rig)}`,
  },
  arbitrary: (chance, rig) => ({
    of: chance.once(3)
      ? { is: 'room' as const, rt60S: 0.4, spreadS: 0.05, predictedS: null, builtS: 0.5 }
      : anyVoice(chance, rig),
    on: chance.once(2) ? null : '2026-11-28',
    file: null,
  }),
});

const devicesOf = ({ of }: Reading): readonly string[] =>
  of.is === 'voice' ? [of.soundId, of.inputId] : [];

export const problems = (rig: Rig): Problem[] =>
  Object.entries(rig.readings).flatMap(([id, { of }]) =>
    of.is === 'voice'
      ? (['soundId', 'inputId'] as const).flatMap((key) =>
          missing(rig.devices, 'device', ['readings', id, 'of', key], of[key]),
        )
      : [],
  );

export const forget = (rig: DraftRig, { kind, id }: Gone): void => {
  if (kind !== 'device') return;
  for (const [key, reading] of Object.entries(rig.readings))
    if (devicesOf(reading).includes(id)) delete rig.readings[key];
};

export const limits = {};
