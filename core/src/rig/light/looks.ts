import { z } from 'zod';
import { anyId } from '../chance';
import { idSchema, nameSchema } from '../ids';
import { asItStands, entry, mustHave, nextOrder } from '../order';
import { refusals } from '../refusal';
import type { Rig } from '../rig';
import { command, type DraftRig } from '../slice';
import { levelOf } from './levels';
import { lookSchema } from './schema';

/** Looks of a set: kept, called up, and cued with scenes. */

export const MAX_LOOKS = 100;

const lookName = (rig: Rig, id: string): string => entry(rig.looks, id)?.name ?? `“${id}”`;

/** Sets a control as near to a value as it goes. */
const setWithin = (device: DraftRig['devices'][string], controlId: string, value: number): void => {
  const control = entry(device.model.controls, controlId);
  if (control?.type === 'amount')
    device.settings[controlId] = Math.min(control.max, Math.max(control.min, value));
};

export const LOOK_COMMANDS = {
  /** Keeps what every lamp is set to now, as a new look or in place of what a look was */
  keepLook: command({
    schema: z.strictObject({
      lookId: idSchema,
      name: nameSchema,
      setId: lookSchema.shape.setId,
    }),
    apply: (rig, { lookId, name, setId }) => {
      if (setId !== null) mustHave(entry(rig.sets, setId), refusals.noSet(setId));
      const before = entry(rig.looks, lookId);
      if (!before && Object.keys(rig.looks).length >= MAX_LOOKS)
        throw refusals.tooMany('looks', MAX_LOOKS);
      const now = asItStands(rig);
      rig.looks[lookId] = {
        name,
        setId,
        levels: Object.fromEntries(
          Object.entries(now.devices).flatMap(([id, device]) => {
            const level = levelOf(device);
            return level ? [[id, level] as const] : [];
          }),
        ),
        order: before?.order ?? nextOrder(rig.looks),
      };
    },
    says: (rig, { lookId, name }) =>
      entry(rig.looks, lookId)
        ? `Kept the lamps as they are set as the look ${name}.`
        : `Made the lamps as they are set the look ${name}.`,
    arbitrary: (chance, rig) => ({
      lookId: (chance.once(2) ? anyId(chance, rig.looks) : null) ?? chance.oneOf(['one', 'two']),
      name: chance.oneOf(['Talk', 'Wheel', 'Night']),
      setId: chance.once(2) ? null : anyId(chance, rig.sets),
    }),
  }),
  /** Sets every lamp to what it is in a look; lamps that came later stay as they are */
  recallLook: command({
    schema: z.strictObject({ lookId: idSchema }),
    apply: (rig, { lookId }) => {
      const look = asItStands(mustHave(entry(rig.looks, lookId), refusals.noLook(lookId)));
      for (const [id, { dimmer, kelvin }] of Object.entries(look.levels)) {
        const device = entry(rig.devices, id);
        const light = device?.model.light;
        if (!device || !light) continue;
        setWithin(device, light.dimmerControl, dimmer);
        if (light.colourControl !== undefined && kelvin !== null)
          setWithin(device, light.colourControl, kelvin);
      }
    },
    says: (rig, { lookId }) => `Set the lamps to the look ${lookName(rig, lookId)}.`,
    arbitrary: (chance, rig) => {
      const lookId = anyId(chance, rig.looks);
      return lookId === null ? null : { lookId };
    },
  }),
  removeLook: command({
    schema: z.strictObject({ lookId: idSchema }),
    apply: (rig, { lookId }) => {
      mustHave(entry(rig.looks, lookId), refusals.noLook(lookId));
      delete rig.looks[lookId];
      for (const [sceneId, of] of Object.entries(rig.cues))
        if (of === lookId) delete rig.cues[sceneId];
    },
    says: (rig, { lookId }) => `Removed the look ${lookName(rig, lookId)}.`,
    arbitrary: (chance, rig) => {
      const lookId = anyId(chance, rig.looks);
      return lookId === null ? null : { lookId };
    },
  }),
  /** Which look is called up with a scene; null = none */
  cueScene: command({
    schema: z.strictObject({ sceneId: idSchema, lookId: idSchema.nullable() }),
    apply: (rig, { sceneId, lookId }) => {
      mustHave(entry(rig.scenes, sceneId), refusals.noScene(sceneId));
      if (lookId === null) delete rig.cues[sceneId];
      else {
        mustHave(entry(rig.looks, lookId), refusals.noLook(lookId));
        rig.cues[sceneId] = lookId;
      }
    },
    says: (rig, { sceneId, lookId }) => {
      const scene = entry(rig.scenes, sceneId)?.name ?? `“${sceneId}”`;
      return lookId === null
        ? `Took the look off the scene ${scene}.`
        : `Cued the look ${lookName(rig, lookId)} with the scene ${scene}.`;
    },
    arbitrary: (chance, rig) => {
      const sceneId = anyId(chance, rig.scenes);
      return sceneId === null
        ? null
        : { sceneId, lookId: chance.once(4) ? null : anyId(chance, rig.looks) };
    },
  }),
};
