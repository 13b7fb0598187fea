import { figure } from '../../passes/sum';
import { entry, numberSetting } from '../../rig';
import { forAllCameras } from '../light/for-all';
import { setFix, shotRule } from '../rule-of';
import { exposureSum, ISO_STEPS } from './light';

/** Stops over which skin begins to burn out. */
const MANY_STOPS = 1;

export const tooBright = shotRule(
  'picture.too-bright',
  {
    looksFor: 'A shot with more light than its aperture, shutter and sensitivity take.',
    why: 'Skin burns out, and it does not come back in the cut.',
    remedy: 'Lower the sensitivity, or put a grey filter of so many stops in front.',
    source: 'handbook 3-picture: too much, the stops of ND',
  },
  ({ device, stopsOver }) =>
    stopsOver === null || stopsOver <= MANY_STOPS + 1e-9
      ? null
      : {
          level: 'warn',
          title: `${figure(stopsOver)} stops too bright`,
          says:
            `${device.name} gets ${figure(stopsOver)} stops more light than it needs. Lower the ` +
            `sensitivity, or use a grey filter of ${Math.round(stopsOver)} ` +
            `${Math.round(stopsOver) === 1 ? 'stop' : 'stops'}.`,
        },
  {
    sums: exposureSum,
    fixes: (framing, measured) => {
      const { device, camera, shot, stopsOver } = framing;
      const iso = camera ? numberSetting(device, camera.isoControl) : undefined;
      if (!camera || iso === undefined || stopsOver === null) return [];
      const lower = [...ISO_STEPS]
        .reverse()
        .find(
          (step) =>
            step < iso &&
            step <= iso / 2 ** (stopsOver - 1) + 1e-9 &&
            step >= iso / 2 ** (stopsOver + 0.5),
        );
      const grey = camera.greyControl;
      const stops = Math.round(stopsOver);
      const filter = grey === undefined ? 0 : (numberSetting(device, grey) ?? 0) + stops;
      const control = grey === undefined ? undefined : entry(device.model.controls, grey);
      return [
        ...forAllCameras(measured),
        ...(lower === undefined
          ? []
          : [
              setFix(`Set ${device.name} to ISO ${lower}`, shot.deviceId, camera.isoControl, lower),
            ]),
        ...(grey !== undefined && control?.type === 'amount' && filter <= control.max
          ? [
              setFix(
                `Set the grey filter of ${device.name} to ${filter} ${filter === 1 ? 'stop' : 'stops'}`,
                shot.deviceId,
                grey,
                filter,
              ),
            ]
          : []),
      ];
    },
  },
);
