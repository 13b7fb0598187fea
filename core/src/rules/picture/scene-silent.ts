import { pictureRule } from '../rule-of';
import { aboutScene, shortOf } from './scene-short';

export const sceneSilent = pictureRule(
  'picture.scene-silent',
  {
    looksFor: 'A scene in which somebody is to be heard whose voice does not reach the programme.',
    why: 'They talk and nobody hears them.',
    remedy:
      'Bring their microphone to the programme, or say that they are not heard in this scene.',
    source: 'handbook 3-picture, scenes',
  },
  (measured) =>
    shortOf(measured, ['voice']).map(({ made, short }) => ({
      level: 'warn',
      about: aboutScene(made.sceneId, short),
      title: `${made.scene.name} is missing a voice`,
      says: `${short.says} Bring their microphone to the programme, or say that they are not heard in this scene.`,
    })),
);
