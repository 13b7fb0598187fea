import { z } from 'zod';
import { anyId, newId } from '../chance';
import { idSchema } from '../ids';
import { entry, mustHave } from '../order';
import { refusals } from '../refusal';
import { command } from '../slice';
import { deviceName } from './names';
import { OWNERSHIPS } from './ownership';

/** Says which of the studio's things a device or a lens is, and how that is had; null: none of them */
export const takeThing = command({
  schema: z.strictObject({
    of: z.enum(['device', 'lens']),
    id: idSchema,
    thingId: idSchema.nullable(),
    ownership: z.enum(OWNERSHIPS),
  }),
  apply: (rig, { of, id, thingId, ownership }) => {
    const item =
      of === 'device'
        ? mustHave(entry(rig.devices, id), refusals.noDevice(id))
        : mustHave(entry(rig.lenses, id), refusals.noLens(id));
    item.ownership = ownership;
    if (thingId === null) delete item.thingId;
    else item.thingId = thingId;
  },
  says: (rig, { of, id, thingId, ownership }) => {
    const name = of === 'device' ? deviceName(rig, id) : (entry(rig.lenses, id)?.name ?? 'a lens');
    return thingId === null
      ? `Made ${name} none of the studio’s things, but ${ownership}.`
      : `Took what the studio has for ${name}; it is ${ownership}.`;
  },
  arbitrary: (chance, rig) => {
    const of = chance.oneOf(['device', 'device', 'lens']);
    const id = anyId(chance, of === 'device' ? rig.devices : rig.lenses);
    return id === null
      ? null
      : {
          of,
          id,
          thingId: chance.once(4) ? null : newId(chance, 'thing'),
          ownership: chance.oneOf(OWNERSHIPS),
        };
  },
});
