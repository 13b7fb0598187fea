import { scheduleFor, type Task } from './schedule';

/** What a schedule would gain if tasks took less. Times in minutes. */

export interface Saving {
  readonly id: string;
  /** Person-minutes that are no longer worked */
  readonly workMin: number;
  /** By how much sooner all is done; null where neither time is proved best, and they cannot be compared */
  readonly sooner: number | null;
}

/**
 * What it would save if tasks took less, each by itself; those that save most first.
 * @param lessBy minutes that a task would take less; all of them, and it falls away
 */
export const savings = (
  tasks: readonly Task[],
  people: number,
  lessBy: ReadonlyMap<string, number>,
): Saving[] => {
  const now = scheduleFor(tasks, people);
  if (!now.ok) return [];
  return tasks
    .flatMap((task) => {
      const less = Math.min(task.minutes, lessBy.get(task.id) ?? 0);
      if (less <= 0) return [];
      // Two times that are only near the best say nothing by their difference.
      const then = now.isBest
        ? scheduleFor(
            tasks.map((one) =>
              one.id === task.id ? { ...one, minutes: one.minutes - less } : one,
            ),
            people,
          )
        : null;
      const sooner = then?.ok && then.isBest ? Math.max(0, now.minutes - then.minutes) : null;
      return [{ id: task.id, workMin: less * task.people, sooner }];
    })
    .sort((a, b) => (b.sooner ?? 0) - (a.sooner ?? 0) || b.workMin - a.workMin);
};
