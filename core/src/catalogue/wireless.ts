import type { Model } from '../rig/devices/model';

import { deviceClass, gain, mouthDistance, route, software, toggle } from './parts';
import type { ClassId } from './typical-figures';

/** @param records whether it also writes a file of its own */
const transmitter = (id: ClassId, name: string, about: string, records: boolean): Model => {
  const ein = [{ gainDb: 40, dbu: -122 }];
  return deviceClass(id, {
    name,
    kind: 'wireless',
    step: 'lift',
    about,
    ports: {
      in: {
        family: 'analogue',
        direction: 'in',
        name: 'Capsule input',
        connector: 'xlr',
        nominal: 'microphone',
        balanced: true,
        inputOhms: 3000,
        maxInDbu: 6,
        phantomSupply: { control: 'power', maxMa: 5 },
      },
      radio: {
        family: 'analogue',
        direction: 'out',
        name: 'Radio',
        connector: 'radio',
        nominal: 'line',
        balanced: false,
        sourceOhms: 0,
        maxOutDbu: 6,
      },
      ...(records
        ? {
            card: software('out', 'Card', {
              ends: { sound: 'welcome' },
              records: { control: null },
            }),
          }
        : {}),
    },
    routes: {
      // The radio's own noise, companded or digital, lies a fixed distance under its ceiling whatever the gain.
      send: route(
        'in',
        'radio',
        { ms: 1.5 },
        { sound: { gain: { control: 'gain' }, ein, outputNoiseDbu: -100 } },
      ),
      ...(records
        ? {
            record: route(
              'in',
              'card',
              { ms: 1 },
              { sound: { gain: { control: 'gain' }, ein, toDigital: { dynamicRangeDba: 104 } } },
            ),
          }
        : {}),
    },
    controls: {
      gain: gain('Transmitter gain', 0, 40, 24),
      power: toggle('Power for the capsule', true),
    },
    batteryMin: 360,
    spread: { 'routes.send.sound.outputNoiseDbu': [-108, -92] },
  });
};

/** Radio: what is worn, what stands on the desk, and what receives. */
export const wireless: readonly Model[] = [
  deviceClass('mic-wireless', {
    name: 'Wireless lavalier with receiver',
    kind: 'wireless',
    step: 'source',
    about:
      'Clip-on capsule, transmitter and receiver as one. The receiver sends microphone ' +
      'level; phantom power is not needed.',
    ports: {
      out: {
        family: 'analogue',
        direction: 'out',
        name: 'Receiver output',
        connector: 'xlr',
        nominal: 'microphone',
        balanced: true,
        sourceOhms: 200,
        maxOutDbu: 0,
        emits: {
          sound: {
            type: 'microphone',
            sensitivityMvPerPa: 20,
            selfNoiseDbaSpl: 30,
            maxSpl: 128,
            distanceControl: 'distance',
            pattern: 'omni',
          },
        },
      },
    },
    controls: { distance: mouthDistance(0.2) },
    spread: { 'ports.out.emits.sound.sensitivityMvPerPa': [8, 40] },
  }),
  transmitter(
    'wireless-transmitter',
    'Wireless body transmitter',
    'Takes a wired lavalier or headset and sends it by radio. Its own gain comes before ' +
      'the radio; runs on its battery.',
    false,
  ),
  transmitter(
    'wireless-transmitter-recording',
    'Wireless body transmitter that records',
    'As the plain one, and records on its own card besides: a recording that no interference reaches.',
    true,
  ),
  deviceClass('wireless-receiver', {
    name: 'Wireless receiver',
    kind: 'wireless',
    step: 'lift',
    about:
      'Gives what a body transmitter sends to a microphone input, at the level its own gain says.',
    ports: {
      radio: {
        family: 'analogue',
        direction: 'in',
        name: 'Radio',
        connector: 'radio',
        nominal: 'line',
        balanced: false,
        inputOhms: 1_000_000,
        maxInDbu: 6,
      },
      out: {
        family: 'analogue',
        direction: 'out',
        name: 'Output',
        connector: 'xlr',
        nominal: 'microphone',
        balanced: true,
        sourceOhms: 200,
        maxOutDbu: 6,
      },
    },
    routes: {
      receive: route(
        'radio',
        'out',
        { ms: 1.5 },
        { sound: { gain: { control: 'gain' }, ownNoiseDbu: -110 } },
      ),
    },
    controls: { gain: gain('Receiver gain', -40, 0, -20) },
  }),
];
