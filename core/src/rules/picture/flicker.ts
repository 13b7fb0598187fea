import { nameOfThing } from '../../passes/names';
import { lampSources } from '../../passes/light';
import { figure } from '../../passes/sum';
import { setFix, shotRule } from '../rule-of';
import {
  framesOf,
  isSteady,
  longerThanFrame,
  nearestShutter,
  shutterOf,
} from '../../passes/framing/shutters';

/** Lamps whose drivers are good do not flicker, and those dimmed by pulses are judged by their rate. */
const MAY_FLICKER: ReadonlySet<unknown> = new Set(['mains', 'unknown']);

export const flicker = shotRule(
  'picture.flicker',
  {
    looksFor: 'A shutter that does not hold whole cycles of a lamp on this mains.',
    why: 'Under lamps that flicker with the mains, and poor LED supplies do, bands roll through the picture.',
    remedy: 'Set a shutter that holds whole cycles, or make sure that no lamp flickers.',
    source: 'handbook 3-picture: lamps on plain mains flicker at twice its rate',
  },
  (framing, measured) => {
    const { mains } = measured.rig;
    const [shutter, frames] = [shutterOf(framing), framesOf(framing)];
    if (!mains || shutter === null || frames === null || isSteady(shutter, mains.hz)) return null;
    if (longerThanFrame(shutter, frames)) return null;
    const lamps = lampSources(measured).filter(({ share }) => share > 0);
    const doubtful = lamps.filter(({ figures }) => figures && MAY_FLICKER.has(figures.flicker));
    // Lamps that are known are judged by what they are; without any, every lamp is in doubt.
    if (lamps.length > 0 && doubtful.length === 0) return null;
    const which =
      doubtful.length === 0
        ? 'a lamp'
        : doubtful.map((lamp) => nameOfThing(measured, lamp)).join(' and ');
    return {
      level: 'note',
      title: `${figure((2 * mains.hz) / shutter, 2)} cycles of the lamps in an exposure`,
      says:
        `At 1/${figure(shutter, 0)} s ${framing.device.name} takes in ` +
        `${figure((2 * mains.hz) / shutter, 2)} cycles of ${which} on ${mains.hz} Hz: where a lamp ` +
        'flickers with the mains, bands roll through the picture. Set a shutter that holds whole cycles.',
    };
  },
  {
    sums: (framing, { rig: { mains } }) => {
      const shutter = shutterOf(framing);
      return mains && shutter !== null
        ? [
            {
              label: 'Cycles of a lamp in an exposure',
              formula: '2 × mains × shutter time',
              inputs: [
                { name: 'mains', value: mains.hz, unit: 'Hz' },
                { name: 'shutter', value: shutter, unit: '1/s' },
              ],
              result: (2 * mains.hz) / shutter,
              unit: 'cycles',
              source: 'handbook 3-picture',
            },
          ]
        : [];
    },
    fixes: (framing, { rig: { mains } }) => {
      const [shutter, frames] = [shutterOf(framing), framesOf(framing)];
      if (!mains || shutter === null || frames === null || !framing.camera) return [];
      const value = nearestShutter(
        shutter,
        (one) => isSteady(one, mains.hz) && !longerThanFrame(one, frames),
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
