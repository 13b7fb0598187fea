import {
  type AgendaShow,
  agendaOf,
  type Clash,
  clashesOf,
  leftByMonth,
  type LeftInMonth,
  thingFindings,
  type ThingFinding,
} from '@echo-loom/core';
import { digested } from './digests';
import { listThings } from './things';

export interface Schedule {
  readonly shows: readonly AgendaShow[];
  readonly clashes: readonly Clash[];
  /** Things of the studio that two rigs want on one day */
  readonly things: readonly ThingFinding[];
  /** What the shows of all rigs leave, by month */
  readonly left: readonly LeftInMonth[];
  /** Rigs that could not be read: nothing is known of their shows */
  readonly unread: number;
  /** Rigs that changed and are not worked out yet: what stands here of them is of before, or nothing */
  readonly behind: number;
}

/**
 * Every show of every rig on the shelf, and what is wanted twice.
 * @param patienceMs how long rigs that changed are waited for; Infinity for whoever takes the answer away
 */
export const readSchedule = async (patienceMs?: number): Promise<Schedule> => {
  const [rigs, things] = await Promise.all([digested(undefined, patienceMs), listThings()]);
  const read = rigs.flatMap(({ digest }) => (digest?.is === 'read' ? [digest] : []));
  const days = read.map((digest) => digest.days);
  const uses = read.flatMap((digest) => digest.uses);
  return {
    shows: agendaOf(days),
    clashes: clashesOf(days),
    things: thingFindings(things, uses).filter(({ code }) => code === 'things.same-day'),
    left: leftByMonth(read.flatMap(({ leaves }) => leaves ?? [])),
    unread: rigs.filter(({ digest }) => digest?.is === 'unreadable').length,
    behind: rigs.filter(({ isNow }) => !isNow).length,
  };
};
