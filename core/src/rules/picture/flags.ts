import type { Stage } from '../../graph';
import type { Measured } from '../../measure';
import type { PictureFigures } from '../../picture';
import { sourceOf } from '../places';

/** Threads that end on air or in a recording, once for each source, where a property of the picture holds. */
export const sourcesOnAir = (measured: Measured, holds: (figures: PictureFigures) => boolean): { source: Stage; end: string; endIsScreen: boolean }[] => {
  const found = new Map<Stage, { source: Stage; end: string; endIsScreen: boolean }>();
  for (const thread of measured.traced.threads) {
    const figures = measured.picture[thread.last.index];
    if (thread.signal !== 'picture' || !figures || !holds(figures)) continue;
    const source = sourceOf(thread.last);
    const endIsScreen = thread.end.device.device.model.step === 'hear and see';
    const known = found.get(source);
    if (!known || (known.endIsScreen && !endIsScreen)) found.set(source, { source, end: thread.end.device.device.name, endIsScreen });
  }
  return [...found.values()];
};
