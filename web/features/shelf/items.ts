import type { Verdict } from '@echo-loom/core';
import type { SmallPicture } from '@/layout/small-picture';

export interface ReadableItem {
  readonly is: 'readable';
  readonly id: string;
  readonly name: string;
  /** null while it is being worked out */
  readonly verdict: Verdict | null;
  readonly devices: number | null;
  readonly changed: string;
  readonly tags: readonly string[];
  readonly picture: SmallPicture | null;
}
export type ShelfItem =
  | ReadableItem
  | {
      readonly is: 'unreadable';
      readonly id: string;
      readonly why: string;
      readonly changed: string;
    };
