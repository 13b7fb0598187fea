import { figure } from '../../passes/sum';
import { freeId, type Lens, lensText, reachesFocal, USUAL_LENSES } from '../../rig';
import { shotRule } from '../rule-of';

/** The usual lens that has a focal length: one that does not zoom before one that does, the cheapest first. */
const usualLens = (focalMm: number): Omit<Lens, 'order'> | undefined =>
  [...USUAL_LENSES]
    .sort(
      (a, b) =>
        a.focal.longestMm - a.focal.shortestMm - (b.focal.longestMm - b.focal.shortestMm) ||
        (a.price ?? 0) - (b.price ?? 0),
    )
    .find((lens) => reachesFocal(lens, focalMm));

export const lensUnknown = shotRule(
  'picture.lens-unknown',
  {
    looksFor: 'A planned shot by a camera that takes lenses, and no lens said.',
    why:
      'Whether there is one of that focal length, how far it opens, how near it focuses and ' +
      'what it costs hang on it.',
    remedy: 'Say which lens is on it.',
    source: 'handbook 3-picture: lenses are things that exist',
  },
  ({ device, camera, lens, focalMm }) =>
    camera?.mount === undefined || lens
      ? null
      : {
          level: 'note',
          title: 'Which lens has not been said',
          says:
            `${device.name} is set to ${figure(focalMm ?? 0)} mm, and no lens of the rig is on it. Say ` +
            'which it is: how near it focuses, how far it opens and what it costs hang on it.',
        },
  {
    fixes: ({ device, shot, camera, focalMm }, { rig }) => {
      const usual = focalMm === null ? undefined : usualLens(focalMm);
      if (!usual || camera?.mount === undefined) return [];
      const lens = { ...usual, mount: camera.mount };
      const lensId = freeId(lens.name, rig.lenses);
      const label = `Add ${lens.name} (${lensText({ ...lens, order: 0 })}) and put it on ${device.name}`;
      return [
        {
          label,
          command: {
            type: 'batch',
            label,
            commands: [
              { type: 'addLens', lensId, lens },
              { type: 'mountLens', deviceId: shot.deviceId, lensId },
            ],
          },
        },
      ];
    },
  },
);
