import { CannotBuild } from './plan';

/** What microphones go into. */
export interface Desk {
  readonly classId: string;
  readonly inputs: number;
  readonly phones: number;
  /** Line outputs: the first feeds headphones, the second the recorder */
  readonly outs: readonly [string, string];
  /** Switch that powers a channel */
  readonly phantom: (channel: number) => string;
}

const inGroupsOf =
  (size: number) =>
  (channel: number): string =>
    `phantom-${Math.ceil(channel / size)}`;
const INTERFACE_OUTS = ['out-1', 'out-2'] as const;

/** What microphones go into, cheapest first. */
const DESKS: readonly Desk[] = [
  { classId: 'interface-2', inputs: 2, phones: 1, outs: INTERFACE_OUTS, phantom: inGroupsOf(2) },
  { classId: 'interface-4', inputs: 4, phones: 2, outs: INTERFACE_OUTS, phantom: inGroupsOf(2) },
  {
    classId: 'mixer-8',
    inputs: 8,
    phones: 1,
    outs: ['main-1', 'main-2'],
    phantom: () => 'phantom',
  },
  { classId: 'interface-8', inputs: 8, phones: 2, outs: INTERFACE_OUTS, phantom: inGroupsOf(4) },
  {
    classId: 'mixer-16',
    inputs: 16,
    phones: 2,
    outs: ['main-1', 'main-2'],
    phantom: (channel) => `phantom-${channel}`,
  },
];

/** Keeps a track of each input on a card of its own. */
export const DESK_WITH_CARD: Desk = {
  classId: 'interface-4-card',
  inputs: 4,
  phones: 2,
  outs: INTERFACE_OUTS,
  phantom: (channel) => `phantom-${channel}`,
};

/** How many inputs of a desk may be used. */
export const usableInputs = ({ inputs }: Desk, keepSpare: boolean): number =>
  inputs - (keepSpare ? Math.floor(inputs / 4) : 0);

/** The cheapest desk with inputs for every voice and the spare ones of the house rule. */
export const deskFor = (voices: number, keepSpare: boolean): Desk => {
  const found = DESKS.find((desk) => voices <= usableInputs(desk, keepSpare));
  if (!found)
    throw new CannotBuild(
      `${voices} microphones are more than the largest desk of the catalogue takes.`,
    );
  return found;
};
