import { isSocketHeld, type PortNode } from '../graph';
import { type End, type Port, takesMany } from '../rig';

/** What may be plugged where, for edits that try cables. */

export const isFree = (node: PortNode): boolean => takesMany(node.port) || !isSocketHeld(node);

/** What is recorded on a card stays there: nothing is fed from it during a show. */
export const isCard = ({ port }: PortNode): boolean =>
  port.direction === 'out' && port.ends !== undefined;

export const endOf = (node: PortNode): End => ({ deviceId: node.device.id, portId: node.id });

/** Whether two analogue ports are made for the same level, so that joining them is not a finding of its own. */
export const isSameLevel = (a: Port | undefined, b: Port | undefined): boolean =>
  a?.family !== 'analogue' || b?.family !== 'analogue' || a.nominal === b.nominal;

/** Whether a way out is a mix for callers, that leaves each of them out: a stream is not fed from it. */
export const goesToCalls = ({ device, id }: PortNode): boolean =>
  Object.values(device.model.routes).some(
    ({ exceptSource, to }) => exceptSource === true && to.includes(id),
  );
