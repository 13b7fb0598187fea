import type { RigDraft } from '@echo-loom/core';
import { owned } from './owned';

/** One soft key beside the phone, a wall the colour of skin, and night outside. */
export const light = (draft: RigDraft): RigDraft => owned('key')(lamps(draft));

const lamps = (draft: RigDraft): RigDraft =>
  draft
    .do({
      type: 'setSky',
      sky: {
        latitudeDeg: 53.4,
        longitudeDeg: -3,
        upThePlanDeg: 0,
        on: '2026-11-28',
        atMin: 1260,
        aheadMin: 0,
        is: 'overcast',
      },
    })
    .do({
      type: 'addBackdrop',
      backdropId: 'plaster',
      backdrop: {
        name: 'Plaster wall',
        is: 'wall',
        at: { xM: 2, yM: 0.02, facingDeg: 0 },
        widthM: 3.9,
        heightM: 2.4,
        bottomM: 0.05,
        reflects: 0.45,
        hue: 'skin',
        mostLux: null,
      },
    })
    .support('key-stand', 'Stand, light', [2.2, 3.1, 195], {
      name: 'Key’s stand',
      figures: { heightM: 1.75 },
    })
    .device('key', 'light-panel', { name: 'Soft key', settings: { dimmer: 100, colour: 5600 } })
    .stand('key', 'key-stand')
    .lamp('key', { at: 'point', xM: 1.6, yM: 1.5, zM: 1.2 }, 'Soft box, 0.6 × 0.9 m', {
      by: 'knob',
      name: 'Its knob',
    });
