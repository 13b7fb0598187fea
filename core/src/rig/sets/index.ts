import { z } from 'zod';
import { anyId, anyOf } from '../chance';
import { settingsThatFit } from '../devices/settings';
import { idSchema, nameSchema } from '../ids';
import { asItStands, entry, mustHave, nextOrder } from '../order';
import { refusals } from '../refusal';
import type { Rig } from '../rig';
import { command, type DraftRig, type Gone, missing, type Problem } from '../slice';
import type { StageSet } from './schema';

export { blank, shape } from './shape';

/** Sets: where everything stands for each look of the show. The rig itself stands as one of them. */

const MAX_SETS = 50;

const eachOf = <From, To>(
  items: Readonly<Record<string, From>>,
  to: (item: From) => To,
): Record<string, To> =>
  Object.fromEntries(Object.entries(items).map(([id, item]) => [id, to(item)]));

/** Where everything stands now. */
const standingNow = (rig: Rig): Pick<StageSet, 'people' | 'supports' | 'noises' | 'devices'> => ({
  people: eachOf(rig.people, ({ at }) => at),
  supports: eachOf(rig.supports, ({ at }) => at),
  noises: eachOf(rig.noises, ({ at }) => at),
  devices: eachOf(rig.devices, ({ at, heightM, on, aim }) => ({ at, heightM, on, aim })),
});

/** How everything is set now that can be set. */
const setNow = (rig: Rig): NonNullable<StageSet['settings']> =>
  Object.fromEntries(
    Object.entries(rig.devices).flatMap(([id, { model, settings }]) =>
      Object.keys(model.controls).length === 0 ? [] : [[id, settings]],
    ),
  );

/** Sets devices as they were kept; what a device can no longer be set to is passed over. */
const setAsKept = (rig: DraftRig, kept: NonNullable<StageSet['settings']>): void => {
  for (const [id, settings] of Object.entries(kept)) {
    const device = entry(rig.devices, id);
    if (!device) continue;
    device.settings = settingsThatFit(asItStands(device).model, settings);
  }
};

const nameOf = (rig: Rig, id: string): string => entry(rig.sets, id)?.name ?? `“${id}”`;

const setIn = (rig: DraftRig, id: string) => mustHave(entry(rig.sets, id), refusals.noSet(id));

export const commands = {
  /**
   * Keeps where everything stands now, as a new set or in place of what a set was; and how devices are set, where that
   * is said, or was kept before
   */
  keepSet: command({
    schema: z.strictObject({
      setId: idSchema,
      name: nameSchema,
      withSettings: z.boolean().optional(),
    }),
    apply: (rig, { setId, name, withSettings }) => {
      const before = entry(rig.sets, setId);
      const isSetToo = withSettings ?? before?.settings !== undefined;
      if (!before && Object.keys(rig.sets).length >= MAX_SETS)
        throw refusals.tooMany('sets', MAX_SETS);
      rig.sets[setId] = {
        name,
        ...standingNow(asItStands(rig)),
        ...(isSetToo ? { settings: setNow(asItStands(rig)) } : {}),
        ...(before?.byHandMin === undefined ? {} : { byHandMin: before.byHandMin }),
        order: before?.order ?? nextOrder(rig.sets),
      };
    },
    says: (rig, { setId, name, withSettings }) => {
      const before = entry(rig.sets, setId);
      const what = (withSettings ?? before?.settings) ? 'stands and how it is set' : 'stands';
      return before
        ? `Kept where everything ${what} as ${name}.`
        : `Made where everything ${what} the set ${name}.`;
    },
    arbitrary: (chance, rig) => ({
      setId: (chance.once(2) ? anyId(chance, rig.sets) : null) ?? chance.oneOf(['one', 'two']),
      name: chance.oneOf(['Talk', 'Wheel']),
      ...(chance.once(2) ? { withSettings: chance.once(2) } : {}),
    }),
  }),
  /** Moves everything to where it stands in a set, set as it was kept; what came after it was kept stays */
  standAsSet: command({
    schema: z.strictObject({ setId: idSchema }),
    apply: (rig, { setId }) => {
      const set = asItStands(setIn(rig, setId));
      for (const part of ['people', 'supports', 'noises', 'devices'] as const)
        for (const [id, place] of Object.entries(set[part])) {
          const thing = entry<object>(rig[part], id);
          if (thing) Object.assign(thing, part === 'devices' ? place : { at: place });
        }
      if (set.settings) setAsKept(rig, set.settings);
    },
    says: (rig, { setId }) => `Moved everything to where it stands in ${nameOf(rig, setId)}.`,
    arbitrary: (chance, rig) => {
      const setId = anyId(chance, rig.sets);
      return setId === null ? null : { setId };
    },
  }),
  /** Says what coming to a set took before anybody reckoned; null: nobody knows */
  setByHand: command({
    schema: z.strictObject({
      setId: idSchema,
      minutes: z.number().positive().max(600).nullable(),
    }),
    apply: (rig, { setId, minutes }) => {
      const set = setIn(rig, setId);
      if (minutes === null) delete set.byHandMin;
      else set.byHandMin = minutes;
    },
    says: (rig, { setId, minutes }) =>
      minutes === null
        ? `Nobody knows what coming to ${nameOf(rig, setId)} took by hand.`
        : `Coming to ${nameOf(rig, setId)} took ${minutes} min by hand.`,
    arbitrary: (chance, rig) => {
      const setId = anyId(chance, rig.sets);
      return setId === null ? null : { setId, minutes: anyOf(chance, [null, 12, 22]) };
    },
  }),
  removeSet: command({
    schema: z.strictObject({ setId: idSchema }),
    apply: (rig, { setId }, forget) => {
      setIn(rig, setId);
      forget({ kind: 'set', id: setId });
      delete rig.sets[setId];
    },
    says: (rig, { setId }) => `Removed the set ${nameOf(rig, setId)}.`,
    arbitrary: (chance, rig) => {
      const setId = anyId(chance, rig.sets);
      return setId === null ? null : { setId };
    },
  }),
};

export const problems = (rig: Rig): Problem[] =>
  Object.entries(rig.sets).flatMap(([setId, set]) => [
    ...(['people', 'supports', 'noises', 'devices'] as const).flatMap((part) =>
      Object.keys(set[part]).flatMap((id) =>
        missing(rig[part], 'such thing', ['sets', setId, part, id], id),
      ),
    ),
    ...Object.keys(set.settings ?? {}).flatMap((id) =>
      missing(rig.devices, 'device', ['sets', setId, 'settings', id], id),
    ),
    ...Object.entries(set.devices).flatMap(([id, { on }]) =>
      missing(rig.supports, 'support', ['sets', setId, 'devices', id, 'on'], on?.supportId ?? null),
    ),
  ]);

/** Where each thing that may leave stands in a set. */
const PARTS = {
  person: 'people',
  device: 'devices',
  support: 'supports',
  noise: 'noises',
} as const;

const isPart = (kind: Gone['kind']): kind is keyof typeof PARTS => Object.hasOwn(PARTS, kind);

export const forget = ({ sets }: DraftRig, { kind, id }: Gone): void => {
  const part = isPart(kind) ? PARTS[kind] : null;
  for (const set of Object.values(sets)) {
    if (part) delete set[part][id];
    if (kind === 'device') delete set.settings?.[id];
    if (kind !== 'support') continue;
    for (const placed of Object.values(set.devices))
      if (placed.on?.supportId === id) placed.on = null;
  }
};

export const limits = { sets: MAX_SETS };
