import type { Fix } from '../../edits/fix';
import type { Measured } from '../../passes/measured';
import { entry, freeId, inOrder } from '../../rig';
import { pictureRule } from '../rule-of';
import { buttons } from './panel-buttons';

/** Scenes without a button, where the panel has any. */
const unreached = (measured: Measured) => {
  const reached = new Set(
    buttons(measured).flatMap(([, { does }]) => (does.type === 'scene' ? [does.sceneId] : [])),
  );
  const byHand = ['operator', 'host by panel', 'host by pedal'].includes(
    measured.rig.brief?.switchedBy ?? '',
  );
  return byHand ? inOrder(measured.rig.scenes).filter(([id]) => !reached.has(id)) : [];
};

export const sceneOffPanel = pictureRule(
  'picture.scene-off-panel',
  {
    matters: ['panel'],
    looksFor: 'A scene that no button calls up, in a show that is switched by hand.',
    why: 'It was planned and cannot be shown.',
    remedy: 'Put it on the panel.',
    source: 'handbook 3-picture, scenes',
  },
  (measured) =>
    unreached(measured).map(([sceneId, { name }]) => ({
      level: 'warn',
      about: { kind: 'scene', sceneId },
      title: `${name} is on no button`,
      says: `${name} cannot be called up: no button of the panel does it. Put it on the panel.`,
    })),
  {
    fixes: (measured, { about }): Fix[] => {
      const scene =
        about.sceneId === undefined ? undefined : entry(measured.rig.scenes, about.sceneId);
      if (!scene || about.sceneId === undefined) return [];
      const buttonId = freeId(scene.name, {
        ...measured.rig.panel.buttons,
        ...measured.rig.scenes,
      });
      return [
        {
          label: `Put ${scene.name} on the panel`,
          command: {
            type: 'addButton',
            buttonId,
            button: {
              label: scene.name,
              does: { type: 'scene', sceneId: about.sceneId },
              guard: 'none',
              handId: null,
            },
          },
        },
      ];
    },
  },
);
