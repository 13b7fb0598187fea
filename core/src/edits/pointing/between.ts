import { CATALOGUE } from '../../catalogue';
import type { LinkEdge } from '../../graph';
import { measure } from '../../passes/measure';
import type { Measured } from '../../passes/measured';
import { nameOf } from '../../passes/names';
import {
  apply,
  type CableRun,
  type End,
  freeId,
  mate,
  type Model,
  type Port,
  portAt,
  type SimpleCommand,
  suggestedCable,
} from '../../rig';
import { isFree } from '../sockets';
import { disconnect, splice } from '../splice';

/** Putting a device into a thread, and taking one out of it. */

export type Spliced =
  | { readonly can: true; readonly label: string; readonly commands: readonly SimpleCommand[] }
  | { readonly can: false; readonly why: string };

/** Length of the cable that a device put into a thread is reached by. @unit m */
const SHORT_CABLE_M = 1;

/** The cable for two ports: of the kind that is there where it fits, else the one a person would reach for. */
const cableBetween = (a: Port, b: Port, there: CableRun, lengthM: number): CableRun | null => {
  const mating = mate(a, b);
  if (!mating.can || mating.flipped) return null;
  if (mating.cables.includes(there.kind)) return { kind: there.kind, lengthM };
  const usual = suggestedCable(a, b);
  return usual && { ...usual, lengthM: usual.kind === 'inside' ? 0 : lengthM };
};

/** An input and an output of a model between which a cable's signals pass, as both its ends take them. */
const passage = (
  { from, to, link }: LinkEdge,
  model: Model,
  isPortFree: (portId: string) => boolean,
): { into: string; out: string; first: CableRun; second: CableRun } | null => {
  for (const route of Object.values(model.routes))
    for (const into of route.from)
      for (const out of route.to) {
        const [a, b] = [model.ports[into], model.ports[out]];
        if (!a || !b || into === out || !isPortFree(into) || !isPortFree(out)) continue;
        const first = cableBetween(from.port, a, link.cable, SHORT_CABLE_M);
        const second = cableBetween(b, to.port, link.cable, link.cable.lengthM);
        if (first && second) return { into, out, first, second };
      }
  return null;
};

/** Takes a device out of the thread it is on and puts it into another. */
const moveInto = (measured: Measured, deviceId: string, edge: LinkEdge): Spliced => {
  const out = takeOut(measured, deviceId);
  if (!out.can) return { can: false, why: 'its sockets for that hold cables already' };
  const without = measure(
    apply(measured.rig, { type: 'batch', label: out.label, commands: [...out.commands] }),
  );
  const there = without.graph.links.get(edge.id);
  const into = there && putInto(without, deviceId, there);
  if (!into?.can) return { can: false, why: 'its sockets for that hold cables already' };
  return { can: true, label: into.label, commands: [...out.commands, ...into.commands] };
};

/**
 * Puts a device of the rig into a thread: out goes the cable, in go two. One that is on a thread
 * already is taken out of that first.
 */
export const putInto = (measured: Measured, deviceId: string, edge: LinkEdge): Spliced => {
  const { graph, rig } = measured;
  const node = graph.devices.get(deviceId);
  if (!node) return { can: false, why: 'it is not in the rig any more' };
  if (edge.from.device === node || edge.to.device === node)
    return { can: false, why: 'the cable is its own' };
  const isPortFree = (portId: string) => {
    const port = node.ports.get(portId);
    return port !== undefined && isFree(port);
  };
  const through = passage(edge, node.model, isPortFree);
  if (!through)
    return passage(edge, node.model, () => true)
      ? moveInto(measured, deviceId, edge)
      : { can: false, why: 'nothing passes through it from one end of the cable to the other' };
  const end = (portId: string): End => ({ deviceId, portId });
  const inId = freeId(`${edge.from.device.id}-to-${deviceId}`, rig.links);
  const name = measured.device(node).name;
  return {
    can: true,
    label: `Put ${name} between ${nameOf(measured, edge.from)} and ${nameOf(measured, edge.to)}`,
    commands: [
      disconnect(edge),
      {
        type: 'connect',
        linkId: inId,
        from: edge.link.from,
        to: end(through.into),
        cable: through.first,
      },
      // The cable that is there goes on from the device: its far end stays where it was.
      {
        type: 'connect',
        linkId: edge.id,
        from: end(through.out),
        to: edge.link.to,
        cable: through.second,
      },
    ],
  };
};

/** Classes of the catalogue that can be put into a thread, each with the commands that do. */
export const offeredBetween = (
  { rig }: Measured,
  edge: LinkEdge,
): {
  readonly model: Model;
  readonly deviceId: string;
  readonly commands: readonly SimpleCommand[];
}[] =>
  CATALOGUE.flatMap((model) => {
    if (model.classId === null) return [];
    const through = passage(edge, model, () => true);
    if (!through) return [];
    const { deviceId, commands } = splice(rig, edge, model.classId, {
      in: through.into,
      out: through.out,
    });
    const cables = [through.first, through.second];
    return [
      {
        model,
        deviceId,
        commands: commands.map((command) =>
          command.type === 'connect'
            ? { ...command, cable: cables.shift() ?? command.cable }
            : command,
        ),
      },
    ];
  });

/** Takes a device out of its threads: what fed it is joined with what it fed, and it stays in the rig. */
export const takeOut = (measured: Measured, deviceId: string): Spliced => {
  const { graph, rig } = measured;
  const node = graph.devices.get(deviceId);
  if (!node) return { can: false, why: 'it is not in the rig any more' };
  const edges = node.ports.values().flatMap(({ links }) => links);
  const arriving = edges.filter(({ to }) => to.device === node);
  const leaving = edges.filter(({ from }) => from.device === node);
  if (arriving.length === 0 || leaving.length === 0)
    return { can: false, why: 'no thread passes through it' };

  const fed = new Set<LinkEdge>();
  const commands: SimpleCommand[] = [...arriving, ...leaving].map(disconnect);
  for (const out of leaving) {
    const source = arriving.find((into) =>
      into.to.routes.some(({ route }) => route.to.includes(out.from.id)),
    );
    if (!source)
      return { can: false, why: `what it sends to ${nameOf(measured, out.to)} begins in it` };
    if (fed.has(source)) return { can: false, why: 'one cable feeds several things through it' };
    fed.add(source);
    const [a, b] = [portAt(rig, source.link.from), portAt(rig, out.link.to)];
    const cable = a && b && cableBetween(a, b, out.link.cable, out.link.cable.lengthM);
    if (!cable)
      return {
        can: false,
        why: `without it ${nameOf(measured, source.from)} does not fit ${nameOf(measured, out.to)}`,
      };
    commands.push({
      type: 'connect',
      linkId: out.id,
      from: source.link.from,
      to: out.link.to,
      cable,
    });
  }
  if (fed.size < arriving.length) return { can: false, why: 'several cables come together in it' };
  return { can: true, label: `Take ${measured.device(node).name} out of its thread`, commands };
};
