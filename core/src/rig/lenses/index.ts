import { z } from 'zod';
import { anyId, anyOf } from '../chance';
import { collection } from '../collection';
import { deviceName } from '../devices/names';
import { idSchema } from '../ids';
import { entry, mustHave } from '../order';
import { refusals } from '../refusal';
import type { Rig } from '../rig';
import { command, type DraftRig, type Gone, missing, type Problem } from '../slice';
import { fitsOn, lensSchema } from './schema';
import { USUAL_LENSES } from './usual';

export { blank, shape } from './shape';

/** The lenses of the rig, and which camera has which. */

export const commands = {
  ...collection({
    key: 'lens',
    many: 'lenses',
    fields: lensSchema.omit({ order: true }),
    at: (rig) => rig.lenses,
    read: (rig) => rig.lenses,
    none: refusals.noLens,
    leaving: (id, forget) => forget({ kind: 'lens', id }),
    says: {
      add: ({ name }) => `Added the lens ${name}.`,
      change: (name) => `Changed what is known of the lens ${name}.`,
      remove: (name) => `Took the lens ${name} out of the rig.`,
      name: ({ name }) => name,
    },
    arbitrary: (chance) => anyOf(chance, USUAL_LENSES) ?? null,
  }),
  /** Puts a lens on a camera, or takes it off */
  mountLens: command({
    schema: z.strictObject({ deviceId: idSchema, lensId: idSchema.nullable() }),
    apply: (rig, { deviceId, lensId }) => {
      const device = mustHave(entry(rig.devices, deviceId), refusals.noDevice(deviceId));
      if (lensId !== null) {
        const lens = mustHave(entry(rig.lenses, lensId), refusals.noLens(lensId));
        if (!fitsOn(lens, device.model.camera?.mount))
          throw refusals.lensMisfit(lens.name, device.name, device.model.camera?.mount);
      }
      device.lensId = lensId;
    },
    says: (rig, { deviceId, lensId }) =>
      lensId === null
        ? `Took the lens off ${deviceName(rig, deviceId)}.`
        : `Put ${entry(rig.lenses, lensId)?.name ?? 'a lens'} on ${deviceName(rig, deviceId)}.`,
    arbitrary: (chance, rig) => {
      const takes = Object.keys(rig.devices).filter(
        (id) => entry(rig.devices, id)?.model.camera?.mount !== undefined,
      );
      const deviceId = anyOf(chance, takes) ?? anyId(chance, rig.devices);
      const lensId = chance.once(3) ? null : anyId(chance, rig.lenses);
      return deviceId === null ? null : { deviceId, lensId };
    },
  }),
};

export const problems = ({ devices, lenses }: Rig): Problem[] =>
  Object.entries(devices).flatMap(([id, { lensId }]) =>
    missing(lenses, 'lens', ['devices', id, 'lensId'], lensId),
  );

export const forget = ({ devices }: DraftRig, { kind, id }: Gone): void => {
  if (kind !== 'lens') return;
  for (const device of Object.values(devices)) if (device.lensId === id) device.lensId = null;
};

export const limits = {};
