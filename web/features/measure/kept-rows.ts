import {
  type Analysis,
  type Calibration,
  calibrationNames,
  calibrations,
  entry,
  type KeptReading,
  type ReadingIs,
  readings,
  type SimpleCommand,
} from '@echo-loom/core';
import { msText } from '@/features/time/offsets';
import { level } from './level';

/** Everything that is kept as measured, as lines of one table. */

export const HEADINGS = ['What', 'At', 'On', 'Predicted', 'Measured', 'Off', 'It is'] as const;

export interface KeptRow {
  readonly id: string;
  readonly what: string;
  /** One for each heading after the first */
  readonly cells: readonly string[];
  readonly isStale: boolean;
  readonly forget: SimpleCommand;
}

const IS: Readonly<Record<Calibration['is'] | ReadingIs, string>> = {
  used: 'used',
  stale: 'stale: something is set otherwise',
  apart: 'kept; the rig says otherwise',
  older: 'measured anew since',
  gone: 'nothing meets there any more',
};

const ms = (value: number | null): string => (value === null ? 'not known' : `${msText(value)} ms`);

const offsetRow = (analysis: Analysis, one: Calibration): KeptRow => {
  const { what, where } = calibrationNames(analysis, one);
  return {
    id: one.id,
    what,
    cells: [
      where,
      one.on ?? '—',
      ms(one.predictedMs),
      `${msText(one.measuredMs)} ± ${msText(one.spreadMs)} ms`,
      one.offMs === null ? '—' : ms(one.offMs),
      IS[one.is] + (one.file === null ? '' : `, from ${one.file}`),
    ],
    isStale: one.is === 'stale',
    forget: { type: 'removeOffset', offsetId: one.id },
  };
};

const inUnit = (value: number, unit: KeptReading['unit']): string =>
  unit === 's' ? `${value.toFixed(2)} s` : level(value, 'dBFS');

const readingRow = (
  { rig }: Analysis,
  { id, reading, unit, measured, predicted, off, is, since }: KeptReading,
): KeptRow => {
  const { of, on, file } = reading;
  const name = (deviceId: string): string => entry(rig.devices, deviceId)?.name ?? deviceId;
  return {
    id,
    what: of.is === 'room' ? 'How long the room rings' : `Level of ${name(of.soundId)}`,
    cells: [
      of.is === 'room' ? 'the room' : name(of.inputId),
      on ?? '—',
      predicted === null ? 'not known' : inUnit(predicted, unit),
      of.is === 'room'
        ? `${inUnit(measured, unit)} ± ${of.spreadS.toFixed(2)} s`
        : inUnit(measured, unit),
      off === null ? '—' : unit === 's' ? inUnit(off, unit) : level(off, 'dB'),
      (since === '' ? IS[is] : `stale: ${since}`) + (file === null ? '' : `, from ${file.name}`),
    ],
    isStale: is === 'stale',
    forget: { type: 'removeReading', readingId: id },
  };
};

/** Offsets first, then levels and the room, the latest of each first. */
export const keptRows = (analysis: Analysis): readonly KeptRow[] => [
  ...calibrations(analysis).map((one) => offsetRow(analysis, one)),
  ...readings(analysis).map((one) => readingRow(analysis, one)),
];

const quoted = (text: string): string => `"${text.replaceAll('"', '""')}"`;

/** The same as a table of text. */
export const keptCsv = (rows: readonly KeptRow[]): string =>
  [[...HEADINGS], ...rows.map(({ what, cells }) => [what, ...cells])]
    .map((row) => row.map(quoted).join(','))
    .join('\r\n');
