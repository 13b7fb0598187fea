import { nameOfThing } from '../../passes/names';
import { type Exposed, exposures } from '../../passes/exposure';
import { type FaceLight, falloff, type OnFace } from '../../passes/light';
import type { Measured } from '../../passes/measured';
import { figure, type Sum, type SumInput } from '../../passes/sum';
import type { About } from '../about';

/** What rules of light share: where a finding stands, and the sums behind it. */

export const SOURCE = 'handbook 6-light';

export const input = (name: string, value: number | string, unit = ''): SumInput => ({
  name,
  value,
  unit,
});

export const sum = (
  label: string,
  formula: string,
  inputs: readonly SumInput[],
  result: number | null,
  unit: string,
  source = SOURCE,
): Sum => ({ label, formula, inputs: [...inputs], result, unit, source });

export const ofPerson = ({ personId }: Pick<FaceLight, 'personId'>): About => ({
  kind: 'person',
  personId,
});

export const ofShot = ({ shotId, framing }: Pick<Exposed, 'shotId' | 'framing'>): About => ({
  kind: 'shot',
  shotId,
  deviceId: framing.shot.deviceId,
});

export const ofBackdrop = ({ id }: { readonly id: string }): About => ({
  kind: 'backdrop',
  backdropId: id,
});

export const lux = (value: number): string => `${figure(value, 0)} lux`;
export const stops = (value: number): string => {
  const text = figure(Math.abs(value));
  return `${text} ${text === '1.0' ? 'stop' : 'stops'}`;
};

/** The shot that shows a face alone, or else the first that shows it. */
export const shotOfFace = (measured: Measured, face: FaceLight): Exposed | undefined => {
  const all = exposures(measured).filter(({ faces }) =>
    faces.some(({ personId }) => personId === face.personId),
  );
  return all.find(({ faces }) => faces.length === 1) ?? all[0];
};

/** What each source gives on a face, as sums. Those that give next to nothing are left out. */
export const partSums = (measured: Measured, face: FaceLight): Sum[] => [
  ...face.parts.filter((part) => part.lux > 0.01 * face.lux).map((part) => partSum(measured, part)),
  ...(face.roomLux > 0
    ? [sum('From the walls', 'Φ × ρ ÷ (A × (1 − ρ)) of all sources', [], face.roomLux, 'lux')]
    : []),
];

/** The light of one source on a face, by the inverse square. */
export const partSum = (measured: Measured, part: OnFace): Sum =>
  sum(
    `${nameOfThing(measured, part.source)} on the face`,
    part.source.of === 'lamp'
      ? 'lux at 1 m × dimmer ÷ d² × cos(incidence) × falloff, summed over its face where it is large'
      : 'luminance × area ÷ d², summed over its face, and the sun where it shines in',
    [
      input('at 1 m', part.source.luxAt1m, 'lux'),
      input('dimmer', 100 * part.source.share, '%'),
      input('distance', part.distanceM, 'm'),
      input('incidence', part.incidenceDeg, '°'),
      input('off its axis', part.offAxisDeg, '°'),
      input('falloff', falloff(part.source.beamDeg, part.offAxisDeg)),
    ],
    part.lux,
    'lux',
  );
