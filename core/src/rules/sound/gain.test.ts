import { ruleCases } from '../judge-for-cases';
import { voice } from '../rigs-for-cases';

const quiet = {
  microphone: 'mic-dynamic-quiet',
  interface: 'interface-2',
  settings: { 'gain-1': 54 },
} as const;

ruleCases('sound.gain-short', {
  valid: {
    'a stage dynamic into a preamp with 69 dB': voice().build(),
    'a gain that is merely turned down': voice({ settings: { 'gain-1': 20 } }).build(),
  },
  invalid: {
    'worked A, a quiet dynamic into 54 dB': {
      rig: voice(quiet).build(),
      level: 'warn',
      says: /stays 5\.84 dB under.*needs 59\.84 dB/,
      sum: 59.843,
      fixes: ['Move Mic to 4 cm', 'Add a booster after Mic'],
    },
    'worked A where a better input stands free': {
      rig: voice(quiet)
        .device('other', 'interface-4', { name: 'Other' })
        .link('other.usb', 'computer.usb-2', 2, 'usb-2')
        .build(),
      level: 'warn',
      fixes: [/Move/, 'Use Other, Input 1', /booster/],
    },
  },
});

ruleCases('sound.gain-low', {
  valid: {
    'a gain at the house level': voice().build(),
    'a preamp that has no more to give': voice(quiet).build(),
  },
  invalid: {
    'a gain left at 40 dB': {
      rig: voice({ settings: { 'gain-1': 40 } }).build(),
      level: 'warn',
      says: /recorded at −37\.6 dBFS, 19\.6 dB under the house level/,
      sum: 59.555,
      fixes: [/^Set Interface, .* to \d+ dB for Mic$/],
    },
  },
});

ruleCases('sound.gain-hot', {
  valid: { 'a gain at the house level': voice().build() },
  invalid: {
    'a loud voice at full gain': {
      rig: voice({ distance: 0.04, settings: { 'gain-1': 66 } }).build(),
      level: 'warn',
      says: /12\.5 dB over the house level\. A laugh will clip/,
      sum: 53.535,
      fixes: [/^Set Interface, .* to \d+ dB for Mic$/],
    },
  },
});

ruleCases('sound.clips', {
  valid: { 'peaks 7 dB under the ceiling': voice().build() },
  invalid: {
    'a condenser at 69 dB of gain': {
      rig: voice({
        microphone: 'mic-condenser-large',
        settings: { 'gain-1': 69, 'phantom-1': true },
      }).build(),
      level: 'stop',
      sum: -22.023,
      says: /Loud words will crackle/,
      fixes: [/^Set Interface, .* to \d+ dB for Mic$/],
    },
  },
});

ruleCases('sound.headroom-thin', {
  valid: {
    'a voice of crest 14 at −18 dBFS keeps 7 dB': voice({ settings: { 'gain-1': 59 } }).build(),
  },
  invalid: {
    'a voice of crest 18 at the house level': {
      rig: voice({ settings: { 'gain-1': 60 } })
        .do({ type: 'changePerson', personId: 'host', person: { crestDb: 18 } })
        .build(),
      level: 'warn',
      sum: 2.566,
      says: /house rule asks for 6 dB/,
      fixes: [/^Set Interface, .* to \d+ dB for Mic$/],
    },
  },
});

ruleCases('sound.noise', {
  valid: { 'a voice 60 dB over its hiss': voice().build() },
  invalid: {
    'a quiet dynamic at 40 cm': {
      rig: voice({
        microphone: 'mic-dynamic-quiet',
        distance: 0.4,
        settings: { 'gain-1': 69 },
      }).build(),
      level: 'warn',
      sum: 45.297,
      says: /booster would bring gain but make the noise 1\.0 dB worse/,
    },
  },
});

ruleCases('sound.unknown-figure', {
  valid: { 'every figure known': voice().build() },
  invalid: {
    'nobody named for the microphone': {
      rig: voice()
        .do({ type: 'assignDevice', deviceId: 'mic', personId: null, placeId: null })
        .build(),
      level: 'note',
      says: /needs who speaks into Mic/,
    },
    'a sensitivity the data sheet does not give': {
      rig: voice()
        .do({
          type: 'setFigure',
          deviceId: 'mic',
          path: 'ports.out.emits.sound.sensitivityMvPerPa',
          value: null,
        })
        .build(),
      level: 'note',
      says: /needs the sensitivity of Mic/,
    },
  },
});
