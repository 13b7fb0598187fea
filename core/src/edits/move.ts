import type { Measured } from '../passes/measured';
import type { Solid } from '../passes/place';
import { type Device, entry, type Point, type SimpleCommand, type Spot } from '../rig';

/** Moves on the plan, as edits. Lengths in metres. */

/** A place as it is typed: to the centimetre. */
const toCentimetre = (metres: number): number => Number(metres.toFixed(2));

/** A spot moved. */
const movedBy = (spot: Spot, by: Point): Spot => ({
  ...spot,
  xM: toCentimetre(spot.xM + by.xM),
  yM: toCentimetre(spot.yM + by.yM),
});

/** What moves one device: on a desk it is shifted, everything else that carries it goes with it. */
export const moveDevice = (
  { rig }: Pick<Measured, 'rig'>,
  deviceId: string,
  { at, on, aim }: Pick<Device, 'at' | 'on' | 'aim'>,
  by: Point,
): SimpleCommand[] => {
  const support = on ? entry(rig.supports, on.supportId) : undefined;
  if (on && support?.at && support.figures.is === 'desk') {
    const turn = (support.at.facingDeg * Math.PI) / 180;
    const [right, ahead] = [
      by.xM * Math.cos(turn) - by.yM * Math.sin(turn),
      by.xM * Math.sin(turn) + by.yM * Math.cos(turn),
    ];
    return [
      {
        type: 'standDevice',
        deviceId,
        on: { ...on, xM: toCentimetre(on.xM + right), yM: toCentimetre(on.yM + ahead) },
      },
    ];
  }
  if (on && support?.at)
    return [
      { type: 'changeSupport', supportId: on.supportId, support: { at: movedBy(support.at, by) } },
    ];
  return at ? [{ type: 'placeDevice', deviceId, at: movedBy(at, by), aim }] : [];
};

/** What moves something on the plan. @returns none where it cannot be moved by itself */
export const moveSolid = (measured: Measured, { of, id }: Solid, by: Point): SimpleCommand[] => {
  const { people, supports, devices } = measured.rig;
  switch (of) {
    case 'person': {
      const at = entry(people, id)?.at;
      return at ? [{ type: 'changePerson', personId: id, person: { at: movedBy(at, by) } }] : [];
    }
    case 'support': {
      const at = entry(supports, id)?.at;
      return at ? [{ type: 'changeSupport', supportId: id, support: { at: movedBy(at, by) } }] : [];
    }
    case 'device': {
      const device = entry(devices, id);
      return device ? moveDevice(measured, id, device, by) : [];
    }
  }
};
