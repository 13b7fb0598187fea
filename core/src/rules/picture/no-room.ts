import type { Fix } from '../../edits/fix';
import { focalFixes } from '../../edits/lens';
import { cropAt, focalForMm, type Framed } from '../../passes/framing';
import { figure } from '../../passes/sum';
import { entry } from '../../rig';
import { isFormatText, parseFormat, rateToHz } from '../../units';
import { setFix, shotRule } from '../rule-of';

/** The focal length that gives the shot from as far back as the room allows. @unit mm; null where it cannot be told */
const focalAtTheWall = ({ shot, wanted, sensorWidthMm, sensorHeightMm }: Framed): number | null => {
  const sensor = wanted?.of === 'width' ? sensorWidthMm : sensorHeightMm;
  return wanted && sensor !== null && shot.furthestM !== null
    ? focalForMm(shot.furthestM, wanted.m, sensor)
    : null;
};

/** Formats of the camera with so little crop that the lens it has would do. */
const modesThatFit = (framing: Framed): { control: string; value: string; label: string }[] => {
  const { device, camera, shot, crop, format, distanceForWantedM } = framing;
  const control = Object.values(device.model.ports).find(({ emits }) => emits?.picture)?.emits
    ?.picture?.formatControl;
  const choice = control === undefined ? undefined : entry(device.model.controls, control);
  if (
    !camera ||
    control === undefined ||
    choice?.type !== 'choice' ||
    format === null ||
    distanceForWantedM === null ||
    shot.furthestM === null
  )
    return [];
  const { furthestM } = shot;
  // The mode nearest in rate to the present one first.
  const offRate = (value: string): number =>
    isFormatText(value)
      ? Math.abs(rateToHz(parseFormat(value).rate) - rateToHz(format.rate))
      : Infinity;
  return [...choice.options]
    .sort((a, b) => offRate(a.value) - offRate(b.value))
    .flatMap(({ value, label }) => {
      if (!isFormatText(value)) return [];
      const other = parseFormat(value);
      const fits =
        other.scan === 'p' &&
        other.height >= 1080 &&
        (distanceForWantedM / crop) * cropAt(camera, other) <= furthestM &&
        cropAt(camera, other) < crop;
      return fits ? [{ control, value, label }] : [];
    });
};

const says = (framing: Framed): string => {
  const focal = focalAtTheWall(framing);
  const [mode] = modesThatFit(framing);
  const parts = [
    focal === null ? '' : `A ${figure(focal)} mm lens would do from there`,
    mode ? `${mode.label} crops less and would do` : '',
  ].filter(Boolean);
  return parts.length ? ` ${parts.join('; or ')}.` : '';
};

export const noRoom = shotRule(
  'picture.no-room',
  {
    matters: ['size'],
    looksFor: 'A shot whose lens would have to stand farther back than the room allows.',
    why: 'The wall is in the way; this is found out on the day of the build.',
    remedy: 'Use a shorter focal length, a mode that crops less, or a larger sensor.',
    source: 'handbook 3-picture: d = f × H ÷ active sensor height',
  },
  (framing) => {
    const { device, shot, distanceForWantedM, focalMm } = framing;
    if (
      distanceForWantedM === null ||
      shot.furthestM === null ||
      distanceForWantedM <= shot.furthestM
    )
      return null;
    return {
      level: 'warn',
      title: `Needs ${figure(distanceForWantedM, 2)} m, the room gives ${figure(shot.furthestM, 2)} m`,
      says:
        `For “${shot.wanted}” at ${figure(focalMm ?? 0)} mm ${device.name} would stand at ` +
        `${figure(distanceForWantedM, 2)} m, and it can go back ${figure(shot.furthestM, 2)} ` +
        `m.${says(framing)}`,
    };
  },
  {
    sums: ({ wanted, focalMm, sensorWidthMm, sensorHeightMm, distanceForWantedM, crop }) =>
      wanted
        ? [
            {
              label: 'Distance for the shot',
              formula: 'focal length × wanted ÷ active sensor',
              inputs: [
                { name: 'focal length', value: focalMm ?? 'unknown', unit: 'mm' },
                { name: 'wanted', value: wanted.m, unit: 'm' },
                {
                  name: `active sensor ${wanted.of}`,
                  value: (wanted.of === 'width' ? sensorWidthMm : sensorHeightMm) ?? 'unknown',
                  unit: 'mm',
                },
                { name: 'crop of the mode', value: crop, unit: '×' },
              ],
              result: distanceForWantedM,
              unit: 'm',
              source: 'handbook 3-picture',
            },
          ]
        : [],
    fixes: (framing, measured): Fix[] => {
      const { device, shot } = framing;
      const focal = focalAtTheWall(framing);
      return [
        // A touch wider than the wall asks, so that the step of the lens never leaves it beyond.
        ...(focal === null ? [] : focalFixes(measured, framing, focal - 0.05)),
        ...modesThatFit(framing)
          .slice(0, 1)
          .map(({ control, value, label }) =>
            setFix(`Set ${device.name} to ${label}`, shot.deviceId, control, value),
          ),
      ];
    },
  },
);
