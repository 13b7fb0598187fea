import { nameOf } from '../../passes/names';
import { loadingDb } from '../../units';
import type { Rule } from '../rule';
import { aboutJoint, analogueJoints } from './joints';

/** Least ratio of input to source resistance. @source handbook 2-sound, loading */
const LEAST_RATIO = 5;

export const loading: Rule = {
  code: 'sound.loading',
  area: 'sound',
  looksFor:
    'An analogue joint whose input resistance is less than five times the source resistance.',
  why: 'The input drags the level down and bends the tone of a dynamic microphone.',
  remedy: 'Use an input of higher resistance, or a booster or direct box between.',
  source: 'handbook 2-sound, loading',
  find: (measured) =>
    analogueJoints(measured).flatMap(({ edge, out, input }) => {
      if (
        !out.sourceOhms ||
        !input.inputOhms ||
        input.nominal === 'headphone' ||
        input.nominal === 'loudspeaker'
      )
        return [];
      const ratio = input.inputOhms / out.sourceOhms;
      if (ratio >= LEAST_RATIO) return [];
      return [
        {
          code: 'sound.loading',
          area: 'sound',
          level: 'warn',
          about: aboutJoint(edge),
          title: `Loaded ${ratio.toFixed(1)} : 1`,
          says:
            `${nameOf(measured, edge.to)} loads ${nameOf(measured, edge.from)} with ${input.inputOhms} Ω against ` +
            `${out.sourceOhms} Ω, only ${ratio.toFixed(1)} : 1. It costs ` +
            `${Math.abs(loadingDb(out.sourceOhms, input.inputOhms)).toFixed(1)} dB and changes ` +
            `the tone. Use an input of at least ${LEAST_RATIO * out.sourceOhms} Ω.`,
        },
      ];
    }),
  sums: (measured, { about }) =>
    analogueJoints(measured).flatMap(({ edge, out, input }) =>
      edge.id === about.linkId && out.sourceOhms && input.inputOhms
        ? [
            {
              label: 'Loading',
              formula: '20·log10(Zin / (Zin + Zsource))',
              inputs: [
                { name: 'Zin', value: input.inputOhms, unit: 'Ω' },
                { name: 'Zsource', value: out.sourceOhms, unit: 'Ω' },
              ],
              result: loadingDb(out.sourceOhms, input.inputOhms),
              unit: 'dB',
              source: 'IEC 60268-15',
            },
          ]
        : [],
    ),
};
