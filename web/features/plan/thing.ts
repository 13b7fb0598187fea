import type { Spot } from '@echo-loom/core';

/** What can be pointed at on the plan. */

export type ThingKind =
  | 'person'
  | 'support'
  | 'device'
  | 'noise'
  | 'sight'
  | 'corner'
  /** A point of a way for cables */
  | 'way'
  /** An outlet, a strip or a supply that lasts */
  | 'feed';

export interface Thing {
  readonly key: string;
  readonly kind: ThingKind;
  readonly id: string;
  readonly name: string;
  readonly at: Spot;
  /** Its ground. @unit m; null for what is a point */
  readonly size: { readonly widthM: number; readonly depthM: number } | null;
  readonly isRound: boolean;
  /** The support it stands on: it goes where that goes */
  readonly on: string | null;
  /** Whether it can be moved by itself */
  readonly moves: boolean;
  /** Whether it looks somewhere */
  readonly turns: boolean;
  /** A cross over its outline tells what hangs from what stands */
  readonly hangs: boolean;
}

/** What has no ground of its own. */
export const POINT = {
  size: null,
  isRound: false,
  on: null,
  moves: true,
  turns: false,
  hangs: false,
} as const;

/** To the centimetre, as places are typed. */
export const tidy = (metres: number): number => Math.round(metres * 100) / 100;
