import type { AnaloguePort } from '../rig/devices/ports';
import { amount, deviceClass } from './parts';

const side = (name: string): AnaloguePort => ({
  family: 'analogue',
  direction: 'out',
  name,
  connector: 'xlr',
  nominal: 'microphone',
  balanced: true,
  sourceOhms: 100,
  maxOutDbu: null,
  phantomNeedMa: 3,
  emits: {
    sound: {
      type: 'microphone',
      sensitivityMvPerPa: 12,
      selfNoiseDbaSpl: 16,
      maxSpl: 138,
      distanceControl: 'distance',
      pattern: 'cardioid',
    },
  },
});

/** Two capsules on one bar: what they hear is one picture in two channels. */
export const stereoPair = deviceClass('mic-pair', {
  name: 'Stereo pair of small condensers',
  kind: 'microphone',
  step: 'source',
  about: 'Two matched capsules on one bar before an instrument. Both need phantom power.',
  ports: { left: side('Left'), right: side('Right') },
  controls: {
    distance: amount('Distance from the instrument', 'm', 0.05, 20, 0.6, 0.05),
  },
  spread: {
    'ports.left.emits.sound.sensitivityMvPerPa': [7, 20],
    'ports.right.emits.sound.sensitivityMvPerPa': [7, 20],
  },
});
