import type { Analysis, Finding } from '@echo-loom/core';
import { create } from 'zustand';
import type { Reading } from './readings';
import type { Grouping } from '@/layout/rows';
import { type LoomFilter, NO_FILTER } from './filter';

/** A device or a cable on the loom. */
export type Item =
  { readonly kind: 'device'; readonly id: string } | { readonly kind: 'link'; readonly id: string };
export type Dialog = 'add' | 'connect' | 'commands' | 'keys' | 'words';

interface LoomView {
  readonly reading: Reading;
  /** null: whichever crosses less */
  readonly grouping: Grouping | null;
  readonly folded: ReadonlySet<string>;
  readonly filter: LoomFilter;
  /** Size of the chart, 1 as it is drawn */
  readonly zoom: number;
  readonly selected: Item | null;
  readonly dialog: Dialog | null;
  readonly setReading: (reading: Reading) => void;
  readonly setGrouping: (grouping: Grouping | null) => void;
  readonly toggleFold: (groupId: string) => void;
  readonly setFilter: (part: Partial<LoomFilter>) => void;
  readonly setZoom: (zoom: number) => void;
  readonly select: (item: Item | null) => void;
  readonly open: (dialog: Dialog | null) => void;
}

/** The loom is drawn no smaller and no larger than this. */
export const LEAST_ZOOM = 0.25;
export const MOST_ZOOM = 2;

/** How the loom is looked at; not part of the rig, not undone, not shared. */
export const useLoomView = create<LoomView>((set) => ({
  reading: 'Level',
  grouping: null,
  folded: new Set(),
  filter: NO_FILTER,
  zoom: 1,
  selected: null,
  dialog: null,
  setReading: (reading) => set({ reading }),
  setGrouping: (grouping) => set({ grouping }),
  toggleFold: (groupId) =>
    set(({ folded }) => {
      const next = new Set(folded);
      if (!next.delete(groupId)) next.add(groupId);
      return { folded: next };
    }),
  setFilter: (part) => set(({ filter }) => ({ filter: { ...filter, ...part } })),
  setZoom: (zoom) => set({ zoom: Math.min(Math.max(zoom, LEAST_ZOOM), MOST_ZOOM) }),
  select: (selected) => set({ selected }),
  open: (dialog) => set({ dialog }),
}));

export const sameItem = (a: Item | null, b: Item | null): boolean =>
  a?.kind === b?.kind && a?.id === b?.id;

/** Where on the loom a finding is marked: on the cable if it names one that is still there, else on the device. */
export const itemOf = (analysis: Analysis, { about }: Finding): Item | null =>
  about.linkId !== undefined && analysis.graph.links.has(about.linkId)
    ? { kind: 'link', id: about.linkId }
    : about.deviceId !== undefined
      ? { kind: 'device', id: about.deviceId }
      : null;

/** Findings that concern an item: those marked on it, and for a device those of its cables' ends too. */
export const findingsOn = (analysis: Analysis, item: Item): Finding[] =>
  analysis.findings.filter((finding) =>
    item.kind === 'link'
      ? finding.about.linkId === item.id
      : finding.about.deviceId === item.id || sameItem(itemOf(analysis, finding), item),
  );
