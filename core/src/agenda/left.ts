import { inOrder, type Rig } from '../rig';

/** What the shows of all rigs leave on drives, month by month. Gigabytes are 10⁹ bytes. */

export interface RigLeaves {
  readonly rig: Pick<Rig, 'shows' | 'fileRules'>;
  readonly gbPerShow: number;
}

export interface LeftInMonth {
  /** `2026-12` */
  readonly month: string;
  readonly shows: number;
  /** Recorded in it. @unit GB, one copy */
  readonly gb: number;
  /** What lies there at its end of all that was recorded since the first month. @unit GB, one copy */
  readonly keptGb: number;
}

const MONTHS = 12;
/** Months since the year 0. @param on a day or a month: `2026-12-03` */
const monthOf = (on: string): number =>
  Number(on.slice(0, 4)) * MONTHS + Number(on.slice(5, 7)) - 1;
const monthText = (month: number): string =>
  `${String(Math.floor(month / MONTHS)).padStart(4, '0')}-${String((month % MONTHS) + 1).padStart(2, '0')}`;

/** Most months that are told; shows later than that wait. */
const MOST_MONTHS = 60;

/**
 * From the month of the first show to that of the last. A show of a month with `keepMonths` 2 lies there at the end of
 * that month and of the next, and is gone at the end of the one after.
 */
export const leftByMonth = (rigs: readonly RigLeaves[]): readonly LeftInMonth[] => {
  const shows = rigs.flatMap(({ rig, gbPerShow }) =>
    inOrder(rig.shows).map(([, { on }]) => ({
      month: monthOf(on),
      gb: gbPerShow,
      keepMonths: rig.fileRules.keepMonths ?? Infinity,
    })),
  );
  if (shows.length === 0) return [];
  const months = shows.map(({ month }) => month);
  const first = Math.min(...months);
  const many = Math.min(MOST_MONTHS, Math.max(...months) - first + 1);
  const sum = (of: readonly { readonly gb: number }[]): number =>
    of.reduce((all, { gb }) => all + gb, 0);
  return Array.from({ length: many }, (_, at) => {
    const month = first + at;
    const its = shows.filter((show) => show.month === month);
    const lying = shows.filter(
      (show) => show.month <= month && month < show.month + show.keepMonths,
    );
    return { month: monthText(month), shows: its.length, gb: sum(its), keptGb: sum(lying) };
  });
};
