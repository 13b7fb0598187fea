import { CABLES } from '../catalogue/cables';
import { programmeProblems } from './apply-programme';
import { mate, portAt, takesMany } from './mating';
import { entry, MAX_DEVICES, MAX_LINKS, type Link, type Rig } from './rig';
import { settingProblem } from './settings';

/** Something in a document that no sequence of commands could have made. */
export interface Problem {
  /** Where, as keys from the root */
  readonly path: readonly string[];
  readonly says: string;
}

const linkProblem = (rig: Rig, link: Link): Problem | null => {
  for (const side of ['from', 'to'] as const) {
    if (!entry(rig.devices, link[side].deviceId))
      return { path: [side, 'deviceId'], says: `there is no device "${link[side].deviceId}"` };
    if (!portAt(rig, link[side]))
      return {
        path: [side, 'portId'],
        says: `"${link[side].deviceId}" has no port "${link[side].portId}"`,
      };
  }
  const from = portAt(rig, link.from);
  const to = portAt(rig, link.to);
  if (!from || !to) return null;
  if (link.from.deviceId === link.to.deviceId)
    return { path: ['to', 'deviceId'], says: 'a device cannot be linked to itself' };
  const mating = mate(from, to);
  if (!mating.can)
    return { path: ['to', 'portId'], says: `these ports cannot be joined: ${mating.why}` };
  if (mating.flipped)
    return { path: ['from', 'portId'], says: 'the link runs the wrong way round' };
  if (!mating.cables.includes(link.cable.kind))
    return {
      path: ['cable', 'kind'],
      says: `${CABLES[link.cable.kind].name} does not fit these ports`,
    };
  return null;
};

/**
 * Everything a schema cannot see: references that lead nowhere, settings out of range, sockets with two plugs.
 * @returns at most 100 problems, none for a consistent rig
 */
export const inconsistencies = (rig: Rig): Problem[] => {
  const problems: Problem[] = [];
  const devices = Object.entries(rig.devices);
  const links = Object.entries(rig.links);
  if (devices.length > MAX_DEVICES)
    problems.push({
      path: ['devices'],
      says: `expected at most ${MAX_DEVICES} devices, found ${devices.length}`,
    });
  if (links.length > MAX_LINKS)
    problems.push({
      path: ['links'],
      says: `expected at most ${MAX_LINKS} links, found ${links.length}`,
    });
  for (const [id, device] of devices) {
    if (device.personId !== null && !entry(rig.people, device.personId))
      problems.push({
        path: ['devices', id, 'personId'],
        says: `there is no person "${device.personId}"`,
      });
    if (device.placeId !== null && !entry(rig.places, device.placeId))
      problems.push({
        path: ['devices', id, 'placeId'],
        says: `there is no place "${device.placeId}"`,
      });
    if (device.sightId !== null && !entry(rig.brief?.sights ?? {}, device.sightId))
      problems.push({
        path: ['devices', id, 'sightId'],
        says: `there is no sight "${device.sightId}" in the brief`,
      });
    for (const [control, value] of Object.entries(device.settings)) {
      const says = settingProblem(device.model, control, value);
      if (says) problems.push({ path: ['devices', id, 'settings', control], says });
    }
  }
  for (const [id, sight] of Object.entries(rig.brief?.sights ?? {}))
    for (const personId of sight.people)
      if (!entry(rig.people, personId))
        problems.push({
          path: ['brief', 'sights', id, 'people'],
          says: `there is no person "${personId}"`,
        });
  problems.push(...programmeProblems(rig));
  const taken = new Map<string, string>();
  for (const [id, link] of links) {
    const problem = linkProblem(rig, link);
    if (problem) {
      problems.push({ path: ['links', id, ...problem.path], says: problem.says });
      continue;
    }
    for (const side of ['from', 'to'] as const) {
      const port = portAt(rig, link[side]);
      if (!port || takesMany(port)) continue;
      const key = `${link[side].deviceId}.${link[side].portId}`;
      const other = taken.get(key);
      if (other)
        problems.push({
          path: ['links', id, side],
          says: `this port already holds link "${other}"`,
        });
      else taken.set(key, id);
    }
  }
  return problems.slice(0, 100);
};
