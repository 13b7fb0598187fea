import { gainOf, type GainSetting } from '.';
import type { Stage } from '../../graph';
import { stagesOf } from '../../graph';
import { cable } from '../../rig/links/cables';
import type { Measured } from '../measured';
import { passBySource } from '../pass';

/** Every place where an analogue signal becomes digital, once for each source that comes by. */
export const conversions = passBySource(
  'conversions',
  'sound',
  (measured, walk): readonly Stage[] => {
    const { stages } = measured.traced;
    const found: Stage[] = [];
    // A converter that feeds several outputs is one place: the ways in, each with the port it was entered by.
    const seen = new Map<Stage['via'], number[]>();
    for (let index = walk.from; index < walk.to; index++) {
      const stage = stages[index];
      if (!stage?.parent || !isConversion(stage)) continue;
      const entered = seen.get(stage.via);
      if (entered?.includes(stage.parent.at.index)) continue;
      found.push(stage);
      if (entered) entered.push(stage.parent.at.index);
      else seen.set(stage.via, [stage.parent.at.index]);
    }
    return found;
  },
);

/** Whether a stage is where an analogue signal becomes digital. */
export const isConversion = (stage: Stage): boolean =>
  stage.via.by === 'route' &&
  stage.via.route.route.sound?.toDigital !== undefined &&
  stage.parent?.at.port.family === 'analogue';

/** Whether a signal has been digital before it comes to a stage: a converter made it so, or it began so. */
export const wasDigital = (stage: Stage): boolean => {
  for (let at = stage.parent; at; at = at.parent)
    if (isConversion(at) || at.at.port.family !== 'analogue') return true;
  return false;
};

/** A gain a thread passes that someone can turn. */
export interface AdjustableGain {
  readonly stage: Stage;
  readonly gain: GainSetting;
  readonly control: string;
}

/** The gains on the way to a stage that can be turned, the nearest to the stage first. */
export const adjustableGains = (measured: Measured, stage: Stage): AdjustableGain[] =>
  stagesOf(stage)
    .reverse()
    .flatMap((at) => {
      if (at.via.by !== 'route' || !at.via.route.route.sound) return [];
      const gain = gainOf(measured.device(at.at.device), at.via.route.route.sound);
      return gain.control === null ? [] : [{ stage: at, gain, control: gain.control }];
    });

/** A gain on the control's own steps, nearest to what is wanted and inside its range. @unit dB */
export const steppedGain = (wantedDb: number, gain: GainSetting): number => {
  const steps = Math.round((wantedDb - gain.minDb) / gain.stepDb);
  const stepped = gain.minDb + steps * gain.stepDb;
  return Math.min(gain.maxDb, Math.max(gain.minDb, Number(stepped.toFixed(4))));
};

export { cable };
