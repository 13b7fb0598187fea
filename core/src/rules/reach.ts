import { farther } from '../edits/farther';
import { cableName } from '../edits/splice';
import type { LinkEdge } from '../graph';
import { nameOf } from '../passes/names';
import type { Measured } from '../passes/measured';
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

/** A class of cable that goes no farther than this is sold in its full length. @unit m */
const WHOLE_LENGTH_M = 1;

const isBeyond = (measured: Measured, edge: LinkEdge): boolean =>
  edge.link.cable.lengthM > reachOfLink(measured, edge);

/** What comes of a run beyond its reach: what is digital fails, what is analogue gets worse with every metre. */
const beyondReach = (edge: LinkEdge): Pick<Finding, 'level' | 'says'> =>
  edge.from.port.family === 'analogue' && edge.link.cable.kind !== 'radio'
    ? {
        level: 'warn',
        says: 'It picks up hum and loses treble with every metre. Balance it, shorten it, or send it another way.',
      }
    : {
        level: 'stop',
        says: 'It will fail or drop out. Use a cable that goes farther, or a converter.',
      };

/** The rule of reach for one family of cables: warn from the house share; beyond it stop, sound in analogue warn. */
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
      const beyond = isBeyond(measured, edge) ? beyondReach(edge) : null;
      findings.push({
        code,
        area,
        level: beyond?.level ?? 'warn',
        about: at({ deviceId: edge.from.device.id, portId: edge.from.id, linkId: edge.id }),
        title: beyond ? `${lengthM} m is beyond reach` : `${lengthM} m, reach ${reach} m`,
        says:
          `The ${cableName(edge)} from ${nameOf(measured, edge.from)} to ${nameOf(measured, edge.to)} is ${lengthM} ` +
          `m and its reach here is ${reach} m. ` +
          (beyond?.says ??
            'It works until a plug ages. Shorten it or use a cable that goes farther.'),
        houseRule: 'reachWarnShare',
      });
    }
    return findings;
  },
  sums: (measured, { about }) => {
    const edge = about.linkId === undefined ? undefined : measured.graph.links.get(about.linkId);
    return edge ? explainReach(measured, edge, linkLoads(measured).get(edge) ?? 0) : [];
  },
  fixes: (measured, { about, level }) => {
    const edge = about.linkId === undefined ? undefined : measured.graph.links.get(about.linkId);
    return edge
      ? farther(measured, edge, {
          gbps: linkLoads(measured).get(edge) ?? 0,
          warnShare: measured.rig.houseRules.reachWarnShare,
          is: level === 'stop' ? 'dead' : isBeyond(measured, edge) ? 'beyond' : 'near',
        })
      : [];
  },
});
