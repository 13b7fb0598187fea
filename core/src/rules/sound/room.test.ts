import { RigDraft } from '../../catalogue/draft';
import { apply, type NoiseSource, type Rig, type SimpleCommand } from '../../rig';
import { ruleCases } from '../judge-for-cases';
import { show, voice } from '../rigs-for-cases';

const at = (xM: number, yM: number, facingDeg = 0) => ({ xM, yM, facingDeg });
const having = (rig: Rig, ...commands: SimpleCommand[]): Rig =>
  commands.reduce<Rig>((given, command) => apply(given, command), rig);

/** One voice of 62 dB at a distance, whose mouth is the middle of the plan. */
const inRoom = (distance: number, ...commands: SimpleCommand[]): Rig =>
  having(
    voice({ distance }).build(),
    { type: 'changePerson', personId: 'host', person: { at: at(0, 0) } },
    ...commands,
  );
const room = (noiseDba: number | null, rt60S = 0.6): SimpleCommand => ({
  type: 'setRoom',
  room: { volumeM3: 60, rt60S, noiseDba },
});
const fan = (
  dbaAt1m: number,
  xM: number,
  yM: number,
  reading: NoiseSource['reading'] = 'free field',
): SimpleCommand => ({
  type: 'addNoise',
  noiseId: 'fan',
  noise: { name: 'Fan', dbaAt1m, reading, at: { xM, yM }, heightM: null, runs: true },
});

ruleCases('sound.room-noise', {
  valid: {
    'a quiet room, close': inRoom(0.1, room(35)),
    'a room of which nothing is known': inRoom(0.4),
  },
  // 62 + 7.96 at 40 cm against 45 − 4.77.
  invalid: {
    'a loud room from 40 cm': {
      rig: inRoom(0.4, room(45)),
      level: 'warn',
      sum: 29.73,
      says: /no gain changes it/,
      fixes: ['Move Mic to 38 cm'],
    },
  },
});

ruleCases('sound.placed-noise', {
  valid: {
    'a fan behind the microphone’s dull side': inRoom(0.1, fan(60, 0, 3)),
    'a fan that is off': inRoom(0.4, fan(60, 0, -1), {
      type: 'changeNoise',
      noiseId: 'fan',
      noise: { runs: false },
    }),
    'a room louder than the fan': inRoom(0.4, room(50), fan(20, 0, -1)),
  },
  invalid: {
    // The microphone looks at the mouth and at the fan behind it, 1.4 m away.
    'a fan behind the talker': {
      rig: inRoom(0.4, fan(50, 0, -1)),
      level: 'warn',
      sum: 22.881,
      says: /0° off its axis/,
      fixes: ['Move Mic to 14 cm', 'Move Fan 2 m farther away', 'Switch Fan off during the show'],
    },
    'a fan read in the room: 6.10 of 56.10 dB(A) are echo': {
      rig: inRoom(0.4, room(30), fan(56.104, 0, -1, 'in the room')),
      level: 'warn',
      sum: 50,
    },
    'a microphone that can be switched': {
      rig: having(
        voice({
          microphone: 'mic-condenser-large',
          distance: 0.4,
          settings: { 'gain-1': 40, 'phantom-1': true },
        }).build(),
        { type: 'changePerson', personId: 'host', person: { at: at(0, 0) } },
        { type: 'setControl', deviceId: 'mic', control: 'pattern', value: 'omni' },
        fan(50, 0, 2),
      ),
      level: 'warn',
      fixes: [
        /^Move Mic to/,
        'Switch Mic to cardioid',
        'Move Fan 2 m farther away',
        'Switch Fan off during the show',
      ],
    },
  },
});

const beside = (metres: number, distance: number): Rig =>
  having(inRoom(distance), {
    type: 'addPerson',
    personId: 'guest',
    person: {
      is: 'person',
      name: 'Guest',
      where: 'on site',
      posture: 'sits',
      shot: null,
      isHeard: true,
      speechDbSpl: 62,
      spreadDb: 6,
      crestDb: 14,
      wearsGlasses: false,
      dislikesHeadset: false,
      needsHandsFree: false,
      at: at(metres, distance),
      eyeM: null,
      statureM: null,
    },
  });
ruleCases('sound.bleed', {
  valid: {
    'the other 1.2 m away and the own mouth at 8 cm': beside(1.2, 0.08),
    'nobody has a place': having(beside(0.5, 0.5), {
      type: 'changePerson',
      personId: 'host',
      person: { at: null },
    }),
  },
  // 90° off a cardioid: 6.02 dB down, at 0.4 m against 0.3 m 2.5 dB down.
  invalid: {
    'the other at 40 cm and the own at 30': {
      rig: beside(0.4, 0.3),
      level: 'warn',
      sum: -8.519,
      says: /the 3:1 rule asks for 9\.5 dB/,
    },
  },
});

ruleCases('sound.reverberant', {
  valid: { '20 cm in a living room': inRoom(0.2, room(30)), 'an echo nobody measured': inRoom(2) },
  invalid: {
    '1.5 m in a living room': {
      rig: inRoom(1.5, room(null)),
      level: 'warn',
      sum: -3.633,
      says: /as loud as the voice at 0\.99 m/,
      fixes: ['Move Mic to 98 cm'],
    },
    'half a metre, where the room is to be dead': {
      rig: inRoom(0.6, room(null), { type: 'setHouseRules', rules: { room: 'dead' } }),
      level: 'note',
      fixes: ['Move Mic to 49 cm'],
    },
  },
});

const aim = (offAxisDeg: number): SimpleCommand => ({
  type: 'placeDevice',
  deviceId: 'mic',
  at: null,
  aim: { bearingDeg: 0, offAxisDeg },
});
ruleCases('sound.off-axis', {
  valid: { '30° past the mouth': inRoom(0.1, aim(30)), 'pointed at it': inRoom(0.1) },
  invalid: {
    '90° past': {
      rig: inRoom(0.1, aim(90)),
      level: 'warn',
      says: /points 90° past its mouth and loses 6\.0 dB/,
      sum: -6.021,
      fixes: ['Point Mic at the mouth'],
    },
    '75° past': { rig: inRoom(0.1, aim(75)), level: 'note' },
  },
});

ruleCases('sound.too-close', {
  valid: {
    'a hand’s width': inRoom(0.08),
    'a headset at the corner of the mouth': voice({
      microphone: 'mic-headset',
      distance: 0.03,
      settings: { 'phantom-1': true },
    }).build(),
  },
  invalid: {
    '2 cm': {
      rig: inRoom(0.02),
      level: 'note',
      says: /2 cm from the mouth: breath thumps and the bass swells by 19\.2 dB at 100 Hz/,
      sum: 19.231,
      fixes: ['Move Mic to 6 cm'],
    },
  },
});

const overSpeakers = (volume: number, yM = -1) =>
  new RigDraft('Case')
    .person('host', 'Host', { at: at(0, 0) })
    .device('mic', 'mic-dynamic-stage', {
      name: 'Mic',
      person: 'host',
      settings: { distance: 0.1 },
    })
    .device('mixer', 'mixer-8', { settings: { 'gain-1': 50 } })
    .device('speaker', 'loudspeaker-active', { name: 'Speaker', settings: { volume } })
    .link('mic.out', 'mixer.mic-1')
    .link('mixer.main-1', 'speaker.in')
    .do({ type: 'placeDevice', deviceId: 'speaker', at: at(0, yM), aim: null })
    .build();
ruleCases('sound.howl', {
  valid: {
    'a loudspeaker turned down': overSpeakers(-30),
    'a loudspeaker in the microphone’s dull side': overSpeakers(0, 1),
    'a loudspeaker without a place': having(overSpeakers(0), {
      type: 'placeDevice',
      deviceId: 'speaker',
      at: null,
      aim: null,
    }),
  },
  invalid: {
    'fully up, 1 m behind the talker': {
      rig: overSpeakers(0),
      level: 'stop',
      sum: 1.506,
      says: /louder than what went in/,
      fixes: ['Turn the loudspeakers down by 8 dB'],
    },
    '3 dB lower': {
      rig: overSpeakers(-3),
      level: 'warn',
      says: /dB under what went in/,
      fixes: [/^Turn the loudspeakers down/],
    },
  },
});

const open = (hall: number): Rig =>
  having(
    show().build(),
    { type: 'setRoom', room: { volumeM3: null, rt60S: null, noiseDba: hall } },
    { type: 'changePerson', personId: 'host', person: { at: at(0, 0) } },
    { type: 'changePerson', personId: 'guest', person: { at: at(2, 0) } },
  );
ruleCases('sound.open-microphones', {
  // Each 62 + 26.02 at 5 cm against 60.77 − 4.77: 32.0 dB alone, 29.0 together.
  valid: { 'a quiet hall': open(40), 'a room too loud for one alone': open(70) },
  invalid: {
    'two where only one is quiet enough': {
      rig: open(60.77),
      level: 'note',
      times: 2,
      sum: 29.012,
      says: /With 2 microphones open/,
    },
  },
});

ruleCases('sound.place-unknown', {
  valid: { 'nobody has a place': voice().build(), 'everybody has one': inRoom(0.1) },
  invalid: {
    'a fan that nobody has placed': {
      rig: inRoom(0.1, fan(50, 1, 1), { type: 'changeNoise', noiseId: 'fan', noise: { at: null } }),
      level: 'note',
      says: /where Fan stands/,
    },
  },
});

const onAStand = (distance: number) =>
  having(inRoom(distance), {
    type: 'placeDevice',
    deviceId: 'mic',
    at: at(0, 0.5, 180),
    aim: null,
  });
ruleCases('sound.distance-differs', {
  valid: { 'a stand where it was said to be': onAStand(0.5), 'no place of its own': inRoom(0.1) },
  invalid: {
    'a stand at half a metre, typed as 8 cm': {
      rig: onAStand(0.08),
      level: 'note',
      says: /0\.08 m from the mouth; on the plan it stands 0\.50 m/,
      fixes: ['Take 0.50 m, as on the plan'],
    },
  },
});
