import type { Measured } from '../../passes/measured';
import type { Pair } from '../../passes/time';
import type { Sum } from '../../passes/sum';
import { figure } from '../../passes/sum';
import { entry } from '../../rig';

/** How delays are told. */

/** `143.8 ms` */
export const inMs = (ms: number): string => `${figure(ms)} ms`;

export const nameOf = ({ rig }: Pick<Measured, 'rig'>, deviceId: string): string =>
  entry(rig.devices, deviceId)?.name ?? deviceId;

/** `Host mic` or `Host mic and 3 more` */
export const sourcesText = (
  measured: Pick<Measured, 'rig'>,
  { sourceIds }: { readonly sourceIds: readonly string[] },
): string => {
  const [first = ''] = sourceIds;
  const name = nameOf(measured, first);
  return sourceIds.length > 1 ? `${name} and ${sourceIds.length - 1} more` : name;
};

/** Steps of both ways and what is left between them. */
export const offsetSums = (measured: Measured, pair: Pair): Sum[] => {
  const inputs = (steps: Pair['sound']['steps']) =>
    steps.map(({ deviceId, ms, by }) => ({
      name: `${nameOf(measured, deviceId)}, ${by}`,
      value: ms ?? 'not known',
      unit: 'ms',
    }));
  const total = (steps: Pair['sound']['steps']): number | null =>
    steps.some(({ ms }) => ms === null) ? null : steps.reduce((sum, { ms }) => sum + (ms ?? 0), 0);
  const side = (label: string, steps: Pair['sound']['steps']): Sum => ({
    label,
    formula: 'sum of the delays on the way',
    inputs: inputs(steps),
    result: total(steps),
    unit: 'ms',
    source: 'handbook 4-time-storage, delay along a path',
  });
  return [
    side('Sound on its way', pair.sound.steps),
    side('Picture on its way', pair.picture.steps),
    {
      label: 'Offset',
      formula: pair.measured
        ? 'measured, and what was set since'
        : 'sound − picture, without what both go through',
      inputs: [
        { name: 'least', value: Number(pair.leastMs.toFixed(2)), unit: 'ms' },
        { name: 'most', value: Number(pair.mostMs.toFixed(2)), unit: 'ms' },
      ],
      result: pair.offsetMs,
      unit: 'ms',
      source: pair.measured ? 'measured' : 'handbook 4-time-storage, worked D',
    },
  ];
};
