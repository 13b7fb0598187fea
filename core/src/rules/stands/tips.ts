import type { Measured } from '../../passes/measured';
import { deviceNameById } from '../../passes/names';
import {
  baseEdgeM,
  counterweightKg,
  loaded,
  type Loaded,
  type Pull,
  TIP_FACTOR,
  type Tipping,
} from '../../passes/place';
import { figure, type Sum } from '../../passes/sum';
import { batchFix, eachStandsRule } from '../rule-of';
import { aboutSupport, changeFigures, figuresAs, kilograms, upTo } from './supports';

/** Bags and counterweights come in steps. @unit kg */
const BAG_STEP_KG = 0.5;

const worse = ({ tipping, tippingBack }: Loaded): Tipping | null =>
  tippingBack && tipping && tippingBack.factor < tipping.factor ? tippingBack : tipping;

const pullName = (measured: Measured, { of }: Pull): string =>
  typeof of === 'string' ? of : deviceNameById(measured, of.deviceId);

const inWords = (measured: Measured, pulls: readonly Pull[], edgeM: number): string =>
  pulls
    .filter(({ atM }) => atM > edgeM)
    .map(
      (pull) =>
        `${pullName(measured, pull)} (${kilograms(pull.massKg)} at ${figure(pull.atM, 2)} m)`,
    )
    .join(' and ');

const momentSums = (
  measured: Measured,
  { edgeM, pulls, overturning, restoring, factor, bagKg }: Tipping,
): Sum[] => {
  const inputs = pulls.map((pull) => ({
    name: `${pullName(measured, pull)} at ${figure(pull.atM, 2)} m`,
    value: pull.massKg,
    unit: 'kg',
  }));
  const edge = { name: 'edge of the base', value: edgeM, unit: 'm' };
  return [
    {
      label: 'Overturning',
      formula: 'sum of mass × (distance − edge), beyond the edge',
      inputs: [...inputs, edge],
      result: overturning,
      unit: 'kg·m',
      source: 'handbook 5-plan, stands',
    },
    {
      label: 'Restoring',
      formula: 'sum of mass × (edge − distance), inside the edge',
      inputs: [...inputs, edge],
      result: restoring,
      unit: 'kg·m',
      source: 'handbook 5-plan, stands',
    },
    {
      label: 'Factor',
      formula: 'restoring ÷ overturning',
      inputs: [
        { name: 'restoring', value: restoring, unit: 'kg·m' },
        { name: 'overturning', value: overturning, unit: 'kg·m' },
      ],
      result: Number.isFinite(factor) ? factor : null,
      unit: '',
      source: 'handbook 5-plan, stands',
    },
    {
      label: 'Bag at the far edge',
      formula: `(${TIP_FACTOR} × overturning − restoring) ÷ (2 × edge)`,
      inputs: [
        { name: 'overturning', value: overturning, unit: 'kg·m' },
        { name: 'restoring', value: restoring, unit: 'kg·m' },
        edge,
      ],
      result: bagKg,
      unit: 'kg',
      source: 'handbook 5-plan, stands',
    },
  ];
};

export const tips = eachStandsRule<Loaded>(
  'stands.tips',
  {
    looksFor: 'A stand whose load reaches so far beyond its feet that a push tips it.',
    why: 'It comes down on whoever sits under it, and takes the microphone or the camera with it.',
    remedy: 'Put a bag on the foot opposite, turn a foot under the load, or shorten the arm.',
    source: 'handbook 5-plan, stands: restoring moment 1.5 times the overturning one',
  },
  {
    all: loaded,
    about: aboutSupport,
    judge: (thing, measured) => {
      const tipping = worse(thing);
      if (!tipping || tipping.factor >= TIP_FACTOR) return null;
      const { name } = thing.support;
      return {
        level: tipping.factor < 1 ? 'stop' : 'warn',
        title: `${name} ${tipping.factor < 1 ? 'tips over' : 'is near to tipping'}`,
        says:
          `What holds ${name} is ${figure(tipping.factor, 2)} times what tips it: ` +
          `${inWords(measured, tipping.pulls, tipping.edgeM)} ` +
          (tipping === thing.tippingBack
            ? 'pull it over once its load is taken off'
            : `reach beyond the ${figure(tipping.edgeM, 2)} m of its feet`) +
          `. ${TIP_FACTOR} times is asked for, so that a knock does not bring it down. ` +
          (tipping.bagKg > 0
            ? `Put at least ${kilograms(tipping.bagKg)} on the foot opposite, or shorten the arm.`
            : 'Spread its feet, or shorten the arm.'),
      };
    },
    sums: (thing, measured) => {
      const tipping = worse(thing);
      const stand = figuresAs(thing, 'stand');
      if (!tipping || !stand) return [];
      const counterAtM = stand.counterAtM > 0 ? stand.counterAtM : COUNTER_AT_M;
      const pulls = tipping.pulls.filter(({ atM }) => atM > 0);
      return [
        ...momentSums(measured, tipping),
        {
          label: `Counterweight at ${figure(counterAtM, 2)} m`,
          formula: 'sum of mass × distance ÷ distance of the counterweight',
          inputs: pulls.map((pull) => ({
            name: `${pullName(measured, pull)} at ${figure(pull.atM, 2)} m`,
            value: pull.massKg,
            unit: 'kg',
          })),
          result: counterweightKg(pulls, counterAtM),
          unit: 'kg',
          source: 'handbook 5-plan, stands',
        },
      ];
    },
    fixes: (thing) => {
      const stand = figuresAs(thing, 'stand');
      const { tipping, tippingBack, id, support } = thing;
      if (!stand || !tipping) return [];
      const edgeM = baseEdgeM(stand.feet, stand.legM);
      const bagKg = upTo(Math.max(tipping.bagKg, tippingBack?.bagKg ?? 0), BAG_STEP_KG);
      return edgeM > 0 && bagKg > 0 && tippingBack === null
        ? [
            batchFix(`Put a bag of ${figure(bagKg)} kg more on the foot opposite`, [
              changeFigures(id, {
                ...stand,
                ballastKg: Number((stand.ballastKg + bagKg).toFixed(2)),
              }),
            ]),
          ]
        : [
            batchFix(
              `Take ${support.name}’s counterweight off and put a bag on the foot opposite`,
              [
                changeFigures(id, {
                  ...stand,
                  counterKg: 0,
                  ballastKg: Number((stand.ballastKg + bagKg + stand.counterKg).toFixed(2)),
                }),
              ],
            ),
          ];
    },
  },
);

/** Where a counterweight usually hangs. @unit m */
const COUNTER_AT_M = 0.5;
