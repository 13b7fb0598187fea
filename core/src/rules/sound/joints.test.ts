import { RigDraft } from '../../catalogue/draft';
import { ruleCases } from '../judge-for-cases';
import { voice, voiceThrough } from '../rigs-for-cases';

const strip = (into: string, settings = {}) =>
  voiceThrough('mic-dynamic-stage', 'channel-processor', { in: 'in', out: 'out', into }, settings, {
    gain: 50,
  });
const player = (into: string, mixer = 'mixer-8') =>
  new RigDraft('Case')
    .device('player', 'player-sound', { name: 'Player' })
    .device('mixer', mixer, { name: 'Mixer' })
    .link('player.out', `mixer.${into}`, 2);

ruleCases('sound.line-into-microphone', {
  valid: {
    'a processor into a line input': strip('line-1').build(),
    'a processor into a padded input': strip('mic-1', { 'pad-1': true }).build(),
  },
  invalid: {
    'a processor into a microphone input': {
      rig: strip('mic-1').build(),
      level: 'warn',
      says: /made for microphones and has no pad in/,
      sum: -22.959,
      fixes: ['Use Interface, Line 1', 'Switch the pad in at Interface, Input 1'],
    },
  },
});

ruleCases('sound.microphone-into-line', {
  valid: { 'a microphone into its input': voice().build() },
  invalid: {
    'a microphone into a line input': {
      rig: new RigDraft('Case')
        .device('mic', 'mic-dynamic-stage', { name: 'Mic' })
        .device('interface', 'interface-4', { name: 'Interface' })
        .link('mic.out', 'interface.line-1')
        .build(),
      level: 'stop',
      says: /a line input without the gain a microphone needs/,
      fixes: ['Use Interface, Input 1'],
    },
  },
});

ruleCases('sound.line-mismatch', {
  valid: {
    'consumer line into a consumer input': player('tape-1').build(),
    'professional line into a line input': strip('line-1').build(),
  },
  invalid: {
    'consumer line into a professional input': {
      rig: player('line-1').build(),
      level: 'warn',
      says: /11\.78 dB too quiet/,
      sum: 11.782,
      fixes: ['Use Mixer, Consumer in 1', /^Add a line level converter/],
    },
  },
});

ruleCases('sound.loading', {
  valid: { '200 Ω into 3000 Ω': voice().build() },
  invalid: {
    '300 Ω into 1200 Ω': {
      rig: voiceThrough('mic-dynamic-quiet', 'pad-inline', { in: 'in', out: 'out' }).build(),
      level: 'warn',
      says: /only 4\.0 : 1/,
      sum: -1.938,
    },
  },
});

ruleCases('sound.reach', {
  valid: { '3 m of balanced cable': voice().build() },
  invalid: {
    'an unbalanced run of 7.5 m': {
      rig: new RigDraft('Case')
        .device('player', 'player-sound')
        .device('mixer', 'mixer-8')
        .link('player.out', 'mixer.tape-1', 7.5)
        .build(),
      level: 'warn',
      says: /picks up hum and loses treble/,
      sum: 125,
    },
    'an unbalanced run of 5 m, over four fifths of 6': {
      rig: new RigDraft('Case')
        .device('player', 'player-sound')
        .device('mixer', 'mixer-8')
        .link('player.out', 'mixer.tape-1', 5)
        .build(),
      level: 'warn',
    },
  },
});

const called = (callHears: string) =>
  voice()
    .device('call', 'call', { name: 'Caller' })
    .do({ type: 'setControl', deviceId: 'computer', control: 'call-hears', value: callHears })
    .link('call.receive', 'computer.call-in')
    .link('computer.call-out', 'call.send');

ruleCases('sound.mix-minus', {
  valid: {
    'a caller who hears everything but themself': called('everything but themself').build(),
  },
  invalid: {
    'a caller who is sent the programme': {
      rig: called('programme').build(),
      level: 'stop',
      says: /Caller is sent their own voice back, by way of Computer/,
      fixes: ['Let the caller hear: everything but themself'],
    },
  },
});

ruleCases('sound.loudspeaker-open', {
  valid: {
    'a loudspeaker that is muted': called('everything but themself')
      .device('speaker', 'loudspeaker-active', { settings: { mute: true } })
      .link('interface.out-1', 'speaker.in')
      .build(),
    'a caller on headphones': called('everything but themself')
      .device('phones', 'headphones-closed')
      .link('interface.phones-1', 'phones.in')
      .build(),
    'a loudspeaker in another room': voice()
      .do({ type: 'addPlace', placeId: 'booth', place: { name: 'Booth' } })
      .do({ type: 'addPlace', placeId: 'control', place: { name: 'Control' } })
      .do({ type: 'assignDevice', deviceId: 'mic', personId: 'host', placeId: 'booth' })
      .device('speaker', 'loudspeaker-active', { place: 'control' })
      .link('interface.out-1', 'speaker.in')
      .build(),
  },
  invalid: {
    'a loudspeaker beside an open microphone, nobody knows where': {
      rig: voice()
        .device('speaker', 'loudspeaker-active', { name: 'Speaker' })
        .link('interface.out-1', 'speaker.in')
        .build(),
      level: 'warn',
      says: /nobody has said where they and it stand/,
      fixes: ['Mute Speaker while microphones are open', 'Disconnect Speaker'],
    },
    'a caller on a loudspeaker': {
      rig: called('everything but themself')
        .device('speaker', 'loudspeaker-active', { name: 'Speaker' })
        .link('interface.out-1', 'speaker.in')
        .build(),
      level: 'stop',
      says: /Caller is heard over Speaker, and Mic sends the room back/,
      fixes: ['Mute Speaker while microphones are open', 'Disconnect Speaker'],
    },
  },
});
