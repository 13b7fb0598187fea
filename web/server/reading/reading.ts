import type { ImportProblem, OwnModel, ReadCsv, ReadLibrary, ReadThings } from '@echo-loom/core';

/** What the request thread asks the reader. */
export type Question =
  | { readonly is: 'rig'; readonly bytes: Uint8Array<ArrayBuffer> }
  /** @param refs models that a thing may be of */
  | { readonly is: 'things'; readonly csv: string; readonly refs: readonly string[] }
  | { readonly is: 'library'; readonly json: string }
  /** @param library the models that are there */
  | { readonly is: 'figures'; readonly csv: string; readonly library: readonly OwnModel[] };

/** What the reader says. */
export type Reading =
  /** The document as JSON text, ready to be written: the request thread need not look at it again */
  | { readonly is: 'rig'; readonly ok: true; readonly name: string; readonly document: string }
  | { readonly is: 'rig'; readonly ok: false; readonly problems: readonly ImportProblem[] }
  | { readonly is: 'things'; readonly read: ReadThings }
  | { readonly is: 'library'; readonly read: ReadLibrary }
  | { readonly is: 'figures'; readonly read: ReadCsv }
  | { readonly is: 'given up' };
