import type { Box, Rig } from '../rig';
import { show } from './rigs-for-cases';

/** The pictures of a scene from the back to the front, each with its place in the frame. */
type Layers = readonly (readonly [string, Box])[];

/** A show with one scene put together of these layers. */
export const withScene = (
  layers: Layers,
  switcher = 'switcher-4',
  heard: readonly string[] | null = null,
): Rig => show({ switcher }).scene('scene', 'Scene', layers, heard).build();

export const TWO_INSETS: Layers = [
  ['slides', 'full'],
  ['host-camera', 'inset'],
  ['guest-camera', 'inset'],
];
