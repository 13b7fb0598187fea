import { z } from 'zod';
import { anyOf, type Chance, tenths } from '../chance';
import { collection } from '../collection';
import { refusals } from '../refusal';
import { command, type DraftRig, type Problem } from '../slice';
import type { Rig } from '../rig';
import { finish, USUAL_FINISHES } from './materials';
import { type Corners, outlineProblem, rectangle } from './outline';
import { BOUNDARIES, finishSchema, shellSchema, surfaceSchema } from './schema';

export { blank, shape } from './shape';

/** The room as it is built, and what takes up sound in it. */

const outline = shellSchema.pick({ corners: true, heightM: true });

/** @throws Refusal for corners that are no room */
const checkOutline = (corners: Corners): void => {
  const why = outlineProblem(corners);
  if (why !== null) throw refusals.noRoom(why);
};

const shellIn = (rig: DraftRig) => {
  if (!rig.shell) throw refusals.roomNotDrawn();
  return rig.shell;
};

const anyFinish = (chance: Chance) =>
  finish(chance.oneOf(['Bare brick', 'Foam, 25 mm', 'Curtain, heavy, in folds', 'People, seated']));

export const commands = {
  drawRoom: command({
    /** null takes the walls away */
    schema: z.strictObject({ room: outline.nullable() }),
    apply: (rig, { room }) => {
      if (room) checkOutline(room.corners);
      if (room && rig.shell) Object.assign(rig.shell, room);
      else rig.shell = room && { ...room, ...USUAL_FINISHES() };
    },
    says: ({ shell }, { room }) =>
      room === null
        ? 'Took the walls of the room away.'
        : shell
          ? 'Changed the walls of the room.'
          : 'Drew the room.',
    arbitrary: (chance) => ({
      room: chance.once(6)
        ? null
        : {
            corners: rectangle(tenths(chance, 2, 12), tenths(chance, 2, 12)),
            heightM: tenths(chance, 2, 6),
          },
    }),
  }),
  finishRoom: command({
    schema: z.strictObject({ of: z.enum(BOUNDARIES), finish: finishSchema }),
    apply: (rig, { of, finish }) => {
      shellIn(rig)[of] = { ...finish };
    },
    says: (_, { of, finish }) => `Made the ${of} ${finish.name}.`,
    arbitrary: (chance, { shell }) =>
      shell && { of: anyOf(chance, BOUNDARIES) ?? 'floor', finish: anyFinish(chance) },
  }),
  ...collection({
    key: 'surface',
    many: 'surfaces',
    fields: surfaceSchema.omit({ order: true }),
    at: (rig) => rig.surfaces,
    read: (rig) => rig.surfaces,
    none: refusals.noSurface,
    says: {
      add: ({ name, areaM2 }) => `Added ${areaM2} m² of ${name}.`,
      change: (name, { areaM2 }) =>
        areaM2 === undefined ? `Changed ${name}.` : `Made it ${areaM2} m² of ${name}.`,
      remove: (name) => `Took ${name} out of the room.`,
      name: ({ name }) => name,
    },
    arbitrary: (chance) => ({
      ...anyFinish(chance),
      covers: anyOf(chance, [...BOUNDARIES, 'nothing'] as const) ?? 'nothing',
      areaM2: tenths(chance, 1, 20),
    }),
  }),
};

export const problems = ({ shell }: Rig): Problem[] => {
  const why = shell && outlineProblem(shell.corners);
  return why ? [{ path: ['shell', 'corners'], says: why }] : [];
};
export const forget = (): void => undefined;
export const limits = {};
