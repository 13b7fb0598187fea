import { readFileSync } from 'node:fs';

/** The middle one of some values; NaN of none. */
export const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

/** How long some work takes. @unit ms */
export const clock = (work: () => void): number => {
  const start = performance.now();
  work();
  return performance.now() - start;
};

/**
 * What this thread has had of a processor; without Linux's own account, what the whole process has had, with the
 * threads that compile and collect beside it. @unit ms
 */
const spentMs = (): number => {
  try {
    const [ns = ''] = readFileSync(`/proc/self/task/${process.pid}/schedstat`, 'utf8').split(' ');
    return Number(ns) / 1e6;
  } catch {
    const { user, system } = process.cpuUsage();
    return (user + system) / 1000;
  }
};

/** What some work asks of the processor, whatever else the machine does meanwhile. @unit ms */
export const processorTime = (work: () => void): number => {
  const start = spentMs();
  work();
  return spentMs() - start;
};

/** Two million additions and square roots. */
export const plainLoop = (): number => {
  let sum = 0;
  for (let n = 1; n <= 2_000_000; n++) sum += Math.sqrt(n);
  return sum;
};

/** What an ordinary machine of 2024 takes for the loop: the targets are stated for one. @unit ms */
export const ORDINARY_LOOP_MS = 2.4;
