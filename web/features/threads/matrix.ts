import {
  type Analysis,
  cableNumbers,
  type DeviceNode,
  figure,
  formatName,
  headroomDb,
  type Level,
  stagesOf,
  STEPS,
  type Thread,
  supplyOf,
} from '@echo-loom/core';
import { worstByItem, worstOf } from '@/features/loom/marks';
import { type Reading, readingOfStage } from '@/features/chosen/readings';
import { itemsOf } from '@/features/loom/shown';

/** Threads as a table of sources and destinations, and as a list by destination. */

/** The threads from one source to one destination. */
export interface Crossing {
  readonly threads: readonly [Thread, ...Thread[]];
  /** The worst finding on their ways */
  readonly level: Level | undefined;
}

export interface Matrix {
  readonly sources: readonly DeviceNode[];
  readonly ends: readonly DeviceNode[];
  /** @returns undefined where nothing leads from the one to the other */
  readonly at: (source: DeviceNode, end: DeviceNode) => Crossing | undefined;
}

/** The worst finding on the way of a thread. */
export const levelOf = (worst: ReadonlyMap<string, Level>, thread: Thread): Level | undefined => {
  const { devices, links } = itemsOf(thread);
  return worstOf([
    ...devices.map(({ id }) => worst.get(`device:${id}`)),
    ...links.map(({ id }) => worst.get(`link:${id}`)),
  ]);
};

const byStep = (analysis: Analysis) => (a: DeviceNode, b: DeviceNode) =>
  STEPS.indexOf(a.model.step) - STEPS.indexOf(b.model.step) ||
  analysis.device(a).order - analysis.device(b).order;

/** What leads from where to where. @param threads those that are to be shown */
export const matrixOf = (analysis: Analysis, threads: readonly Thread[]): Matrix => {
  const worst = worstByItem(analysis);
  const crossings = new Map<string, Thread[]>();
  const sources = new Set<DeviceNode>();
  const ends = new Set<DeviceNode>();
  const keyOf = (source: DeviceNode, end: DeviceNode) => `${source.id}>${end.id}`;
  for (const thread of threads) {
    const [source, end] = [thread.source.device, thread.end.device];
    sources.add(source);
    ends.add(end);
    const key = keyOf(source, end);
    crossings.set(key, [...(crossings.get(key) ?? []), thread]);
  }
  return {
    sources: [...sources].sort((a, b) => analysis.device(a).order - analysis.device(b).order),
    ends: [...ends].sort(byStep(analysis)),
    at: (source, end) => {
      const [first, ...rest] = crossings.get(keyOf(source, end)) ?? [];
      if (!first) return undefined;
      const all: [Thread, ...Thread[]] = [first, ...rest];
      return { threads: all, level: worstOf(all.map((thread) => levelOf(worst, thread))) };
    },
  };
};

/** Length of every cable on a thread's way. @unit m */
const lengthM = (thread: Thread): number =>
  itemsOf(thread).links.reduce((sum, { link }) => sum + link.cable.lengthM, 0);

/** The numbers of the cables on a thread's way, in its order. */
const cableNumbersOf = ({ rig }: Analysis, thread: Thread): string => {
  const numbers = cableNumbers(rig);
  return itemsOf(thread)
    .links.flatMap(({ id }) => numbers.get(id) ?? [])
    .join(', ');
};

/** What every device on a thread's way draws at most, together. @unit W */
const powerW = (thread: Thread): number =>
  itemsOf(thread).devices.reduce((sum, { model }) => sum + (supplyOf(model)?.mostW ?? 0), 0);

/** Of the threads of a cell the one its reading is taken from: a level from sound, a format from a picture. */
export const speaking = ({ threads }: Crossing, reading: Reading): Thread => {
  const signal = reading === 'Level' || reading === 'Headroom' ? 'sound' : 'picture';
  return threads.find((thread) => thread.signal === signal) ?? threads[0];
};

/** What a thread says where it arrives. */
export const arrivalText = (analysis: Analysis, thread: Thread, reading: Reading): string => {
  const { last } = thread;
  switch (reading) {
    case 'Cable':
      return `${figure(lengthM(thread))} m`;
    case 'Number':
      return cableNumbersOf(analysis, thread);
    case 'Power':
      return `${figure(powerW(thread), 0)} W`;
    case 'Delay': {
      const delay = analysis.delay[last.index];
      return delay ? `${delay.unknown > 0 ? '≥ ' : ''}${figure(delay.knownMs)} ms` : '';
    }
    case 'Headroom': {
      const least = leastHeadroomDb(analysis, thread);
      if (least !== null) return `${figure(least)} dB`;
      return thread.signal === 'sound' ? '?' : arrivalText(analysis, thread, 'Format');
    }
    case 'Level': {
      const sound = analysis.sound[last.index];
      if (!sound) return arrivalText(analysis, thread, 'Format');
      return sound.levelDb === null ? '?' : `${figure(sound.levelDb)} ${sound.unit}`;
    }
    case 'Format': {
      const picture = analysis.picture[last.index];
      if (picture) return picture.format ? formatName(picture.format) : 'none';
      const arriving = stagesOf(last).findLast(({ via }) => via.by === 'link');
      return (arriving && readingOfStage(analysis, 'Format', arriving)) ?? 'sound';
    }
  }
};

/** The least headroom on the way. @unit dB @returns null for what has none */
export const leastHeadroomDb = (analysis: Analysis, thread: Thread): number | null => {
  const margins = stagesOf(thread.last).flatMap((stage) => {
    const figures = analysis.sound[stage.index];
    const headroom = figures ? headroomDb(figures) : null;
    return headroom === null ? [] : [headroom];
  });
  return margins.length > 0 ? Math.min(...margins) : null;
};

/** The devices of a thread's way by name. */
export const wayText = (analysis: Analysis, thread: Thread): string =>
  itemsOf(thread)
    .devices.map((node) => analysis.device(node).name)
    .join(' → ');

const EXPORTED = [
  'Destination',
  'Source',
  'Signal',
  'Way',
  'Arrives',
  'Least headroom dB',
  'Delay ms',
  'Delay all known',
  'Cable m',
  'Worst finding',
] as const;

type ExportedCell = string | number | null;

/** The threads as a table for a spreadsheet: figures as numbers, by destination. */
export const exported = (
  analysis: Analysis,
  threads: readonly Thread[],
): { readonly fields: readonly string[]; readonly rows: readonly (readonly ExportedCell[])[] } => {
  const worst = worstByItem(analysis);
  const { ends } = matrixOf(analysis, threads);
  const rows = ends.flatMap((end) =>
    threads
      .filter((thread) => thread.end.device === end)
      .map((thread): ExportedCell[] => {
        const delay = analysis.delay[thread.last.index];
        const least = leastHeadroomDb(analysis, thread);
        const rounded = (value: number) => Number(value.toFixed(2));
        return [
          analysis.device(end).name,
          analysis.device(thread.source.device).name,
          thread.signal,
          wayText(analysis, thread),
          arrivalText(analysis, thread, 'Level'),
          least === null ? null : rounded(least),
          delay ? rounded(delay.knownMs) : null,
          delay ? (delay.unknown > 0 ? 'no' : 'yes') : null,
          rounded(lengthM(thread)),
          levelOf(worst, thread) ?? null,
        ];
      }),
  );
  return { fields: EXPORTED, rows };
};
