import type { Fix } from '../../edits/fix';
import type { Measured } from '../../passes/measure';
import { bandsOf, type BuiltRoom, builtRoom, type SurfaceInRoom } from '../../passes/room';
import { bandSums } from '../../passes/room/sums';
import { figure } from '../../passes/sum';
import { finish, type Surface } from '../../rig';
import { THE_RIG } from '../about';
import { batchFix, placeRule } from '../rule-of';
import { computeTime, inBuiltRoom, seconds } from './room';

/** So much longer in the low bands than in the middle, and a voice sounds as if in a box. */
const BOOMS = 1.7;
/** Larger rooms may ring longer below, and do. @unit m³ */
const SMALL_M3 = 300;
const THICK = finish('Panel of mineral wool, 100 mm, 100 mm off the wall');

/** Time of the two lowest bands, times that of 500 Hz and 1 kHz. */
const boom = (bands: BuiltRoom['bands']): { lowS: number; middleS: number; ratio: number } => {
  const s = (band: number): number => bands[band]?.rt60S ?? NaN;
  const [lowS, middleS] = [(s(0) + s(1)) / 2, (s(2) + s(3)) / 2];
  return { lowS, middleS, ratio: lowS / middleS };
};

/** Takes up the high bands and leaves the low ones. */
const isThin = ({ absorption, covers }: Surface): boolean =>
  (covers === 'walls' || covers === 'ceiling') &&
  absorption[0] < 0.25 &&
  absorption[3] - absorption[0] > 0.4;

const thinOf = ({ surfaces }: BuiltRoom): readonly SurfaceInRoom[] => surfaces.filter(isThin);

const fixes = (measured: Measured): Fix[] => {
  const built = builtRoom(measured);
  if (!built) return [];
  const thin = thinOf(built);
  const changed = built.surfaces.map((surface) =>
    isThin(surface) ? { ...surface, ...THICK } : surface,
  );
  return boom(bandsOf(built.shell, changed)).ratio > BOOMS
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
            ...computeTime(measured),
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
    const { lowS, middleS, ratio } = boom(built.bands);
    const thin = thinOf(built);
    if (ratio <= BOOMS || thin.length === 0 || built.volumeM3 > SMALL_M3) return [];
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
