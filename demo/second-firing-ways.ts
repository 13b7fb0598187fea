import type { RigDraft } from '@echo-loom/core';
import { all, circuit, outlet, plugged, strip, ups, way } from './ways';

/**
 * Where cables lie in the boat shed and what they are plugged into. The bench hangs on a reel that
 * somebody left in the outlet of the kiln.
 */
export const waysAndMains = (draft: RigDraft): RigDraft =>
  all(
    way('bench-run', 'Run before the bench', 'floor', [
      [-1, 2.9],
      [5.2, 2.9],
    ]),
    way('kiln-run', 'Run to the kiln camera', 'floor', [
      [5.2, 2.9],
      [8.5, 3.2],
    ]),
    way('beam-run', 'Tray on the low beam', 'overhead', [
      [-1, 5],
      [-1, 5, 2.3],
      [12, 5, 2.3],
      [12, 5],
    ]),
    circuit('shed', 'Shed circuit'),
    circuit('kiln', 'Kiln circuit'),
    outlet('outlet-rack', 'Outlet by the rack', 'shed', [-1, 6]),
    outlet('outlet-bench', 'Outlet behind the bench', 'shed', [-1, 2.4], 4),
    outlet('outlet-kiln', 'Outlet by the kiln', 'kiln', [7.3, -1], 2),
    strip('rack-strip', 'Rack strip', 'outlet-rack', [-0.8, 6.2], 8),
    strip('reel', 'Reel', 'outlet-kiln', [5, 2.8], 4),
    strip('bench-strip', 'Bench strip', 'reel', [2.2, 2.7], 8),
    ups('ups', 'Supply that lasts', 'outlet-bench', [-0.6, 2.9]),
    plugged('rack-strip', 'strip-1', 'strip-2'),
    plugged('bench-strip', 'host-camera', 'cohost-camera', 'interface', 'multiview', 'slides'),
    plugged('reel', 'overhead'),
    plugged('ups', 'switcher', 'slides-splitter'),
  )(draft)
    .do({
      type: 'addLoad',
      loadId: 'kiln',
      load: {
        name: 'Kiln',
        mostW: 2850,
        powerFactor: null,
        from: { by: 'feed', feedId: 'outlet-kiln' },
        runs: true,
      },
    })
    .do({
      type: 'addLoad',
      loadId: 'charger',
      load: {
        name: 'Charger, 2 slots',
        mostW: 30,
        powerFactor: null,
        from: { by: 'feed', feedId: 'outlet-rack' },
        runs: true,
        charges: { slots: 2, chargeH: 2.5 },
        had: { ownership: 'to buy', price: 45 },
      },
    })
    .do({
      type: 'addOwnCable',
      ownCableId: 'hdmi-10',
      ownCable: { kind: 'hdmi', lengthM: 10, count: 2 },
    })
    .do({
      type: 'addOwnCable',
      ownCableId: 'xlr-10',
      ownCable: { kind: 'balanced', lengthM: 10, count: 4 },
    });
