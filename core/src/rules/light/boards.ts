import { nameOfThing } from '../../passes/names';
import { dimTo, hangLamp } from '../../edits/light';
import { backdropsLit, isLit, type LitBackdrop, lightSources } from '../../passes/light';
import { figure } from '../../passes/sum';
import { usualModifier } from '../../rig';
import { batchFix, eachLightRule } from '../rule-of';
import { input, lux, ofBackdrop, SOURCE, sum } from './words';

export const boardLit = eachLightRule<LitBackdrop>(
  'light.board-lit',
  {
    looksFor: 'Light on a board or a screen that must stay dark.',
    why: 'What it shows washes out, or the lamp shows in it.',
    remedy: 'Turn the lamp away, or down, or put barn doors on it.',
    source: `${SOURCE}: light on what must stay dark`,
  },
  {
    all: (measured) => (isLit(measured) ? backdropsLit(measured) : []),
    about: ofBackdrop,
    judge: ({ backdrop, mostLux }) =>
      backdrop.mostLux === null || mostLux <= backdrop.mostLux
        ? null
        : {
            level: 'warn',
            title: `${lux(mostLux)} on ${backdrop.name}`,
            says:
              `Up to ${lux(mostLux)} fall on ${backdrop.name}, and ${lux(backdrop.mostLux)} is the most it may ` +
              'have. Turn the lamp that gives most of it away, or down.',
          },
    sums: (lit) => [
      sum(
        'Most on it',
        'brightest of its points',
        [input('may have', lit.backdrop.mostLux ?? 0, 'lux')],
        lit.mostLux,
        'lux',
      ),
    ],
    fixes: (lit, measured) => {
      const worst = lit.points.reduce((a, b) => (b.lux > a.lux ? b : a));
      const most = lightSources(measured)
        .filter(({ of }) => of === 'lamp')
        .map((source) => ({ source, given: (worst.full.get(source.id) ?? 0) * source.share }))
        .sort((a, b) => b.given - a.given)[0];
      const allowed = lit.backdrop.mostLux;
      if (!most || most.given === 0 || allowed === null) return [];
      const given = (id: string, share: number): number => (worst.full.get(id) ?? 0) * share;
      const lamps = lightSources(measured).filter(
        ({ id, of, share }) => of === 'lamp' && given(id, share) > 0.02 * worst.lux,
      );
      const fromLamps = lamps.reduce((total, { id, share }) => total + given(id, share), 0);
      const factor = (allowed - (worst.lux - fromLamps)) / fromLamps;
      const share = (most.source.share * (most.given - (worst.lux - allowed))) / most.given;
      return [
        ...(most.source.figures?.takesModifiers && !most.source.lamp?.modifier
          ? [
              batchFix(`Put barn doors on ${nameOfThing(measured, most.source)}`, [
                hangLamp(most.source.id, { modifier: usualModifier('Barn doors') }),
              ]),
            ]
          : []),
        ...(share > 0
          ? [
              batchFix(
                `Turn ${nameOfThing(measured, most.source)} down to ${figure(Math.floor(100 * share), 0)} %`,
                dimTo(measured, most.source.id, Math.floor(100 * share)),
              ),
            ]
          : []),
        ...(factor >= 0.5 && lamps.length > 1
          ? [
              batchFix(
                `Turn ${lamps.map((lamp) => nameOfThing(measured, lamp)).join(' and ')} down to ` +
                  `${figure(100 * factor, 0)} % of what they are`,
                lamps.flatMap((lamp) =>
                  dimTo(measured, lamp.id, Math.floor(1000 * lamp.share * factor) / 10),
                ),
              ),
            ]
          : []),
      ];
    },
  },
);

/** People see an area as evenly lit up to so much. Typical of a front wash. */
const AREA_EVENNESS = 2;

export const areaUneven = eachLightRule<LitBackdrop>(
  'light.area-uneven',
  {
    looksFor: 'Benches or a floor that are lit much more in one place than in another.',
    why: 'A camera that pans along them goes from white to black.',
    remedy: 'Turn down what lights the brightest place, or point a lamp at the darkest.',
    source: `${SOURCE}: max ÷ min over a grid; 2 : 1 is typical of a wash`,
  },
  {
    all: (measured) =>
      isLit(measured)
        ? backdropsLit(measured).filter(({ backdrop }) => backdrop.is === 'area')
        : [],
    about: ofBackdrop,
    judge: ({ backdrop, leastLux, mostLux, evenness }) =>
      evenness === null || evenness <= AREA_EVENNESS
        ? null
        : {
            level: 'note',
            title: `${backdrop.name}: ${figure(evenness)} : 1`,
            says:
              `From ${lux(leastLux)} to ${lux(mostLux)} fall on ${backdrop.name}, ${figure(evenness)} : 1; a ` +
              `wash keeps within ${AREA_EVENNESS} : 1. Turn down what lights the brightest place, or point a ` +
              'lamp at the darkest.',
          },
    sums: ({ leastLux, mostLux, evenness }) => [
      sum(
        'Evenness',
        'brightest ÷ darkest of its points',
        [input('brightest', mostLux, 'lux'), input('darkest', leastLux, 'lux')],
        evenness,
        ': 1',
      ),
    ],
  },
);
