import { inOrder, microphonesInRoom, type Analysis, type Point } from '@echo-loom/core';

/** Something on the plan. */
export interface Mark {
  readonly key: string;
  readonly name: string;
  readonly at: Point;
  readonly facingDeg: number | null;
  readonly kind: 'person' | 'noise' | 'microphone' | 'loudspeaker';
}

/** Everybody and everything that has a place on the plan; people last, so that they lie on top. */
export const marksOf = (analysis: Analysis): Mark[] => {
  const { people, noises, devices } = analysis.rig;
  return [
    ...microphonesInRoom(analysis).flatMap(({ node, spot }): Mark[] =>
      spot
        ? [
            {
              key: `mic ${node.index}`,
              name: analysis.device(node.device).name,
              at: spot,
              facingDeg: spot.facingDeg,
              kind: 'microphone',
            },
          ]
        : [],
    ),
    ...inOrder(noises).flatMap(([id, { name, at, runs }]): Mark[] =>
      at && runs ? [{ key: `noise ${id}`, name, at, facingDeg: null, kind: 'noise' }] : [],
    ),
    ...Object.entries(devices).flatMap(([id, { name, at, model }]): Mark[] =>
      at && model.kind === 'loudspeaker'
        ? [{ key: `speaker ${id}`, name, at, facingDeg: at.facingDeg, kind: 'loudspeaker' }]
        : [],
    ),
    ...inOrder(people).flatMap(([id, { name, at }]): Mark[] =>
      at ? [{ key: `person ${id}`, name, at, facingDeg: at.facingDeg, kind: 'person' }] : [],
    ),
  ];
};
