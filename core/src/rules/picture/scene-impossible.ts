import { CATALOGUE } from '../../catalogue';
import type { Fix } from '../../edits/fix';
import { measure } from '../../passes/measure';
import type { Measured } from '../../passes/measured';
import { sceneMade } from '../../passes/programme/scenes';
import { apply, entry, Refusal, type Scene } from '../../rig';
import type { Finding } from '../rule';
import { pictureRule } from '../rule-of';
import { aboutScene, shortOf } from './scene-short';

const canMake = (measured: Measured, sceneId: string, scene: Scene): boolean =>
  sceneMade(measured, sceneId, scene).short.every(({ resource }) => resource === 'voice');

/** The next switcher with which the scene can be made, in the place of the one that cannot. */
const largerSwitcher = (measured: Measured, { about: at }: Finding): Fix[] => {
  const device = at.deviceId === undefined ? undefined : entry(measured.rig.devices, at.deviceId);
  const scene = at.sceneId === undefined ? undefined : entry(measured.rig.scenes, at.sceneId);
  if (
    device?.model.kind !== 'switcher' ||
    !scene ||
    at.deviceId === undefined ||
    at.sceneId === undefined
  )
    return [];
  for (const model of CATALOGUE) {
    if (model.kind !== 'switcher' || (model.classId === device.model.classId && device.model.mixes))
      continue;
    const command = { type: 'replaceModel', deviceId: at.deviceId, model } as const;
    try {
      if (canMake(measure(apply(measured.rig, command), measured), at.sceneId, scene))
        return [
          { label: `Use ${model.name.charAt(0).toLowerCase()}${model.name.slice(1)}`, command },
        ];
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
    }
  }
  return [];
};

/** Layers left out from the front until the scene can be made. */
const fewerLayers = (measured: Measured, { about: at }: Finding): Fix[] => {
  const scene = at.sceneId === undefined ? undefined : entry(measured.rig.scenes, at.sceneId);
  if (!scene || at.sceneId === undefined) return [];
  for (let count = scene.layers.length - 1; count > 0; count--) {
    const layers = scene.layers.slice(0, count);
    if (!canMake(measured, at.sceneId, { ...scene, layers })) continue;
    const gone = scene.layers
      .slice(count)
      .map(({ deviceId }) => entry(measured.rig.devices, deviceId)?.name ?? deviceId);
    return [
      {
        label: `Leave ${gone.join(' and ')} out of ${scene.name}`,
        command: { type: 'changeScene', sceneId: at.sceneId, scene: { layers: [...layers] } },
      },
    ];
  }
  return [];
};

export const sceneImpossible = pictureRule(
  'picture.scene-impossible',
  {
    looksFor:
      'A scene that needs more keyers, small pictures or separate ways at once than the rig has.',
    why: 'It works in rehearsal one picture at a time, and not on air.',
    remedy: 'Use a switcher with more of what is short, or leave a layer out.',
    source: 'handbook 3-picture: a scene is possible only if the rig can route it at the same time',
  },
  (measured) =>
    shortOf(measured, ['small pictures', 'keyers', 'one picture at a time']).map(
      ({ made, short }) => ({
        level: 'stop',
        about: aboutScene(made.sceneId, short),
        title: `${made.scene.name} cannot be made`,
        says: `${short.says} Use a switcher with more, or leave a layer out.`,
      }),
    ),
  {
    fixes: (measured, finding) => [
      ...largerSwitcher(measured, finding),
      ...fewerLayers(measured, finding),
    ],
  },
);
