import type { RigDraft } from '@echo-loom/core';
import { owned } from './owned';

/**
 * Light in the boat shed: one key for the bench, a key for the potter, and a window on the sea side
 * through which the sun of a late November morning reaches the wheel.
 */
export const light = (draft: RigDraft): RigDraft =>
  owned('bench-key', 'bench-fill', 'potter-key', 'hair', 'shelf-strip', 'kiln-glow')(lamps(draft));

const lamps = (draft: RigDraft): RigDraft =>
  draft
    .do({
      type: 'setSky',
      sky: {
        latitudeDeg: 57.1,
        longitudeDeg: -2.1,
        upThePlanDeg: 73,
        on: '2026-11-28',
        atMin: 630,
        aheadMin: 0,
        is: 'clear',
      },
    })
    .do({ type: 'setLightRules', lightRules: { reflects: 0.3 } })
    .do({ type: 'changePerson', personId: 'cohost', person: { wearsGlasses: true } })
    .do({
      type: 'addBackdrop',
      backdropId: 'boards',
      backdrop: {
        name: 'Boards behind the bench',
        is: 'wall',
        at: { xM: 1.7, yM: -0.95, facingDeg: 0 },
        widthM: 5,
        heightM: 3,
        bottomM: 0.2,
        reflects: 0.3,
        hue: 'neutral',
        mostLux: null,
      },
    })
    .do({
      type: 'addBackdrop',
      backdropId: 'glaze-chart',
      backdrop: {
        name: 'Glaze chart, glossy',
        is: 'board',
        at: { xM: 3.6, yM: -0.9, facingDeg: 0 },
        widthM: 0.9,
        heightM: 0.6,
        bottomM: 1.2,
        reflects: 0.5,
        hue: 'neutral',
        mostLux: 150,
      },
    })
    .support('key-stand', 'Stand, heavy', [0.25, 3.57, 145], {
      name: 'Key’s stand',
      figures: { heightM: 1.35 },
    })
    .support('fill-stand', 'Stand, light', [3.7, 4.6, 200], {
      name: 'Fill’s stand',
      figures: { heightM: 1.9 },
    })
    .support('potter-stand', 'Stand, light', [3.6, 4, 140], {
      name: 'Potter’s key’s stand',
      figures: { heightM: 2.1 },
    })
    .support('rafter', 'Grid, 3 m by 2 m', [6.7, 1.55, 290], {
      name: 'Rafter',
      figures: { widthM: 2, depthM: 0.2, heightM: 3.3, bearsKg: 30 },
    })
    .device('bench-key', 'light-panel-large', {
      name: 'Bench key',
      settings: { dimmer: 100, colour: 5600 },
    })
    .device('bench-fill', 'light-panel-large', {
      name: 'Bench fill',
      settings: { dimmer: 60, colour: 5600 },
    })
    .device('potter-key', 'light-panel-large', {
      name: 'Potter’s key',
      settings: { dimmer: 50, colour: 5600 },
    })
    .device('hair', 'light-panel-large', {
      name: 'Hair light',
      settings: { dimmer: 80, colour: 4300 },
    })
    .device('shelf-strip', 'light-strip', {
      name: 'Strip on the shelves',
      settings: { dimmer: 40, colour: 3200 },
    })
    .device('kiln-glow', 'light-practical', { name: 'Kiln glow', settings: { dimmer: 100 } })
    .stand('bench-key', 'key-stand')
    .stand('bench-fill', 'fill-stand')
    .stand('potter-key', 'potter-stand')
    .stand('hair', 'rafter')
    .stand('shelf-strip', 'pots', 0, 0, 180, 0)
    .do({
      type: 'placeDevice',
      deviceId: 'kiln-glow',
      at: { xM: 7.85, yM: 0.75, facingDeg: 290 },
      aim: null,
    })
    .do({ type: 'raiseDevice', deviceId: 'kiln-glow', heightM: 0.9 })
    .lamp('bench-key', { at: 'point', xM: 1.7, yM: 1.5, zM: 1.2 }, 'Soft box, 0.6 × 0.9 m', {
      by: 'app',
      name: 'Shed lights',
    })
    .lamp('bench-fill', { at: 'person', personId: 'cohost' }, 'Diffuser', {
      by: 'app',
      name: 'Shed lights',
    })
    .lamp('potter-key', { at: 'person', personId: 'potter' }, 'Diffuser', {
      by: 'app',
      name: 'Shed lights',
    })
    .lamp('hair', { at: 'person', personId: 'potter' }, 'Grid, 40°', {
      by: 'knob',
      name: 'Its knob',
    })
    .lamp('shelf-strip', { at: 'backdrop', backdropId: 'boards' }, null, {
      by: 'app',
      name: 'Shed lights',
    })
    .do({ type: 'keepLook', lookId: 'talk', name: 'Talk', setId: null })
    .do({ type: 'setControl', deviceId: 'bench-key', control: 'dimmer', value: 15 })
    .do({ type: 'setControl', deviceId: 'hair', control: 'dimmer', value: 50 })
    .do({ type: 'keepLook', lookId: 'wheel', name: 'Wheel', setId: null })
    .do({ type: 'recallLook', lookId: 'talk' })
    .do({ type: 'cueScene', sceneId: 'wheel', lookId: 'wheel' })
    .do({ type: 'cueScene', sceneId: 'slides', lookId: 'talk' });

/** What the cameras were set to by different hands. */
export const exposures = (draft: RigDraft): RigDraft =>
  (
    [
      ['host-camera', 2.8, 100, 1600],
      ['cohost-camera', 2.8, 100, 800],
      ['potter-camera', 4, 100, 3200],
      ['overhead', 2.8, 100, 1600],
    ] as const
  ).reduce(
    (now, [deviceId, fNumber, shutter, iso]) =>
      now
        .do({ type: 'setControl', deviceId, control: 'auto-exposure', value: false })
        .do({ type: 'setControl', deviceId, control: 'f-number', value: fNumber })
        .do({ type: 'setControl', deviceId, control: 'shutter', value: shutter })
        .do({ type: 'setControl', deviceId, control: 'iso', value: iso }),
    draft,
  );
