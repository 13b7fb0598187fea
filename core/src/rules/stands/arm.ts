import { deviceNameById } from '../../passes/names';
import type { Fix } from '../../edits/fix';
import { CABLE_KG, loaded, type Loaded } from '../../passes/place';
import type { Measured } from '../../passes/measured';
import { figure, type Sum } from '../../passes/sum';
import { entry, type SupportOf, USUAL_SUPPORTS } from '../../rig';
import { batchFix, eachStandsRule } from '../rule-of';
import { aboutSupport, changeFigures, figuresAs, kilograms, upTo } from './supports';

/** Rules of microphone arms: what their springs hold, how far they reach, what they clamp to. */

const armOf = (thing: Loaded): SupportOf<'arm'> | null =>
  thing.loads.length > 0 ? figuresAs(thing, 'arm') : null;

const loadSum = (measured: Measured, { loads, loadKg, support }: Loaded): Sum => ({
  label: `What hangs on ${support.name}`,
  formula: 'sum of the masses, and what hangs of the cable',
  inputs: [
    ...loads.map(({ deviceId, massKg }) => ({
      name: deviceNameById(measured, deviceId),
      value: massKg,
      unit: 'kg',
    })),
    {
      name: 'what hangs of the cable',
      value: CABLE_KG * loads.filter(({ isHung }) => isHung).length,
      unit: 'kg',
    },
  ],
  result: loadKg,
  unit: 'kg',
  source: 'typical masses of the classes; handbook 5-plan, stands',
});

/** Usual arms that hold a load and reach as far, the one whose springs it suits best first. */
const otherArms = (thing: Loaded, needsM: number): Fix[] =>
  USUAL_SUPPORTS.flatMap(({ name, figures }) =>
    figures.is === 'arm' &&
    figures.leastKg <= thing.loadKg &&
    thing.loadKg <= figures.mostKg &&
    figures.reachM >= needsM
      ? [{ name, figures, off: Math.abs(thing.loadKg / figures.mostKg - IDEAL_SHARE) }]
      : [],
  )
    .sort((a, b) => a.off - b.off)
    .slice(0, 1)
    .map(({ name, figures }) =>
      batchFix(`Use a usual one: ${name.toLowerCase()}`, [changeFigures(thing.id, figures)]),
    );

/** Of its most, an arm is best loaded with so much. @source handbook 5: 60–90 % */
const IDEAL_SHARE = 0.75;

export const armWeak = eachStandsRule<Loaded>(
  'stands.arm-weak',
  {
    looksFor: 'An arm with more on it than its springs hold, or less than keeps it down.',
    why: 'It sinks during the show, or flies up when it is let go of.',
    remedy: 'Use an arm made for that weight, or add what it lacks at its end.',
    source: 'handbook 5-plan, stands: weight of microphone, mount, booster and cable',
  },
  {
    all: loaded,
    about: aboutSupport,
    judge: (thing) => {
      const arm = armOf(thing);
      if (!arm || (arm.leastKg <= thing.loadKg && thing.loadKg <= arm.mostKg)) return null;
      const isOver = thing.loadKg > arm.mostKg;
      const { name } = thing.support;
      return {
        level: 'warn',
        title: `${name} ${isOver ? 'sinks' : 'flies up'} with ${kilograms(thing.loadKg)}`,
        says:
          `${kilograms(thing.loadKg)} hang on ${name}, whose springs hold ${figure(arm.leastKg, 1)} ` +
          `to ${figure(arm.mostKg, 1)} kg. It ${isOver ? 'sinks during the show' : 'does not stay down'}. ` +
          'Use an arm made for that weight.',
      };
    },
    sums: (thing, measured) => [loadSum(measured, thing)],
    fixes: (thing) => otherArms(thing, thing.armM ?? 0),
  },
);

export const armShort = eachStandsRule<Loaded>(
  'stands.arm-short',
  {
    looksFor: 'An arm that does not reach from its clamp to where its microphone must be.',
    why: 'The talker ends up leaning to the microphone, and is out of the picture or out of breath.',
    remedy: 'Clamp it nearer, or use a longer one.',
    source: 'handbook 5-plan, stands',
  },
  {
    all: loaded,
    about: aboutSupport,
    judge: (thing) => {
      const arm = armOf(thing);
      if (!arm || thing.armM === null || thing.armM <= arm.reachM) return null;
      return {
        level: 'warn',
        title: `${thing.support.name} ends ${figure(100 * (thing.armM - arm.reachM), 0)} cm short`,
        says:
          `From its clamp to the microphone it is ${figure(thing.armM, 2)} m; ${thing.support.name} ` +
          `reaches ${figure(arm.reachM, 2)} m. Clamp it nearer, or use a longer one.`,
      };
    },
    sums: (thing) => [
      {
        label: 'From the clamp to the microphone',
        formula: '√(along the plan² + up²)',
        inputs: [{ name: 'reach of the arm', value: armOf(thing)?.reachM ?? 'unknown', unit: 'm' }],
        result: thing.armM,
        unit: 'm',
        source: 'the plan',
      },
    ],
    fixes: (thing) => (thing.armM === null ? [] : otherArms(thing, thing.armM)),
  },
);

const edgeOf = (thing: Loaded, measured: Measured): number | null => {
  const { onId } = thing.support;
  const desk = onId === null ? undefined : entry(measured.rig.supports, onId);
  return desk?.figures.is === 'desk' ? desk.figures.edgeMm : null;
};

export const clampMisfit = eachStandsRule<Loaded>(
  'stands.clamp-misfit',
  {
    looksFor: 'An arm whose clamp does not fit the edge of its desk.',
    why: 'It cannot be put there, or comes off.',
    remedy: 'Clamp it elsewhere, or screw a foot for it to the top.',
    source: 'handbook 5-plan, stands',
  },
  {
    all: loaded,
    about: aboutSupport,
    judge: (thing, measured) => {
      const [arm, edgeMm] = [figuresAs(thing, 'arm'), edgeOf(thing, measured)];
      if (!arm || edgeMm === null || (arm.clampLeastMm <= edgeMm && edgeMm <= arm.clampMostMm))
        return null;
      return {
        level: 'stop',
        title: `${thing.support.name} does not clamp to ${figure(edgeMm, 0)} mm`,
        says:
          `Its clamp takes edges of ${figure(arm.clampLeastMm, 0)} to ${figure(arm.clampMostMm, 0)} mm; ` +
          `the desk is ${figure(edgeMm, 0)} mm thick. Clamp it elsewhere, or screw a foot for it to the top.`,
      };
    },
    fixes: (thing, measured) => {
      const [arm, edgeMm] = [figuresAs(thing, 'arm'), edgeOf(thing, measured)];
      return arm && edgeMm !== null
        ? [
            batchFix('Screw a foot for it to the top', [
              changeFigures(thing.id, {
                ...arm,
                clampLeastMm: Math.min(arm.clampLeastMm, edgeMm),
                clampMostMm: Math.max(arm.clampMostMm, upTo(edgeMm, 1)),
              }),
            ]),
          ]
        : [];
    },
  },
);
