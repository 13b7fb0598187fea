import type { Rig } from '../rig';
import { type DraftRig, type Gone, missing, type Problem } from '../slice';
import { BARE_LAMP } from './schema';

/** What of light points to other parts of the document. */

export const problems = (rig: Rig): Problem[] => [
  ...Object.entries(rig.lamps).flatMap(([id, { aim }]) => [
    ...missing(rig.devices, 'device', ['lamps', id], id),
    ...(aim.at === 'person'
      ? missing(rig.people, 'person', ['lamps', id, 'aim', 'personId'], aim.personId)
      : aim.at === 'backdrop'
        ? missing(rig.backdrops, 'background', ['lamps', id, 'aim', 'backdropId'], aim.backdropId)
        : []),
  ]),
  ...Object.keys(rig.windows).flatMap((id) => missing(rig.openings, 'window', ['windows', id], id)),
  ...Object.keys(rig.faces).flatMap((id) => missing(rig.people, 'person', ['faces', id], id)),
  ...Object.entries(rig.looks).flatMap(([id, { setId, levels }]) => [
    ...missing(rig.sets, 'set', ['looks', id, 'setId'], setId),
    ...Object.keys(levels).flatMap((deviceId) =>
      missing(rig.devices, 'device', ['looks', id, 'levels', deviceId], deviceId),
    ),
  ]),
  ...Object.entries(rig.cues).flatMap(([sceneId, lookId]) => [
    ...missing(rig.scenes, 'scene', ['cues', sceneId], sceneId),
    ...missing(rig.looks, 'look', ['cues', sceneId], lookId),
  ]),
];

export const forget = (rig: DraftRig, { kind, id }: Gone): void => {
  switch (kind) {
    case 'device':
      delete rig.lamps[id];
      for (const look of Object.values(rig.looks)) delete look.levels[id];
      break;
    case 'opening':
      delete rig.windows[id];
      break;
    case 'scene':
      delete rig.cues[id];
      break;
    case 'set':
      for (const look of Object.values(rig.looks)) if (look.setId === id) look.setId = null;
      break;
    case 'person':
      delete rig.faces[id];
      for (const lamp of Object.values(rig.lamps))
        if (lamp.aim.at === 'person' && lamp.aim.personId === id) lamp.aim = BARE_LAMP.aim;
      break;
    case 'backdrop':
      for (const lamp of Object.values(rig.lamps))
        if (lamp.aim.at === 'backdrop' && lamp.aim.backdropId === id) lamp.aim = BARE_LAMP.aim;
      break;
  }
};
