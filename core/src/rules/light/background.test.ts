import { ruleCases } from '../judge-for-cases';
import { camera, doing, fill, key, lamp, lit, wall, window } from '../light-for-cases';

const WALL_WASH = (dimmer: number) =>
  lamp('wash', 'light-flood', 1.2, 130, 2.2, dimmer, { at: 'backdrop', backdropId: 'wall' });

ruleCases('light.melts', {
  valid: {
    'a dark wall': lit(key, fill, camera(), wall()),
    'a light on the hair parts them': lit(
      key,
      fill,
      camera(),
      wall({ reflects: 0.36 }),
      WALL_WASH(10),
      lamp('hair', 'light-spot', 1.4, 165, 2.3, 12),
    ),
  },
  invalid: {
    'a wall as bright as the face': {
      rig: lit(key, fill, camera(), wall({ reflects: 0.45 }), WALL_WASH(30)),
      level: 'note',
      says: /under 0\.5 they melt together/,
    },
  },
});

ruleCases('light.background-bright', {
  valid: { 'a dark wall': lit(key, fill, camera(), wall()) },
  invalid: {
    'a wash over everything': {
      rig: lit(key, fill, camera(), wall({ reflects: 0.8 }), WALL_WASH(100)),
      level: 'warn',
      says: /Wall sends back .* more than the face in camera/,
      fixes: [/^Turn the light behind down/],
    },
  },
});

ruleCases('light.skin-wall', {
  valid: {
    'another colour': lit(key, fill, camera(), wall({ reflects: 0.3, hue: 'blue' })),
    'skin, and far darker': lit(key, fill, camera(), wall({ reflects: 0.1, hue: 'skin' })),
  },
  invalid: {
    'a wall the colour of skin': {
      rig: lit(key, fill, camera(), wall({ reflects: 0.4, hue: 'skin' })),
      level: 'note',
      says: /Wall in camera is of the colour of skin/,
    },
  },
});

ruleCases('light.clipped', {
  valid: { 'a wall within what a picture holds': lit(key, fill, camera(), wall()) },
  invalid: {
    'a wall that is hit by everything': {
      rig: lit(
        key,
        fill,
        camera(209),
        wall({ reflects: 0.9 }),
        WALL_WASH(100),
        lamp('more', 'light-panel-large', 1.2, 230, 1.4, 100, {
          at: 'backdrop',
          backdropId: 'wall',
        }),
      ),
      level: 'warn',
      says: /Wall lies 4\.\d stops over middle grey in camera/,
    },
  },
});

ruleCases('light.window-behind', {
  valid: {
    'a window beside the shot': lit(key, fill, camera(), window({ atMin: 720 })),
    'its blind shut': lit(
      key,
      fill,
      camera(),
      (draft) =>
        draft.do({
          type: 'addOpening',
          openingId: 'back',
          opening: {
            name: 'Back window',
            what: 'window',
            wall: 0,
            alongM: 3,
            widthM: 1.4,
            bottomM: 0.6,
            heightM: 1.4,
            opens: 'no',
          },
        }),
      doing({
        type: 'setWindow',
        openingId: 'back',
        window: { transmission: 0.75, openShare: 0, isSheer: false, luxAt1m: null },
      }),
      doing({
        type: 'setSky',
        sky: {
          latitudeDeg: 50,
          longitudeDeg: 0,
          upThePlanDeg: 0,
          on: '2026-06-21',
          atMin: 720,
          aheadMin: 0,
          is: 'overcast',
        },
      }),
    ),
  },
  invalid: {
    'a window behind the head': {
      rig: lit(
        key,
        fill,
        camera(209),
        (draft) =>
          draft.do({
            type: 'addOpening',
            openingId: 'back',
            opening: {
              name: 'Back window',
              what: 'window',
              wall: 0,
              alongM: 3,
              widthM: 1.4,
              bottomM: 0.6,
              heightM: 1.4,
              opens: 'no',
            },
          }),
        doing({
          type: 'setSky',
          sky: {
            latitudeDeg: 50,
            longitudeDeg: 0,
            upThePlanDeg: 0,
            on: '2026-06-21',
            atMin: 720,
            aheadMin: 0,
            is: 'overcast',
          },
        }),
      ),
      level: 'warn',
      says: /Back window shows in camera/,
      fixes: [/^Draw the blind of Back window/, /^Shut the blind of Back window/],
    },
  },
});
