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

/** A name on the plan: where it begins or ends, and how. */
export interface NamePlace {
  readonly x: number;
  readonly y: number;
  readonly textAnchor: 'start' | 'end' | 'middle';
}

interface Box {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** Width of a letter and height of a line of the plan's names. @unit px */
const LETTER_PX = 6.6;
const LINE_PX = 14;
/** A name of which more is hidden, as a share, is better not written. */
const MOST_HIDDEN = 0.3;

const boxOf = (name: string, { x, y, textAnchor }: NamePlace): Box => {
  const width = name.length * LETTER_PX;
  const left = textAnchor === 'start' ? x : textAnchor === 'end' ? x - width : x - width / 2;
  return { left, right: left + width, top: y - LINE_PX + 3, bottom: y + 3 };
};

const overlap = (a: Box, b: Box): number =>
  Math.max(0, Math.min(a.right, b.right) - Math.max(a.left, b.left)) *
  Math.max(0, Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top));

interface Spot {
  readonly x: number;
  readonly y: number;
}

/** A mark on the drawing. @unit px */
interface Named extends Spot {
  /** null where none is written */
  readonly name: string | null;
  /** Where the line ends that shows which way it looks */
  readonly nose: Spot | null;
  /** Of the mark itself, 7 unless said */
  readonly radiusPx?: number;
}

/**
 * Places for names beside their marks, one after the other: to the right where that is free, else to
 * the left, below or above, else where they hide least.
 * @param walls the names stay between them @param mayHide a name without a place is left out
 */
export const placeNames = (
  marks: readonly Named[],
  walls: Box,
  mayHide = false,
): readonly (NamePlace | null)[] => {
  const around = ({ x, y }: Spot, half: number): Box => ({
    left: x - half,
    right: x + half,
    top: y - half,
    bottom: y + half,
  });
  const taken: Box[] = marks.flatMap((mark) => [
    around(mark, (mark.radiusPx ?? 7) + 2),
    ...(mark.nose ? [around(mark.nose, 4)] : []),
  ]);
  return marks.map(({ name, x, y, radiusPx = 7 }) => {
    const beside = radiusPx + 5;
    if (name === null) return null;
    const places: readonly NamePlace[] = [
      { x: x + beside, y: y + 4, textAnchor: 'start' },
      { x: x - beside, y: y + 4, textAnchor: 'end' },
      { x, y: y + radiusPx + 15, textAnchor: 'middle' },
      { x, y: y - radiusPx - 6, textAnchor: 'middle' },
      { x: x + beside, y: y + radiusPx + 10, textAnchor: 'start' },
      { x: x - beside, y: y + radiusPx + 10, textAnchor: 'end' },
      { x: x + beside, y: y - radiusPx - 3, textAnchor: 'start' },
      { x: x - beside, y: y - radiusPx - 3, textAnchor: 'end' },
    ];
    const hidden = (place: NamePlace): number => {
      const box = boxOf(name, place);
      const outside = Math.max(0, walls.left - box.left) + Math.max(0, box.right - walls.right);
      return outside * LINE_PX + taken.reduce((sum, other) => sum + overlap(box, other), 0);
    };
    const best = places.reduce((least, place) => (hidden(place) < hidden(least) ? place : least));
    if (mayHide && hidden(best) > MOST_HIDDEN * name.length * LETTER_PX * LINE_PX) return null;
    taken.push(boxOf(name, best));
    return best;
  });
};
