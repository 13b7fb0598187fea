import { analyse } from '../../analyse';
import { heldNow, meetings } from '../../passes/time';
import type { Offset, Rig, SimpleCommand } from '../../rig';

/** Keeps something as measured between worked D's microphone and camera, at its recorder. */
export const measuredOffset = (
  rig: Rig,
  offsetMs: number,
  more: Partial<Offset> & { readonly offsetId?: string } = {},
): SimpleCommand => {
  const { offsetId = 'clap', ...rest } = more;
  const analysis = analyse(rig);
  const pair = meetings(analysis).find(({ placeId }) => placeId === 'recorder')?.pairs[0];
  if (!pair) throw new Error('nothing meets there');
  return {
    type: 'addOffset',
    offsetId,
    offset: {
      soundId: 'mic',
      pictureId: 'camera',
      placeId: 'recorder',
      offsetMs,
      spreadMs: 2,
      ...heldNow(analysis, pair),
      on: '2026-11-20',
      file: null,
      ...rest,
    },
  };
};
