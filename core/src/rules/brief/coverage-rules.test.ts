import { build, STARTING_POINTS } from '../../build';
import { apply, type Rig } from '../../rig';
import { ruleCases } from '../judge-for-cases';

/** The rig of a starting point, less some of its devices. */
const rigOf = (id: string, ...without: string[]): Rig => {
  const point = STARTING_POINTS.find((candidate) => candidate.id === id);
  const built = point && build(point.answers('Case'));
  if (!built?.ok) throw new Error(`${id} cannot be built`);
  return without.reduce(
    (rig, deviceId) => apply(rig, { type: 'removeDevice', deviceId }),
    built.rig,
  );
};
const two = rigOf('two-voices');
const hybrid = rigOf('hybrid');

ruleCases('brief.unseen', {
  valid: { 'everyone has a camera': two },
  invalid: {
    'a camera is gone': {
      rig: rigOf('two-voices', 'first-voice-camera'),
      level: 'stop',
      says: /No camera is given to them/,
      fixes: [/^Add First voice camera to Switcher, Input 1/, /^Add First voice webcam to/],
    },
    'a camera is unplugged': {
      rig: apply(two, { type: 'disconnect', linkId: 'first-voice-camera-hdmi-to-switcher' }),
      level: 'stop',
      says: /reaches no stream and no recording/,
      fixes: [/^Connect First voice camera to Switcher/, /^Add First voice camera to/],
    },
    'a guest has no call': {
      rig: rigOf('hybrid', 'first-guest-call'),
      level: 'stop',
      says: /No call is given to them/,
    },
  },
});

ruleCases('brief.unheard', {
  valid: { 'everyone has a microphone': two },
  invalid: {
    'a microphone is gone': {
      rig: rigOf('two-voices', 'second-voice-mic'),
      level: 'stop',
      says: /No microphone is given to them/,
      fixes: [/^Add Second voice mic to Interface, Input 2/],
    },
  },
});

ruleCases('brief.recorded-once', {
  valid: { 'a second machine records': two },
  invalid: {
    'only the computer records': {
      rig: rigOf('two-voices', 'backup'),
      level: 'warn',
      times: 2,
      says: /recorded only by Computer; the house rule asks for 2/,
      fixes: [/^Add Backup recorder to Interface, Output 2/],
    },
  },
});

ruleCases('brief.cannot-hear', {
  valid: { 'everyone has headphones and guests a mix': hybrid },
  invalid: {
    'headphones are gone, and nobody is elsewhere': {
      rig: rigOf('two-voices', 'first-voice-phones'),
      level: 'warn',
      says: /No headphones are given to them/,
      fixes: [/^Add First voice headphones to Interface/],
    },
    'headphones are gone, and a guest is elsewhere': {
      rig: rigOf('hybrid', 'host-phones'),
      level: 'stop',
    },
    'guests are sent the programme with themselves in it': {
      rig: apply(hybrid, {
        type: 'setControl',
        deviceId: 'computer',
        control: 'call-hears',
        value: 'programme',
      }),
      level: 'stop',
      times: 2,
      says: /no mix-minus/,
      fixes: ['Let callers of Computer hear everything but themself'],
    },
  },
});

ruleCases('brief.cannot-see', {
  valid: { 'the guests are on a screen': hybrid, 'nobody is elsewhere': two },
  invalid: {
    'the screen is gone': {
      rig: rigOf('hybrid', 'guest-screen'),
      level: 'warn',
      times: 2,
      says: /No screen shows them the remote guest/,
      fixes: [/^Add Guest monitor to Computer, Screen 1/],
    },
  },
});

ruleCases('brief.not-shown', {
  valid: { 'hands and screen are in the programme': rigOf('demonstrator') },
  invalid: {
    'nothing looks at the hands': {
      rig: rigOf('demonstrator', 'hands-from-above-camera'),
      level: 'stop',
      says: /Nothing shows it/,
      fixes: [/^Add Hands from above camera to Switcher/],
    },
    'no screen comes in': {
      rig: rigOf('demonstrator', 'screen-source'),
      level: 'stop',
      fixes: [/^Add Screen source to Switcher/],
    },
  },
});

ruleCases('brief.undelivered', {
  valid: { 'everything asked for is made': two },
  invalid: {
    'the stream is gone': {
      rig: rigOf('two-voices', 'stream'),
      level: 'stop',
      says: /Nothing in the rig makes it/,
      fixes: [/^Add Live stream to Computer, Programme/],
    },
    'the tracks are fed by the programme, which is a mix': {
      rig: apply(
        apply(two, { type: 'disconnect', linkId: 'computer-tracks-to-recording-tracks' }),
        {
          type: 'connect',
          linkId: 'mixed',
          from: { deviceId: 'computer', portId: 'programme' },
          to: { deviceId: 'recording-tracks', portId: 'in' },
          cable: { kind: 'inside', lengthM: 0 },
        },
      ),
      level: 'stop',
      says: /gets no voice/,
    },
    'the tracks are unplugged': {
      rig: apply(two, { type: 'disconnect', linkId: 'computer-tracks-to-recording-tracks' }),
      level: 'stop',
      fixes: [
        /^Connect Recording, a track per voice to Computer, Single tracks/,
        /^Add A track per voice to Computer, Single tracks/,
      ],
    },
  },
});

ruleCases('brief.partly-delivered', {
  valid: { 'every voice is in everything': two },
  invalid: {
    'one voice is missing': {
      rig: rigOf('two-voices', 'first-voice-mic'),
      level: 'warn',
      times: 4,
      says: /without First voice/,
      fixes: [],
    },
  },
});
