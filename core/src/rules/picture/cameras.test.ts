import { apply, type Rig } from '../../rig';
import { ruleCases } from '../judge-for-cases';
import { shotOf } from '../rigs-for-cases';

/** A mirrorless camera in a show of some minutes. */
const mirrorless = (settings: Record<string, boolean | string>, lengthMin: number) =>
  shotOf({
    camera: 'camera-mirrorless',
    settings: { 'overlays-off': true, ...settings },
    lengthMin,
  }).build();

ruleCases('picture.battery', {
  valid: {
    'on a mains adapter': mirrorless({ mains: true }, 240),
    'a battery of 90 min in a show of 60': mirrorless({ mains: false }, 60),
  },
  invalid: {
    'a battery of 90 min in a show of two hours': {
      rig: mirrorless({ mains: false }, 120),
      level: 'stop',
      says: /runs 90 min on its battery; set-up and show take 30 \+ 120 min/,
      sum: 1.667,
      fixes: ['Put Camera on a mains adapter'],
    },
  },
});

ruleCases('picture.sleeps', {
  valid: { 'the sleep timer off': mirrorless({ 'sleep-timer': false }, 120) },
  invalid: {
    'asleep after five minutes': {
      rig: mirrorless({ 'sleep-timer': true }, 60),
      level: 'stop',
      says: /nobody touches it for 5 min/,
      fixes: ['Switch the sleep timer of Camera off'],
    },
  },
});

ruleCases('picture.heat', {
  valid: {
    '1080p60, which stays cool': mirrorless({}, 240),
    '2160p30 for half an hour': mirrorless({ format: '3840x2160p30' }, 30),
  },
  invalid: {
    '2160p30 for two hours': {
      rig: mirrorless({ format: '3840x2160p30' }, 120),
      level: 'warn',
      says: /too hot after about 40 min/,
      fixes: ['Set Camera to 1080p30'],
    },
  },
});

/** The same, by a model of the time when cameras had no card. */
const withoutCard = (lengthMin: number): Rig => {
  const rig = mirrorless({}, lengthMin);
  const { model } = rig.devices['camera'] ?? {};
  if (!model) throw new Error('no camera');
  const ports = Object.fromEntries(Object.entries(model.ports).filter(([id]) => id !== 'card'));
  return apply(rig, {
    type: 'replaceModel',
    deviceId: 'camera',
    model: { ...model, ports, routes: {} },
  });
};

/** A recorder on the camera's output, besides its card. */
const recordedTwice = (): Rig =>
  shotOf({
    camera: 'camera-mirrorless',
    settings: { 'overlays-off': true, record: true },
    lengthMin: 60,
  })
    .do({ type: 'disconnect', linkId: 'camera-hdmi-to-screen' })
    .device('recorder', 'recorder-picture', { name: 'Recorder' })
    .link('camera.hdmi', 'recorder.in')
    .build();

ruleCases('picture.recording-limit', {
  valid: {
    'a show shorter than the card’s limit': mirrorless({ record: true }, 25),
    'a camera without a limit': shotOf().build(),
    'a card that is not recording': mirrorless({}, 60),
  },
  invalid: {
    'an hour on a model that has no card and a limit of 29 min': {
      rig: withoutCard(60),
      level: 'note',
      says: /its output goes on/,
    },
    'the only file of it ends after 29 min': {
      rig: mirrorless({ record: true }, 60),
      level: 'stop',
      says: /nothing else makes a file of its picture/,
    },
    'a recorder goes on where the card ends': {
      rig: recordedTwice(),
      level: 'warn',
      says: /Recorder records it to the end/,
    },
  },
});

/** A far microphone and a near camera, so that its motor can be heard. */
const heard = (autofocus: boolean, microphoneM: number) =>
  shotOf({
    camera: 'camera-mirrorless',
    settings: { autofocus, 'overlays-off': true },
    shot: { distanceM: 0.5 },
  })
    .device('mic', 'mic-boundary', { person: 'host', settings: { distance: microphoneM } })
    .build();
ruleCases('picture.focus-noise', {
  valid: { 'autofocus off': heard(false, 2), 'a microphone near the mouth': heard(true, 0.1) },
  // 62 − 20·log(2) = 55.98 dB; 24 − 20·log(0.5 ÷ 0.3) = 19.56 dB
  invalid: {
    'a microphone two metres away': {
      rig: heard(true, 2),
      level: 'warn',
      says: /only 36\.4 dB above the focus motor of Camera/,
      sum: 36.416,
      fixes: ['Switch autofocus of Camera off'],
    },
  },
});
