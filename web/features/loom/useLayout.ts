import type { Analysis, Device, Rig } from '@echo-loom/core';
import { useState } from 'react';
import { layOut } from '@/layout/layout';
import type { LoomLayout } from '@/layout/parts';
import type { Grouping } from '@/layout/rows';
import type { Shown } from '@/layout/parts';

const standsAlike = (a: Device, b: Device): boolean =>
  a === b ||
  (a.name === b.name &&
    a.model === b.model &&
    a.personId === b.personId &&
    a.placeId === b.placeId &&
    a.order === b.order);

/**
 * Whether two states of a rig are laid out alike. A gain or a distance moves nothing, and what an
 * edit did not touch is the same object.
 */
export const isLaidOutAlike = (a: Rig, b: Rig): boolean => {
  if (a.links !== b.links || a.people !== b.people || a.places !== b.places) return false;
  if (a.devices === b.devices) return true;
  const ids = Object.keys(a.devices);
  return (
    ids.length === Object.keys(b.devices).length &&
    ids.every((id) => {
      const [before, after] = [a.devices[id], b.devices[id]];
      return before !== undefined && after !== undefined && standsAlike(before, after);
    })
  );
};

interface Kept {
  readonly rig: Rig;
  readonly wish: Grouping | null;
  readonly folded: ReadonlySet<string>;
  readonly shown: Shown | null;
  readonly layout: LoomLayout;
}

/** The layout of the loom, kept while nothing that stands on it has moved. */
export const useLayout = (
  analysis: Analysis,
  wish: Grouping | null,
  folded: ReadonlySet<string>,
  shown: Shown | null,
): LoomLayout => {
  const [kept, setKept] = useState<Kept>(() => ({
    rig: analysis.rig,
    wish,
    folded,
    shown,
    layout: layOut(analysis, wish, folded, shown),
  }));
  const isAsked = kept.wish === wish && kept.folded === folded && kept.shown === shown;
  if (isAsked && kept.rig === analysis.rig) return kept.layout;
  const layout =
    isAsked && isLaidOutAlike(kept.rig, analysis.rig)
      ? kept.layout
      : layOut(analysis, wish, folded, shown);
  setKept({ rig: analysis.rig, wish, folded, shown, layout });
  return layout;
};
