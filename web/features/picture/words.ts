import {
  BOXES,
  figure,
  formatName,
  parseFormat,
  WANTED_FORMATS,
  type Box,
  type Framing,
} from '@echo-loom/core';

/** Choices and figures of the picture as they are read. */

const BOX_LABELS: Readonly<Record<Box, string>> = {
  full: 'Fills the frame',
  inset: 'Small, on top',
  'left half': 'Left half',
  'right half': 'Right half',
  over: 'Laid over',
};
export const BOX_OPTIONS = BOXES.map((value) => ({ value, label: BOX_LABELS[value] }));

/** Formats to choose from, with the present one among them. */
export const formatOptions = (
  present: string,
): readonly { readonly value: string; readonly label: string }[] =>
  WANTED_FORMATS.some(({ value }) => value === present)
    ? WANTED_FORMATS
    : [...WANTED_FORMATS, { value: present, label: formatName(parseFormat(present)) }];

const stopsWords = (stopsOver: number | null): string => {
  if (stopsOver === null) return '';
  if (Math.abs(stopsOver) < 0.05) return ', and has it';
  return `, ${figure(Math.abs(stopsOver))} stops too ${stopsOver > 0 ? 'much' : 'little'}`;
};

const metres = (value: number | null): string =>
  value === null ? 'not known' : value === Infinity ? 'infinity' : `${figure(value, 2)} m`;

/** The figures of a shot as lines of a table: what it is, and its value. */
export const framingLines = (
  framing: Framing,
): readonly (readonly [label: string, value: string])[] => {
  const {
    widthM,
    heightM,
    wanted,
    crop,
    sensorWidthMm,
    sensorHeightMm,
    focalMm,
    fullFrameFocalMm,
    distanceForWantedM,
    focalForWantedMm,
    sharp,
    blurPercent,
    eyeLineDeg,
    headroomShare,
    punchInMost,
    lightNeededLux,
    stopsOver,
    panRangeDeg,
    travelToLoseM,
  } = framing;
  const lines: (readonly [string, string] | null)[] = [
    [
      'Frames',
      widthM === null || heightM === null
        ? 'not known'
        : `${figure(widthM, 2)} × ${figure(heightM, 2)} m`,
    ],
    wanted ? ['Wanted', `${figure(wanted.m, 2)} m ${wanted.of}`] : null,
    wanted ? ['Distance for that', metres(distanceForWantedM)] : null,
    wanted
      ? [
          'Lens for that from here',
          focalForWantedMm === null ? 'not known' : `${figure(focalForWantedMm)} mm`,
        ]
      : null,
    sensorWidthMm === null || sensorHeightMm === null
      ? null
      : [
          'Active sensor',
          `${figure(sensorWidthMm, 2)} × ${figure(sensorHeightMm, 2)} mm${crop > 1 ? `, cropped ${crop}×` : ''}`,
        ],
    focalMm === null || fullFrameFocalMm === null
      ? null
      : ['Sees as on full frame', `${figure(focalMm)} as ${figure(fullFrameFocalMm)} mm`],
    sharp ? ['Sharp', `${figure(sharp.nearM, 2)} to ${metres(sharp.farM)}`] : null,
    blurPercent === null ? null : ['Background blur', `${figure(blurPercent, 2)} % of the width`],
    headroomShare === null
      ? null
      : ['Space over the head', `${figure(headroomShare * 100, 0)} % of the height`],
    eyeLineDeg === null ? null : ['Eye line', `${figure(eyeLineDeg)}°`],
    punchInMost === null
      ? null
      : ['Can be cut tighter', punchInMost <= 1 ? 'not at all' : `${figure(punchInMost, 2)}×`],
    lightNeededLux === null
      ? null
      : ['Light needed', `${figure(lightNeededLux, 0)} lux${stopsWords(stopsOver)}`],
    panRangeDeg === null ? null : ['Pans over its travel', `${figure(panRangeDeg)}°`],
    travelToLoseM === null ? null : ['Leaves the frame unpanned after', metres(travelToLoseM)],
  ];
  return lines.filter((line) => line !== null);
};
