import { z } from 'zod';
import { anyHad, anyId, type Chance, someOf } from '../chance';
import { collection } from '../collection';
import { deviceName } from '../devices/names';
import { idSchema } from '../ids';
import { asItStands, entry, mustHave } from '../order';
import { refusals } from '../refusal';
import type { Rig } from '../rig';
import { command, type DraftRig, type Gone, missing, type Problem } from '../slice';
import {
  circuitSchema,
  type FedBy,
  type FeedFigures,
  feedSchema,
  loadSchema,
  powerRulesSchema,
} from './schema';

export { blank, shape } from './shape';

/** Circuits, outlets, strips and supplies that last, and what is plugged into them. */

type Fed = Pick<Rig, 'circuits' | 'feeds'>;

/** @throws Refusal where what should feed something is not there */
const checkFedBy = (rig: DraftRig, from: FedBy | null | undefined): void => {
  if (!from) return;
  if (from.by === 'circuit')
    mustHave(entry(rig.circuits, from.circuitId), refusals.noCircuit(from.circuitId));
  else mustHave(entry(rig.feeds, from.feedId), refusals.noFeed(from.feedId));
};

/** Whether a feed gets its power, directly or not, through another. */
const hangsOn = ({ feeds }: Pick<Fed, 'feeds'>, feedId: string, onId: string): boolean => {
  const seen = new Set<string>();
  for (let id: string | null = feedId; id !== null && !seen.has(id);) {
    if (id === onId) return true;
    seen.add(id);
    const from: FedBy | null = entry(feeds, id)?.from ?? null;
    id = from?.by === 'feed' ? from.feedId : null;
  }
  return false;
};

const anyFedBy = (chance: Chance, { circuits, feeds }: Rig): FedBy | null => {
  const [circuitId, feedId] = [anyId(chance, circuits), anyId(chance, feeds)];
  if (feedId !== null && chance.once(2)) return { by: 'feed', feedId };
  return circuitId === null || chance.once(4) ? null : { by: 'circuit', circuitId };
};

const FIGURES: readonly [FeedFigures, ...FeedFigures[]] = [
  { is: 'outlet', sockets: 2, mostA: null },
  { is: 'strip', sockets: 6, mostA: 10 },
  { is: 'ups', sockets: 4, mostW: 540, mostVa: 900, wh: 288, efficiency: 0.85 },
];

const feedName = (rig: Rig, id: string): string => entry(rig.feeds, id)?.name ?? `“${id}”`;

const fedText = (rig: Rig, from: FedBy | null | undefined): string => {
  if (!from) return '';
  const name =
    from.by === 'circuit'
      ? (entry(rig.circuits, from.circuitId)?.name ?? 'a circuit')
      : feedName(rig, from.feedId);
  return ` on ${name}`;
};

export const commands = {
  setPowerRules: command({
    schema: z.strictObject({ powerRules: powerRulesSchema.partial() }),
    apply: (rig, { powerRules }) => {
      Object.assign(rig.powerRules, powerRules);
    },
    says: () => 'Changed what is asked of the mains.',
    arbitrary: (chance) => ({
      powerRules: someOf(chance, {
        breakerShare: chance.oneOf([0.7, 0.8, 1]),
        lastsMin: chance.integer(0, 60),
        dayH: chance.integer(4, 12),
        airChanges: chance.once(2) ? null : 0.5,
      }),
    }),
  }),
  ...collection({
    key: 'circuit',
    many: 'circuits',
    fields: circuitSchema.omit({ order: true }),
    at: (rig) => rig.circuits,
    read: (rig) => rig.circuits,
    none: refusals.noCircuit,
    leaving: (id, forget) => forget({ kind: 'circuit', id }),
    says: {
      add: ({ name, breakerA }) => `Added ${name}, ${breakerA} A, to the circuits.`,
      change: (name) => `Changed ${name}.`,
      remove: (name) => `Removed ${name} from the circuits.`,
      name: ({ name }) => name,
    },
    arbitrary: (chance) => ({
      name: chance.oneOf(['Circuit 1', 'Circuit 2']),
      breakerA: chance.oneOf([10, 16, 20]),
    }),
  }),
  ...collection({
    key: 'feed',
    many: 'outlets and strips',
    fields: feedSchema.omit({ order: true }),
    at: (rig) => rig.feeds,
    read: (rig) => rig.feeds,
    none: refusals.noFeed,
    check: (rig, { from }, id) => {
      checkFedBy(rig, from);
      if (from?.by === 'feed' && hangsOn(asItStands(rig), from.feedId, id))
        throw refusals.feedsItself(entry(rig.feeds, id)?.name ?? id);
    },
    leaving: (id, forget) => forget({ kind: 'feed', id }),
    says: {
      add: ({ name, from }, rig) => `Added ${name}${fedText(rig, from)}.`,
      change: (name, { from }, rig) =>
        from ? `Plugged ${name} in${fedText(rig, from)}.` : `Changed ${name}.`,
      remove: (name) => `Took ${name} away.`,
      name: ({ name }) => name,
    },
    arbitrary: (chance, rig) => ({
      name: chance.oneOf(['Wall outlet', 'Strip', 'Supply that lasts']),
      figures: chance.oneOf(FIGURES),
      from: anyFedBy(chance, rig),
      at: chance.once(2) ? null : { xM: chance.integer(0, 8), yM: chance.integer(0, 6) },
      ...(chance.once(2) ? { had: anyHad(chance) } : {}),
    }),
  }),
  ...collection({
    key: 'load',
    many: 'things on the mains',
    fields: loadSchema.omit({ order: true }),
    at: (rig) => rig.loads,
    read: (rig) => rig.loads,
    none: refusals.noLoad,
    check: (rig, { from }) => checkFedBy(rig, from),
    says: {
      add: ({ name, from }, rig) => `Put ${name}${fedText(rig, from)} on the mains.`,
      change: (name) => `Changed ${name}.`,
      remove: (name) => `Took ${name} off the mains.`,
      name: ({ name }) => name,
    },
    arbitrary: (chance, rig) => ({
      name: chance.oneOf(['Kiln', 'Heater', 'Lamps']),
      mostW: chance.integer(1, 30) * 100,
      powerFactor: chance.once(2) ? null : 0.95,
      from: anyFedBy(chance, rig),
      runs: chance.once(2),
      ...(chance.once(3) ? { charges: { slots: chance.integer(1, 4), chargeH: 2.5 } } : {}),
      ...(chance.once(2) ? { had: anyHad(chance) } : {}),
    }),
  }),
  /** Where a device is plugged in; null takes the plug out */
  plugIn: command({
    schema: z.strictObject({ deviceId: idSchema, feedId: idSchema.nullable() }),
    apply: (rig, { deviceId, feedId }) => {
      mustHave(entry(rig.devices, deviceId), refusals.noDevice(deviceId));
      if (feedId === null) {
        delete rig.plugs[deviceId];
        return;
      }
      mustHave(entry(rig.feeds, feedId), refusals.noFeed(feedId));
      rig.plugs[deviceId] = feedId;
    },
    says: (rig, { deviceId, feedId }) =>
      feedId === null
        ? `Took the plug of ${deviceName(rig, deviceId)} out.`
        : `Plugged ${deviceName(rig, deviceId)} into ${feedName(rig, feedId)}.`,
    arbitrary: (chance, rig) => {
      const deviceId = anyId(chance, rig.devices);
      return deviceId === null
        ? null
        : { deviceId, feedId: chance.once(4) ? null : anyId(chance, rig.feeds) };
    },
  }),
};

const fedProblems = (rig: Fed, path: readonly string[], from: FedBy | null): Problem[] => {
  if (!from) return [];
  return from.by === 'circuit'
    ? missing(rig.circuits, 'circuit', [...path, 'from', 'circuitId'], from.circuitId)
    : missing(rig.feeds, 'outlet, strip or supply', [...path, 'from', 'feedId'], from.feedId);
};

export const problems = (rig: Rig): Problem[] => [
  ...Object.entries(rig.feeds).flatMap(([id, { name, from }]) => [
    ...fedProblems(rig, ['feeds', id], from),
    ...(from?.by === 'feed' && hangsOn(rig, from.feedId, id)
      ? [{ path: ['feeds', id, 'from'], says: `${name} feeds itself` }]
      : []),
  ]),
  ...Object.entries(rig.loads).flatMap(([id, { from }]) => fedProblems(rig, ['loads', id], from)),
  ...Object.entries(rig.plugs).flatMap(([deviceId, feedId]) => [
    ...missing(rig.devices, 'device', ['plugs', deviceId], deviceId),
    ...missing(rig.feeds, 'outlet, strip or supply', ['plugs', deviceId], feedId),
  ]),
];

export const forget = (rig: DraftRig, { kind, id }: Gone): void => {
  if (kind === 'device') delete rig.plugs[id];
  if (kind === 'circuit' || kind === 'feed')
    for (const fed of [...Object.values(rig.feeds), ...Object.values(rig.loads)])
      if (fed.from && (fed.from.by === 'circuit' ? fed.from.circuitId : fed.from.feedId) === id)
        if (fed.from.by === kind) fed.from = null;
  if (kind === 'feed')
    for (const [deviceId, feedId] of Object.entries(rig.plugs))
      if (feedId === id) delete rig.plugs[deviceId];
};

export const limits = {};
