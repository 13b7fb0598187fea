import type { LinkEdge, PortNode } from '../../graph';
import type { Coding } from '../../rig';
import type { PictureStop } from '../figures/picture';
import type { Measured } from '../measured';
import { cable, reachM } from '../../rig/links/cables';
import {
  type Format,
  formatName,
  isSameFormat,
  linkBitsPerPixel,
  linkPayloadGbps,
  parseFormat,
  pixelsPerSecond,
} from '../../units';

/** The formats of a port's list. Models are immutable, so each list is read once. */
const acceptedFormats = new WeakMap<readonly string[], readonly Format[]>();
const formatsOf = (list: readonly string[]): readonly Format[] => {
  const known = acceptedFormats.get(list);
  if (known) return known;
  const formats = list.map(parseFormat);
  acceptedFormats.set(list, formats);
  return formats;
};

const accepts = ({ port }: PortNode, format: Format): boolean =>
  port.family !== 'picture' ||
  port.accepts === undefined ||
  formatsOf(port.accepts).some((accepted) => accepted === format || isSameFormat(accepted, format));

/**
 * Load of a picture on the link to a port. @returns Gb/s; null where it cannot be told or the link
 * is none for pictures
 */
export const payloadAt = (
  { port }: PortNode,
  format: Format,
  coding: Coding | null,
): number | null =>
  port.family === 'picture'
    ? linkPayloadGbps(
        format,
        port.standard,
        coding ? linkBitsPerPixel(port.standard, coding.chroma, coding.bits) : undefined,
      )
    : null;

/** What stops a format on a link, the narrowest place first. */
export const stopOnLink = (
  measured: Measured,
  { from, to, link }: LinkEdge,
  format: Format,
  payloadGbps: number | null,
): PictureStop | null => {
  if (from.port.family !== 'picture' || to.port.family !== 'picture') return null;
  const name = formatName(format);
  if (payloadGbps !== null) {
    const load = `${name} loads it with ${payloadGbps.toFixed(3)} Gb/s`;
    for (const node of [from, to] as const)
      if (node.port.family === 'picture' && payloadGbps > node.port.maxPayloadGbps)
        return {
          by: 'port',
          says:
            `${measured.device(node.device).name}, ${node.port.name} carries ` +
            `${node.port.maxPayloadGbps} Gb/s and ${load}`,
        };
    const kind = cable(link.cable.kind);
    if (kind.maxGbps !== undefined && payloadGbps > kind.maxGbps)
      return { by: 'cable', says: `${kind.name} carries ${kind.maxGbps} Gb/s and ${load}` };
  }
  return accepts(to, format)
    ? null
    : {
        by: 'input',
        says: `${measured.device(to.device).name}, ${to.port.name} does not take ${name}`,
      };
};

/**
 * What a computer sends to one of its screens: each has a format of its own, apart from the programme's.
 * @returns the largest the screen takes where it does not take the one that is made; otherwise that
 */
export const screenFormat = (
  measured: Measured,
  edge: LinkEdge,
  made: Format,
  coding: Coding | null,
): Format => {
  const { from, to } = edge;
  if (
    from.device.model.kind !== 'computer' ||
    from.port.family !== 'picture' ||
    to.port.family !== 'picture' ||
    to.port.accepts === undefined ||
    accepts(to, made)
  )
    return made;
  const [best] = formatsOf(to.port.accepts)
    .filter((format) => stopOnLink(measured, edge, format, payloadAt(to, format, coding)) === null)
    .sort((a, b) => pixelsPerSecond(b) - pixelsPerSecond(a));
  return best ?? made;
};

/** Why a cable is too long for a load. @returns null where it is not, or the load is not known */
export const beyondReach = (
  measured: Measured,
  { from, to, link }: LinkEdge,
  payloadGbps: number | null,
): string | null => {
  if (payloadGbps === null) return null;
  const kind = cable(link.cable.kind);
  const reach = reachM(kind, payloadGbps);
  return link.cable.lengthM > reach
    ? `the ${kind.name} from ${measured.device(from.device).name} to ${measured.device(to.device).name} is ` +
        `${link.cable.lengthM} m and reaches ${reach} m at ${payloadGbps.toFixed(3)} Gb/s`
    : null;
};
