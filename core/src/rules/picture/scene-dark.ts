import type { Fix } from '../../edits/fix';
import type { Measured } from '../../passes/measured';
import { programmeEnd, sceneMade, waitingInto } from '../../passes/programme/scenes';
import { notChosen } from '../../passes/selecting';
import { entry, type Scene } from '../../rig';
import { pictureRule } from '../rule-of';
import { aboutScene, shortOf } from './scene-short';

/** What is on a scene and waits at a selector is let through while it is shown. */
const chooseInputs = (measured: Measured, sceneId: string): Fix[] => {
  const scene = entry(measured.rig.scenes, sceneId);
  const end = programmeEnd(measured);
  if (!scene || !end) return [];
  const needed = scene.layers.flatMap(({ deviceId }) => {
    const [waiting] = waitingInto(measured, end, deviceId);
    return waiting ? notChosen(measured, waiting, scene.selects) : [];
  });
  if (needed.length === 0) return [];
  const selects = [
    ...scene.selects.filter(
      ({ deviceId, control }) =>
        !needed.some((one) => one.deviceId === deviceId && one.control === control),
    ),
    ...needed,
  ];
  const { short } = sceneMade(measured, sceneId, { ...scene, selects });
  return short.every(({ resource }) => resource !== 'way')
    ? [
        {
          label: `Let ${scene.name} choose its inputs: ${needed
            .map(({ deviceId, value }) => `${measured.device({ id: deviceId }).name} to ${value}`)
            .join(', ')}`,
          command: { type: 'changeScene', sceneId, scene: { selects } },
        },
      ]
    : [];
};

/** A scene without every picture that does not reach the programme, and what those are called. */
const withoutDark = (
  measured: Measured,
  sceneId: string,
  scene: Scene,
): { readonly layers: Scene['layers']; readonly gone: readonly string[] } => {
  let { layers } = scene;
  const gone: string[] = [];
  for (;;) {
    const dark = sceneMade(measured, sceneId, { ...scene, layers }).short.find(
      ({ resource, deviceId }) => resource === 'way' && deviceId !== null,
    )?.deviceId;
    if (dark === undefined || dark === null) return { layers, gone };
    gone.push(measured.device({ id: dark }).name);
    layers = layers.filter(({ deviceId }) => deviceId !== dark);
  }
};

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
    fixes: (measured, { about: at }): Fix[] => {
      const scene = at.sceneId === undefined ? undefined : entry(measured.rig.scenes, at.sceneId);
      const device =
        at.deviceId === undefined ? undefined : entry(measured.rig.devices, at.deviceId);
      if (!scene || at.sceneId === undefined || !device) return [];
      const { layers, gone } = withoutDark(measured, at.sceneId, scene);
      if (gone.length === 0) return [];
      return [
        ...chooseInputs(measured, at.sceneId),
        ...(layers.length > 0
          ? [
              {
                label: `Take ${gone.join(' and ')} out of ${scene.name}`,
                command: {
                  type: 'changeScene' as const,
                  sceneId: at.sceneId,
                  scene: { layers: [...layers] },
                },
              },
            ]
          : []),
        {
          label: `Remove the scene ${scene.name}`,
          isLast: true,
          command: { type: 'removeScene', sceneId: at.sceneId },
        },
      ];
    },
  },
);
