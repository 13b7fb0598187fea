import { inOrder, type Layer, type Scene } from '../../rig';
import { pictureRule } from '../rule-of';

type Odd = { readonly level: 'warn' | 'note'; readonly title: string; readonly says: string };

const count = ({ layers }: Scene, box: Layer['box']): number =>
  layers.filter((layer) => layer.box === box).length;

/** What is odd about a scene as it is written, whatever the rig can do. */
const oddOf = (scene: Scene): Odd | null => {
  const { name, layers } = scene;
  if (layers.length === 0)
    return {
      level: 'warn',
      title: `${name} shows nothing`,
      says: `${name} has no picture in it: the programme is black. Choose what it shows.`,
    };
  if (count(scene, 'full') > 1)
    return {
      level: 'warn',
      title: `One picture hides another in ${name}`,
      says:
        `${name} fills the frame ${count(scene, 'full')} times: only the last is seen. Leave one, or ` +
        `make the other an inset.`,
    };
  const half = (['left half', 'right half'] as const).find((box) => count(scene, box) > 1);
  if (half)
    return {
      level: 'warn',
      title: `Two pictures in the ${half} of ${name}`,
      says: `${name} puts ${count(scene, half)} pictures in its ${half}: only the last is seen. Use the other half.`,
    };
  const isOverNothing =
    layers.every(({ box }) => box === 'inset' || box === 'over') && count(scene, 'full') === 0;
  return isOverNothing
    ? {
        level: 'warn',
        title: `Nothing stands behind ${name}`,
        says:
          `${name} has small pictures or graphics and nothing that fills the frame: the rest is black. ` +
          `Add what they stand on.`,
      }
    : null;
};

export const sceneOdd = pictureRule(
  'picture.scene-odd',
  {
    looksFor:
      'A scene without a picture, with one picture hidden by another, two in one half, or small ones over nothing.',
    why: 'On air it is black, or lacks what everybody thinks is there.',
    remedy: 'Say what fills the frame, and what stands where.',
    source: 'handbook 3-picture, program, scenes, cut',
  },
  (measured) =>
    inOrder(measured.rig.scenes).flatMap(([sceneId, scene]) => {
      const odd = oddOf(scene);
      return odd ? [{ ...odd, about: { kind: 'scene', sceneId } }] : [];
    }),
);
