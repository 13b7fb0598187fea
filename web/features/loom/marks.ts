import type { Analysis, Level } from '@echo-loom/core';
import { type Item, itemOf } from './view';

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

export const LEVEL_WORDS: Readonly<Record<Level, string>> = {
  stop: 'stop',
  warn: 'warning',
  note: 'note',
};
