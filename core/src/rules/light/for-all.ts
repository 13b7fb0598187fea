import { cureForAll } from '../../edits/exposure';
import type { Fix } from '../../edits/fix';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import { batchFix } from '../rule-of';

/** One edit that brings every camera of the set right together; none where there are fewer than two. */
export const forAllCameras = (measured: Measured): Fix[] => {
  const cure = cureForAll(measured);
  return cure && cure.cameras.length > 1 && cure.commands.length > 0
    ? [
        batchFix(
          `Set all ${cure.cameras.length} cameras: 1/${figure(cure.shutter, 0)} s, ${cure.cameras
            .map(
              ({ name, fNumber, iso, greyStops }) =>
                `${name} f/${figure(fNumber)} ISO ${figure(iso, 0)}${greyStops > 0 ? ` grey ${greyStops}` : ''}`,
            )
            .join(', ')}`,
          cure.commands,
          'Set every camera for the light there is',
        ),
      ]
    : [];
};
