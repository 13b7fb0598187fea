import type { Fix } from '../../edits/fix';
import { type BuiltRoom, builtRoom, type SurfaceInRoom } from '../../passes/room';
import { figure } from '../../passes/sum';
import { BOUNDARIES, type Boundary } from '../../rig';
import { placeRule } from '../rule-of';
import { inBuiltRoom } from './room';

/** Less than this is a matter of measuring. @unit m² */
const NEAR_M2 = 0.05;

/** What hangs on a boundary, the last of it last. */
const on = ({ surfaces }: BuiltRoom, part: Boundary): readonly SurfaceInRoom[] =>
  surfaces.filter(({ covers }) => covers === part);

/** The last surface is made as small as it must be, or taken away, and then the one before it. */
const cutBack = (built: BuiltRoom, part: Boundary): Fix[] => {
  const last = on(built, part).at(-1);
  const left = last && Math.floor((last.areaM2 + built.freeM2[part]) * 100) / 100;
  if (!last || left === undefined || left <= 0) return [];
  return [
    {
      label: `Make ${last.name} ${figure(left, 2)} m²`,
      command: { type: 'changeSurface', surfaceId: last.id, surface: { areaM2: left } },
    },
  ];
};

export const coveredTwice = placeRule(
  'place.covered-twice',
  {
    matters: ['room'],
    looksFor:
      'More hung on the walls, laid on the floor or put under the ceiling than there is of it.',
    why: 'What hangs behind something else takes up nothing, and the room rings longer than it is computed.',
    remedy: 'Correct the areas, or the size of the room.',
    source: 'the plan',
  },
  inBuiltRoom((built) =>
    BOUNDARIES.filter((part) => built.freeM2[part] < -NEAR_M2).flatMap((part) => {
      const last = on(built, part).at(-1);
      return last
        ? [
            {
              level: 'warn' as const,
              about: { kind: 'surface' as const, surfaceId: last.id },
              title: `${figure(-built.freeM2[part])} m² too much on the ${part}`,
              says:
                `What covers the ${part} comes to ` +
                `${figure(built.areasM2[part] - built.freeM2[part])} m², and there are ` +
                `${figure(built.areasM2[part])} m². Correct an area, or the size of the room.`,
            },
          ]
        : [];
    }),
  ),
  {
    sums: (measured, { about }) => {
      const built = builtRoom(measured);
      const part = built?.surfaces.find(({ id }) => id === about.surfaceId)?.covers;
      if (!built || part === undefined || part === 'nothing') return [];
      return [
        {
          label: `Left of the ${part}`,
          formula: 'area − everything that covers it',
          inputs: [
            { name: part, value: built.areasM2[part], unit: 'm²' },
            ...on(built, part).map(({ name, areaM2 }) => ({ name, value: areaM2, unit: 'm²' })),
          ],
          result: built.freeM2[part],
          unit: 'm²',
          source: 'the plan',
        },
      ];
    },
    fixes: (measured, { about }) => {
      const built = builtRoom(measured);
      const part = built?.surfaces.find(({ id }) => id === about.surfaceId)?.covers;
      return built && part !== undefined && part !== 'nothing' ? cutBack(built, part) : [];
    },
  },
);
