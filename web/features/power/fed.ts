import { type FedBy, inOrder, type Rig } from '@echo-loom/core';

/** What something may be fed by, as a list to choose from. */
export interface FedChoice {
  readonly value: string;
  readonly label: string;
}

export const NOWHERE = 'nowhere';

/** Circuits and feeds, without one of them: nothing feeds itself. */
export const fedChoices = (
  { circuits, feeds }: Pick<Rig, 'circuits' | 'feeds'>,
  withCircuits: boolean,
  withoutFeedId?: string,
): FedChoice[] => [
  { value: NOWHERE, label: 'nowhere yet' },
  ...(withCircuits
    ? inOrder(circuits).map(([id, { name }]) => ({ value: `circuit ${id}`, label: name }))
    : []),
  ...inOrder(feeds).flatMap(([id, { name }]) =>
    id === withoutFeedId ? [] : [{ value: `feed ${id}`, label: name }],
  ),
];

export const valueOf = (from: FedBy | null): string =>
  from === null
    ? NOWHERE
    : from.by === 'circuit'
      ? `circuit ${from.circuitId}`
      : `feed ${from.feedId}`;

export const fedByOf = (value: string): FedBy | null => {
  const [by, id] = value.split(' ');
  if (id === undefined) return null;
  return by === 'circuit' ? { by: 'circuit', circuitId: id } : { by: 'feed', feedId: id };
};
