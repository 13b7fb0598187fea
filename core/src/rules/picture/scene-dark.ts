import { entry } from '../../rig';
import { pictureRule } from '../rule-of';
import { aboutScene, shortOf } from './scene-short';

export const sceneDark = pictureRule(
  'picture.scene-dark',
  {
    looksFor: 'A scene with a picture in it that does not reach the programme.',
    why: 'Whoever calls it up shows black.',
    remedy: 'Connect the source, or take it out of the scene.',
    source: 'handbook 3-picture, scenes',
  },
  (measured) =>
    shortOf(measured, ['way']).map(({ made, short }) => ({
      level: 'stop',
      about: aboutScene(made.sceneId, short),
      title: `${made.scene.name} shows black`,
      says: `${short.says} Connect it, or take it out of the scene.`,
    })),
  {
    fixes: (measured, { about: at }) => {
      const scene = at.sceneId === undefined ? undefined : entry(measured.rig.scenes, at.sceneId);
      const device =
        at.deviceId === undefined ? undefined : entry(measured.rig.devices, at.deviceId);
      if (!scene || at.sceneId === undefined || !device) return [];
      const layers = scene.layers.filter(({ deviceId }) => deviceId !== at.deviceId);
      return [
        {
          label: `Take ${device.name} out of ${scene.name}`,
          command: { type: 'changeScene', sceneId: at.sceneId, scene: { layers } },
        },
      ];
    },
  },
);
