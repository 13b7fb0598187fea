import type { Model } from '../rig/devices/model';
import type { Supply } from '../rig/devices/supply';
import { bodyOf } from './bodies';
import { NOTHING, type OverNetwork } from './typical';
import { typicalOf } from './typical-figures';

/**
 * What a device runs on: what its model states, or else what is typical of its class.
 * @returns null for what needs nothing: passive things, what runs on phantom power, programs
 */
export const supplyOf = (model: Model): Supply | null => {
  if (model.supply) return model.supply;
  if (model.classId === null) return null;
  const body = bodyOf(model);
  const { runsOn } = typicalOf(model.classId) ?? { runsOn: NOTHING };
  return body && runsOn(body.heatW);
};

/** What a device of a class gives to others over the network; null where it gives nothing. */
export const overNetworkOf = ({ classId }: Model): OverNetwork | null =>
  typicalOf(classId)?.gives ?? null;
