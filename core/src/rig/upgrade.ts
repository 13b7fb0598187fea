import { freeId } from './ids';
import { RIG_VERSION } from './rig';

type Branch = Record<string, unknown>;
const isBranch = (value: unknown): value is Branch => typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Version 1 had no places: a device carried the name of its place as text. Version 2 keeps places once and devices point to them.
 */
const placesBecomeRecords = (rig: Branch): Branch => {
  const places: Record<string, { name: string; order: number }> = {};
  const idOf = new Map<string, string>();
  const devices: Branch = {};
  for (const [id, device] of Object.entries(isBranch(rig['devices']) ? rig['devices'] : {})) {
    if (!isBranch(device)) {
      devices[id] = device;
      continue;
    }
    const { place, ...rest } = device;
    if (typeof place === 'string' && place.trim() !== '' && !idOf.has(place)) {
      const placeId = freeId(place, places);
      places[placeId] = { name: place, order: idOf.size };
      idOf.set(place, placeId);
    }
    devices[id] = { ...rest, placeId: typeof place === 'string' ? (idOf.get(place) ?? null) : null };
  }
  return { ...rig, version: 2, places, devices };
};

/** The step that leaves each older version, by the version it leaves. */
const STEPS: Readonly<Record<number, (rig: Branch) => Branch>> = { 1: placesBecomeRecords };

/**
 * Brings a document of an older version up to the present one. What it does not understand it leaves for the schema to refuse.
 * @returns the document as it should be parsed, or the reason its version cannot be read
 */
export const upgrade = (document: unknown): { readonly document: unknown } | { readonly why: string } => {
  if (!isBranch(document)) return { document };
  let rig = document;
  while (rig['version'] !== RIG_VERSION) {
    const version = rig['version'];
    if (typeof version === 'number' && version > RIG_VERSION)
      return { why: `this file is of version ${version}; this program reads up to version ${RIG_VERSION}` };
    const step = typeof version === 'number' && Object.hasOwn(STEPS, version) ? STEPS[version] : undefined;
    if (!step) return { why: `expected a version from 1 to ${RIG_VERSION}` };
    rig = step(rig);
  }
  return { document: rig };
};
