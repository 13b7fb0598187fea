import type { Model, Route } from '../rig/devices/model';
import type { AnaloguePort } from '../rig/devices/ports';
import { AT_ONCE, deviceClass, each, gain, lineIn, phonesOut, route, toggle } from './parts';
import type { ClassId } from './typical-figures';

/** Sound by radio: nothing to plug, and as loud as it was sent. */
const radio = (direction: 'in' | 'out', name: string): AnaloguePort => ({
  family: 'analogue',
  direction,
  name,
  connector: 'radio',
  nominal: 'line',
  balanced: false,
  ...(direction === 'in'
    ? { inputOhms: 1_000_000, maxInDbu: 18 }
    : { sourceOhms: 0, maxOutDbu: 18 }),
});

const headphoneAmplifier = (id: ClassId, name: string, people: number): Model =>
  deviceClass(id, {
    name,
    kind: 'headphone-amplifier',
    step: 'hear and see',
    about: `One mix to ${people} pairs of headphones, a level each.`,
    ports: {
      in: lineIn('Input', 22),
      ...each(people, 'phones', (n) => phonesOut(`Headphones ${n}`, 18)),
    },
    routes: each<Route>(people, 'phones', (n) =>
      route('in', `phones-${n}`, AT_ONCE, {
        sound: { gain: { control: `level-${n}` }, outputNoiseDbu: -97 },
      }),
    ),
    controls: each(people, 'level', (n) => gain(`Level ${n}`, -60, 10, -10)),
  });

/** Headphones, ears by radio and loudspeakers. */
export const listening: readonly Model[] = [
  headphoneAmplifier('headphone-amplifier-4', 'Headphone amplifier, four people', 4),
  headphoneAmplifier('headphone-amplifier-8', 'Headphone amplifier, eight people', 8),
  deviceClass('headphones-closed', {
    name: 'Closed headphones',
    kind: 'headphones',
    step: 'hear and see',
    about: 'Let little out to the microphone. Mind the level: hearing does not come back.',
    ports: {
      in: {
        family: 'analogue',
        direction: 'in',
        name: 'Plug',
        connector: 'jack',
        nominal: 'headphone',
        balanced: false,
        inputOhms: 38,
        maxInDbu: null,
        earDbPerMw: 98,
        earVolumeControl: 'volume',
        ends: { sound: 'needed' },
      },
    },
    controls: { volume: gain('Volume where they are plugged in', -60, 0, -20) },
  }),
  deviceClass('in-ear-transmitter', {
    name: 'In-ear transmitter',
    kind: 'wireless',
    step: 'hear and see',
    about: 'Sends one mix by radio to as many packs as listen.',
    ports: { in: lineIn('Input', 22, 'combo'), radio: radio('out', 'Radio') },
    routes: {
      send: route(
        'in',
        'radio',
        { ms: 2 },
        { sound: { gain: { control: 'level' }, outputNoiseDbu: -72 } },
      ),
    },
    controls: { level: gain('Level', -40, 10, 0) },
  }),
  deviceClass('in-ear-pack', {
    name: 'In-ear pack with earphones',
    kind: 'headphones',
    step: 'hear and see',
    about:
      'Worn; no cable to trip over. Mind the level: hearing does not come back, and a limiter is no promise.',
    ports: {
      radio: {
        ...radio('in', 'Radio'),
        nominal: 'headphone',
        inputOhms: 16,
        earDbPerMw: 102,
        earVolumeControl: 'volume',
        ends: { sound: 'needed' },
      },
    },
    controls: { volume: gain('Volume of the pack', -60, 0, -30) },
    batteryMin: 300,
  }),
  deviceClass('loudspeaker-active', {
    name: 'Active loudspeaker',
    kind: 'loudspeaker',
    step: 'hear and see',
    about: 'Monitor with its own amplifier.',
    ports: {
      in: {
        ...lineIn('Input', 20, 'combo'),
        splAt0Dbu: 98,
        speakerVolumeControl: 'volume',
        speakerMuteControl: 'mute',
        ends: { sound: 'needed' },
      },
    },
    controls: {
      volume: gain('Volume', -60, 0, -20),
      mute: toggle('Muted while microphones are open'),
    },
  }),
];
