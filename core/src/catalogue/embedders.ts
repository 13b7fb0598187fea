import type { Model } from '../rig/devices/model';
import { AT_ONCE, deviceClass, each, idsOf, lineIn, lineOut, route, sdi } from './parts';
import { accepting, HD_60 } from './picture-parts';

/** Sound into a picture, and out of one. */
export const embedders: readonly Model[] = [
  deviceClass('embedder-sdi', {
    name: 'Sound into SDI',
    kind: 'converter',
    step: 'shape',
    about: 'Puts two line inputs onto an SDI picture. Needs its own power.',
    needsSupply: true,
    ports: {
      in: accepting(sdi('in', 'SDI in', 2.97), HD_60),
      ...each(2, 'line', (n) => lineIn(`Line ${n}`, 24, 'xlr')),
      out: sdi('out', 'SDI out', 2.97),
    },
    routes: {
      picture: route('in', 'out', AT_ONCE, { picture: { does: 'pass' } }),
      sound: route(
        idsOf(2, 'line'),
        'out',
        { ms: 1 },
        { sound: { ownNoiseDbu: -92, toDigital: { dynamicRangeDba: 106 } } },
      ),
    },
  }),
  deviceClass('de-embedder-sdi', {
    name: 'Sound out of SDI',
    kind: 'converter',
    step: 'shape',
    about: 'Takes the sound off an SDI picture to two line outputs. Needs its own power.',
    needsSupply: true,
    ports: {
      in: accepting(sdi('in', 'SDI in', 2.97), HD_60),
      out: sdi('out', 'SDI loop', 2.97),
      ...each(2, 'line', (n) => lineOut(`Line ${n}`, 24, 'xlr')),
    },
    routes: {
      picture: route('in', 'out', AT_ONCE, { sound: {}, picture: { does: 'pass' } }),
      sound: route(
        'in',
        idsOf(2, 'line'),
        { ms: 1 },
        { sound: { toAnalogue: { fullScaleDbu: 24, dynamicRangeDba: 106 } } },
      ),
    },
  }),
];
