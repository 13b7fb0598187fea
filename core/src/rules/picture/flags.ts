import type { Stage, Thread } from '../../graph';
import { sourceOf } from '../../graph';
import type { Measured } from '../../passes/measured';
import type { PictureFigures } from '../../passes/picture';

/** Where a flaw of the picture matters most: to the audience, then to a caller, then on a screen in the room. */
const weight = ({ end }: Thread): number =>
  end.device.model.step === 'deliver' || end.port.records
    ? 2
    : end.device.model.step === 'hear and see'
      ? 0
      : 1;

/** Threads that end on air or in a recording, once for each source, where a property of the picture holds. */
export const sourcesOnAir = (
  measured: Measured,
  holds: (figures: PictureFigures) => boolean,
): { source: Stage; last: Stage; end: string; endIsScreen: boolean }[] => {
  const { picture } = measured;
  const found = new Map<Stage, Thread>();
  for (const thread of measured.traced.threads) {
    const figures = picture[thread.last.index];
    if (thread.signal !== 'picture' || !figures || !holds(figures)) continue;
    const source = sourceOf(thread.last);
    const known = found.get(source);
    if (!known || weight(known) < weight(thread)) found.set(source, thread);
  }
  return [...found].map(([source, thread]) => ({
    source,
    last: thread.last,
    end: measured.device(thread.end.device).name,
    endIsScreen: weight(thread) === 0,
  }));
};
