import { type DeviceNode, isSocketHeld } from '../../graph';
import { devices, houseRule, one } from './house-rule';

/** Inputs of a device that take a source of its kind, and how many hold one. */
const inputs = (node: DeviceNode): { all: number; held: number } => {
  const own = node.ports
    .values()
    .filter(
      ({ port }) =>
        port.direction === 'in' &&
        (node.model.kind === 'switcher'
          ? port.family === 'picture'
          : port.family === 'analogue' && port.nominal === 'microphone'),
    );
  return { all: own.length, held: own.filter(isSocketHeld).length };
};

/**
 * Inputs kept free by the school of one in four. Of two inputs that is none: the smallest
 * interfaces are judged from four on.
 */
const keptFree = (all: number): number => Math.floor(all / 4);

export const spareInputs = houseRule(
  'spareInputs',
  'brief.spare-inputs',
  {
    looksFor: 'A switcher, interface or mixer in use with fewer than one input in four free.',
    why: 'One more person turns up, and the whole box has to be changed.',
    remedy: 'Use the next larger one, or choose the school of exactly enough.',
  },
  (measured) =>
    measured.rig.houseRules.spareInputs === 'exact'
      ? []
      : devices(measured, 'switcher', 'interface', 'mixer').flatMap((node) => {
          const { all, held } = inputs(node);
          const wanted = keptFree(all);
          return held === 0 || all - held >= wanted
            ? []
            : [
                one(
                  'warn',
                  node,
                  `${held} of ${all} inputs in use`,
                  `${measured.device(node).name} has ${all - held} of ${all} inputs free; the house rule keeps ` +
                    `one in four, ${wanted}. Use a larger one before one more person turns up.`,
                ),
              ];
        }),
  {
    sums: (measured, { about }) => {
      const node =
        about.deviceId === undefined ? undefined : measured.graph.devices.get(about.deviceId);
      if (!node) return [];
      const { all, held } = inputs(node);
      return [
        {
          label: `Inputs of ${measured.device(node).name} that are free`,
          formula: 'inputs − in use, against a quarter of them, rounded down',
          inputs: [
            { name: 'inputs', value: all, unit: '' },
            { name: 'in use', value: held, unit: '' },
            { name: 'to be kept free', value: keptFree(all), unit: '' },
          ],
          result: all - held,
          unit: '',
          source: 'handbook 1-the-work: spare inputs',
        },
      ];
    },
  },
);
