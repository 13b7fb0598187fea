import type { ImportProblem } from '@echo-loom/core';

/** What the request thread and the reader say to each other. */
export interface Asked {
  readonly id: number;
  readonly bytes: Uint8Array<ArrayBuffer>;
}

export type Read =
  /** The document as JSON text, ready to be written: the request thread need not look at it again */
  | { readonly ok: true; readonly name: string; readonly document: string }
  | { readonly ok: false; readonly problems: readonly ImportProblem[] };

export interface Answered {
  readonly id: number;
  readonly read: Read;
}
