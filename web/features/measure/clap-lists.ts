import { csvOf } from '@echo-loom/core';
import type { ClapFound } from '@/workers/measuring/tasks';

/** What was found of a clap, as lists to take along. Times in seconds. */

/** A recording on one common clock. */
export interface Started {
  readonly name: string;
  readonly lengthS: number;
  /** When it begins, after the first of them all; null where that is not sure */
  readonly startS: number | null;
  readonly driftPpm: number | null;
}

/** When each recording begins, the earliest at 0. What is not sure has no time. */
export const startsOf = ({ first, rest }: ClapFound): Started[] => {
  const all = [
    { ...first, startS: 0, driftPpm: 0 },
    ...rest.map(({ name, lengthS, isSure, offsetMs, driftPpm }) => ({
      name,
      lengthS,
      // What is heard later in it begins earlier.
      startS: isSure ? -offsetMs / 1000 : null,
      driftPpm: isSure ? driftPpm : null,
    })),
  ];
  const earliest = Math.min(...all.flatMap(({ startS }) => startS ?? []));
  return all.map((one) => ({
    ...one,
    startS: one.startS === null ? null : one.startS - earliest,
  }));
};

/** What is cut off the beginning of each, so that all begin together. @unit s */
export const trimsOf = (starts: readonly Started[]): (number | null)[] => {
  const latest = Math.max(...starts.flatMap(({ startS }) => startS ?? []));
  return starts.map(({ startS }) => (startS === null ? null : latest - startS));
};

const two = (value: number): string => String(value).padStart(2, '0');

/** `00:00:02:13`, hours, minutes, seconds and frames. @param rate whole frames a second */
export const timecode = (seconds: number, rate: number): string => {
  const frames = Math.round(seconds * rate);
  const whole = Math.floor(frames / rate);
  return [Math.floor(whole / 3600), Math.floor(whole / 60) % 60, whole % 60, frames % rate]
    .map(two)
    .join(':');
};

const rounded = (value: number | null, digits: number): number | '' =>
  value === null ? '' : Number(value.toFixed(digits));

export const startsCsv = (found: ClapFound): string => {
  const starts = startsOf(found);
  const trims = trimsOf(starts);
  return csvOf(
    ['Recording', 'Begins s', 'Cut off its beginning s', 'Length s', 'Drift ppm'],
    starts.map(({ name, startS, lengthS, driftPpm }, at) => [
      name,
      rounded(startS, 5),
      rounded(trims[at] ?? null, 5),
      rounded(lengthS, 3),
      rounded(driftPpm, 2),
    ]),
  );
};

/** An edit list: one event a recording, cut so that all begin together. @param rate whole frames a second */
export const editList = (found: ClapFound, title: string, rate: number): string => {
  const starts = startsOf(found);
  const trims = trimsOf(starts);
  const events = starts.flatMap(({ name, lengthS }, at) => {
    const trimS = trims[at];
    return trimS === null || trimS === undefined || trimS >= lengthS
      ? []
      : [{ name, trimS, lengthS }];
  });
  return [
    `TITLE: ${title}`,
    'FCM: NON-DROP FRAME',
    ...events.flatMap(({ name, trimS, lengthS }, at) => [
      [
        String(at + 1).padStart(3, '0'),
        'AX      ',
        'AA/V ',
        'C       ',
        timecode(trimS, rate),
        timecode(lengthS, rate),
        timecode(0, rate),
        timecode(lengthS - trimS, rate),
      ].join(' '),
      `* FROM CLIP NAME: ${name}`,
    ]),
    '',
  ].join('\n');
};
