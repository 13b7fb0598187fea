import type { Signal, Stage } from '../graph';
import type { Measured } from './measured';
import type { PictureFigures } from './picture';
import type { SoundFigures } from './sound';

/** The stage a finding points at, in the analysis it came from. */
export const stageOf = ({ traced }: Measured, index: number | undefined): Stage | undefined =>
  index === undefined ? undefined : traced.stages[index];

const each = <Figures>(
  { stages, walks }: Measured['traced'],
  signal: Signal,
  figures: readonly (Figures | undefined)[],
  visit: (stage: Stage, here: Figures) => void,
): void => {
  for (const walk of walks) {
    if (walk.signal !== signal) continue;
    for (let index = walk.from; index < walk.to; index++) {
      const stage = stages[index];
      const here = figures[index];
      if (stage && here) visit(stage, here);
    }
  }
};

/** Goes by every stage of pictures whose figures are known, in their order. */
export const eachPicture = (
  { traced, picture }: Measured,
  visit: (stage: Stage, figures: PictureFigures) => void,
): void => each(traced, 'picture', picture, visit);

/** Goes by every stage of sound whose figures are known, in their order. */
export const eachSound = (
  { traced, sound }: Measured,
  visit: (stage: Stage, figures: SoundFigures) => void,
): void => each(traced, 'sound', sound, visit);
