import type { DeviceNode, PortNode, Signal } from '../graph';
import type { Measured } from '../passes/measured';
import type { SimpleCommand } from '../rig';
import { join } from './join';
import { endOf, goesToCalls, isCard, isFree, isSameLevel } from './sockets';

/** Joining what a signal reaches with what waits for one, as edits to be tried. */

/** A cable between two free ports, and what it joins. */
export interface Joined {
  readonly from: PortNode;
  readonly into: PortNode;
  readonly command: SimpleCommand;
}

const freePortsOf = (devices: Iterable<DeviceNode>, direction: 'in' | 'out'): PortNode[] =>
  [...devices].flatMap(({ ports }) =>
    [...ports.values()].filter(
      (node) =>
        (node.port.direction === direction || node.port.direction === 'both') && isFree(node),
    ),
  );

/** Devices that a signal reaches, from the sources that are asked for. */
export const reachedBy = (
  { traced }: Measured,
  signal: Signal,
  isMeant: (source: DeviceNode) => boolean,
): ReadonlySet<DeviceNode> => {
  const reached = new Set<DeviceNode>();
  for (const walk of traced.walks) {
    const source = traced.stages[walk.from];
    if (walk.signal !== signal || !source || !isMeant(source.at.device)) continue;
    for (let index = walk.from; index < walk.to; index++) {
      const stage = traced.stages[index];
      if (stage) reached.add(stage.at.device);
    }
  }
  return reached;
};

/** A device and all that feed it over any number of cables. */
export const feedersOf = ({ graph }: Measured, device: DeviceNode): ReadonlySet<DeviceNode> => {
  const found = new Set([device]);
  for (const one of found)
    for (const { to, from } of graph.links.values()) if (to.device === one) found.add(from.device);
  return found;
};

/**
 * Every cable from a free output of some devices into a free input of others, the far ends first.
 * @param fits which may be joined; those made for the same level where nothing is said
 */
export const joinings = (
  measured: Measured,
  from: ReadonlySet<DeviceNode>,
  into: ReadonlySet<DeviceNode>,
  fits: (out: PortNode, to: PortNode) => boolean = (out, to) => isSameLevel(out.port, to.port),
): Joined[] => {
  const outs = freePortsOf([...from].reverse(), 'out').filter(
    (out) => !isCard(out) && !goesToCalls(out) && out.device.model.kind !== 'call',
  );
  return freePortsOf(into, 'in').flatMap((to) =>
    outs.flatMap((out): Joined[] => {
      if (out.device === to.device || !fits(out, to)) return [];
      const command = join(measured.rig, endOf(out), endOf(to));
      return command ? [{ from: out, into: to, command }] : [];
    }),
  );
};
