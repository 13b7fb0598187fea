import { z } from 'zod';
import { anyHad, anyId, type Chance, someOf, tenths } from '../chance';
import { collection } from '../collection';
import { idSchema } from '../ids';
import { CABLES } from '../links/cables';
import { DRESSINGS, type Lay, laySchema } from '../links/schema';
import { entry, mustHave } from '../order';
import { refusals } from '../refusal';
import type { Rig } from '../rig';
import { command, type DraftRig, type Gone, missing, type Problem } from '../slice';
import {
  CABLE_WAY_KINDS,
  cableNumberSchema,
  cableWaySchema,
  CARRIES,
  layingSchema,
  MAX_NUMBERED,
  ownCableSchema,
} from './schema';

export { blank, shape } from './shape';

/** Ways for cables, how cables are laid, and those that are owned. */

const changeOfLaying = layingSchema.partial();

const layingText = ({ alongWalls, openFloor, dressing }: z.infer<typeof changeOfLaying>): string =>
  [
    ...(alongWalls === undefined
      ? []
      : [alongWalls ? 'along the walls' : 'only on the ways that are drawn']),
    ...(openFloor === undefined
      ? []
      : [openFloor ? 'also over open floor' : 'never over open floor']),
    ...(dressing === undefined ? [] : [`dressed ${dressing}`]),
  ].join(', ');

const layText = (rig: Rig, lay: Lay | null): string =>
  [
    ...(lay?.dressing ? [lay.dressing] : []),
    ...(lay?.keepsOff ? ['round what people walk on'] : []),
    ...(lay?.by
      ? [`by ${lay.by.map((id) => entry(rig.cableWays, id)?.name ?? `“${id}”`).join(', then ')}`]
      : []),
  ].join(', ') || 'as all are';

const anyPoint = (chance: Chance) => ({
  xM: tenths(chance, 0, 8),
  yM: tenths(chance, 0, 6),
  zM: chance.oneOf([0, 0.7, 2.4]),
});

export const commands = {
  setLaying: command({
    schema: z.strictObject({ laying: changeOfLaying }),
    apply: (rig, { laying }) => {
      Object.assign(rig.laying, laying);
    },
    says: (_rig, { laying }) => `Cables lie ${layingText(laying) || 'as before'}.`,
    arbitrary: (chance) => ({
      laying: someOf(chance, {
        alongWalls: chance.once(2),
        openFloor: chance.once(2),
        dressing: chance.oneOf(DRESSINGS),
      }),
    }),
  }),
  /** How one cable is laid; null = as all are */
  layCable: command({
    schema: z.strictObject({ linkId: idSchema, lay: laySchema.nullable() }),
    apply: (rig, { linkId, lay }) => {
      const link = mustHave(entry(rig.links, linkId), refusals.noLink(linkId));
      for (const id of lay?.by ?? []) mustHave(entry(rig.cableWays, id), refusals.noCableWay(id));
      if (lay) link.lay = lay;
      else delete link.lay;
    },
    says: (rig, { lay }) => `Laid a cable ${layText(rig, lay)}.`,
    arbitrary: (chance, rig) => {
      const linkId = anyId(chance, rig.links);
      const wayId = anyId(chance, rig.cableWays);
      return linkId === null
        ? null
        : {
            linkId,
            lay: chance.once(3)
              ? null
              : {
                  dressing: chance.once(2) ? null : chance.oneOf(DRESSINGS),
                  keepsOff: chance.once(2),
                  ...(wayId !== null && chance.once(2) ? { by: [wayId] } : {}),
                },
          };
    },
  }),
  /** Numbers cables; one that has a number gets another only where it is named here */
  numberCables: command({
    schema: z.strictObject({ numbers: z.record(idSchema, cableNumberSchema) }),
    apply: (rig, { numbers }) => {
      for (const linkId of Object.keys(numbers))
        mustHave(entry(rig.links, linkId), refusals.noLink(linkId));
      const after = { ...rig.cableNumbers, ...numbers };
      const twice = numberedTwice(after);
      if (twice) throw refusals.numberTaken(twice.number);
      if (Object.keys(after).length > MAX_NUMBERED)
        throw refusals.tooMany('numbered cables', MAX_NUMBERED);
      Object.assign(rig.cableNumbers, numbers);
    },
    says: (_rig, { numbers }) => {
      const all = Object.values(numbers).sort((a, b) => a - b);
      const [first, last] = [all[0], all.at(-1)];
      return all.length === 1
        ? `Gave a cable the number ${first}.`
        : `Numbered ${all.length} cables${all.length === 0 ? '' : `, ${first} to ${last}`}.`;
    },
    arbitrary: (chance, rig) => {
      const linkId = anyId(chance, rig.links);
      return linkId === null ? null : { numbers: { [linkId]: chance.integer(1, 4000) } };
    },
  }),
  ...collection({
    key: 'cableWay',
    many: 'ways for cables',
    fields: cableWaySchema.omit({ order: true }),
    at: (rig) => rig.cableWays,
    read: (rig) => rig.cableWays,
    none: refusals.noCableWay,
    leaving: (id, forget) => forget({ kind: 'cable way', id }),
    says: {
      add: ({ name }) => `Added ${name} to the ways for cables.`,
      change: (name) => `Changed ${name}.`,
      remove: (name) => `Removed ${name} from the ways for cables.`,
      name: ({ name }) => name,
    },
    arbitrary: (chance) => ({
      name: chance.oneOf(['Tray', 'Duct to the rack']),
      is: chance.oneOf(CABLE_WAY_KINDS),
      points: [anyPoint(chance), anyPoint(chance)],
      insideMm2: chance.once(2) ? null : 1200,
      bendMm: chance.once(2) ? null : 60,
      carries: chance.oneOf(CARRIES),
      ...(chance.once(2) ? { had: anyHad(chance) } : {}),
    }),
  }),
  ...collection({
    key: 'ownCable',
    many: 'cables',
    fields: ownCableSchema.omit({ order: true }),
    at: (rig) => rig.ownCables,
    read: (rig) => rig.ownCables,
    none: refusals.noOwnCable,
    says: {
      add: ({ kind, lengthM, count }) =>
        `Put ${count} × ${lengthM} m of ${CABLES[kind].name} into the box of cables.`,
      change: (name) => `Changed ${name} in the box of cables.`,
      remove: (name) => `Took ${name} out of the box of cables.`,
      name: ({ kind, lengthM }) => `${lengthM} m of ${CABLES[kind].name}`,
    },
    arbitrary: (chance) => ({
      kind: chance.oneOf(['balanced', 'hdmi', 'sdi-coax']),
      lengthM: chance.oneOf([3, 5, 10]),
      count: chance.integer(1, 6),
    }),
  }),
};

/** Two cables that bear the same number. */
const numberedTwice = (
  numbers: Readonly<Record<string, number>>,
): { readonly linkId: string; readonly number: number } | null => {
  const seen = new Set<number>();
  for (const [linkId, number] of Object.entries(numbers)) {
    if (seen.has(number)) return { linkId, number };
    seen.add(number);
  }
  return null;
};

const numberProblems = ({ cableNumbers }: Rig): Problem[] => {
  const twice = numberedTwice(cableNumbers);
  return twice
    ? [
        {
          path: ['cableNumbers', twice.linkId],
          says: `cable number ${twice.number} is given twice`,
        },
      ]
    : [];
};

export const problems = (rig: Rig): Problem[] => [
  ...numberProblems(rig),
  ...Object.entries(rig.links).flatMap(([linkId, { lay }]) =>
    (lay?.by ?? []).flatMap((id, index) =>
      missing(rig.cableWays, 'way for cables', ['links', linkId, 'lay', 'by', String(index)], id),
    ),
  ),
];
export const forget = (rig: DraftRig, { kind, id }: Gone): void => {
  if (kind !== 'cable way') return;
  for (const { lay } of Object.values(rig.links)) {
    const rest = lay?.by?.filter((wayId) => wayId !== id);
    if (!lay || !rest || rest.length === lay.by?.length) continue;
    if (rest.length > 0) lay.by = rest;
    else delete lay.by;
  }
};
export const limits = { cableNumbers: MAX_NUMBERED };
