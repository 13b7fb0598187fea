import type { LinkEdge } from '../graph';
import type { Measured } from '../passes/measured';
import { nameOf } from '../passes/names';
import type { Fix } from './fix';
import { disconnect } from './splice';

/** Takes a cable out, by the names of its two ends. */
export const unplug = (measured: Measured, edge: LinkEdge): Fix => ({
  label: `Unplug ${nameOf(measured, edge.from)} from ${nameOf(measured, edge.to)}`,
  command: disconnect(edge),
});
