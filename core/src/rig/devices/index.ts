import { z } from 'zod';
import { anyId, anyOf, type Chance, newId, tenths } from '../chance';
import { idSchema, nameSchema } from '../ids';
import { asItStands, entry, mustHave, nextOrder } from '../order';
import { refusals } from '../refusal';
import type { Rig } from '../rig';
import { anySpot } from '../room/any-spot';
import { aimSchema, spotSchema } from '../room/schema';
import { command, type DraftRig, type Gone, missing, type Problem } from '../slice';
import { figurePaths, setFigure } from './figures';
import { modelSchema } from './checked-model';
import type { Control, ControlValue } from './model';
import { deviceName } from './names';
import { replaceModel } from './replace-model';
import { OWNERSHIPS } from './ownership';
import { MAX_DEVICES, settingSchema } from './schema';
import { settingProblem, settingText } from './settings';
import { takeThing } from './take-thing';

export { blank, shape } from './shape';

/** What the rig is made of: each device with its model, its settings, and whose and where it is. */

const deviceIn = (rig: DraftRig, id: string) =>
  mustHave(entry(rig.devices, id), refusals.noDevice(id));

const checkOwners = (rig: DraftRig, personId: string | null, placeId: string | null): void => {
  if (personId !== null) mustHave(entry(rig.people, personId), refusals.noPerson(personId));
  if (placeId !== null) mustHave(entry(rig.places, placeId), refusals.noPlace(placeId));
};

const sightName = (rig: Rig, id: string): string =>
  entry(rig.brief?.sights ?? {}, id)?.name ?? `“${id}”`;

const ownersText = (rig: Rig, personId: string | null, placeId: string | null): string =>
  [
    ...(personId === null ? [] : [entry(rig.people, personId)?.name ?? personId]),
    ...(placeId === null ? [] : [entry(rig.places, placeId)?.name ?? placeId]),
  ].join(', ');

const anyValue = (chance: Chance, control: Control): ControlValue => {
  switch (control.type) {
    case 'switch':
      return chance.once(2);
    case 'choice':
      return anyOf(chance, control.options)?.value ?? control.initial;
    case 'gain':
      return tenths(chance, Math.ceil(control.minDb) - 1, Math.floor(control.maxDb) + 1);
    case 'amount':
      return control.min + ((control.max - control.min) * chance.integer(0, 21)) / 20;
  }
};

/** What a test does to one of the rig's devices; null where it has none. */
const ofOne =
  <More extends object>(more: (chance: Chance, rig: Rig, deviceId: string) => More | null) =>
  (chance: Chance, rig: Rig): ({ deviceId: string } & More) | null => {
    const deviceId = anyId(chance, rig.devices);
    const rest = deviceId === null ? null : more(chance, rig, deviceId);
    return deviceId === null || rest === null ? null : { deviceId, ...rest };
  };

export const commands = {
  addDevice: command({
    schema: z.strictObject({
      deviceId: idSchema,
      name: nameSchema,
      model: modelSchema,
      settings: z.record(idSchema, settingSchema),
      personId: idSchema.nullable(),
      placeId: idSchema.nullable(),
    }),
    apply: (rig, { deviceId, name, model, settings, personId, placeId }) => {
      if (entry(rig.devices, deviceId)) throw refusals.idTaken(deviceId);
      if (Object.keys(rig.devices).length >= MAX_DEVICES)
        throw refusals.tooMany('devices', MAX_DEVICES);
      checkOwners(rig, personId, placeId);
      for (const [control, value] of Object.entries(settings)) {
        const problem = settingProblem(model, control, value);
        if (problem) throw refusals.badSetting(name, problem);
      }
      rig.devices[deviceId] = {
        name,
        model,
        settings: { ...settings },
        personId,
        placeId,
        sightId: null,
        lensId: null,
        price: null,
        ownership: 'to buy',
        at: null,
        heightM: null,
        on: null,
        aim: null,
        order: nextOrder(rig.devices),
      };
    },
    says: (_rig, { name, model }) =>
      name === model.name ? `Added ${name}.` : `Added ${name}, a ${model.name}.`,
    arbitrary: (chance, rig) => {
      const model = anyOf(chance, chance.models);
      if (!model) return null;
      return {
        deviceId: newId(chance, 'device'),
        name: chance.oneOf(['One', 'Two']),
        model,
        settings: {},
        personId: anyId(chance, rig.people),
        placeId: anyId(chance, rig.places),
      };
    },
  }),
  removeDevice: command({
    schema: z.strictObject({ deviceId: idSchema }),
    apply: (rig, { deviceId }, forget) => {
      deviceIn(rig, deviceId);
      forget({ kind: 'device', id: deviceId });
      delete rig.devices[deviceId];
    },
    says: (rig, { deviceId }) => `Removed ${deviceName(rig, deviceId)} and its cables.`,
    arbitrary: ofOne(() => ({})),
  }),
  renameDevice: command({
    schema: z.strictObject({ deviceId: idSchema, name: nameSchema }),
    apply: (rig, { deviceId, name }) => {
      deviceIn(rig, deviceId).name = name;
    },
    says: (rig, { deviceId, name }) => `Renamed ${deviceName(rig, deviceId)} to ${name}.`,
    arbitrary: ofOne((chance) => ({ name: chance.oneOf(['Three', 'Four']) })),
  }),
  assignDevice: command({
    schema: z.strictObject({
      deviceId: idSchema,
      personId: idSchema.nullable(),
      placeId: idSchema.nullable(),
    }),
    apply: (rig, { deviceId, personId, placeId }) => {
      const device = deviceIn(rig, deviceId);
      checkOwners(rig, personId, placeId);
      device.personId = personId;
      device.placeId = placeId;
    },
    says: (rig, { deviceId, personId, placeId }) =>
      personId === null && placeId === null
        ? `Took ${deviceName(rig, deviceId)} out of its group.`
        : `Gave ${deviceName(rig, deviceId)} to ${ownersText(rig, personId, placeId)}.`,
    arbitrary: ofOne((chance, rig) => ({
      personId: anyId(chance, rig.people),
      placeId: anyId(chance, rig.places),
    })),
  }),
  /** Says which sight of the brief a camera or player shows */
  showSight: command({
    schema: z.strictObject({ deviceId: idSchema, sightId: idSchema.nullable() }),
    apply: (rig, { deviceId, sightId }) => {
      if (sightId !== null) {
        const { sights } = mustHave(rig.brief ?? undefined, refusals.noBrief());
        mustHave(entry(sights, sightId), refusals.noSight(sightId));
      }
      deviceIn(rig, deviceId).sightId = sightId;
    },
    says: (rig, { deviceId, sightId }) =>
      sightId === null
        ? `${deviceName(rig, deviceId)} shows nothing of the brief any more.`
        : `${deviceName(rig, deviceId)} shows ${sightName(rig, sightId)}.`,
    arbitrary: ofOne((chance, rig) => ({
      sightId: chance.once(4) ? null : anyId(chance, rig.brief?.sights ?? {}),
    })),
  }),
  /** Says where a device stands, or how a microphone stands to its mouth */
  placeDevice: command({
    schema: z.strictObject({
      deviceId: idSchema,
      at: spotSchema.nullable(),
      aim: aimSchema.nullable(),
    }),
    apply: (rig, { deviceId, at, aim }) => {
      const device = deviceIn(rig, deviceId);
      Object.assign(device, { at, aim });
      if (at !== null) device.on = null;
    },
    says: (rig, { deviceId }) => `Placed ${deviceName(rig, deviceId)}.`,
    arbitrary: ofOne((chance) => ({
      at: chance.once(3) ? null : anySpot(chance),
      aim: chance.once(2)
        ? null
        : { bearingDeg: chance.integer(0, 90), offAxisDeg: chance.integer(0, 90) },
    })),
  }),
  setOwnership: command({
    schema: z.strictObject({
      deviceId: idSchema,
      ownership: z.enum(OWNERSHIPS),
      price: z.number().min(0).max(1e9).nullable(),
    }),
    apply: (rig, { deviceId, ownership, price }) => {
      Object.assign(deviceIn(rig, deviceId), { ownership, price });
    },
    says: (rig, { deviceId, ownership, price }) =>
      `${deviceName(rig, deviceId)} is ${ownership}${price === null ? '' : ` for ${price}`}.`,
    arbitrary: ofOne((chance) => ({
      ownership: chance.oneOf(OWNERSHIPS),
      price: anyOf(chance, [null, 10, 250]),
    })),
  }),
  takeThing,
  setControl: command({
    schema: z.strictObject({ deviceId: idSchema, control: idSchema, value: settingSchema }),
    apply: (rig, { deviceId, control, value }) => {
      const device = deviceIn(rig, deviceId);
      const problem = settingProblem(device.model, control, value);
      if (problem) throw refusals.badSetting(device.name, problem);
      device.settings[control] = value;
    },
    says: (rig, { deviceId, control, value }) => {
      const device = entry(rig.devices, deviceId);
      const label = (device && entry(device.model.controls, control)?.label) ?? control;
      const shown = device ? settingText(device, control, value) : String(value);
      return `Set ${label} of ${deviceName(rig, deviceId)} to ${shown}.`;
    },
    arbitrary: ofOne((chance, rig, deviceId) => {
      const controls = entry(rig.devices, deviceId)?.model.controls ?? {};
      const control = anyId(chance, controls);
      const known = control === null ? undefined : entry(controls, control);
      return control === null || !known ? null : { control, value: anyValue(chance, known) };
    }),
  }),
  /** Types a data-sheet figure over the typical one: `ports.in-1.inputOhms` */
  setFigure: command({
    schema: z.strictObject({
      deviceId: idSchema,
      path: z.string().max(200),
      value: z.number().nullable(),
    }),
    apply: (rig, { deviceId, path, value }) => {
      const device = deviceIn(rig, deviceId);
      device.model = setFigure(device.name, asItStands(device.model), path, value);
    },
    says: (rig, { deviceId, path, value }) =>
      `Set ${path} of ${deviceName(rig, deviceId)} to ${value ?? 'unknown'}, from its data sheet.`,
    arbitrary: ofOne((chance, rig, deviceId) => {
      const model = entry(rig.devices, deviceId)?.model;
      const path = model ? anyOf(chance, figurePaths(model)) : null;
      return path === null ? null : { path, value: anyOf(chance, [null, 1, 24, 600]) };
    }),
  }),
  /** Puts another model in a device's place: cables and settings that fit stay */
  replaceModel: command({
    schema: z.strictObject({ deviceId: idSchema, model: modelSchema }),
    apply: (rig, { deviceId, model }) =>
      replaceModel(rig, deviceIn(rig, deviceId), deviceId, model),
    says: (rig, { deviceId, model }) => `Made ${deviceName(rig, deviceId)} a ${model.name}.`,
    arbitrary: ofOne((chance) => {
      const model = anyOf(chance, chance.models);
      return model && { model };
    }),
  }),
};

export const problems = ({ devices, people, places, supports, brief }: Rig): Problem[] =>
  Object.entries(devices).flatMap(([id, device]) => {
    const at = ['devices', id];
    const { sightId } = device;
    const isSightMissing = sightId !== null && !entry(brief?.sights ?? {}, sightId);
    return [
      ...missing(people, 'person', [...at, 'personId'], device.personId),
      ...missing(places, 'place', [...at, 'placeId'], device.placeId),
      ...missing(supports, 'support', [...at, 'on'], device.on?.supportId ?? null),
      ...(isSightMissing
        ? [{ path: [...at, 'sightId'], says: `there is no sight "${sightId}" in the brief` }]
        : []),
      ...Object.entries(device.settings).flatMap(([control, value]) => {
        const says = settingProblem(device.model, control, value);
        return says ? [{ path: [...at, 'settings', control], says }] : [];
      }),
    ];
  });

export const forget = ({ devices }: DraftRig, { kind, id }: Gone): void => {
  if (kind === 'support') {
    for (const device of Object.values(devices)) if (device.on?.supportId === id) device.on = null;
    return;
  }
  if (kind !== 'person' && kind !== 'place' && kind !== 'sight') return;
  const key = `${kind}Id` as const;
  for (const device of Object.values(devices)) if (device[key] === id) device[key] = null;
};

export const limits = { devices: MAX_DEVICES };
