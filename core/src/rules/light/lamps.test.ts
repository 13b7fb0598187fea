import { ruleCases } from '../judge-for-cases';
import { AT_HOST, camera, doing, fill, key, lamp, lit, wall } from '../light-for-cases';

ruleCases('light.lamp-nowhere', {
  valid: { 'every lamp stands somewhere': lit(key, fill) },
  invalid: {
    'one in the box': {
      rig: lit(key, (draft) => draft.device('spare', 'light-panel', { name: 'Spare' })),
      level: 'note',
      says: /Spare is in the rig and stands nowhere/,
    },
  },
});

ruleCases('light.lamp-in-frame', {
  valid: {
    'lamps beside the camera': lit(key, fill, camera()),
    'a lamp that is meant to be seen': lit(
      key,
      fill,
      camera(),
      lamp('practical', 'light-practical', 1, 180, 1.2),
    ),
  },
  invalid: {
    'a hair light just over the head': {
      rig: lit(key, fill, camera(), lamp('hair', 'light-spot', 0.8, 180, 1.5, 5)),
      level: 'warn',
      says: /hair shows in camera/,
      fixes: [/^Raise hair by/],
    },
  },
});

/** A tube beside the host, dimmed so far, on its battery or its adapter. */
const tube = (dimmer: number, mains: boolean, lengthMin: number) =>
  lit(
    key,
    lamp('tube', 'light-tube', 1.5, 60, 1.2, dimmer),
    doing({ type: 'setControl', deviceId: 'tube', control: 'mains', value: mains }),
    doing({ type: 'writeBrief', brief: { lengthMin, setUpMin: 60 } }),
  );

ruleCases('light.battery', {
  valid: {
    'on its adapter': tube(100, true, 180),
    '120 min at full for an hour after an hour': tube(100, false, 60),
    'at 40 % the 120 min are 300': tube(40, false, 240),
  },
  invalid: {
    'lasts the show, but not the set-up before it': {
      rig: tube(100, false, 90),
      level: 'warn',
      says: /Turned up to 100 %, tube burns 120 min on its battery; set-up and show take 60 \+ 90 min/,
      sum: 120,
      fixes: ['Put tube on its mains adapter'],
    },
    'goes out during the show': {
      rig: tube(80, false, 180),
      level: 'stop',
      says: /burns 150 min/,
      sum: 150,
      fixes: ['Put tube on its mains adapter'],
    },
    'below a quarter its electronics draw on': {
      rig: tube(5, false, 500),
      level: 'stop',
      says: /burns 480 min/,
      sum: 480,
      fixes: ['Put tube on its mains adapter'],
    },
  },
});

ruleCases('light.ceiling', {
  valid: { 'a dome under 2.6 m': lit(key, fill) },
  invalid: {
    'a dome of 0.9 m whose middle is at 2.3 m': {
      rig: lit(
        lamp('key', 'light-cob-120', 2, -30, 2.3, 55, { at: 'turned', downDeg: 45 }, 'Dome, 0.9 m'),
        (draft) =>
          draft.do({
            type: 'drawRoom',
            room: {
              corners: [
                { xM: 0, yM: 0 },
                { xM: 6, yM: 0 },
                { xM: 6, yM: 5 },
                { xM: 0, yM: 5 },
              ],
              heightM: 2.5,
            },
          }),
      ),
      level: 'stop',
      says: /upper edge of key is at 2\.62 m and the ceiling at 2\.50 m/,
      sum: 2.618,
      fixes: [/^Lower key by 0\.17 m/],
    },
  },
});

ruleCases('light.aimed-at-nobody', {
  valid: {
    'a lamp on a face': lit(key, fill),
    'a lamp on the wall behind': lit(
      key,
      fill,
      wall(),
      lamp('wash', 'light-flood', 1, 120, 2.2, 30, { at: 'backdrop', backdropId: 'wall' }),
    ),
  },
  invalid: {
    'a spot into the corner': {
      rig: lit(
        key,
        fill,
        lamp('spot', 'light-spot', 2, 60, 2, 50, { at: 'point', xM: 5.9, yM: 4.9, zM: 0.2 }),
      ),
      level: 'note',
      says: /0 lux of spot fall on a face, hands or a background/,
      fixes: [/^Turn spot off/, /^Point spot at Host/],
    },
  },
});

ruleCases('light.blocked', {
  valid: {
    'a free way': lit(key, fill),
    'a table under the way': lit(key, fill, (draft) =>
      draft.support('desk', 'Desk, 1.4 m', [2.6, 2.2, 0]),
    ),
  },
  invalid: {
    'a rack between key and face': {
      rig: lit(key, fill, (draft) =>
        draft.support('rack', 'Shelf, 1 m', [2.5, 2.37, 0], { name: 'Rack' }),
      ),
      level: 'warn',
      says: /Rack stands between key and the eyes of Host/,
    },
  },
});

ruleCases('light.dimmer-low', {
  valid: {
    'at 20 %': lit(key, lamp('low', 'light-panel', 2, 40, 1.6, 20)),
    off: lit(key, lamp('low', 'light-panel', 2, 40, 1.6, 0)),
  },
  invalid: {
    'a lamp in the picture at 4 %': {
      rig: lit(key, lamp('low', 'light-practical', 1, 40, 1.2, 4)),
      level: 'note',
      says: /burns evenly from 10 % on/,
      fixes: ['Set low to 10 %'],
    },
  },
});

ruleCases('light.hot', {
  valid: {
    'a hot spot from 3 m, bare': lit(lamp('hot', 'light-spot-hot', 3, -30, 2, 40)),
    'cloth on a lamp that stays cool': lit(key),
  },
  invalid: {
    'a soft box on a filament': {
      rig: lit(lamp('hot', 'light-spot-hot', 3, -30, 2, 40, AT_HOST, 'Soft box, 0.6 × 0.9 m')),
      level: 'stop',
      says: /which is cloth: it can burn/,
      fixes: [/^Take Soft box/],
    },
    'a filament at a head': {
      rig: lit(lamp('hot', 'light-spot-hot', 0.6, -30, 1.4, 40)),
      level: 'stop',
      says: /hangs 0\.63 m from the head of Host/,
    },
  },
});

ruleCases('light.pwm', {
  valid: {
    'a steady driver': lit(key, fill, camera()),
    'pulses, at full': lit(key, camera(), lamp('strip', 'light-strip', 2, 40, 1.2, 100)),
    'many pulses in an exposure': lit(
      key,
      camera(),
      lamp('strip', 'light-strip', 2, 40, 1.2, 30),
      doing({ type: 'setFigure', deviceId: 'strip', path: 'light.flicker.pwmHz', value: 25_000 }),
    ),
  },
  invalid: {
    'a thousand pulses a second at 1/120 s': {
      rig: lit(
        key,
        camera(),
        lamp('strip', 'light-strip', 2, 40, 1.2, 30),
        doing({ type: 'setControl', deviceId: 'camera', control: 'shutter', value: 120 }),
      ),
      level: 'note',
      says: /camera takes in 8\.3 of them/,
      sum: 8.333,
      fixes: ['Turn strip up full'],
    },
  },
});

const answers = (deviceId: string, by: 'app' | 'knob' | 'address', name: string) =>
  doing({ type: 'hangLamp', deviceId, lamp: { answers: { by, name } } });
const onePlace = doing({ type: 'setHouseRules', rules: { lightControl: 'one place' } });

ruleCases('light.control-apart', {
  valid: {
    'each by hand, where the house does not ask': lit(
      key,
      fill,
      answers('key', 'knob', 'Its knob'),
    ),
    'all by one app': lit(
      key,
      fill,
      onePlace,
      answers('key', 'app', 'Set'),
      answers('fill', 'app', 'Set'),
    ),
  },
  invalid: {
    'one by its knob': {
      rig: lit(
        key,
        fill,
        lamp('hair', 'light-spot', 1.8, 160, 2.3, 6),
        onePlace,
        answers('key', 'address', 'Desk'),
        answers('hair', 'address', 'Desk'),
        answers('fill', 'knob', 'Its knob'),
      ),
      level: 'warn',
      says: /fill is set by its knob, the others by Desk/,
      fixes: ['Let fill answer to Desk'],
    },
  },
});

ruleCases('light.control-unsaid', {
  valid: { 'each by hand, where the house does not ask': lit(key, fill) },
  invalid: {
    'nobody has said': {
      rig: lit(key, fill, onePlace, answers('key', 'app', 'Set')),
      level: 'note',
      says: /Nobody has said what fill answers to/,
      fixes: ['Let them all answer to Set'],
    },
  },
});

const look = (lookId: string) => doing({ type: 'keepLook', lookId, name: lookId, setId: null });
const scene = (sceneId: string) => (draft: Parameters<typeof key>[0]) =>
  draft.scene(sceneId, sceneId, [['camera', 'full']]);

ruleCases('light.look-short', {
  valid: { 'a look of every lamp': lit(key, fill, look('talk')) },
  invalid: {
    'a lamp that came later': {
      rig: lit(key, look('talk'), fill),
      level: 'note',
      says: /The look talk says nothing of fill/,
    },
  },
});

ruleCases('light.cue-by-hand', {
  valid: {
    'alike in both looks': lit(
      key,
      camera(),
      scene('one'),
      scene('two'),
      look('one'),
      look('two'),
      doing(
        { type: 'cueScene', sceneId: 'one', lookId: 'one' },
        { type: 'cueScene', sceneId: 'two', lookId: 'two' },
      ),
      answers('key', 'knob', 'Its knob'),
    ),
  },
  invalid: {
    'a knob that would have to be turned in the picture': {
      rig: lit(
        key,
        camera(),
        scene('one'),
        scene('two'),
        look('one'),
        doing({ type: 'setControl', deviceId: 'key', control: 'dimmer', value: 10 }),
        look('two'),
        doing(
          { type: 'cueScene', sceneId: 'one', lookId: 'one' },
          { type: 'cueScene', sceneId: 'two', lookId: 'two' },
        ),
        answers('key', 'knob', 'Its knob'),
      ),
      level: 'warn',
      says: /key changes between looks that scenes call up/,
      sum: 10,
    },
  },
});
