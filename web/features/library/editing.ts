'use client';

import type { ModelDraft, Path } from '@echo-loom/core';
import { createContext, useContext } from 'react';

/** What the fields of an editor share. */
export interface Editing {
  /** Makes the draft another one; each change can be taken back */
  readonly change: (to: (draft: ModelDraft) => ModelDraft) => void;
  /** What is wrong at a path, by its steps joined with dots */
  readonly wrong: ReadonlyMap<string, string>;
}

export const EditingContext = createContext<Editing>({
  change: () => undefined,
  wrong: new Map(),
});

export const useEditing = (): Editing => useContext(EditingContext);

/** What is wrong with a field itself. */
export const useWrong = (path: Path): string | undefined => useEditing().wrong.get(path.join('.'));
