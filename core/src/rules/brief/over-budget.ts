import { moneyOf } from '../../passes/money';
import type { Rule } from '../rule';

export const overBudget: Rule = {
  code: 'brief.over-budget',
  area: 'brief',
  looksFor: 'A rig whose devices to buy cost more than the budget.',
  why: 'It will not be bought as it stands.',
  remedy: 'Say what is owned or borrowed, or leave something for later.',
  source: 'handbook 1-the-work: brief',
  find: (measured) => {
    if (measured.rig.brief === null) return [];
    const { toPay, left } = moneyOf(measured.rig);
    return left === null || left >= 0
      ? []
      : [
          {
            code: 'brief.over-budget',
            area: 'brief',
            level: 'warn',
            about: { kind: 'coverage line', line: 'budget' },
            title: `Over budget by ${Math.round(-left)}`,
            says:
              `What is to be bought costs ${Math.round(toPay)}, ${Math.round(-left)} more than the ` +
              'budget. Say what is owned or borrowed, or leave something for later.',
          },
        ];
  },
  sums: ({ rig }) => {
    const { by, toPay } = moneyOf(rig);
    return [
      {
        label: 'To be paid',
        formula: 'to buy + second-hand',
        inputs: [
          { name: 'to buy', value: by['to buy'], unit: '' },
          { name: 'second-hand', value: by['second-hand'], unit: '' },
          { name: 'budget', value: rig.brief?.budget ?? 'not said', unit: '' },
        ],
        result: toPay,
        unit: '',
        source: 'typical prices of the classes, or what was typed',
      },
    ];
  },
};
