import type { RigDraft } from '@echo-loom/core';
import { all, circuit, outlet, plugged, strip, way } from './ways';

/** Ducts under the floor of the hall, and its four circuits; volunteers plug, so the loads are told apart. */
export const waysAndMains = (draft: RigDraft): RigDraft =>
  all(
    way(
      'bench-duct',
      'Duct to the benches',
      'duct',
      [
        [0, 14.6],
        [14.8, 14.6],
      ],
      { insideMm2: 3000 },
    ),
    way(
      'middle-duct',
      'Duct along the middle',
      'duct',
      [
        [12, 0],
        [12, 20],
      ],
      { insideMm2: 1800, bendMm: 100 },
    ),
    way('left-duct', 'Duct to the left loudspeaker', 'duct', [
      [0, 12],
      [4, 12],
    ]),
    way('right-duct', 'Duct to the right loudspeaker', 'duct', [
      [20, 12],
      [26, 12],
    ]),
    way('control-run', 'Run behind the control tables', 'cover', [
      [26, 3],
      [24.4, 3],
      [24.4, 7.2],
    ]),
    way(
      'front-cover',
      'Cover before the front benches',
      'cover',
      [
        [24.4, 7.2],
        [5, 7.2],
      ],
      { had: { ownership: 'to buy', price: 349.2 } },
    ),
    way('door-cover', 'Ramp at the main doors', 'cover', [
      [17.1, 0],
      [18.9, 0],
    ]),
    circuit('west', 'West circuit'),
    circuit('east', 'East circuit'),
    outlet('west-outlet', 'Outlet on the west wall', 'west', [0, 2], 4),
    outlet('west-outlet-2', 'Outlet by the left loudspeaker', 'west', [0, 12]),
    outlet('east-outlet', 'Outlet behind the control tables', 'east', [26, 3], 4),
    outlet('gallery-outlet', 'Outlet under the gallery', 'east', [26, 12], 4),
    strip('control-strip', 'Control strip', 'east-outlet', [24.3, 2.6], 10),
    strip('sound-strip', 'Sound strip', 'east-outlet', [24.3, 4.8], 6),
    plugged('west-outlet', 'box-a', 'network'),
    plugged('west-outlet-2', 'loudspeaker-1'),
    plugged('gallery-outlet', 'box-b', 'loudspeaker-2'),
    plugged(
      'control-strip',
      'switcher',
      'graphics',
      'encoder',
      'recorder',
      'multiview',
      'programme-monitor',
    ),
    plugged('sound-strip', 'sound-desk', 'intercom'),
  )(draft)
    .do({
      type: 'addLoad',
      loadId: 'lights',
      load: {
        name: 'Lights of the hall',
        mostW: 900,
        powerFactor: 0.95,
        from: { by: 'circuit', circuitId: 'west' },
        runs: true,
      },
    })
    .do({
      type: 'addOwnCable',
      ownCableId: 'coax-50',
      ownCable: { kind: 'sdi-coax', lengthM: 50, count: 4 },
    });
