import { focalFixes } from '../../edits/lens';
import { steppedNear } from '../../edits/stepped';
import { figure } from '../../passes/sum';
import { lensText, numberSetting, reachesFocal } from '../../rig';
import { setFix, shotRule } from '../rule-of';

export const lensShort = shotRule(
  'picture.lens-short',
  {
    looksFor: 'A camera that is set to a focal length or an aperture its lens does not have.',
    why: 'The shot was planned with a lens that is not there.',
    remedy: 'Use what the lens has, or put another lens on.',
    source: 'handbook 3-picture: lenses are things that exist',
  },
  ({ device, camera, lens, fNumber, focalMm }) => {
    if (!camera || !lens) return null;
    const askedMm = numberSetting(device, camera.focalControl);
    // An aperture nobody has set is not asked for.
    const askedN = Object.hasOwn(device.settings, camera.fNumberControl)
      ? numberSetting(device, camera.fNumberControl)
      : undefined;
    const isFocal = askedMm !== undefined && !reachesFocal(lens, askedMm);
    const isOpen = askedN !== undefined && askedN < lens.widest - 1e-9;
    if (!isFocal && !isOpen) return null;
    return {
      level: 'warn',
      title: isFocal
        ? `${figure(askedMm)} mm, and the lens has ${lensText(lens)}`
        : `f/${figure(askedN ?? 0)}, and the lens opens to f/${figure(lens.widest)}`,
      says:
        (isFocal
          ? `${device.name} is set to ${figure(askedMm)} mm and ${lens.name} goes from ` +
            `${figure(lens.focal.shortestMm)} to ${figure(lens.focal.longestMm)} mm: it counts as ` +
            `${figure(focalMm ?? 0)} mm. `
          : `${device.name} is set to f/${figure(askedN ?? 0)} and ${lens.name} opens to ` +
            `f/${figure(lens.widest)}: it counts as f/${figure(fNumber ?? 0)}. `) +
        'Set what the lens has, or put another one on.',
    };
  },
  {
    fixes: (framing, measured) => {
      const { device, shot, camera, lens, focalMm } = framing;
      if (!camera || !lens) return [];
      const askedMm = numberSetting(device, camera.focalControl) ?? 0;
      const askedN = numberSetting(device, camera.fNumberControl) ?? 0;
      const value = focalMm === null ? null : steppedNear(device, camera.focalControl, focalMm);
      const aperture = steppedNear(device, camera.fNumberControl, Math.max(askedN, lens.widest));
      const isFocal = !reachesFocal(lens, askedMm);
      return [
        ...(isFocal && value !== null && askedN >= lens.widest
          ? [
              setFix(
                `Set ${device.name} to ${figure(value)} mm`,
                shot.deviceId,
                camera.focalControl,
                value,
              ),
              ...focalFixes(measured, { ...framing, lens: null }, askedMm),
            ]
          : []),
        ...(!isFocal && aperture !== null
          ? [
              setFix(
                `Set ${device.name} to f/${figure(aperture)}`,
                shot.deviceId,
                camera.fNumberControl,
                aperture,
              ),
            ]
          : []),
      ];
    },
  },
);
