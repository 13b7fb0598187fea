import { ruleCases } from '../judge-for-cases';
import { AT_HOST, camera, doing, fill, key, lamp, lit } from '../light-for-cases';

const HARD = lamp('second', 'light-panel-small', 1.4, 40, 1.6, 65);

ruleCases('light.face-unlit', {
  valid: {
    'a face that is lit': lit(key, fill),
    'a room of which nobody has said anything of light': lit(camera()),
    'somebody who is not to be seen': lit(
      doing({ type: 'changePerson', personId: 'host', person: { shot: null } }),
      lamp('key', 'light-panel-small', 3, 170, 1.7, 5),
    ),
  },
  invalid: {
    'a lamp that looks at the wall': {
      rig: lit(
        lamp('key', 'light-panel', 1.8, -30, 1.7, 100, { at: 'point', xM: 3, yM: 5, zM: 1 }),
      ),
      level: 'warn',
      says: /0 lux fall on the face of Host/,
      fixes: [/Point key at Host/],
    },
  },
});

ruleCases('light.ratio', {
  valid: {
    'gentle, as the house wants it': lit(key, fill),
    'shaped, where the house wants that': lit(
      doing({ type: 'setHouseRules', rules: { lightRatio: 'shaped' } }),
      key,
      lamp('fill', 'light-panel-large', 2.2, 35, 1.6, 18, AT_HOST, 'Diffuser'),
    ),
  },
  invalid: {
    'a key alone in a black room': {
      rig: lit(key),
      level: 'warn',
      says: /There is no fill at all/,
    },
    'too deep: the fill is turned up': {
      rig: lit(key, lamp('fill', 'light-panel-large', 2.2, 35, 1.6, 12, AT_HOST, 'Diffuser')),
      level: 'note',
      says: /5\.2 : 1 on the face of Host/,
      fixes: [/^Set the fill on Host to/, /^Set key to/],
    },
    'gentle, where the house wants shape': {
      rig: lit(doing({ type: 'setHouseRules', rules: { lightRatio: 'shaped' } }), key, fill),
      level: 'note',
      says: /The house wants 4\.0 : 1\. Turn the fill down/,
      fixes: [/^Set the fill on Host to/],
    },
  },
});

ruleCases('light.two-keys', {
  valid: {
    'a soft fill': lit(key, fill),
    'a hard lamp that is much weaker': lit(
      key,
      lamp('second', 'light-panel-small', 1.4, 40, 1.6, 15),
    ),
    'two keys, where the house wants two': lit(
      doing({ type: 'setHouseRules', rules: { keyLights: 'two keys' } }),
      key,
      HARD,
    ),
  },
  invalid: {
    'a hard lamp that is nearly as bright': {
      rig: lit(key, HARD),
      level: 'note',
      says: /two shadows of one nose/,
      fixes: [/^Turn second down to 33 %/],
    },
  },
});

ruleCases('light.no-catch', {
  valid: {
    'a key 30° aside and above the eyes': lit(key, fill),
    'a second light in the eyes': lit(
      lamp('key', 'light-cob-120', 1.8, -70, 1.9, 100, AT_HOST, 'Dome, 0.9 m'),
      fill,
      lamp('eye', 'light-panel-small', 2, 10, 1.5, 20),
    ),
  },
  invalid: {
    'a key from the side': {
      rig: lit(
        lamp('key', 'light-cob-120', 1.8, -70, 1.9, 100, AT_HOST, 'Dome, 0.9 m'),
        lamp('fill', 'light-panel-large', 2.2, 60, 1.6, 60, AT_HOST, 'Diffuser'),
      ),
      level: 'note',
      says: /within 35° and above/,
    },
  },
});

ruleCases('light.from-below', {
  valid: { 'a key above the eyes': lit(key, fill) },
  invalid: {
    'a panel on the table': {
      rig: lit(lamp('key', 'light-panel', 1.2, -20, 0.8)),
      level: 'note',
      says: /18° below the eyes/,
    },
  },
});

ruleCases('light.hard-key', {
  valid: {
    'a dome of 0.9 m at 2 m': lit(key, fill),
    'a spot from far: nothing that is carried is soft from there': lit(
      doing({ type: 'setLightRules', lightRules: { reflects: 0.5 } }),
      lamp('key', 'light-spot-far', 5.2, -5, 2.4),
    ),
  },
  invalid: {
    'a bare chip': {
      rig: lit(lamp('key', 'light-cob-60', 2, -30, 1.7), fill),
      level: 'note',
      says: /as Host sees it: the shadow of the nose has an edge of 0\.7 mm/,
      fixes: [/^Put a dome of 0\.9 m on key/, /^Put a dome of 0\.6 m on key/],
    },
  },
});

ruleCases('light.key-side', {
  valid: {
    'away from the lens': lit(key, fill, camera(327, 2.2, 30)),
    'a lens straight ahead has no side': lit(key, fill, camera()),
    'broad, where the house wants that': lit(
      doing({ type: 'setHouseRules', rules: { keySide: 'broad' } }),
      key,
      fill,
      camera(327, 2.2, -25),
    ),
  },
  invalid: {
    'on the lens side': {
      rig: lit(key, fill, camera(327, 2.2, -25)),
      level: 'note',
      says: /The lens stands 25° to the left of where Host looks, the key 30° to the left: broad/,
      fixes: [/^Move key to the other side of Host/],
    },
  },
});

const hair = (dimmer: number) => lamp('hair', 'light-spot', 1.8, 160, 2.3, dimmer);

ruleCases('light.hair-strong', {
  valid: {
    'no light from behind': lit(key, fill),
    'as bright as the key': lit(key, fill, hair(6)),
  },
  invalid: {
    'much brighter than the key': {
      rig: lit(key, fill, hair(60)),
      level: 'warn',
      says: /brighter than the key lights the face; one is enough/,
      fixes: [/^Turn the light on the hair of Host down by/],
    },
  },
});
ruleCases('light.hair-missing', {
  valid: {
    'where the house does not ask for one': lit(key, fill),
    'one from behind': lit(
      doing({ type: 'setHouseRules', rules: { hairLight: 'always' } }),
      key,
      fill,
      hair(6),
    ),
  },
  invalid: {
    'none, where the house wants one on everybody': {
      rig: lit(doing({ type: 'setHouseRules', rules: { hairLight: 'always' } }), key, fill),
      level: 'note',
      says: /the house wants one on everybody/,
    },
  },
});
ruleCases('light.hair-unwanted', {
  valid: { none: lit(doing({ type: 'setHouseRules', rules: { hairLight: 'never' } }), key, fill) },
  invalid: {
    'one, where the house wants none': {
      rig: lit(doing({ type: 'setHouseRules', rules: { hairLight: 'never' } }), key, fill, hair(6)),
      level: 'note',
      says: /hair lights the hair of Host from behind, and the house wants none/,
      fixes: ['Turn the light on the hair of Host off'],
    },
  },
});
