import { z } from 'zod';
import { anyId, anyOf, type Chance, someOf, tenths } from '../chance';
import { collection } from '../collection';
import { deviceName } from '../devices/names';
import { idSchema } from '../ids';
import { entry, mustHave } from '../order';
import { refusals } from '../refusal';
import type { Rig } from '../rig';
import { anySpot } from '../room/any-spot';
import { command, type DraftRig } from '../slice';
import { LOOK_COMMANDS, MAX_LOOKS } from './looks';
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
  skySchema,
  USUAL_FACE,
  USUAL_WINDOW,
  windowLightSchema,
} from './schema';
import { USUAL_MODIFIERS } from './usual';

export { blank, shape } from './shape';

/** Light: lamps as they hang, windows, what is lit, and looks. */

const personName = (rig: Rig, id: string): string => entry(rig.people, id)?.name ?? `“${id}”`;

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
        : `Set the sky: ${sky.is}, ${sky.on}, ${Math.floor(sky.atMin / 60)}:` +
          `${String(sky.atMin % 60).padStart(2, '0')}.`,
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
  ...LOOK_COMMANDS,
};

export { forget, problems } from './held';

export const limits = { looks: MAX_LOOKS };
