import { z } from 'zod';
import { anyId, anyOf, type Chance, someOf, tenths } from '../chance';
import { collection } from '../collection';
import { deviceName } from '../devices/names';
import { idSchema, nameSchema } from '../ids';
import { asItStands, entry, mustHave, nextOrder } from '../order';
import { refusals } from '../refusal';
import type { Rig } from '../rig';
import { anySpot } from '../room/any-spot';
import { command, type DraftRig, type Gone, missing, type Problem } from '../slice';
import { levelOf } from './levels';
import {
  BACKDROPS,
  BARE_LAMP,
  type Backdrop,
  backdropSchema,
  faceSchema,
  HUES,
  type Lamp,
  type LampAim,
  lampSchema,
  lightRulesSchema,
  lookSchema,
  skySchema,
  USUAL_FACE,
  USUAL_LIGHT_RULES,
  USUAL_WINDOW,
  windowLightSchema,
} from './schema';
import { USUAL_MODIFIERS } from './usual';

/** Light: lamps as they hang, windows, what is lit, and looks. */

export const shape = {
  lightRules: lightRulesSchema,
  /** null = nobody has said where and when */
  sky: skySchema.nullable(),
  /** By device */
  lamps: z.record(idSchema, lampSchema),
  /** By opening */
  windows: z.record(idSchema, windowLightSchema),
  backdrops: z.record(idSchema, backdropSchema),
  /** By person */
  faces: z.record(idSchema, faceSchema),
  looks: z.record(idSchema, lookSchema),
  /** Which look a scene calls up, by scene */
  cues: z.record(idSchema, idSchema),
};
export const blank = () => ({
  lightRules: USUAL_LIGHT_RULES,
  sky: null,
  lamps: {},
  windows: {},
  backdrops: {},
  faces: {},
  looks: {},
  cues: {},
});

const MAX_LOOKS = 100;

const personName = (rig: Rig, id: string): string => entry(rig.people, id)?.name ?? `“${id}”`;
const lookName = (rig: Rig, id: string): string => entry(rig.looks, id)?.name ?? `“${id}”`;

const checkAim = (rig: DraftRig, aim: LampAim): void => {
  if (aim.at === 'person')
    mustHave(entry(rig.people, aim.personId), refusals.noPerson(aim.personId));
  if (aim.at === 'backdrop')
    mustHave(entry(rig.backdrops, aim.backdropId), refusals.noBackdrop(aim.backdropId));
};

const aimText = (rig: Rig, aim: LampAim): string => {
  switch (aim.at) {
    case 'person':
      return `at ${personName(rig, aim.personId)}`;
    case 'backdrop':
      return `at ${entry(rig.backdrops, aim.backdropId)?.name ?? `“${aim.backdropId}”`}`;
    case 'point':
      return 'at a point in the room';
    case 'turned':
      return `${aim.downDeg}° down`;
  }
};

const lampSays = (rig: Rig, deviceId: string, lamp: Partial<Lamp>): string => {
  const name = deviceName(rig, deviceId);
  if (lamp.modifier) return `Put ${lamp.modifier.name} on ${name}.`;
  if (lamp.modifier === null && !lamp.aim) return `Took the modifier off ${name}.`;
  if (lamp.aim) return `Pointed ${name} ${aimText(rig, lamp.aim)}.`;
  return lamp.answers ? `Said that ${name} answers to ${lamp.answers.name}.` : `Changed ${name}.`;
};

const isLight = (rig: DraftRig | Rig, id: string): boolean =>
  entry(rig.devices, id)?.model.light !== undefined;

const anyLamp = (chance: Chance, rig: Rig): Lamp => {
  const [personId, backdropId] = [anyId(chance, rig.people), anyId(chance, rig.backdrops)];
  const { xM, yM } = anySpot(chance);
  const aims: LampAim[] = [
    { at: 'turned', downDeg: chance.integer(-10, 60) },
    { at: 'point', xM, yM, zM: tenths(chance, 0, 2) },
    ...(personId === null ? [] : [{ at: 'person' as const, personId }]),
    ...(backdropId === null ? [] : [{ at: 'backdrop' as const, backdropId }]),
  ];
  return {
    aim: anyOf(chance, aims) ?? BARE_LAMP.aim,
    modifier: chance.once(3) ? null : anyOf(chance, USUAL_MODIFIERS),
    answers: chance.once(2) ? null : { by: 'app', name: chance.oneOf(['Lights', 'Set']) },
  };
};

const ofBackdrops = collection({
  key: 'backdrop',
  many: 'backgrounds and screens',
  fields: backdropSchema.omit({ order: true }),
  at: (rig) => rig.backdrops,
  read: (rig) => rig.backdrops,
  none: refusals.noBackdrop,
  leaving: (id, forget) => forget({ kind: 'backdrop', id }),
  says: {
    add: ({ name }) => `Added ${name} to what light falls on.`,
    change: (name) => `Changed ${name}.`,
    remove: (name) => `Took ${name} away.`,
    name: ({ name }) => name,
  },
  arbitrary: (chance): Omit<Backdrop, 'order'> => ({
    name: chance.oneOf(['Back wall', 'Green screen', 'Board']),
    is: anyOf(chance, BACKDROPS) ?? 'wall',
    at: anySpot(chance),
    widthM: tenths(chance, 1, 5),
    heightM: tenths(chance, 1, 3),
    bottomM: 0,
    reflects: tenths(chance, 0.1, 0.9),
    hue: anyOf(chance, HUES) ?? 'neutral',
    mostLux: chance.once(3) ? 200 : null,
  }),
});

export const commands = {
  setLightRules: command({
    schema: z.strictObject({ lightRules: lightRulesSchema.partial() }),
    apply: (rig, { lightRules }) => {
      Object.assign(rig.lightRules, lightRules);
    },
    says: () => 'Changed what light is judged by.',
    arbitrary: (chance) => ({
      lightRules: someOf(chance, {
        whiteK: 100 * chance.integer(30, 65),
        evenness: tenths(chance, 1.1, 2),
        faceLux: chance.once(2) ? null : 50 * chance.integer(2, 20),
      }),
    }),
  }),
  setSky: command({
    schema: z.strictObject({ sky: skySchema.nullable() }),
    apply: (rig, { sky }) => {
      rig.sky = sky;
    },
    says: (_rig, { sky }) =>
      sky === null
        ? 'Left open where and when the show is.'
        : `Set the sky: ${sky.is}, ${sky.on}, ${Math.floor(sky.atMin / 60)}:${String(sky.atMin % 60).padStart(2, '0')}.`,
    arbitrary: (chance) => ({
      sky: chance.once(4)
        ? null
        : {
            latitudeDeg: chance.integer(-60, 66),
            longitudeDeg: chance.integer(-180, 180),
            upThePlanDeg: chance.integer(0, 359),
            on: chance.oneOf(['2026-06-21', '2026-11-28', '2026-12-21']),
            atMin: 60 * chance.integer(0, 23),
            aheadMin: 60 * chance.integer(-11, 12),
            is: chance.oneOf(['clear', 'overcast']),
          },
    }),
  }),
  /** How a lamp hangs: what is left out stays */
  hangLamp: command({
    schema: z.strictObject({ deviceId: idSchema, lamp: lampSchema.partial() }),
    apply: (rig, { deviceId, lamp }) => {
      mustHave(entry(rig.devices, deviceId), refusals.noDevice(deviceId));
      if (!isLight(rig, deviceId)) throw refusals.noLamp(deviceName(rig, deviceId));
      if (lamp.aim) checkAim(rig, lamp.aim);
      rig.lamps[deviceId] = { ...(entry(rig.lamps, deviceId) ?? BARE_LAMP), ...lamp };
    },
    says: (rig, { deviceId, lamp }) => lampSays(rig, deviceId, lamp),
    arbitrary: (chance, rig) => {
      const lights = Object.keys(rig.devices).filter((id) => isLight(rig, id));
      const deviceId = anyOf(chance, lights);
      return deviceId === null ? null : { deviceId, lamp: someOf(chance, anyLamp(chance, rig)) };
    },
  }),
  /** How a window lets light in; null as is usual */
  setWindow: command({
    schema: z.strictObject({ openingId: idSchema, window: windowLightSchema.nullable() }),
    apply: (rig, { openingId, window }) => {
      const opening = mustHave(entry(rig.openings, openingId), refusals.noOpening(openingId));
      if (opening.what !== 'window') throw refusals.noWindow(opening.name);
      if (window === null) delete rig.windows[openingId];
      else rig.windows[openingId] = window;
    },
    says: (rig, { openingId, window }) => {
      const name = entry(rig.openings, openingId)?.name ?? `“${openingId}”`;
      if (window === null) return `Took ${name} as a window usually is.`;
      return window.openShare < (entry(rig.windows, openingId) ?? USUAL_WINDOW).openShare
        ? `Drew the blind of ${name}.`
        : `Changed what ${name} lets in.`;
    },
    arbitrary: (chance, rig) => {
      const windows = Object.keys(rig.openings).filter(
        (id) => entry(rig.openings, id)?.what === 'window',
      );
      const openingId = anyOf(chance, windows);
      return openingId === null
        ? null
        : {
            openingId,
            window: chance.once(4)
              ? null
              : { ...USUAL_WINDOW, openShare: tenths(chance, 0, 1), isSheer: chance.once(2) },
          };
    },
  }),
  ...ofBackdrops,
  /** What a face does with light; null as is usual */
  setFace: command({
    schema: z.strictObject({ personId: idSchema, face: faceSchema.nullable() }),
    apply: (rig, { personId, face }) => {
      mustHave(entry(rig.people, personId), refusals.noPerson(personId));
      if (face === null) delete rig.faces[personId];
      else rig.faces[personId] = face;
    },
    says: (rig, { personId }) => `Changed how ${personName(rig, personId)} takes light.`,
    arbitrary: (chance, rig) => {
      const personId = anyId(chance, rig.people);
      return personId === null
        ? null
        : {
            personId,
            face: chance.once(4)
              ? null
              : { ...USUAL_FACE, skinReflects: tenths(chance, 0.1, 0.6), glassesTiltDeg: 5 },
          };
    },
  }),
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

/** Sets a control as near to a value as it goes. */
const setWithin = (device: DraftRig['devices'][string], controlId: string, value: number): void => {
  const control = entry(device.model.controls, controlId);
  if (control?.type === 'amount')
    device.settings[controlId] = Math.min(control.max, Math.max(control.min, value));
};

export const problems = (rig: Rig): Problem[] => [
  ...Object.entries(rig.lamps).flatMap(([id, { aim }]) => [
    ...missing(rig.devices, 'device', ['lamps', id], id),
    ...(aim.at === 'person'
      ? missing(rig.people, 'person', ['lamps', id, 'aim', 'personId'], aim.personId)
      : aim.at === 'backdrop'
        ? missing(rig.backdrops, 'background', ['lamps', id, 'aim', 'backdropId'], aim.backdropId)
        : []),
  ]),
  ...Object.keys(rig.windows).flatMap((id) => missing(rig.openings, 'window', ['windows', id], id)),
  ...Object.keys(rig.faces).flatMap((id) => missing(rig.people, 'person', ['faces', id], id)),
  ...Object.entries(rig.looks).flatMap(([id, { setId, levels }]) => [
    ...missing(rig.sets, 'set', ['looks', id, 'setId'], setId),
    ...Object.keys(levels).flatMap((deviceId) =>
      missing(rig.devices, 'device', ['looks', id, 'levels', deviceId], deviceId),
    ),
  ]),
  ...Object.entries(rig.cues).flatMap(([sceneId, lookId]) => [
    ...missing(rig.scenes, 'scene', ['cues', sceneId], sceneId),
    ...missing(rig.looks, 'look', ['cues', sceneId], lookId),
  ]),
];

export const forget = (rig: DraftRig, { kind, id }: Gone): void => {
  switch (kind) {
    case 'device':
      delete rig.lamps[id];
      for (const look of Object.values(rig.looks)) delete look.levels[id];
      break;
    case 'opening':
      delete rig.windows[id];
      break;
    case 'scene':
      delete rig.cues[id];
      break;
    case 'set':
      for (const look of Object.values(rig.looks)) if (look.setId === id) look.setId = null;
      break;
    case 'person':
      delete rig.faces[id];
      for (const lamp of Object.values(rig.lamps))
        if (lamp.aim.at === 'person' && lamp.aim.personId === id) lamp.aim = BARE_LAMP.aim;
      break;
    case 'backdrop':
      for (const lamp of Object.values(rig.lamps))
        if (lamp.aim.at === 'backdrop' && lamp.aim.backdropId === id) lamp.aim = BARE_LAMP.aim;
      break;
  }
};

export const limits = { looks: MAX_LOOKS };
