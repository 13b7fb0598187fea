import { type Framed, ISO_CLEAN } from '../../passes/framing';
import { figure } from '../../passes/sum';
import { entry, numberSetting } from '../../rig';
import { setFix, shotRule } from '../rule-of';
import { exposureSum, ISO_STEPS } from './light';

/** The gentlest sensitivity that is enough. */
const isoFor = ({ device, camera, stopsOver }: Framed): number | undefined => {
  const iso = camera ? numberSetting(device, camera.isoControl) : undefined;
  if (iso === undefined || stopsOver === null) return undefined;
  return ISO_STEPS.find((step) => step >= iso / 2 ** stopsOver - 1e-9);
};

export const tooDark = shotRule(
  'picture.too-dark',
  {
    looksFor: 'A shot with less light than its aperture, shutter and sensitivity need.',
    why: 'The picture is dark, or the camera lifts it and the shadows crawl.',
    remedy:
      'Add light, open the aperture, or raise the sensitivity as far as the camera stays clean.',
    source: 'ISO 2720: E = 250 × N² ÷ (t × S)',
  },
  ({ device, shot, lightNeededLux, stopsOver }) =>
    stopsOver === null || lightNeededLux === null || stopsOver >= -0.5
      ? null
      : {
          level: 'warn',
          title: `${figure(-stopsOver)} stops too dark`,
          says:
            `${device.name} needs ${figure(lightNeededLux, 0)} lux and ` +
            `${figure(shot.lightLux ?? 0, 0)} fall on the subject. Add light, open the aperture, ` +
            'or raise the sensitivity.',
        },
  {
    sums: exposureSum,
    fixes: (framing) => {
      const { device, camera, shot, fNumber, stopsOver } = framing;
      if (!camera || fNumber === null || stopsOver === null) return [];
      const iso = isoFor(framing);
      const control = entry(device.model.controls, camera.fNumberControl);
      const opened = Math.floor(fNumber * 2 ** (stopsOver / 2) * 10) / 10;
      return [
        ...(control?.type === 'amount' && opened >= control.min
          ? [
              setFix(
                `Open ${device.name} to f/${figure(opened)}`,
                shot.deviceId,
                camera.fNumberControl,
                opened,
              ),
            ]
          : []),
        ...(iso !== undefined && iso <= ISO_CLEAN
          ? [setFix(`Set ${device.name} to ISO ${iso}`, shot.deviceId, camera.isoControl, iso)]
          : []),
      ];
    },
  },
);
