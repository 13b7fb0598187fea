import { isFill, type OnFace } from '../../passes/light';
import {
  type LightTask,
  SCREEN_STOPS,
  UNDER_FACE_STOPS,
  type WantedFace,
  WITHIN_STOPS,
} from './wish';

/** What is wanted of light as limits on sums over the dimmers. */

/** What a limit is about. */
export type LimitOf = 'exposure' | 'ratio' | 'hair' | 'background' | 'screen' | 'board';

/** A sum over the lamps' dimmers, and what does not hang on them. */
interface Linear {
  readonly of: Readonly<Record<string, number>>;
  readonly fixed: number;
}

export interface Limit {
  readonly about: LimitOf;
  /** Whom or what it is about: a wanted face, a screen or a board */
  readonly subjectId: string;
  /** What that is called */
  readonly subject: string;
  readonly over: Linear;
  /** Least and most of it; the other side of each is open where it is left out. @unit lux */
  readonly min?: number;
  readonly max?: number;
}

const plus = (a: Linear, b: Linear, times = 1): Linear => {
  const of: Record<string, number> = { ...a.of };
  for (const [id, value] of Object.entries(b.of)) of[id] = (of[id] ?? 0) + times * value;
  return { of, fixed: a.fixed + times * b.fixed };
};
const NOTHING: Linear = { of: {}, fixed: 0 };

/** Of some parts of a face's light, what is turned and what is not. */
const fromParts = (
  parts: readonly OnFace[],
  turned: ReadonlySet<string>,
  full: (part: OnFace) => number,
): Linear =>
  parts.reduce<Linear>((sum, part) => {
    const { id, share } = part.source;
    return turned.has(id)
      ? plus(sum, { of: { [id]: full(part) }, fixed: 0 })
      : plus(sum, { of: {}, fixed: share * full(part) });
  }, NOTHING);

const roomOf = ({ lamps, fixedRoom }: LightTask): Linear => ({
  of: Object.fromEntries(lamps.map(({ id, room }) => [id, room])),
  fixed: fixedRoom,
});

/** The limits of one face, when one source is its key. */
const faceLimits = (
  task: LightTask,
  { id: subjectId, face, lux, ratio, hair, behind }: WantedFace,
  key: OnFace,
): Limit[] => {
  const turned = new Set(task.lamps.map(({ id }) => id));
  const room = roomOf(task);
  const onFace = plus(
    room,
    fromParts(face.parts, turned, (part) => part.full.lux),
  );
  const keyLight = fromParts([key], turned, (part) => part.full.lux);
  const others = face.parts.filter((part) => part !== key && part.full.lux > 0);
  const fill = plus(
    room,
    fromParts(
      others.filter((part) => isFill(key, part)),
      turned,
      (part) => part.full.lux,
    ),
  );
  const onHair = fromParts(
    face.parts.filter((part) => part.source.of === 'lamp' && part.full.hairLux > part.full.lux),
    turned,
    (part) => part.full.hairLux,
  );
  const [hairLeast, hairMost] = hair;
  const limits: Omit<Limit, 'subject' | 'subjectId'>[] = [
    {
      about: 'exposure',
      over: onFace,
      min: lux * 2 ** -WITHIN_STOPS,
      max: lux * 2 ** WITHIN_STOPS,
    },
    ...(ratio
      ? [
          { about: 'ratio' as const, over: plus(onFace, fill, -ratio[0]), min: 0 },
          { about: 'ratio' as const, over: plus(onFace, fill, -ratio[1]), max: 0 },
          // The key is what gives most.
          ...others.map((part) => ({
            about: 'ratio' as const,
            over: plus(
              keyLight,
              fromParts([part], turned, (one) => one.full.lux),
              -1,
            ),
            min: 0,
          })),
        ]
      : []),
    { about: 'hair', over: plus(onHair, keyLight, -(2 ** hairMost)), max: 0 },
    ...(hairLeast === null
      ? []
      : [{ about: 'hair' as const, over: plus(onHair, keyLight, -(2 ** hairLeast)), min: 0 }]),
    ...(behind
      ? [
          {
            about: 'background' as const,
            over: plus(onFace, meanOf(task, behind.lit), -behind.reflects * 2 ** UNDER_FACE_STOPS),
            min: 0,
          },
        ]
      : []),
  ];
  return limits.map((limit) => ({ subjectId, subject: face.name, ...limit }));
};

type LitPoints = LightTask['screens'][number];

const pointOf = (task: LightTask, { full, lux }: LitPoints['points'][number]): Linear => {
  const of: Record<string, number> = {};
  let turnedLux = 0;
  for (const { id, room, share } of task.lamps) {
    of[id] = (full.get(id) ?? 0) + room;
    turnedLux += share * (of[id] ?? 0);
  }
  return { of, fixed: lux - turnedLux };
};

const meanOf = (task: LightTask, { points }: LitPoints): Linear =>
  points.reduce<Linear>(
    (sum, point) => plus(sum, pointOf(task, point), 1 / points.length),
    NOTHING,
  );

/** The darkest point of a screen, as a figure of its own. */
const darkestOf = (id: string): string => `darkest of ${id}`;

const screenLimits = (task: LightTask): Limit[] =>
  task.screens.flatMap((lit) => {
    const darkest: Linear = { of: { [darkestOf(lit.id)]: 1 }, fixed: 0 };
    const subject = { subjectId: lit.id, subject: lit.backdrop.name };
    const mean = meanOf(task, lit);
    const lux =
      task.faces.reduce((sum, face) => sum + face.lux, 0) / Math.max(1, task.faces.length);
    return [
      ...lit.points.flatMap((point) => {
        const here = pointOf(task, point);
        return [
          { about: 'screen' as const, ...subject, over: plus(here, darkest, -1), min: 0 },
          {
            about: 'screen' as const,
            ...subject,
            over: plus(here, darkest, -task.evenness),
            max: 0,
          },
        ];
      }),
      ...(task.faces.length > 0
        ? [
            {
              about: 'screen' as const,
              ...subject,
              over: mean,
              min: lux * 2 ** -SCREEN_STOPS,
              max: lux * 2 ** SCREEN_STOPS,
            },
          ]
        : []),
    ];
  });

const boardLimits = (task: LightTask): Limit[] =>
  task.boards.flatMap(({ id, points, backdrop }) =>
    points.map((point) => ({
      about: 'board' as const,
      subjectId: id,
      subject: backdrop.name,
      over: pointOf(task, point),
      max: backdrop.mostLux ?? Infinity,
    })),
  );

/** Every limit of a task, with a key chosen for each face. */
export const limitsOf = (task: LightTask, keys: readonly OnFace[]): Limit[] => [
  ...task.faces.flatMap((wanted, index) => {
    const key = keys[index];
    return key ? faceLimits(task, wanted, key) : [];
  }),
  ...screenLimits(task),
  ...boardLimits(task),
];

/** By how much a limit is missed at given dimmers, as a share of what is weighed in it; 0 where it is kept. */
export const missedBy = (
  { over, min, max }: Limit,
  shares: Readonly<Record<string, number>>,
): number => {
  const parts = Object.entries(over.of).map(([id, factor]) => factor * (shares[id] ?? 0));
  const value = parts.reduce((sum, part) => sum + part, over.fixed);
  const weighed = parts.reduce((sum, part) => sum + Math.abs(part), Math.abs(over.fixed)) / 2;
  const scale = Math.max(weighed, Math.abs(min ?? 0), Math.abs(max ?? 0), 1e-9);
  const under = min === undefined ? 0 : (min - value) / scale;
  const beyond = max === undefined ? 0 : (value - max) / scale;
  return Math.max(0, under, beyond);
};
