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
      const share = (most.source.share * (most.given - (worst.lux - allowed))) / most.given;
      return [
        ...(most.source.figures?.takesModifiers && !most.source.lamp?.modifier
          ? [
              batchFix(`Put barn doors on ${most.source.name}`, [
                hangLamp(most.source.id, { modifier: usualModifier('Barn doors') }),
              ]),
            ]
          : []),
        ...(share > 0
          ? [
              batchFix(
                `Turn ${most.source.name} down to ${figure(Math.floor(100 * share), 0)} %`,
                dimTo(measured, most.source.id, Math.floor(100 * share)),
              ),
            ]
          : []),
      ];
    },
  },
);
