import { figure } from '../../passes/sum';
import { shotRule } from '../rule-of';

export const lensNear = shotRule(
  'picture.lens-near',
  {
    looksFor: 'A subject nearer than the lens focuses.',
    why: 'It is soft, whatever is turned.',
    remedy: 'Stand farther back, or use a lens that focuses nearer.',
    source: 'handbook 3-picture: lenses are things that exist',
  },
  ({ device, lens, shot }) =>
    !lens || shot.distanceM === null || shot.distanceM >= lens.nearestM - 1e-9
      ? null
      : {
          level: 'stop',
          title: `${figure(shot.distanceM, 2)} m, and the lens focuses from ${figure(lens.nearestM, 2)} m`,
          says:
            `${device.name} stands ${figure(shot.distanceM, 2)} m from its subject and ${lens.name} does ` +
            `not focus nearer than ${figure(lens.nearestM, 2)} m. Stand farther back, or use another lens.`,
        },
  {
    fixes: ({ device, shot, shotId, lens }) =>
      lens && shot.distanceM !== null
        ? [
            {
              label: `Stand ${device.name} at ${figure(lens.nearestM, 2)} m`,
              command: { type: 'changeShot', shotId, shot: { distanceM: lens.nearestM } },
            },
          ]
        : [],
  },
);
