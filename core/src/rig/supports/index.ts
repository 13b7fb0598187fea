import { z } from 'zod';
import { anyId, anyOf, type Chance, tenths } from '../chance';
import { collection } from '../collection';
import { idSchema } from '../ids';
import { entry, mustHave } from '../order';
import { refusals } from '../refusal';
import type { Rig } from '../rig';
import { anySpot } from '../room/any-spot';
import { command, type DraftRig, type Gone, type Problem } from '../slice';
import { standingSchema, supportSchema } from './schema';
import { USUAL_SUPPORTS } from './usual';

export { blank, shape } from './shape';

/** What carries devices. */

/** Whether `onId` is a desk: arms are clamped to those. */
const isDesk = (rig: DraftRig | Rig, onId: string): boolean =>
  entry(rig.supports, onId)?.figures.is === 'desk';

const deviceIn = (rig: DraftRig, id: string) =>
  mustHave(entry(rig.devices, id), refusals.noDevice(id));

const nameOf = (rig: Rig, id: string): string => entry(rig.devices, id)?.name ?? `“${id}”`;

const ofSupports = collection({
  key: 'support',
  many: 'supports',
  fields: supportSchema.omit({ order: true }),
  at: (rig) => rig.supports,
  read: (rig) => rig.supports,
  none: refusals.noSupport,
  check: (rig, { onId }) => {
    if (onId === undefined || onId === null) return;
    mustHave(entry(rig.supports, onId), refusals.noSupport(onId));
    if (!isDesk(rig, onId)) throw refusals.noClamp(entry(rig.supports, onId)?.name ?? onId);
  },
  leaving: (id, forget) => forget({ kind: 'support', id }),
  says: {
    add: ({ name }) => `Added ${name} to what carries things.`,
    change: (name, fields) =>
      fields.at !== undefined && Object.keys(fields).length === 1
        ? `Moved ${name}.`
        : `Changed ${name}.`,
    remove: (name) => `Took ${name} away.`,
    name: ({ name }) => name,
  },
  arbitrary: (chance: Chance, rig: Rig) => {
    const usual = anyOf(chance, USUAL_SUPPORTS);
    const desk = anyId(chance, rig.supports);
    return (
      usual && {
        name: usual.name,
        figures: usual.figures,
        at: chance.once(4) ? null : anySpot(chance),
        onId:
          usual.figures.is === 'arm' && desk !== null && isDesk(rig, desk) && chance.once(2)
            ? desk
            : null,
      }
    );
  },
});

export const commands = {
  ...ofSupports,
  /** What a device stands on, and where on it */
  standDevice: command({
    schema: z.strictObject({ deviceId: idSchema, on: standingSchema.nullable() }),
    apply: (rig, { deviceId, on }) => {
      const device = deviceIn(rig, deviceId);
      if (on) {
        mustHave(entry(rig.supports, on.supportId), refusals.noSupport(on.supportId));
        device.at = null;
      }
      device.on = on;
    },
    says: (rig, { deviceId, on }) => {
      const before = entry(rig.devices, deviceId)?.on ?? null;
      if (on === null) return `Took ${nameOf(rig, deviceId)} off what it stood on.`;
      const support = entry(rig.supports, on.supportId)?.name ?? `“${on.supportId}”`;
      return before?.supportId === on.supportId
        ? `Moved ${nameOf(rig, deviceId)} on ${support}.`
        : `Put ${nameOf(rig, deviceId)} on ${support}.`;
    },
    arbitrary: (chance: Chance, rig: Rig) => {
      const [deviceId, supportId] = [anyId(chance, rig.devices), anyId(chance, rig.supports)];
      if (deviceId === null) return null;
      const { xM, yM, facingDeg } = anySpot(chance);
      return {
        deviceId,
        on:
          supportId === null || chance.once(5)
            ? null
            : { supportId, xM: xM / 10, yM: yM / 10, turnDeg: facingDeg, upM: 0 },
      };
    },
  }),
  /** How high a device stands that stands by itself */
  raiseDevice: command({
    schema: z.strictObject({
      deviceId: idSchema,
      heightM: z.number().min(0).max(100).nullable(),
    }),
    apply: (rig, { deviceId, heightM }) => {
      deviceIn(rig, deviceId).heightM = heightM;
    },
    says: (rig, { deviceId, heightM }) =>
      heightM === null
        ? `Left open how high ${nameOf(rig, deviceId)} stands.`
        : `Set ${nameOf(rig, deviceId)} ${heightM} m above the floor.`,
    arbitrary: (chance: Chance, rig: Rig) => {
      const deviceId = anyId(chance, rig.devices);
      return deviceId === null ? null : { deviceId, heightM: tenths(chance, 0, 3) };
    },
  }),
};

export const problems = ({ supports }: Rig): Problem[] =>
  Object.entries(supports).flatMap(([id, { onId }]) =>
    onId === null || entry(supports, onId)?.figures.is === 'desk'
      ? []
      : [{ path: ['supports', id, 'onId'], says: `there is no desk "${onId}"` }],
  );

export const forget = ({ supports }: DraftRig, { kind, id }: Gone): void => {
  if (kind !== 'support') return;
  for (const support of Object.values(supports)) if (support.onId === id) support.onId = null;
};

export const limits = {};
