import type { Draft } from 'immer';
import { before, entry } from '../order';
import type { Rig } from '../rig';
import type { End, Link } from './schema';

type Links = Draft<Rig>['links'];

/** Which links each device holds, found once while one command is applied: a draft lives no longer than that. */
const found = new WeakMap<Links, Map<string, Set<string>>>();

const note = (byDevice: Map<string, Set<string>>, id: string, { from, to }: Link): void => {
  for (const { deviceId } of [from, to]) {
    const ids = byDevice.get(deviceId);
    if (ids) ids.add(id);
    else byDevice.set(deviceId, new Set([id]));
  }
};

const byDevice = (links: Links): Map<string, Set<string>> => {
  const known = found.get(links);
  if (known) return known;
  const fresh = new Map<string, Set<string>>();
  for (const [id, link] of Object.entries(before(links))) note(fresh, id, link);
  found.set(links, fresh);
  return fresh;
};

/** Ids of the links that have an end in a device. */
export const linksOf = (links: Links, deviceId: string): string[] => [
  ...(byDevice(links).get(deviceId) ?? []),
];

const isAt = (end: End, at: End): boolean =>
  end.deviceId === at.deviceId && end.portId === at.portId;

/** Whether a port has a plug in it. */
const isHeld = (links: Links, end: End): boolean =>
  linksOf(links, end.deviceId).some((id) => {
    const link = entry(links, id);
    return link !== undefined && (isAt(link.from, end) || isAt(link.to, end));
  });

/** Which of some ports of a device, being one socket, holds the plug. @returns undefined where none does */
export const heldPort = (
  links: Links,
  deviceId: string,
  portIds: readonly string[],
): string | undefined => portIds.find((portId) => isHeld(links, { deviceId, portId }));

export const plug = (links: Links, id: string, link: Link): void => {
  const known = byDevice(links);
  links[id] = link;
  note(known, id, link);
};

export const unplug = (links: Links, id: string): void => {
  const link = entry(links, id);
  if (!link) return;
  for (const { deviceId } of [link.from, link.to]) byDevice(links).get(deviceId)?.delete(id);
  delete links[id];
};
