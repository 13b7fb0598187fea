import type { Model } from '../rig/devices/model';
import { deviceClass } from './parts';

/** Instruments and players of music. */
export const instruments: readonly Model[] = [
  deviceClass('instrument-keyboard', {
    name: 'Keyboard, line output',
    kind: 'instrument',
    step: 'source',
    about: 'Electronic instrument at unbalanced line level.',
    ports: {
      out: {
        family: 'analogue',
        direction: 'out',
        name: 'Output',
        connector: 'jack',
        nominal: 'line',
        balanced: false,
        sourceOhms: 600,
        maxOutDbu: 12,
        emits: { sound: { type: 'line', levelDbu: -6, crestDb: 12, noiseDbu: -84 } },
      },
    },
  }),
  deviceClass('player-sound', {
    name: 'Music player, consumer line output',
    kind: 'player',
    step: 'source',
    about: 'Jingles and music at −10 dBV on phono sockets.',
    ports: {
      out: {
        family: 'analogue',
        direction: 'out',
        name: 'Output',
        connector: 'phono',
        nominal: 'consumer line',
        balanced: false,
        sourceOhms: 600,
        maxOutDbu: 8,
        emits: { sound: { type: 'line', levelDbu: -7.78, crestDb: 12, noiseDbu: -88 } },
      },
    },
  }),
];
