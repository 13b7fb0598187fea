import type { RigDraft } from '../../catalogue/draft';
import { ruleCases } from '../judge-for-cases';
import { AT_HOST, camera, doing, fill, key, lamp, lit, wall } from '../light-for-cases';

/** A green screen of 2 m behind the host, so far. */
const screen = (farM: number, more: object = {}) =>
  wall({
    name: 'Green screen',
    is: 'green screen',
    at: { xM: 3, yM: Number((1.5 - farM).toFixed(2)), facingDeg: 0 },
    widthM: 2,
    heightM: 1.2,
    bottomM: 0.9,
    hue: 'green',
    reflects: 0.3,
    ...more,
  });

/** The handbook’s floods: ±1 m, so far before the screen. */
const floods =
  (beforeM: number, farM: number, dimmer = 100) =>
  (draft: RigDraft): RigDraft =>
    (
      [
        ['left', -1],
        ['right', 1],
      ] as const
    ).reduce(
      (now, [deviceId, side]) =>
        now
          .device(deviceId, 'light-flood', { name: deviceId, settings: { dimmer } })
          .do({
            type: 'placeDevice',
            deviceId,
            at: { xM: 3 + side, yM: Number((1.5 - farM + beforeM).toFixed(2)), facingDeg: 180 },
            aim: null,
          })
          .do({ type: 'raiseDevice', deviceId, heightM: 1.5 })
          .lamp(deviceId, { at: 'backdrop', backdropId: 'wall' }),
      draft,
    );

const aimed = (draft: RigDraft): RigDraft =>
  ['left', 'right'].reduce((now, id) => now.lamp(id, { at: 'turned', downDeg: 0 }), draft);

ruleCases('light.screen-uneven', {
  valid: {
    'two floods from 2.0 m': lit(key, fill, screen(1.5), floods(2, 1.5), aimed),
    'in the dark there is nothing to judge': lit(
      key,
      fill,
      screen(1.5, { at: { xM: 3, yM: 4.9, facingDeg: 0 } }),
    ),
  },
  invalid: {
    'two floods from 1.2 m': {
      rig: lit(screen(1.5), floods(1.2, 1.5), aimed),
      level: 'warn',
      says: /up to 1\.3 is fine/,
    },
  },
});

ruleCases('light.screen-near', {
  valid: { 'at 1.5 m': lit(key, fill, screen(1.5)) },
  invalid: {
    'at 0.8 m': {
      rig: lit(key, fill, screen(0.8)),
      level: 'warn',
      says: /Host is 0\.80 m in front of Green screen/,
      sum: 0.8,
      fixes: [/^Move Host 0\.70 m forward/],
    },
  },
});

ruleCases('light.screen-level', {
  valid: { 'lit like the face': lit(key, fill, screen(1.5), floods(2, 1.5), aimed) },
  invalid: {
    'far too dark': {
      rig: lit(key, fill, screen(1.5), floods(2, 1.5, 10), aimed),
      level: 'note',
      says: /Turn its lamps up/,
    },
  },
});

ruleCases('light.screen-stray', {
  valid: {
    'lamps of the screen themselves': lit(key, fill, screen(1.5), floods(2, 1.5), aimed),
  },
  invalid: {
    'a key that lights the screen as well': {
      rig: lit(
        lamp('front', 'light-panel-large', 2.2, -10, 1.7, 60, AT_HOST, 'Diffuser'),
        screen(1.5),
        floods(2, 1.5, 20),
        aimed,
      ),
      level: 'note',
      says: /% of the light on Green screen comes from front/,
    },
  },
});

const BOARD = {
  name: 'Board',
  is: 'board',
  at: { xM: 3, yM: 0.3, facingDeg: 0 },
  widthM: 1.2,
  heightM: 0.8,
  bottomM: 1,
} as const;

ruleCases('light.board-lit', {
  valid: {
    'a board that may have anything': lit(key, fill, wall(BOARD)),
    'a board in the dark': lit(
      key,
      wall({ ...BOARD, at: { xM: 3, yM: 4.8, facingDeg: 0 }, mostLux: 150 }),
    ),
  },
  invalid: {
    'a board behind the talker': {
      rig: lit(key, fill, wall({ ...BOARD, mostLux: 150 })),
      level: 'warn',
      says: /150 lux is the most it may have/,
    },
  },
});

ruleCases('light.area-uneven', {
  valid: {
    'two wide lamps over benches': lit(
      wall({
        name: 'Benches',
        is: 'area',
        at: { xM: 3, yM: 3.4, facingDeg: 0 },
        widthM: 1.6,
        heightM: 1,
        bottomM: 0.6,
      }),
      lamp('a', 'light-house', 2, -20, 2.5, 100, { at: 'turned', downDeg: 90 }),
      lamp('b', 'light-house', 2, 20, 2.5, 100, { at: 'turned', downDeg: 90 }),
    ),
  },
  invalid: {
    'one spot on the middle': {
      rig: lit(
        wall({
          name: 'Benches',
          is: 'area',
          at: { xM: 3, yM: 3.4, facingDeg: 0 },
          widthM: 3,
          heightM: 1,
          bottomM: 0.6,
        }),
        lamp('a', 'light-spot', 2, 0, 2.5, 20, { at: 'turned', downDeg: 90 }),
      ),
      level: 'note',
      says: /a wash keeps within 2 : 1/,
    },
  },
});

ruleCases('light.glare', {
  valid: {
    'no glasses': lit(
      lamp('key', 'light-cob-120', 2, 20, 1.3, 55, AT_HOST, 'Dome, 0.9 m'),
      fill,
      camera(327, 2.2, -20),
    ),
    'a key well above the eyes': lit(
      doing({ type: 'changePerson', personId: 'host', person: { wearsGlasses: true } }),
      lamp('key', 'light-cob-120', 2, 20, 2.05, 55, AT_HOST, 'Dome, 0.6 m'),
      fill,
      camera(327, 2.2, -20),
    ),
  },
  invalid: {
    'a key at the height of the eyes, as far aside as the lens': {
      rig: lit(
        doing({ type: 'changePerson', personId: 'host', person: { wearsGlasses: true } }),
        lamp('key', 'light-cob-120', 2, 20, 1.3, 55, AT_HOST, 'Dome, 0.9 m'),
        camera(327, 2.2, -20),
      ),
      level: 'warn',
      says: /camera sees key in the glasses of Host/,
      fixes: [/^Raise key by/],
    },
  },
});

ruleCases('light.glare-nod', {
  valid: {
    'far above': lit(
      doing({ type: 'changePerson', personId: 'host', person: { wearsGlasses: true } }),
      lamp('key', 'light-cob-120', 1.6, 20, 2.15, 55, AT_HOST, 'Dome, 0.6 m'),
      camera(327, 2.2, -20),
    ),
  },
  invalid: {
    'just above the edge': {
      rig: lit(
        doing({ type: 'changePerson', personId: 'host', person: { wearsGlasses: true } }),
        lamp('key', 'light-cob-120', 2, 20, 1.85, 55, AT_HOST, 'Dome, 0.9 m'),
        camera(327, 2.2, -20),
      ),
      level: 'note',
      says: /When Host looks up by/,
    },
  },
});
