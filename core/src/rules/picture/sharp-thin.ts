import { circleOfConfusionMm, depthOfField, type Framed } from '../../passes/framing';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import { entry, type Person, switchSetting } from '../../rig';
import { setFix, shotRule } from '../rule-of';

/** How far somebody sways to and fro, by what they do. @unit m; judged for a focus that is set once */
const SWAY_M: Readonly<Record<Person['posture'], number>> = { sits: 0.2, stands: 0.3, moves: 0.6 };

const swayOf = ({ shot, camera, device }: Framed, measured: Measured): number | null => {
  const person = shot.personId === null ? undefined : entry(measured.rig.people, shot.personId);
  // A camera that follows the focus by itself copes.
  const control = camera?.autofocusControl ?? camera?.focusNoise?.control;
  if (control !== undefined && switchSetting(device, control)) return null;
  return person ? SWAY_M[person.posture] : null;
};

/** The smallest usual f-number with which all of the sway is sharp. */
const STOPS = [1.4, 2, 2.8, 4, 5.6, 8, 11, 16, 22];
const stopFor = (framing: Framed, sway: number): number | undefined => {
  const { focalMm, sensorWidthMm, shot, fNumber } = framing;
  if (focalMm === null || sensorWidthMm === null || shot.distanceM === null) return undefined;
  const { distanceM } = shot;
  return STOPS.find((stop) => {
    const { nearM, farM } = depthOfField(
      focalMm,
      stop,
      circleOfConfusionMm(sensorWidthMm),
      distanceM,
    );
    return stop > (fNumber ?? 0) && farM - nearM >= sway;
  });
};

export const sharpThin = shotRule(
  'picture.sharp-thin',
  {
    looksFor: 'A focus that is set once on somebody who moves more than what is sharp.',
    why: 'They lean forward to make a point, and are soft while they make it.',
    remedy: 'Close the aperture and add light, use autofocus, or stand farther back.',
    source: 'handbook 3-picture: depth of field, circle of confusion sensor width ÷ 1200',
  },
  (framing, measured) => {
    const { sharp, device } = framing;
    const sway = swayOf(framing, measured);
    if (!sharp || sway === null || sharp.farM - sharp.nearM >= sway) return null;
    return {
      level: 'warn',
      title: `Sharp for ${figure((sharp.farM - sharp.nearM) * 100, 0)} cm`,
      says:
        `${device.name} is sharp from ${figure(sharp.nearM, 2)} to ${figure(sharp.farM, 2)} ` +
        `m, and whoever is in the shot sways ${figure(sway * 100, 0)} cm. Close the aperture ` +
        'and add light, or let the camera follow the focus.',
    };
  },
  {
    sums: ({ sharp, focalMm, fNumber, sensorWidthMm, shot }) => [
      {
        label: 'Depth of field',
        formula: 'far − near, with H = f² ÷ (N·c) + f',
        inputs: [
          { name: 'focal length', value: focalMm ?? 'unknown', unit: 'mm' },
          { name: 'f-number', value: fNumber ?? 'unknown', unit: '' },
          {
            name: 'circle of confusion',
            value: sensorWidthMm === null ? 'unknown' : circleOfConfusionMm(sensorWidthMm),
            unit: 'mm',
          },
          { name: 'distance', value: shot.distanceM ?? 'unknown', unit: 'm' },
        ],
        result: sharp ? (sharp.farM - sharp.nearM) * 100 : null,
        unit: 'cm',
        source: 'handbook 3-picture',
      },
    ],
    fixes: (framing, measured) => {
      const sway = swayOf(framing, measured);
      const stop = sway === null ? undefined : stopFor(framing, sway);
      return framing.camera && stop !== undefined
        ? [
            setFix(
              `Close ${framing.device.name} to f/${stop}`,
              framing.shot.deviceId,
              framing.camera.fNumberControl,
              stop,
            ),
          ]
        : [];
    },
  },
);
