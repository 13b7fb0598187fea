import type { Delay } from '../figures/delay';
import type { Measured } from '../measured';
import { stageSteps } from './step';

export type * from '../figures/delay';
export * from './listeners';
export * from './meetings';
export * from './step';

const AT_SOURCE: Delay = { knownMs: 0, unknown: 0 };

const later = (before: Delay, ms: number | null): Delay => {
  if (ms === 0) return before;
  return ms === null
    ? { ...before, unknown: before.unknown + 1 }
    : { ...before, knownMs: before.knownMs + ms };
};

/**
 * The time pass: delay of every thread at every stage from its source's socket, and how much of it is
 * unknown. A delay in frames counts the frames of the picture that enters the device.
 * @returns delays by stage index
 */
export const timePass = (measured: Measured): readonly Delay[] => {
  const { stages } = measured.traced;
  const steps = stageSteps(measured);
  const delays: Delay[] = new Array(stages.length);
  for (const stage of stages) {
    const before = (stage.parent && delays[stage.parent.index]) ?? AT_SOURCE;
    const { route = null, set = null } = steps[stage.index] ?? {};
    const here = route ? later(before, route.ms) : before;
    delays[stage.index] = set ? later(here, set.ms) : here;
  }
  return delays;
};
