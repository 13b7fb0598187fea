import type { Fix } from '../../edits/fix';
import { focalFixes } from '../../edits/lens';
import { FRAME_TOLERANCE, type Framed } from '../../passes/framing';
import { figure } from '../../passes/sum';
import { shotRule } from '../rule-of';

/** Moves the camera to where its lens gives the shot. */
const move = ({ device, shot, shotId, distanceForWantedM }: Framed): Fix[] => {
  if (
    distanceForWantedM === null ||
    (shot.furthestM !== null && distanceForWantedM > shot.furthestM)
  )
    return [];
  const distanceM = Number(distanceForWantedM.toFixed(2));
  return distanceM > 0
    ? [
        {
          label: `Stand ${device.name} at ${figure(distanceM, 2)} m`,
          command: { type: 'changeShot', shotId, shot: { distanceM } },
        },
      ]
    : [];
};

export const shotMissed = shotRule(
  'picture.shot-missed',
  {
    matters: ['size'],
    looksFor: 'A camera whose lens and place frame something else than the shot that is wanted.',
    why: 'The shot was planned for what must be seen; a head too small or cut off is found out on air.',
    remedy: 'Move the camera, or use the focal length that frames it.',
    source: 'handbook 3-picture: field = distance × active sensor ÷ focal length',
  },
  ({ device, shot, misfit, wanted, widthM, heightM }) => {
    if (misfit === null || wanted === null || Math.abs(misfit) <= FRAME_TOLERANCE) return null;
    const framed = wanted.of === 'width' ? widthM : heightM;
    return {
      level: 'warn',
      title: `Frames ${figure(framed ?? 0, 2)} m ${wanted.of}, ${figure(wanted.m, 2)} m wanted`,
      says:
        `${device.name} frames ${figure(framed ?? 0, 2)} m of ${wanted.of} and ` +
        `“${shot.wanted}” is ${figure(wanted.m, 2)} m: ` +
        `${misfit > 0 ? 'too wide' : 'too tight'}. Move the camera or change the focal ` +
        'length.',
    };
  },
  {
    sums: ({
      shot,
      wanted,
      sensorWidthMm,
      sensorHeightMm,
      focalMm,
      widthM,
      heightM,
      crop,
      focalForWantedMm,
    }) => {
      if (!wanted || shot.distanceM === null) return [];
      const isWidth = wanted.of === 'width';
      const sensor = {
        name: `active sensor ${wanted.of}`,
        value: (isWidth ? sensorWidthMm : sensorHeightMm) ?? 'unknown',
        unit: 'mm',
      };
      const distance = { name: 'distance', value: shot.distanceM, unit: 'm' };
      return [
        {
          label: `Framed ${wanted.of}`,
          formula: 'distance × active sensor ÷ focal length',
          inputs: [
            distance,
            sensor,
            { name: 'focal length', value: focalMm ?? 'unknown', unit: 'mm' },
            { name: 'crop of the mode', value: crop, unit: '×' },
          ],
          result: isWidth ? widthM : heightM,
          unit: 'm',
          source: 'handbook 3-picture',
        },
        {
          label: 'Focal length for the shot',
          formula: 'distance × active sensor ÷ wanted',
          inputs: [distance, sensor, { name: 'wanted', value: wanted.m, unit: 'm' }],
          result: focalForWantedMm,
          unit: 'mm',
          source: 'handbook 3-picture',
        },
      ];
    },
    fixes: (framing, measured) => [
      ...(framing.focalForWantedMm === null
        ? []
        : focalFixes(measured, framing, framing.focalForWantedMm)),
      ...move(framing),
    ],
  },
);
