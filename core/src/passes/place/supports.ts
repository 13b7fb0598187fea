import type { Rig, Spot, Standing, Support, SupportFigures } from '../../rig';
import { entry, RACK_UNIT_M } from '../../rig';
import { ahead } from './geometry';

/** Where a support carries what stands on it. */

/**
 * Height of the surface that carries, above the floor. @param desk what an arm is clamped to
 * @unit m; null for an arm that is clamped to nothing
 */
export const carriesAtM = (
  figures: SupportFigures,
  desk: SupportFigures | undefined,
): number | null => {
  switch (figures.is) {
    case 'desk':
      return figures.topM;
    case 'rack':
      return figures.bottomM;
    case 'arm':
      return desk?.is === 'desk' ? desk.topM : null;
    case 'stand':
    case 'overhead':
    case 'wall':
      return figures.heightM;
  }
};

/** The desk that a support is clamped to. */
export const deskOf = (rig: Pick<Rig, 'supports'>, support: Support): Support | undefined =>
  support.onId === null ? undefined : entry(rig.supports, support.onId);

/** Where something stands on a support. @returns null where nobody has said where the support is */
export const spotOn = (
  { at, figures }: Support,
  { xM, yM, turnDeg }: Omit<Standing, 'supportId'>,
): Spot | null => {
  if (!at) return null;
  const outM = figures.is === 'stand' ? (figures.out?.reachM ?? 0) : 0;
  return { ...ahead(at, xM, yM + outM), facingDeg: at.facingDeg + turnDeg };
};

/** The ground that a support takes up, seen from above, and how high it reaches. @unit m */
export const sizeOf = (
  figures: SupportFigures,
): { readonly widthM: number; readonly depthM: number; readonly topM: number } | null => {
  switch (figures.is) {
    case 'desk':
      return { widthM: figures.widthM, depthM: figures.depthM, topM: figures.topM };
    case 'rack':
      return {
        widthM: figures.widthM,
        depthM: figures.depthM,
        topM: figures.bottomM + figures.units * RACK_UNIT_M,
      };
    case 'stand':
      return { widthM: 2 * figures.legM, depthM: 2 * figures.legM, topM: figures.heightM };
    case 'overhead':
      return { widthM: figures.widthM, depthM: figures.depthM, topM: figures.heightM };
    case 'arm':
    case 'wall':
      return null;
  }
};
