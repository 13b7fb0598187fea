import type { CableWay, CableWayKind, RigDraft } from '@echo-loom/core';

type Point = readonly [xM: number, yM: number, zM?: number];

/** A way for cables from point to point. Lengths in metres. */
export const way =
  (
    cableWayId: string,
    name: string,
    is: CableWayKind,
    points: readonly Point[],
    more: Partial<Pick<CableWay, 'insideMm2' | 'bendMm' | 'carries' | 'had'>> = {},
  ) =>
  (draft: RigDraft): RigDraft =>
    draft.do({
      type: 'addCableWay',
      cableWayId,
      cableWay: {
        name,
        is,
        points: points.map(([xM, yM, zM = 0]) => ({ xM, yM, zM })),
        insideMm2: null,
        bendMm: null,
        carries: 'both',
        ...more,
      },
    });

export const circuit =
  (circuitId: string, name: string, breakerA = 16) =>
  (draft: RigDraft): RigDraft =>
    draft.do({ type: 'addCircuit', circuitId, circuit: { name, breakerA } });

export const outlet =
  (feedId: string, name: string, circuitId: string, [xM, yM]: Point, sockets = 2) =>
  (draft: RigDraft): RigDraft =>
    draft.do({
      type: 'addFeed',
      feedId,
      feed: {
        name,
        figures: { is: 'outlet', sockets, mostA: 16 },
        from: { by: 'circuit', circuitId },
        at: { xM, yM },
      },
    });

/** A strip of 10 A, plugged into an outlet or another strip. */
export const strip =
  (feedId: string, name: string, intoId: string, [xM, yM]: Point, sockets = 6) =>
  (draft: RigDraft): RigDraft =>
    draft.do({
      type: 'addFeed',
      feedId,
      feed: {
        name,
        figures: { is: 'strip', sockets, mostA: 10 },
        from: { by: 'feed', feedId: intoId },
        at: { xM, yM },
      },
    });

/** The handbook's supply that lasts: 288 Wh at 0.85. */
export const ups =
  (feedId: string, name: string, intoId: string, [xM, yM]: Point) =>
  (draft: RigDraft): RigDraft =>
    draft.do({
      type: 'addFeed',
      feedId,
      feed: {
        name,
        figures: { is: 'ups', sockets: 4, mostW: 540, mostVa: 900, wh: 288, efficiency: 0.85 },
        from: { by: 'feed', feedId: intoId },
        at: { xM, yM },
      },
    });

/** Plugs devices into one strip, outlet or supply. */
export const plugged =
  (feedId: string, ...deviceIds: readonly string[]) =>
  (draft: RigDraft): RigDraft =>
    deviceIds.reduce((rig, deviceId) => rig.do({ type: 'plugIn', deviceId, feedId }), draft);

export const all =
  (...steps: readonly ((draft: RigDraft) => RigDraft)[]) =>
  (draft: RigDraft): RigDraft =>
    steps.reduce((rig, step) => step(rig), draft);
