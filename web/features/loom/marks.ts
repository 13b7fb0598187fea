import type { Analysis, Level } from '@echo-loom/core';
import { type Item, itemOf } from '@/features/chosen/view';

export const ARROWS = {
  ArrowLeft: 'left',
  ArrowRight: 'right',
  ArrowUp: 'up',
  ArrowDown: 'down',
} as const;

export const isArrow = (key: string): key is keyof typeof ARROWS => key in ARROWS;

export const keyOf = (item: Item): string => `${item.kind}:${item.id}`;

/** The worst finding on each item. */
export const worstByItem = (analysis: Analysis): ReadonlyMap<string, Level> => {
  const worst = new Map<string, Level>();
  for (const finding of analysis.findings) {
    const item = itemOf(analysis, finding);
    if (item && !worst.has(keyOf(item))) worst.set(keyOf(item), finding.level);
  }
  return worst;
};

const LEVEL_ORDER: readonly Level[] = ['stop', 'warn', 'note'];

/** The worst of some levels. @returns undefined where there is none */
export const worstOf = (levels: readonly (Level | undefined)[]): Level | undefined =>
  LEVEL_ORDER.find((level) => levels.includes(level));

/** Devices that make a file themselves of something that reaches them, or that they see. */
export const recordingDevices = (analysis: Analysis): ReadonlySet<string> =>
  new Set(analysis.traced.threads.flatMap(({ end }) => (end.port.records ? [end.device.id] : [])));

export const LEVEL_WORDS: Readonly<Record<Level, string>> = {
  stop: 'stop',
  warn: 'warning',
  note: 'note',
};
