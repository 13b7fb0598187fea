import { type Analysis, stagesOf, type Thread } from '@echo-loom/core';
import { type Reading, readingOfStage } from '@/features/chosen/readings';
import type { Shown } from '@/layout/parts';
import { itemsOf } from './shown';
import type { Item } from '@/features/chosen/view';

/** The threads a device or a cable is on, in the order of their sources. */
export const threadsThrough = (analysis: Analysis, item: Item): Thread[] =>
  analysis.traced.threads.filter((thread) => {
    const { devices, links } = itemsOf(thread);
    return item.kind === 'device'
      ? devices.some(({ id }) => id === item.id)
      : links.some(({ id }) => id === item.id);
  });

/** Everything that stands on some threads. */
export const litBy = (threads: readonly Thread[]): Shown => {
  const devices = new Set<string>();
  const links = new Set<string>();
  for (const thread of threads) {
    const way = itemsOf(thread);
    for (const { id } of way.devices) devices.add(id);
    for (const { id } of way.links) links.add(id);
  }
  return { devices, links };
};

/** One step of a thread's way: a device, or the cable to the next with what it says. */
export interface WayStep {
  readonly item: Item;
  readonly text: string;
}

/** A thread as a line: device, reading, device, reading … */
export const wayLine = (analysis: Analysis, thread: Thread, reading: Reading): WayStep[] => {
  const steps: WayStep[] = [];
  for (const stage of stagesOf(thread.last)) {
    if (stage.via.by === 'link')
      steps.push({
        item: { kind: 'link', id: stage.via.link.id },
        text: readingOfStage(analysis, reading, stage) ?? '',
      });
    const device: Item = { kind: 'device', id: stage.at.device.id };
    const last = steps.at(-1)?.item;
    if (last?.kind !== 'device' || last.id !== device.id)
      steps.push({ item: device, text: analysis.device(stage.at.device).name });
  }
  return steps;
};
