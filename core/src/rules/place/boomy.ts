import type { Fix } from '../../edits/fix';
import type { Measured } from '../../passes/measured';
import { bandsOf, type BuiltRoom, builtRoom, type SurfaceInRoom } from '../../passes/room';
import { bandSums } from '../../passes/room/sums';
import { figure } from '../../passes/sum';
import { finish } from '../../rig';
import { THE_RIG } from '../about';
import { boomOf, booms, isThin, wouldBoom } from './boom';
import { batchFix, placeRule } from '../rule-of';
import { inBuiltRoom, seconds, timeAfter } from './room';

const THICK = finish('Panel of mineral wool, 100 mm, 100 mm off the wall');

const thinOf = ({ surfaces }: BuiltRoom): readonly SurfaceInRoom[] => surfaces.filter(isThin);

const fixes = (measured: Measured): Fix[] => {
  const built = builtRoom(measured);
  if (!built) return [];
  const thin = thinOf(built);
  const changed = built.surfaces.map((surface) =>
    isThin(surface) ? { ...surface, ...THICK } : surface,
  );
  const bands = bandsOf(built.shell, changed);
  const time = timeAfter(measured, built, boomOf(bands).middleS);
  return wouldBoom(built, changed) || time === null
    ? []
    : [
        batchFix(
          `Hang panels of 100 mm, 100 mm off the wall, in place of ${thin.map(({ name }) => name).join(' and ')}`,
          [
            ...thin.map(({ id }) => ({
              type: 'changeSurface' as const,
              surfaceId: id,
              surface: { ...THICK },
            })),
            ...time,
          ],
          'Hang thick panels in place of thin ones',
        ),
      ];
};

export const boomy = placeRule(
  'place.boomy',
  {
    matters: ['room'],
    looksFor: 'A small room whose treatment is thin: dry above 500 Hz, and ringing below.',
    why:
      'Thin foam, blankets and curtains take up what makes words clear and leave the boom: a ' +
      'voice sounds as if in a box.',
    remedy: 'Thick panels, off the wall; foam of 25 mm does little under 500 Hz.',
    source: 'handbook 5, room sound: thin foam does little under 500 Hz',
  },
  inBuiltRoom((built) => {
    const { lowS, middleS, ratio } = boomOf(built.bands);
    const thin = thinOf(built);
    if (!booms(built, built.bands, built.surfaces)) return [];
    return [
      {
        level: 'note',
        about: THE_RIG,
        title: `Rings ${figure(ratio)} times as long below 300 Hz`,
        says:
          `The room rings for ${seconds(lowS)} at 125 and 250 Hz and for ${seconds(middleS)} in the ` +
          `middle: ${thin.map(({ name }) => name).join(' and ')} cannot hold the low end. Voices ` +
          'sound boxed in. Hang thick panels, off the wall.',
      },
    ];
  }),
  {
    sums: (measured) => {
      const built = builtRoom(measured);
      return built ? bandSums(built).slice(0, 4) : [];
    },
    fixes,
  },
);
