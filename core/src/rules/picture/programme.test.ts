import { apply, type Does, type Guard, type Rig } from '../../rig';
import { ruleCases } from '../judge-for-cases';
import { show } from '../rigs-for-cases';
import { TWO_INSETS, withScene } from '../scenes-for-cases';

ruleCases('picture.scene-impossible', {
  valid: {
    'one inset on one keyer': withScene([
      ['slides', 'full'],
      ['host-camera', 'inset'],
    ]),
    'two insets on a larger switcher': withScene(TWO_INSETS, 'switcher-8'),
    'one source alone': withScene([['host-camera', 'full']]),
  },
  invalid: {
    'two insets on a switcher with one keyer': {
      rig: withScene(TWO_INSETS),
      level: 'stop',
      says: /^Switcher can make one picture smaller at once and this scene needs 2/,
      fixes: ['Use switcher, eight HDMI inputs', 'Leave Guest camera out of Scene'],
    },
    'an inset and graphics on one keyer': {
      rig: withScene([
        ['host-camera', 'full'],
        ['guest-camera', 'inset'],
        ['slides', 'over'],
      ]),
      level: 'stop',
      says: /has 1 keyer and this scene needs 2: 1 for small pictures, 1 for graphics/,
      fixes: ['Use switcher, eight HDMI inputs', 'Leave Slides out of Scene'],
    },
  },
});

ruleCases('picture.scene-dark', {
  valid: { 'a camera that is on air': withScene([['host-camera', 'full']]) },
  invalid: {
    'a camera that is unplugged': {
      rig: apply(withScene([['host-camera', 'full']]), {
        type: 'disconnect',
        linkId: 'host-camera-hdmi-to-mix',
      }),
      level: 'stop',
      says: /^Host camera does not reach Stream/,
      fixes: ['Remove the scene Scene'],
    },
    'a rig without a programme': {
      rig: apply(
        apply(withScene([['host-camera', 'full']]), { type: 'removeDevice', deviceId: 'stream' }),
        { type: 'removeDevice', deviceId: 'file' },
      ),
      level: 'stop',
      says: /No picture reaches a stream/,
    },
  },
});

ruleCases('picture.scene-silent', {
  valid: {
    'everyone heard': withScene([['host-camera', 'full']]),
    'the guest not asked for': apply(withScene([['host-camera', 'full']], 'switcher-4', ['host']), {
      type: 'removeDevice',
      deviceId: 'guest-mic',
    }),
  },
  invalid: {
    'a guest without a microphone': {
      rig: apply(withScene([['host-camera', 'full']]), {
        type: 'removeDevice',
        deviceId: 'guest-mic',
      }),
      level: 'warn',
      says: /^Guest is to be heard and does not reach Stream/,
    },
  },
});

const button = (does: Does, guard: Guard): Rig =>
  show()
    .do({
      type: 'addButton',
      buttonId: 'button',
      button: { label: 'End', does, guard, handId: null },
    })
    .build();

ruleCases('picture.unguarded', {
  valid: {
    'a held press ends the stream': button({ type: 'stream', turn: 'end' }, 'hold'),
    'a bare press shows a scene': withScene([['host-camera', 'full']]),
    'a bare press mutes somebody': button({ type: 'mute', personId: 'host' }, 'none'),
  },
  invalid: {
    'a bare press ends the stream': {
      rig: button({ type: 'stream', turn: 'end' }, 'none'),
      level: 'stop',
      says: /ends the stream at a single press/,
      fixes: ['Make End a held press'],
    },
    'a bare press starts the recording': {
      rig: button({ type: 'recording', turn: 'start' }, 'none'),
      level: 'warn',
      fixes: ['Make End a held press'],
    },
  },
});

const sceneOnly = (switchedBy: 'operator' | 'automatic') =>
  show({ switchedBy })
    .do({
      type: 'addScene',
      sceneId: 'scene',
      scene: {
        name: 'Scene',
        layers: [{ deviceId: 'host-camera', box: 'full' }],
        heard: null,
        selects: [],
      },
    })
    .build();

ruleCases('picture.scene-off-panel', {
  valid: {
    'a scene with a button': withScene([['host-camera', 'full']]),
    'a show that switches itself': sceneOnly('automatic'),
  },
  invalid: {
    'a scene without a button': {
      rig: sceneOnly('operator'),
      level: 'warn',
      says: /no button of the panel does it/,
      fixes: ['Put Scene on the panel'],
    },
  },
});

ruleCases('picture.label-twice', {
  valid: {
    'two labels': show()
      .scene('a', 'One', [['host-camera', 'full']])
      .scene('b', 'Two', [['guest-camera', 'full']])
      .build(),
  },
  invalid: {
    'the same label twice': {
      rig: show()
        .scene('a', 'Close', [['host-camera', 'full']])
        .scene('b', 'close ', [['guest-camera', 'full']])
        .build(),
      level: 'warn',
      says: /Two buttons are called close/,
    },
  },
});

export const many = (count: number, switchedBy: 'host by pedal' | 'nobody' | 'operator') => {
  const draft = show({ switchedBy });
  for (let n = 1; n <= count; n++)
    draft.scene(`scene-${n}`, `Scene ${n}`, [['host-camera', 'full']]);
  return draft.build();
};

ruleCases('picture.too-many-for-hand', {
  valid: {
    'three scenes for a pedal': many(3, 'host by pedal'),
    'five for an operator': many(5, 'operator'),
    'one for nobody': many(1, 'nobody'),
  },
  invalid: {
    'four for a pedal': {
      rig: many(4, 'host by pedal'),
      level: 'warn',
      says: /3 switches for 4 scenes/,
      fixes: ['Let the host switch by a panel'],
    },
    'two for nobody': {
      rig: many(2, 'nobody'),
      level: 'warn',
      fixes: ['Let the host switch by a panel'],
    },
  },
});

/** A fourth and a fifth picture for a switcher with four inputs. */
const full = show()
  .device('fourth', 'camera-camcorder', { name: 'Fourth' })
  .link('fourth.hdmi', 'mix.in-4')
  .device('fifth', 'camera-camcorder', { name: 'Fifth' })
  .build();

ruleCases('picture.inputs-short', {
  valid: {
    'an input left': show().device('fourth', 'camera-camcorder').build(),
    'a rig without a switcher': show().do({ type: 'removeDevice', deviceId: 'mix' }).build(),
  },
  invalid: {
    'five pictures for four inputs': {
      rig: full,
      level: 'stop',
      sum: -1,
      says: /all 4 inputs of Switcher are taken/,
      fixes: [
        'Share Input 3 with Slides by a selector',
        'Use a larger switcher: Switcher, six HDMI inputs',
      ],
    },
  },
});
