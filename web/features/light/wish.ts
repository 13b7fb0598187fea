import type { LightWish } from '@echo-loom/core';

/** A wish for light as it is typed, and the key by which it is asked for. */
export interface TypedWish {
  readonly aim: LightWish['aim'];
  /** null: what the cameras need */
  readonly faceLux: number | null;
  /** null: everybody who is to be seen */
  readonly personId: string | null;
  /** In every set of the rig, and not only as it stands */
  readonly isInSets: boolean;
}

export const USUAL_WISH: TypedWish = {
  aim: 'power',
  faceLux: null,
  personId: null,
  isInSets: false,
};

export const wishOf = ({ aim, faceLux, personId }: TypedWish): LightWish => ({
  aim,
  ...(faceLux === null ? {} : { faceLux }),
  ...(personId === null ? {} : { personIds: [personId] }),
});
