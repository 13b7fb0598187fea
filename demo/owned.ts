import type { RigDraft } from '@echo-loom/core';

/** Gear that was there before: nothing of it is to be bought. */
export const owned =
  (...deviceIds: readonly string[]) =>
  (draft: RigDraft): RigDraft =>
    deviceIds.reduce(
      (now, deviceId) =>
        now.do({ type: 'setOwnership', deviceId, ownership: 'owned', price: null }),
      draft,
    );
