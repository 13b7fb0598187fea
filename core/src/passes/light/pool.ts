import { fromTo, type InRoom, unit } from '../place';
import { directLux } from './at';
import type { LightSource } from './sources';

/** Light on the floor plan: what a meter held towards each source would read. */

/** Height at which pools of light are drawn: seated eyes. @unit m */
export const POOL_M = 1.2;

/** What a source gives at a point, turned up, on a plane that looks at it. @unit lux */
export const poolLux = (source: LightSource, at: InRoom): number =>
  directLux(source, at, unit(fromTo(at, source.at)));
