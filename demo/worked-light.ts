import { type Rig, RigDraft } from '@echo-loom/core';

/**
 * The worked figures of light as one rig, for tests and the interface: a key of 4,200 lux through a dome
 * of 0.55 at 1.8 m and 35°, a fill of 1,500 through the same at 2.2 m and 40°, a camera at f/2.8, 1/50 s,
 * ISO 800; and two floods of 120° before a green screen. No room is drawn, so nothing comes back from walls.
 */

const DOME = {
  name: 'Dome of 0.55',
  is: 'dome',
  transmission: 0.55,
  beamDeg: null,
  widthM: null,
  heightM: null,
  massKg: 1,
} as const;

const RADIANS = Math.PI / 180;
const HOST = { xM: 3, yM: 1 };
const EYES_M = 1.2;

/** A lamp level with the eyes, so far from them and so far aside of where they look. */
const before = (
  draft: RigDraft,
  deviceId: string,
  classId: string,
  name: string,
  farM: number,
  asideDeg: number,
): RigDraft =>
  draft
    .device(deviceId, classId, { name })
    .do({
      type: 'placeDevice',
      deviceId,
      at: {
        xM: HOST.xM + farM * Math.sin(asideDeg * RADIANS),
        yM: HOST.yM + farM * Math.cos(asideDeg * RADIANS),
        facingDeg: 180 + asideDeg,
      },
      aim: null,
    })
    .do({ type: 'raiseDevice', deviceId, heightM: EYES_M })
    .do({
      type: 'hangLamp',
      deviceId,
      lamp: { aim: { at: 'person', personId: 'host' }, modifier: DOME },
    });

/** @param screenM how far the two floods stand from the screen */
export const workedLight = (screenM = 2): Rig => {
  const draft = new RigDraft('Worked light')
    .do({ type: 'setMains', mains: { hz: 50, volts: 230 } })
    .person('host', 'Host', { at: { ...HOST, facingDeg: 0 } })
    .device('camera', 'camera-full-frame', {
      name: 'Camera',
      person: 'host',
      settings: { 'f-number': 2.8, shutter: 50, iso: 800, 'focal-length': 50 },
    })
    .do({
      type: 'placeDevice',
      deviceId: 'camera',
      at: { xM: HOST.xM, yM: HOST.yM + 2, facingDeg: 180 },
      aim: null,
    })
    .do({ type: 'raiseDevice', deviceId: 'camera', heightM: EYES_M })
    .shot('camera', { personId: 'host' })
    .do({
      type: 'addBackdrop',
      backdropId: 'screen',
      backdrop: {
        name: 'Green screen',
        is: 'green screen',
        at: { xM: 30, yM: 0, facingDeg: 0 },
        widthM: 2,
        heightM: 0.02,
        bottomM: 1.49,
        reflects: 0.3,
        hue: 'green',
        mostLux: null,
      },
    });
  before(draft, 'key', 'light-cob-120', 'Key', 1.8, -35);
  before(draft, 'fill', 'light-panel', 'Fill', 2.2, 40);
  for (const [deviceId, side] of [
    ['left', -1],
    ['right', 1],
  ] as const)
    draft
      .device(deviceId, 'light-flood', { name: `Flood, ${deviceId}` })
      .do({ type: 'setFigure', deviceId, path: 'light.widthM', value: 0.1 })
      .do({
        type: 'placeDevice',
        deviceId,
        at: { xM: 30 + side, yM: screenM, facingDeg: 180 },
        aim: null,
      })
      .do({ type: 'raiseDevice', deviceId, heightM: 1.5 });
  return draft.build();
};
