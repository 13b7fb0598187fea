import { changeWindow } from '../../edits/light';
import type { ThroughDay } from '../../passes/light';
import type { Measured } from '../../passes/measured';
import { type About, THE_RIG } from '../about';
import { batchFix } from '../rule-of';

/** Places through the day, and the windows that light them. */

export const ofPlace = ({ of, id }: ThroughDay): About =>
  of === 'person' ? { kind: 'person', personId: id } : { ...THE_RIG, source: id };

/** Blinds of every window that lights a place, drawn or hung with something thin. */
export const blinds = (measured: Measured, thing: ThroughDay) => {
  const ids = [
    ...new Set(thing.moments.flatMap(({ sunThrough }) => (sunThrough ? [sunThrough.id] : []))),
  ];
  const windows =
    ids.length > 0
      ? ids
      : Object.entries(measured.rig.openings).flatMap(([id, { what }]) =>
          what === 'window' ? [id] : [],
        );
  const names = windows.map((id) => measured.rig.openings[id]?.name ?? id).join(' and ');
  return [
    batchFix(
      `Shut the blind of ${names}`,
      windows.map((id) => changeWindow(measured, id, { openShare: 0 })),
    ),
    batchFix(
      `Hang something thin before ${names}`,
      windows.map((id) => changeWindow(measured, id, { isSheer: true })),
    ),
  ];
};
