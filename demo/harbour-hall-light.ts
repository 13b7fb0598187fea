import type { RigDraft } from '@echo-loom/core';
import { owned } from './owned';

/** The lighting desk that most lamps of the hall answer to. */
const DESK = { by: 'address', name: 'Hall lighting desk' } as const;

/** Lamps of the front wash: where on the bar, and whom each is for. */
const WASH = [
  ['wash-1', -4.6, 'proposer', 60],
  ['wash-2', -1.6, 'opposer', 42],
  ['wash-3', 1.6, 'proposer', 30],
  ['wash-4', 4.6, 'opposer', 60],
  ['wash-5', -3.2, 'chair', 100],
  ['wash-6', 3.2, 'chair', 50],
] as const;

/** House lights over the benches. */
const HOUSE = [
  [5, 3.5],
  [12, 3.5],
  [19, 3.5],
  [5, 7.5],
  [12, 7.5],
  [19, 7.5],
] as const;

/** A front wash from a bar, house lights over the benches, and a lectern lamp somebody brought. */
export const light = (draft: RigDraft): RigDraft =>
  owned(
    ...HOUSE.map((_, index) => `house-${index + 1}`),
    ...WASH.map(([id]) => id),
    'lectern-lamp',
  )(lamps(draft));

const lamps = (draft: RigDraft): RigDraft =>
  HOUSE.reduce(
    (now, [xM, yM], index) =>
      now
        .device(`house-${index + 1}`, 'light-house', { name: `House light ${index + 1}` })
        .do({
          type: 'placeDevice',
          deviceId: `house-${index + 1}`,
          at: { xM, yM, facingDeg: 0 },
          aim: null,
        })
        .do({ type: 'raiseDevice', deviceId: `house-${index + 1}`, heightM: 4.3 })
        .lamp(`house-${index + 1}`, { at: 'turned', downDeg: 90 }, null, {
          by: 'knob',
          name: 'The switch by the door',
        }),
    WASH.reduce(
      (now, [id, xM, personId, dimmer], index) =>
        now
          .device(id, 'light-spot-far', {
            name: `Wash ${index + 1}`,
            settings: { dimmer, colour: 4000 },
          })
          .stand(id, 'front-bar', xM, 0, 0, 0)
          .lamp(id, { at: 'person', personId }, null, DESK),
      draft
        .do({
          type: 'setHouseRules',
          rules: { lightControl: 'one place', lightColour: 'as it comes', keySide: 'either' },
        })
        .do({ type: 'setLightRules', lightRules: { whiteK: 4000 } })
        .support('front-bar', 'Grid, 3 m by 2 m', [12, 6, 0], {
          name: 'Front bar',
          figures: { widthM: 12, depthM: 0.3, heightM: 4.1, bearsKg: 120 },
        })
        .do({
          type: 'addBackdrop',
          backdropId: 'benches',
          backdrop: {
            name: 'Benches',
            is: 'area',
            at: { xM: 12, yM: 5.5, facingDeg: 0 },
            widthM: 16,
            heightM: 5,
            bottomM: 0.8,
            reflects: 0.25,
            hue: 'neutral',
            mostLux: null,
          },
        })
        .do({
          type: 'addBackdrop',
          backdropId: 'panels',
          backdrop: {
            name: 'Oak panels',
            is: 'wall',
            at: { xM: 12, yM: 21.95, facingDeg: 180 },
            widthM: 24,
            heightM: 4,
            bottomM: 0.2,
            reflects: 0.15,
            hue: 'neutral',
            mostLux: null,
          },
        })
        .do({
          type: 'addOpening',
          openingId: 'high-window',
          opening: {
            name: 'High window',
            what: 'window',
            wall: 3,
            alongM: 11,
            widthM: 6,
            bottomM: 2.6,
            heightM: 1.2,
            opens: 'no',
          },
        })
        .do({
          type: 'setWindow',
          openingId: 'high-window',
          window: { transmission: 0.7, openShare: 0.5, isSheer: true, luxAt1m: null },
        })
        .do({
          type: 'setSky',
          sky: {
            latitudeDeg: 54.6,
            longitudeDeg: -1.6,
            upThePlanDeg: 20,
            on: '2026-11-28',
            atMin: 1170,
            aheadMin: 0,
            is: 'overcast',
          },
        })
        .do({
          type: 'addBackdrop',
          backdropId: 'hall-screen',
          backdrop: {
            name: 'Hall screen',
            is: 'screen',
            at: { xM: 25.75, yM: 19, facingDeg: 270 },
            widthM: 2,
            heightM: 1.2,
            bottomM: 1.6,
            reflects: 0.1,
            hue: 'neutral',
            mostLux: 120,
          },
        }),
    ),
  )
    .device('lectern-lamp', 'light-panel-small', {
      name: 'Lectern lamp',
      settings: { dimmer: 20, colour: 4000 },
    })
    .stand('lectern-lamp', 'proposer-lectern', -0.18, 0.15, 180)
    .lamp('lectern-lamp', { at: 'person', personId: 'proposer' }, null, {
      by: 'knob',
      name: 'Its knob',
    })
    .do({ type: 'keepLook', lookId: 'debate', name: 'Debate', setId: 'debate' })
    .do({ type: 'setControl', deviceId: 'wash-5', control: 'dimmer', value: 60 })
    .do({ type: 'setControl', deviceId: 'wash-6', control: 'dimmer', value: 30 })
    .do({ type: 'keepLook', lookId: 'questions', name: 'Questions', setId: 'questions' })
    .do({ type: 'recallLook', lookId: 'debate' })
    .do({ type: 'cueScene', sceneId: 'hall', lookId: 'questions' })
    .do({ type: 'cueScene', sceneId: 'chair', lookId: 'debate' })
    .do({
      type: 'setFace',
      personId: 'chair',
      face: { skinReflects: 0.3, clothesReflect: 0.06, hairReflects: 0.3, glassesTiltDeg: 10 },
    });
