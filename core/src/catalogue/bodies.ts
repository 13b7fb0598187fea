import type { Body } from '../rig/devices/body';
import type { Model } from '../rig/devices/model';
import { typicalOf } from './typical-figures';

/**
 * The body of a device: the one its model states, or else the one typical of its class.
 * @returns null for what has none, and where nobody has said
 */
export const bodyOf = ({ body, classId }: Model): Body | null =>
  body ?? typicalOf(classId)?.body ?? null;
