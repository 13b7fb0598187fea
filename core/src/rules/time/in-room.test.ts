import { RigDraft } from '../../catalogue/draft';
import type { Rig } from '../../rig';
import { ruleCases } from '../judge-for-cases';
import { done, known } from './time-for-cases';

const spot = (xM: number, yM: number) => ({ xM, yM, facingDeg: 0 });

interface Hall {
  /** Where the helper stands; the listener sits at 14.2 m from the front, on the same line */
  readonly helperYM?: number;
  /** @unit dB, of the helper; it is nearer, so it is turned down */
  readonly volume?: number;
  readonly helperXM?: number;
}

/**
 * Who speaks stands by the front loudspeaker; a helper 3.1 m before a listener 14.2 m away from the front.
 * Loudspeakers stand on the floor and ears are 1.2 m over it, all on one line.
 */
const hall = ({ helperYM = 11.1, helperXM = 0, volume = -20 }: Hall = {}): RigDraft =>
  new RigDraft('Hall')
    .do({ type: 'setRoom', room: { temperatureC: 20 } })
    .person('talker', 'Talker', { at: spot(0, 0), eyeM: 1.2 })
    .person('listener', 'Listener', { at: spot(0, 14.2), eyeM: 0.15 })
    .device('mic', 'mic-dynamic-stage', { name: 'Microphone', person: 'talker' })
    .device('desk', 'mixer-16', { name: 'Desk' })
    .device('front', 'loudspeaker-active', { name: 'Front', settings: { volume: -10 } })
    .device('helper', 'loudspeaker-active', { name: 'Helper', settings: { volume } })
    .link('mic.out', 'desk.mic-1')
    .link('desk.main-1', 'front.in')
    .link('desk.main-2', 'helper.in')
    .do({ type: 'placeDevice', deviceId: 'front', at: spot(0, 0), aim: null })
    .do({ type: 'placeDevice', deviceId: 'helper', at: spot(helperXM, helperYM), aim: null });

const waiting = (rig: Rig, ms: number): Rig =>
  done(rig, { type: 'setDelay', deviceId: 'desk', portId: 'main-2', signal: 'sound', ms });

ruleCases('time.loudspeakers-apart', {
  valid: {
    'the helper waits 32.3 ms and 10 more': waiting(hall().build(), 42.3),
    'the helper is far louder, and covers the front': hall({ volume: 0 }).build(),
    'two at the front, left and right, are a pair': hall({ helperYM: 0, helperXM: 4 }).build(),
  },
  invalid: {
    'worked figure: 3.1 m against 14.2 m are 32.3 ms': {
      rig: hall().build(),
      level: 'warn',
      says: /hears Microphone from Helper, 3\.1 m away, 32\.3 ms before Front, 14\.2 m away/,
      sum: 32.343,
      fixes: ['Delay it by 42.3 ms at Desk'],
    },
    'it waits, but not long enough': {
      rig: waiting(hall().build(), 10),
      level: 'warn',
      says: /22\.3 ms before/,
      fixes: ['Delay it by 42.3 ms at Desk'],
    },
    'behind a processor, whose own delay is turned': {
      rig: hall()
        .device('processor', 'loudspeaker-processor', { name: 'Processor' })
        .do({ type: 'disconnect', linkId: 'desk-main-2-to-helper' })
        .link('desk.main-2', 'processor.in-1')
        .link('processor.out-1', 'helper.in')
        .build(),
      level: 'warn',
      says: /31\.3 ms before Front/,
    },
  },
});

/** The talker on a screen by the front, by a camera that takes so long. */
const screened = (cameraMs: number): Rig =>
  done(
    hall()
      .device('camera', 'camera-camcorder', { name: 'Camera', person: 'talker' })
      .device('screen', 'display-2160', { name: 'Screen' })
      .link('camera.hdmi', 'screen.in', 2)
      .do({ type: 'placeDevice', deviceId: 'screen', at: spot(2, 0), aim: null })
      .build(),
    known('a', 'camera', null, cameraMs),
  );

ruleCases('time.screen-apart', {
  valid: {
    'a camera of two frames at 60, and 9 ms of air': screened(33),
    'nobody hears the talker by loudspeaker': done(screened(200), {
      type: 'removeDevice',
      deviceId: 'desk',
    }),
  },
  invalid: {
    'a picture 150 ms late: the nearer loudspeaker is heard 139 ms before': {
      rig: screened(150),
      level: 'note',
      says: /Listener hears Microphone from Helper 139\.\d ms before Camera shows it on Screen/,
      fixes: [],
    },
  },
});
