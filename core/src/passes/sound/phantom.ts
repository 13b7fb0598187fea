import type { PortNode } from '../../graph';
import { switchSetting } from '../../rig';
import type { Measured } from '../measured';

/** What phantom power a port that needs it, or must not get it, meets at the far end of its cable. */
export type Phantom =
  | {
      readonly state: 'on';
      readonly supply: PortNode;
      readonly control: string;
      readonly maxMa: number;
    }
  | {
      readonly state: 'off';
      readonly supply: PortNode;
      readonly control: string;
      readonly maxMa: number;
    }
  /** A device on the way needs phantom power itself or has a transformer */
  | { readonly state: 'blocked'; readonly by: PortNode }
  /** The input has no phantom power to give */
  | { readonly state: 'none'; readonly at: PortNode }
  | { readonly state: 'unplugged' };

/**
 * The output through which phantom power reaches an input: of a splitter's legs the one that lets it
 * through, where a cable is in it, or where no leg has one.
 */
const passesOn = ({ routes, device }: PortNode): PortNode | undefined => {
  const outs = (ways: PortNode['routes']): PortNode[] =>
    ways.flatMap(({ route }) => route.to.flatMap((to) => device.ports.get(to) ?? []));
  const through = outs(routes.filter(({ route }) => route.sound?.passesPhantom));
  const isPlugged = ({ links }: PortNode): boolean => links.length > 0;
  return through.find(isPlugged) ?? (outs(routes).some(isPlugged) ? undefined : through[0]);
};

/** Follows an output's cable to whatever supplies phantom power, through devices that let it pass. */
export const phantomAt = (measured: Measured, output: PortNode): Phantom => {
  let at: PortNode | undefined = output;
  for (let step = 0; at && step < 20; step++) {
    const input: PortNode | undefined = at.links.find((edge) => edge.from === at)?.to;
    if (!input) return { state: 'unplugged' };
    if (input.port.family !== 'analogue') return { state: 'none', at: input };
    const supply = input.port.phantomSupply;
    if (supply)
      return {
        state: switchSetting(measured.device(input.device), supply.control) ? 'on' : 'off',
        supply: input,
        control: supply.control,
        maxMa: supply.maxMa,
      };
    const next = passesOn(input);
    if (!next) {
      const goesOn = input.routes.some((candidate) =>
        candidate.route.to.some((to) => (input.device.ports.get(to)?.links.length ?? 0) > 0),
      );
      return goesOn && input.device.model.step === 'lift'
        ? { state: 'blocked', by: input }
        : { state: 'none', at: input };
    }
    at = next;
  }
  return { state: 'unplugged' };
};

/** Whether an output needs phantom power and does not get it: nothing comes out of it. */
export const lacksPhantom = (measured: Measured, node: PortNode): boolean =>
  node.port.family === 'analogue' &&
  node.port.phantomNeedMa !== undefined &&
  node.links.length > 0 &&
  phantomAt(measured, node).state !== 'on';
