import type { RigDraft } from '@echo-loom/core';

/** The box room: one desk between two readers, everything on it. */
export const plan = (draft: RigDraft): RigDraft =>
  draft
    .support('table', 'Sit-stand desk, 1.6 m', [1.6, 1.5, 90], { name: 'Reading desk' })
    .support('host-arm', 'Arm, middle', [1.4, 2.2, 90], { name: 'Host’s arm', onId: 'table' })
    // Bought without looking at what it holds.
    .support('reader-arm', 'Arm, heavy', [1.85, 2.2, 270], {
      name: 'Reader’s arm',
      onId: 'table',
    })
    .support('phone-tripod', 'Tripod, light', [1.6, 3.05, 180], {
      name: 'Phone’s tripod',
      figures: { heightM: 1.1 },
    })
    .stand('host-mic', 'host-arm')
    .stand('reader-mic', 'reader-arm')
    .stand('phone', 'phone-tripod')
    .stand('interface', 'table', 0.2, 0)
    .stand('computer', 'table', -0.5, 0)
    .do({ type: 'changePerson', personId: 'host', person: { statureM: 1.58 } })
    .do({
      type: 'addOpening',
      openingId: 'door',
      opening: {
        name: 'Door',
        what: 'door',
        wall: 1,
        alongM: 0.6,
        widthM: 0.8,
        bottomM: 0,
        heightM: 2,
        opens: 'in',
      },
    })
    .do({
      type: 'addOpening',
      openingId: 'window',
      opening: {
        name: 'Window to the street',
        what: 'window',
        wall: 2,
        alongM: 2,
        widthM: 1.2,
        bottomM: 0.9,
        heightM: 1.2,
        opens: 'no',
      },
    });
