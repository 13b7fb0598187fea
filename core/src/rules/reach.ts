import type { Fix } from '../edits/fix';
import { cableName, otherCables } from '../edits/splice';
import type { LinkEdge } from '../graph';
import { nameOf } from '../passes/names';
import type { Measured } from '../passes/measure';
import { pass } from '../passes/pass';
import { explainReach } from '../passes/picture/sums';
import { cable } from '../passes/sound/gains';
import { eachPicture } from '../passes/stages';
import type { PortFamily } from '../rig';
import { reachM } from '../rig/links/cables';
import { at } from './about';
import type { Area } from './areas';
import type { Finding, Rule } from './rule';
import type { Texts } from './rule-of';

/** Heaviest load on each link. @returns Gb/s; links of sound, and links that carry nothing yet, are not in it */
const linkLoads = pass('link loads', (measured): ReadonlyMap<LinkEdge, number> => {
  const loads = new Map<LinkEdge, number>();
  eachPicture(measured, ({ via }, { payloadGbps }) => {
    if (payloadGbps && via.by === 'link' && payloadGbps > (loads.get(via.link) ?? 0))
      loads.set(via.link, payloadGbps);
  });
  return loads;
});

/** Reach of a link's cable at the load on it. @unit m; Infinity where nothing limits it */
export const reachOfLink = (measured: Measured, edge: LinkEdge): number =>
  reachM(cable(edge.link.cable.kind), linkLoads(measured).get(edge) ?? 0);

/** A cable that would carry the load over the length, and its reach. */
const longerCable = (edge: LinkEdge, gbps: number, warnShare: number): Fix[] => {
  // A USB cable of a lower class would slow the device down.
  const neededGbps =
    edge.from.port.family === 'usb' ? (cable(edge.link.cable.kind).maxGbps ?? 0) : gbps;
  return otherCables(edge)
    .filter(
      (id) =>
        reachM(cable(id), gbps) * warnShare >= edge.link.cable.lengthM &&
        (cable(id).maxGbps ?? Infinity) >= neededGbps,
    )
    .slice(0, 1)
    .map((id) => ({
      label: `Use ${cable(id).name}`,
      command: {
        type: 'setCable',
        linkId: edge.id,
        cable: { kind: id, lengthM: edge.link.cable.lengthM },
      },
    }));
};

/** A class of cable that goes no farther than this is sold in its full length. @unit m */
const WHOLE_LENGTH_M = 1;

/** The rule of reach for one family of cables: warn from the house share, stop beyond. */
export const reachRule = (
  area: Area,
  code: string,
  families: readonly PortFamily[],
  texts: Texts,
): Rule => ({
  code,
  area,
  ...texts,
  find: (measured) => {
    const findings: Finding[] = [];
    for (const edge of measured.graph.links.values()) {
      if (!families.includes(edge.from.port.family)) continue;
      const reach = reachOfLink(measured, edge);
      const { lengthM } = edge.link.cable;
      // Cables of a metre are made for their whole length.
      const share = reach <= WHOLE_LENGTH_M ? 1 : measured.rig.houseRules.reachWarnShare;
      if (reach === 0 || lengthM <= reach * share) continue;
      const beyond = lengthM > reach;
      findings.push({
        code,
        area,
        level: beyond ? 'stop' : 'warn',
        about: at({ deviceId: edge.from.device.id, portId: edge.from.id, linkId: edge.id }),
        title: beyond ? `${lengthM} m is beyond reach` : `${lengthM} m, reach ${reach} m`,
        says:
          `The ${cableName(edge)} from ${nameOf(measured, edge.from)} to ${nameOf(measured, edge.to)} is ${lengthM} ` +
          `m and its reach here is ${reach} m. ` +
          (beyond
            ? 'It will fail or drop out. Use a cable that goes farther, or a converter.'
            : 'It works until a plug ages. Shorten it or use a cable that goes farther.'),
        houseRule: 'reachWarnShare',
      });
    }
    return findings;
  },
  sums: (measured, { about }) => {
    const edge = about.linkId === undefined ? undefined : measured.graph.links.get(about.linkId);
    return edge ? explainReach(measured, edge, linkLoads(measured).get(edge) ?? 0) : [];
  },
  fixes: (measured, { about }) => {
    const edge = about.linkId === undefined ? undefined : measured.graph.links.get(about.linkId);
    return edge
      ? longerCable(
          edge,
          linkLoads(measured).get(edge) ?? 0,
          measured.rig.houseRules.reachWarnShare,
        )
      : [];
  },
});
