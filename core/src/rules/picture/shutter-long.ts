import { figure } from '../../passes/sum';
import { setFix, shotRule } from '../rule-of';
import {
  framesOf,
  isSteady,
  longerThanFrame,
  nearestShutter,
  shutterOf,
} from '../../passes/framing/shutters';

export const shutterLong = shotRule(
  'picture.shutter-long',
  {
    looksFor: 'A shutter that is open for longer than a frame lasts.',
    why: 'There is no such exposure: the camera sets another one, and everything judged by it is off.',
    remedy: 'Set a shutter no longer than the frame.',
    source: 'handbook 3-picture: a shutter longer than the frame is impossible',
  },
  (framing) => {
    const [shutter, frames] = [shutterOf(framing), framesOf(framing)];
    if (shutter === null || frames === null || !longerThanFrame(shutter, frames)) return null;
    return {
      level: 'warn',
      title: `1/${figure(shutter, 0)} s at ${figure(frames, 0)} frames a second`,
      says:
        `${framing.device.name} is set to 1/${figure(shutter, 0)} s and a frame lasts ` +
        `1/${figure(frames, 0)} s: there is no such exposure. Set 1/${figure(frames, 0)} s or shorter.`,
    };
  },
  {
    fixes: (framing, { rig: { mains } }) => {
      const [shutter, frames] = [shutterOf(framing), framesOf(framing)];
      if (shutter === null || frames === null || !framing.camera) return [];
      const value = nearestShutter(
        shutter,
        (one) => !longerThanFrame(one, frames) && (!mains || isSteady(one, mains.hz)),
      );
      return value === undefined
        ? []
        : [
            setFix(
              `Set ${framing.device.name} to 1/${value} s`,
              framing.shot.deviceId,
              framing.camera.shutterControl,
              value,
            ),
          ];
    },
  },
);
