import type { LinkEdge, PortNode } from '../../graph';
import type { Port } from '../../rig';
import { pass } from '../pass';

/** Channels of sound that go one way along a digital or network cable, against what its ends can. */
export interface ChannelLoad {
  readonly link: LinkEdge;
  readonly from: PortNode;
  readonly to: PortNode;
  /** Sources on it, a channel each */
  readonly sources: readonly PortNode[];
  /** The lesser of its two ends; null where neither limits */
  readonly most: number | null;
  readonly by: PortNode;
}

const mostOf = (port: Port): number =>
  port.family === 'digital sound'
    ? port.channels
    : port.family === 'network'
      ? (port.soundChannels ?? Infinity)
      : Infinity;

/**
 * Every way that sound goes along digital and network cables, with its channels, in the rig's
 * order. A network cable may be gone both ways.
 */
export const channelLoads = pass('channel loads', (measured): readonly ChannelLoad[] => {
  const byEnd = new Map<PortNode, { readonly link: LinkEdge; readonly sources: Set<PortNode> }>();
  let source: PortNode | null = null;
  for (const { signal, via, at } of measured.traced.stages) {
    if (signal !== 'sound') continue;
    // A source's stages stand together, the source first.
    if (via.by === 'source') source = at;
    if (
      via.by !== 'link' ||
      source === null ||
      at.port.direction === 'out' ||
      (at.port.family !== 'digital sound' && at.port.family !== 'network')
    )
      continue;
    const known = byEnd.get(at);
    if (known) known.sources.add(source);
    else byEnd.set(at, { link: via.link, sources: new Set([source]) });
  }
  return [...byEnd].map(([to, { link, sources }]) => {
    const from = link.from === to ? link.to : link.from;
    const [sends, takes] = [mostOf(from.port), mostOf(to.port)];
    const most = Math.min(sends, takes);
    return {
      link,
      from,
      to,
      sources: [...sources],
      most: most === Infinity ? null : most,
      by: sends <= takes ? from : to,
    };
  });
});
