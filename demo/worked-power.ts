import { type Rig, RigDraft } from '@echo-loom/core';
import { all, circuit, outlet, plugged, ups } from './ways';

/**
 * The worked figures of power as one rig, for the tests of the interface: a circuit of 20 A at 120 V,
 * a supply of 288 Wh that carries 190 W, and three cameras on batteries of 135 min.
 */
export const workedPower = (): Rig => {
  const draft = new RigDraft('Worked power').do({
    type: 'setMains',
    mains: { hz: 60, volts: 120 },
  });
  for (const number of [1, 2, 3])
    draft
      .device(`camera-${number}`, 'camera-camcorder', {
        name: `Camera ${number}`,
        settings: { mains: false },
      })
      .do({
        type: 'setFigure',
        deviceId: `camera-${number}`,
        path: 'camera.battery.lastsMin',
        value: 135,
      });
  return all(
    circuit('kitchen', 'Kitchen circuit', 20),
    outlet('wall', 'Wall outlet', 'kitchen', [0, 0]),
    ups('lasting', 'Supply that lasts', 'wall', [0, 0]),
    plugged('lasting'),
  )(draft)
    .do({
      type: 'addLoad',
      loadId: 'show',
      load: {
        name: 'The show',
        mostW: 190,
        powerFactor: 1,
        from: { by: 'feed', feedId: 'lasting' },
        runs: true,
      },
    })
    .build();
};
