import { z } from 'zod';
import { anyId, anyOf, type Chance } from '../chance';
import { deviceName } from '../devices/names';
import { settingOf } from '../devices/settings';
import { nameSchema } from '../ids';
import { asItStands, entry, mustHave } from '../order';
import { refusals } from '../refusal';
import type { Rig } from '../rig';
import { command, type DraftRig, type Gone, missing, type Problem } from '../slice';
import { type Found, foundSchema, keyOfFound } from './schema';

export { blank, shape } from './shape';

/** The rig as it was found: each setting, cable and place that somebody has looked at. */

const PARTS = ['settings', 'cables', 'places', 'supports'] as const;

/** @throws Refusal where there is nothing of that kind in the rig */
const checkThere = (rig: DraftRig, found: Found): void => {
  switch (found.part) {
    case 'settings': {
      const device = mustHave(
        entry(rig.devices, found.deviceId),
        refusals.noDevice(found.deviceId),
      );
      mustHave(
        entry(device.model.controls, found.control),
        refusals.noControl(device.name, found.control),
      );
      break;
    }
    case 'cables':
      mustHave(entry(rig.links, found.linkId), refusals.noLink(found.linkId));
      break;
    case 'places':
      mustHave(entry(rig.devices, found.deviceId), refusals.noDevice(found.deviceId));
      break;
    case 'supports':
      mustHave(entry(rig.supports, found.supportId), refusals.noSupport(found.supportId));
  }
};

/** What is looked at, in words. */
const whatOf = (rig: Rig, found: Found): string => {
  switch (found.part) {
    case 'settings': {
      const controls = entry(rig.devices, found.deviceId)?.model.controls ?? {};
      const label = entry(controls, found.control)?.label ?? found.control;
      return `${label} of ${deviceName(rig, found.deviceId)}`;
    }
    case 'cables': {
      const link = entry(rig.links, found.linkId) ?? found.found;
      return `the cable from ${deviceName(rig, link.from.deviceId)} to ${deviceName(rig, link.to.deviceId)}`;
    }
    case 'places':
      return `where ${deviceName(rig, found.deviceId)} stands`;
    case 'supports':
      return `where ${entry(rig.supports, found.supportId)?.name ?? found.supportId} stands`;
  }
};

const placedNow = ({ at, heightM, on, aim }: Rig['devices'][string]) => ({ at, heightM, on, aim });

const anyFound = (chance: Chance, rig: Rig): Found | null => {
  const [deviceId, linkId, supportId] = [
    anyId(chance, rig.devices),
    anyId(chance, rig.links),
    anyId(chance, rig.supports),
  ];
  const device = deviceId === null ? undefined : entry(rig.devices, deviceId);
  const link = linkId === null ? undefined : entry(rig.links, linkId);
  const control = device ? anyId(chance, device.model.controls) : null;
  if (deviceId !== null && device && control !== null && chance.once(2))
    return {
      part: 'settings',
      deviceId,
      control,
      found: chance.once(2) ? (settingOf(device, control) ?? 0) : chance.integer(0, 40),
    };
  if (linkId !== null && link && chance.once(2))
    return {
      part: 'cables',
      linkId,
      found: {
        from: link.from,
        to: link.to,
        cable: { kind: link.cable.kind, lengthM: chance.integer(1, 20) },
      },
    };
  if (supportId !== null && chance.once(2))
    return { part: 'supports', supportId, found: entry(rig.supports, supportId)?.at ?? null };
  return deviceId !== null && device
    ? { part: 'places', deviceId, found: placedNow(device) }
    : null;
};

export const commands = {
  /** Notes what was found; what was noted there before is replaced */
  tickBuilt: command({
    schema: z.strictObject({ found: foundSchema, by: nameSchema, when: z.iso.datetime() }),
    apply: (rig, { found, by, when }) => {
      checkThere(rig, found);
      // Which part it is and what was found there go together, as the schema has read them.
      const part = rig.built[found.part] as Record<string, object>;
      part[keyOfFound(found)] = { found: asItStands(found.found), by, when };
    },
    says: (rig, { found, by }) => `${by} looked at ${whatOf(rig, found)}.`,
    arbitrary: (chance, rig) => {
      const found = anyFound(chance, rig);
      return found && { found, by: chance.oneOf(['Ada', 'Ben']), when: '2026-12-03T17:00:00Z' };
    },
  }),
  /** Takes a tick back: nobody has looked */
  untickBuilt: command({
    schema: z.strictObject({ part: z.enum(PARTS), key: z.string().max(100) }),
    apply: (rig, { part, key }) => {
      mustHave(entry<object>(rig.built[part], key), refusals.notTicked());
      delete rig.built[part][key];
    },
    says: () => 'Took a tick back.',
    arbitrary: (chance, rig) => {
      const ticked = PARTS.filter((each) => Object.keys(rig.built[each]).length > 0);
      const part = anyOf(chance, ticked) ?? 'settings';
      const key = anyId(chance, rig.built[part]);
      return key === null ? null : { part, key };
    },
  }),
};

const deviceOfKey = (key: string): string => key.slice(0, key.indexOf('.'));

/** A cable that was found may be one that the plan no longer has: it is still there. */
export const problems = ({ built, devices, supports }: Rig): Problem[] => [
  ...Object.keys(built.settings).flatMap((key) =>
    missing(devices, 'device', ['built', 'settings', key], deviceOfKey(key)),
  ),
  ...Object.keys(built.places).flatMap((id) =>
    missing(devices, 'device', ['built', 'places', id], id),
  ),
  ...Object.keys(built.supports).flatMap((id) =>
    missing(supports, 'support', ['built', 'supports', id], id),
  ),
];

export const forget = ({ built }: DraftRig, { kind, id }: Gone): void => {
  if (kind === 'support') delete built.supports[id];
  if (kind !== 'device') return;
  delete built.places[id];
  for (const [linkId, { found }] of Object.entries(built.cables))
    if (found.from.deviceId === id || found.to.deviceId === id) delete built.cables[linkId];
  for (const key of Object.keys(built.settings))
    if (deviceOfKey(key) === id) delete built.settings[key];
};

export const limits = {};
