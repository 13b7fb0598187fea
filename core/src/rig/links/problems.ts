import { entry } from '../order';
import type { Rig } from '../rig';
import type { Problem } from '../slice';
import { CABLES } from './cables';
import { mate, portAt, takesMany } from './mating';
import type { Link } from './schema';

const linkProblem = (rig: Rig, link: Link): Problem | null => {
  for (const side of ['from', 'to'] as const) {
    const { deviceId, portId } = link[side];
    if (!entry(rig.devices, deviceId))
      return { path: [side, 'deviceId'], says: `there is no device "${deviceId}"` };
    if (!portAt(rig, link[side]))
      return { path: [side, 'portId'], says: `"${deviceId}" has no port "${portId}"` };
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

/** Links that lead nowhere, do not fit, or share a socket that takes one plug. */
export const linkProblems = (rig: Rig): Problem[] => {
  const problems: Problem[] = [];
  /** Which link each socket holds that takes one only */
  const taken = new Map<string, string>();
  for (const [id, link] of Object.entries(rig.links)) {
    const problem = linkProblem(rig, link);
    if (problem) {
      problems.push({ path: ['links', id, ...problem.path], says: problem.says });
      continue;
    }
    for (const side of ['from', 'to'] as const) {
      const port = portAt(rig, link[side]);
      if (!port || takesMany(port)) continue;
      const { deviceId, portId } = link[side];
      const key = `${deviceId}.${port.socket === undefined ? portId : `socket ${port.socket}`}`;
      const other = taken.get(key);
      if (other)
        problems.push({
          path: ['links', id, side],
          says: `this port already holds link "${other}"`,
        });
      else taken.set(key, id);
    }
  }
  return problems;
};
