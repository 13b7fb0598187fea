import type { Join, Joining } from '@echo-loom/core';
import { create } from 'zustand';

/** What somebody holds: a device, or one port of it. */
export interface Held {
  readonly deviceId: string;
  readonly portId: string | null;
}

/** Where what is held would be dropped. */
export type Target =
  | { readonly at: 'device'; readonly deviceId: string }
  | { readonly at: 'cable'; readonly linkId: string }
  | { readonly at: 'ground' }
  | { readonly at: 'out' };

/** What is asked after a drop, or from a sheet or a dialog by key. */
export type Asking =
  | { readonly ask: 'which way'; readonly ways: readonly Join[] }
  | { readonly ask: 'what goes here'; readonly held: Held }
  | { readonly ask: 'what between'; readonly linkId: string };

interface Pointing {
  readonly held: Held | null;
  /** What it can be joined with, by device */
  readonly joinings: ReadonlyMap<string, Joining> | null;
  readonly target: Target | null;
  readonly asking: Asking | null;
  readonly hold: (held: Held, joinings: ReadonlyMap<string, Joining>) => void;
  readonly over: (target: Target | null) => void;
  readonly letGo: () => void;
  readonly askFor: (asking: Asking | null) => void;
}

/** What is being pointed at on the loom; not part of the rig. */
export const usePointing = create<Pointing>((set) => ({
  held: null,
  joinings: null,
  target: null,
  asking: null,
  hold: (held, joinings) => set({ held, joinings, target: null }),
  over: (target) => set({ target }),
  letGo: () => set({ held: null, joinings: null, target: null }),
  askFor: (asking) => set({ asking }),
}));

export const sameTarget = (a: Target | null, b: Target | null): boolean =>
  JSON.stringify(a) === JSON.stringify(b);
