import { ruleCases } from '../judge-for-cases';
import { camera, doing, fill, key, lit, window } from '../light-for-cases';

/** The host turned to the window, so that its light is on the face. */
const turned = doing({
  type: 'changePerson',
  personId: 'host',
  person: { at: { xM: 3, yM: 1.5, facingDeg: 90 } },
});
const shutOut = doing({ type: 'setHouseRules', rules: { daylight: 'shut out' } });
const blind = doing({
  type: 'setWindow',
  openingId: 'window',
  window: { transmission: 0.75, openShare: 0, isSheer: false, luxAt1m: null },
});

ruleCases('light.daylight-in', {
  valid: {
    'where the house uses it': lit(key, turned, window({ atMin: 720, is: 'overcast' })),
    'the blind is shut': lit(key, fill, turned, window({ atMin: 720 }), blind, shutOut),
  },
  invalid: {
    'a window on a face': {
      rig: lit(key, turned, window({ atMin: 720, is: 'overcast' }), shutOut),
      level: 'warn',
      says: /the house shuts daylight out/,
      fixes: ['Shut the blind of Window'],
    },
  },
});

ruleCases('light.daylight-drift', {
  valid: {
    'at noon': lit(turned, window({ atMin: 690, is: 'overcast' })),
    'nobody has said when': lit(key, fill, window(null)),
  },
  invalid: {
    'at dusk': {
      rig: lit(turned, window({ on: '2026-12-21', atMin: 900, is: 'overcast' })),
      level: 'warn',
      says: /within one show/,
      fixes: [/^Shut the blind of Window/],
    },
  },
});

ruleCases('light.sun-on', {
  valid: {
    clouds: lit(turned, window({ atMin: 420, is: 'overcast' })),
    'the sun on the other side of the house': lit(turned, window({ atMin: 1020 })),
  },
  invalid: {
    'a low sun in June': {
      rig: lit(turned, key, fill, window({ atMin: 400, on: '2026-03-21' })),
      level: 'warn',
      says: /The sun comes through Window onto Host/,
      fixes: [/^Shut the blind of Window/, /^Hang something thin before Window/],
    },
  },
});

ruleCases('light.sun-over', {
  valid: { clouds: lit(turned, camera(), window({ atMin: 420, is: 'overcast' })) },
  invalid: {
    'a camera set for lamps': {
      rig: lit(turned, key, fill, camera(327, 2.2, 60), window({ atMin: 400, on: '2026-03-21' })),
      level: 'warn',
      says: /camera gets .* more light than it needs\. A grey filter of/,
    },
  },
});

ruleCases('light.sky-unsaid', {
  valid: {
    'a sky': lit(key, fill, window()),
    'what was measured': lit(
      key,
      fill,
      window(null),
      doing({
        type: 'setWindow',
        openingId: 'window',
        window: { transmission: 0.75, openShare: 1, isSheer: false, luxAt1m: 900 },
      }),
    ),
    'a room nobody lights': lit(window(null)),
  },
  invalid: {
    'a window nobody speaks of': {
      rig: lit(key, fill, window(null)),
      level: 'note',
      says: /nobody has said where and when the show is/,
      fixes: ['Shut the blind of every window'],
    },
  },
});

const second = camera(1600, 2.4, 25, 1.2, 'second');

ruleCases('light.cameras-apart', {
  valid: {
    'two alike': lit(key, fill, camera(), camera(327, 2.4, 25, 1.2, 'second')),
    'one alone': lit(key, fill, camera(1600)),
  },
  invalid: {
    'two stops between two cameras': {
      rig: lit(key, fill, camera(), second),
      level: 'warn',
      says: /every cut is a step in brightness/,
      fixes: [/^Set all 2 cameras: 1\//],
    },
  },
});

ruleCases('light.shutters-differ', {
  valid: { alike: lit(key, fill, camera(), camera(327, 2.4, 25, 1.2, 'second')) },
  invalid: {
    '1/50 and 1/100': {
      rig: lit(
        key,
        fill,
        camera(),
        camera(650, 2.4, 25, 1.2, 'second'),
        doing({ type: 'setControl', deviceId: 'second', control: 'shutter', value: 100 }),
      ),
      level: 'note',
      says: /camera 1\/50 s, second 1\/100 s/,
      fixes: [/^Set all 2 cameras/],
    },
  },
});

ruleCases('light.typed-differs', {
  valid: {
    'nothing typed': lit(key, fill, camera()),
    'typed as it is reckoned': lit(
      key,
      fill,
      camera(),
      doing({ type: 'changeShot', shotId: 'camera', shot: { lightLux: 450 } }),
    ),
  },
  invalid: {
    'typed long ago': {
      rig: lit(
        key,
        fill,
        camera(),
        doing({ type: 'changeShot', shotId: 'camera', shot: { lightLux: 120 } }),
      ),
      level: 'note',
      says: /120 lux were typed for camera/,
      fixes: [/^Let the plan say/],
    },
  },
});

ruleCases('light.faces-differ', {
  valid: { 'one face alone': lit(key, fill, camera()) },
  invalid: {
    'two in one picture, one of them in the dark': {
      rig: lit(
        key,
        fill,
        (draft) =>
          draft
            .person('guest', 'Guest', { at: { xM: 5.7, yM: 1.5, facingDeg: 0 } })
            .do({
              type: 'writeBrief',
              brief: {
                form: 'live',
                cut: 'long form',
                lengthMin: 60,
                showsPerMonth: 4,
                switchedBy: 'nobody',
                budget: null,
                setUpMin: 10,
                room: 'fixed',
                uplinkMbps: null,
              },
            })
            .do({
              type: 'addSight',
              sightId: 'both',
              sight: {
                name: 'Both',
                what: 'people together',
                shot: 'two-shot',
                at: null,
                people: ['host', 'guest'],
              },
            }),
        camera(),
        doing({
          type: 'changeShot',
          shotId: 'camera',
          shot: { personId: null, sightId: 'both', wanted: 'two-shot' },
        }),
      ),
      level: 'warn',
      says: /the camera can be right for one of them only/,
    },
  },
});
