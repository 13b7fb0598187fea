import { type Stage, stagesOf } from '../../graph';
import type { Measured } from '../measured';
import { pass } from '../pass';

/** Where the pixels of a source end, and what takes some of them away on the way there. */
export interface Kept {
  /** Lines that are left where the picture is recorded or delivered, of the way that keeps most. @unit px */
  readonly heightPx: number;
  /** The stage that takes lines away; null where all of them arrive */
  readonly lostAt: Stage | null;
}

/** The fewest lines on a way, and where they were lost. What a scaler makes up later does not count. */
const keptOn = (measured: Measured, last: Stage): Kept | null => {
  let kept: Kept | null = null;
  for (const stage of stagesOf(last)) {
    const height = measured.picture[stage.index]?.format?.height;
    if (height === undefined) return null;
    if (kept === null) kept = { heightPx: height, lostAt: null };
    else if (height < kept.heightPx) kept = { heightPx: height, lostAt: stage };
  }
  return kept;
};

/**
 * What is kept of each source's picture, by the stage it begins at; those that are nowhere recorded or
 * delivered are not in it.
 * @source handbook 3-picture: pixels count where the picture is recorded or delivered
 */
export const keptPixels = pass('kept pixels', (measured): ReadonlyMap<Stage, Kept> => {
  const bySource = new Map<Stage, Kept>();
  for (const { signal, last, end } of measured.traced.threads) {
    if (signal !== 'picture' || (end.device.model.step !== 'deliver' && !end.port.records))
      continue;
    const kept = keptOn(measured, last);
    const [source] = stagesOf(last);
    if (!kept || !source) continue;
    const known = bySource.get(source);
    if (!known || known.heightPx < kept.heightPx) bySource.set(source, kept);
  }
  return bySource;
});

/** What is kept of a device's picture, by the output that keeps most. */
export const keptOf = (measured: Measured, deviceId: string): Kept | null => {
  let most: Kept | null = null;
  for (const [source, kept] of keptPixels(measured))
    if (source.at.device.id === deviceId && (most === null || most.heightPx < kept.heightPx))
      most = kept;
  return most;
};
