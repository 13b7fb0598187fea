import type { Framed } from '../passes/framing';
import type { Measured } from '../passes/measured';
import { figure } from '../passes/sum';
import { fitsOn, inOrder, type Lens, lensText, reachesFocal, type SimpleCommand } from '../rig';
import type { Fix } from './fix';
import { steppedNear } from './stepped';

/** Edits that give a camera a focal length: never by a lens that is not there. */

/** Lenses of the rig that no camera has, and that fit a body. */
export const freeLenses = (
  { rig }: Pick<Measured, 'rig'>,
  mount: string | undefined,
): (readonly [string, Lens])[] => {
  const taken = new Set(Object.values(rig.devices).map(({ lensId }) => lensId));
  return inOrder(rig.lenses).filter(([id, lens]) => !taken.has(id) && fitsOn(lens, mount));
};

/**
 * What sets a camera to a focal length: by the lens it has, or by one of the rig that lies unused.
 * @param wantedMm mm @returns none where no lens does that
 */
export const focalFixes = (
  measured: Measured,
  { device, shot, camera, lens, focalMm }: Framed,
  wantedMm: number,
): Fix[] => {
  if (!camera) return [];
  const { deviceId } = shot;
  const value = steppedNear(device, camera.focalControl, wantedMm);
  const set: SimpleCommand | null =
    value === null ? null : { type: 'setControl', deviceId, control: camera.focalControl, value };
  if (!set || value === null) return [];
  if (camera.mount === undefined || (lens && reachesFocal(lens, wantedMm)))
    return value === focalMm
      ? []
      : [{ label: `Set ${device.name} to ${figure(value)} mm`, command: set }];
  return freeLenses(measured, camera.mount)
    .filter(([, free]) => reachesFocal(free, wantedMm))
    .slice(0, 1)
    .map(([lensId, free]) => {
      const label = `Put ${free.name} (${lensText(free)}) on ${device.name}`;
      return {
        label,
        command: {
          type: 'batch',
          label,
          commands: [{ type: 'mountLens', deviceId, lensId }, set],
        },
      };
    });
};
