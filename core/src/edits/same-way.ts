import type { DeviceNode, LinkEdge, PortNode, Thread } from '../graph';
import { stagesOf } from '../graph';
import type { Measured } from '../passes/measured';
import { nameOf } from '../passes/names';
import { apply, type SimpleCommand } from '../rig';
import type { Fix } from './fix';
import { join } from './join';
import { endOf, isFree } from './sockets';
import { disconnect } from './splice';

/** Cameras brought into a place by the way that another camera takes there, as edits. */

/** The devices that a thread goes through between its source and its end, the nearest to its source first. */
const between = ({ last, source, end }: Thread): DeviceNode[] => [
  ...new Set(
    stagesOf(last)
      .map(({ at }) => at.device)
      .filter((device) => device !== source.device && device !== end.device),
  ),
];

const firstLink = ({ last, source }: Thread): LinkEdge | null => {
  for (const { via } of stagesOf(last))
    if (via.by === 'link' && via.link.from.device === source.device) return via.link;
  return null;
};

const picturesTo = (measured: Measured, placeId: string, sourceId: string): Thread[] =>
  measured.traced.threads.filter(
    ({ signal, source, end }) =>
      signal === 'picture' && end.device.id === placeId && source.device.id === sourceId,
  );

const freePictureInputs = (devices: readonly DeviceNode[]): PortNode[] =>
  devices.flatMap(({ ports }) =>
    [...ports.values()].filter(
      (node) => node.port.family === 'picture' && node.port.direction === 'in' && isFree(node),
    ),
  );

/**
 * Plugs a camera into a free input of what another camera goes through on its way to a place, and out of
 * where it was: the first input that fits of every device there.
 */
export const sameWay = (
  measured: Measured,
  placeId: string,
  cameraId: string,
  asCameraId: string,
): Fix[] => {
  const [own] = picturesTo(measured, placeId, cameraId);
  const [others] = picturesTo(measured, placeId, asCameraId);
  const edge = own && firstLink(own);
  if (!own || !others || !edge) return [];
  const unplugged = apply(measured.rig, disconnect(edge));
  const done = new Set<DeviceNode>();
  return freePictureInputs(between(others)).flatMap((into): Fix[] => {
    if (done.has(into.device)) return [];
    const { lengthM } = edge.link.cable;
    const plugged = join(unplugged, endOf(edge.from), endOf(into), { lengthM });
    if (!plugged) return [];
    done.add(into.device);
    const label = `Plug ${measured.device(own.source.device).name} into ${nameOf(measured, into)}`;
    const commands: SimpleCommand[] = [disconnect(edge), plugged];
    return [{ label, command: { type: 'batch', label, commands } }];
  });
};
