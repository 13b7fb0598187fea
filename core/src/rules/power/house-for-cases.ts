import { RigDraft } from '../../catalogue/draft';
import type { FeedFigures, Rig, SimpleCommand } from '../../rig';

/** Rigs on two circuits, for the cases of the rules of power. */

export const circuit = (circuitId: string, breakerA = 16): SimpleCommand => ({
  type: 'addCircuit',
  circuitId,
  circuit: { name: `Circuit ${circuitId}`, breakerA },
});

export const feed = (
  feedId: string,
  figures: FeedFigures,
  from: { circuit: string } | { feed: string } | null,
): SimpleCommand => ({
  type: 'addFeed',
  feedId,
  feed: {
    name: `The ${feedId}`,
    figures,
    from:
      from === null
        ? null
        : 'circuit' in from
          ? { by: 'circuit', circuitId: from.circuit }
          : { by: 'feed', feedId: from.feed },
    at: null,
  },
});

export const outlet = (sockets = 2): FeedFigures => ({ is: 'outlet', sockets, mostA: 16 });
export const strip = (sockets = 6, mostA = 10): FeedFigures => ({ is: 'strip', sockets, mostA });
export const ups = (more: Partial<Extract<FeedFigures, { is: 'ups' }>> = {}): FeedFigures => ({
  is: 'ups',
  sockets: 4,
  mostW: 540,
  mostVa: 900,
  wh: 288,
  efficiency: 0.85,
  ...more,
});

export const load = (mostW: number, feedId: string): SimpleCommand => ({
  type: 'addLoad',
  loadId: 'heater',
  load: {
    name: 'Heater',
    mostW,
    powerFactor: null,
    from: { by: 'feed', feedId },
    runs: true,
  },
});

/** 230 V, two circuits with an outlet each, and what else is said. */
export const house = (
  commands: readonly SimpleCommand[],
  devices: (draft: RigDraft) => RigDraft = (draft) => draft,
  plugs: Readonly<Record<string, string>> = {},
): Rig => {
  let draft = devices(new RigDraft('Case').do({ type: 'setMains', mains: { hz: 50, volts: 230 } }));
  for (const command of [
    circuit('a'),
    circuit('b'),
    feed('outlet-a', outlet(), { circuit: 'a' }),
    feed('outlet-b', outlet(), { circuit: 'b' }),
    ...commands,
  ])
    draft = draft.do(command);
  for (const [deviceId, feedId] of Object.entries(plugs))
    draft = draft.do({ type: 'plugIn', deviceId, feedId });
  return draft.build();
};

export const display = (draft: RigDraft): RigDraft =>
  draft.device('display', 'display-monitor', { name: 'Display' });

export const onA = feed('strip', strip(), { feed: 'outlet-a' });

export const many =
  (count: number) =>
  (draft: RigDraft): RigDraft =>
    Array.from({ length: count }).reduce<RigDraft>(
      (rig, _, index) =>
        rig.device(`switcher-${index}`, 'switcher-4', { name: `Switcher ${index}` }),
      draft,
    );
export const all = (count: number): Record<string, string> =>
  Object.fromEntries(Array.from({ length: count }, (_, index) => [`switcher-${index}`, 'strip']));
