import { framesPerSecond } from '../../units';
import { numberSetting } from '../../rig';
import type { Measured } from '../measure';

/** Delay from the source to a stage. */
export interface Delay {
  /** Sum of what is known. @unit ms */
  readonly knownMs: number;
  /** Devices on the way whose delay is not known */
  readonly unknown: number;
}

const AT_SOURCE: Delay = { knownMs: 0, unknown: 0 };

/**
 * The time pass: typical delay of every thread at every stage, and how much of it is unknown. A
 * delay in frames counts the frames of
 * the picture that enters the device.
 * @returns delays by stage index
 */
export const timePass = (measured: Measured): readonly Delay[] => {
  const { picture } = measured;
  const { stages } = measured.traced;
  const delays: Delay[] = new Array(stages.length);
  for (const stage of stages) {
    const before = (stage.parent && delays[stage.parent.index]) ?? AT_SOURCE;
    if (stage.via.by !== 'route') {
      delays[stage.index] = before;
      continue;
    }
    const { delay } = stage.via.route.route;
    const format = stage.parent ? picture[stage.parent.index]?.format : null;
    const ms =
      delay === null
        ? null
        : 'ms' in delay
          ? delay.ms
          : 'control' in delay
            ? (numberSetting(measured.device(stage.at.device), delay.control) ?? null)
            : delay.frames === 0
              ? 0
              : format
                ? // Two fields make a frame: two frames of 1080i50 are 80 ms.
                  (1000 * delay.frames) / framesPerSecond(format)
                : null;
    delays[stage.index] =
      ms === 0
        ? before
        : ms === null
          ? { ...before, unknown: before.unknown + 1 }
          : { ...before, knownMs: before.knownMs + ms };
  }
  return delays;
};
