import {
  type AgendaShow,
  agendaOf,
  analyse,
  type Clash,
  clashesOf,
  filePlan,
  leftByMonth,
  type LeftInMonth,
  type Rig,
  thingFindings,
  type ThingFinding,
} from '@echo-loom/core';
import { listRigs } from './rigs';
import { listThings } from './things';

export interface Schedule {
  readonly shows: readonly AgendaShow[];
  readonly clashes: readonly Clash[];
  /** Things of the studio that two rigs want on one day */
  readonly things: readonly ThingFinding[];
  /** Rigs that could not be read: nothing is known of their shows */
  readonly unread: number;
}

/** The rigs on the shelf that can be read. */
const readable = (rigs: Awaited<ReturnType<typeof listRigs>>): { id: string; rig: Rig }[] =>
  rigs.flatMap(({ id, read }) => (read.ok ? [{ id, rig: read.rig }] : []));

/** What the shows of all rigs leave, by month. Computes every rig that has a show. */
export const readLeft = async (): Promise<readonly LeftInMonth[]> =>
  leftByMonth(
    readable(await listRigs())
      .filter(({ rig }) => Object.keys(rig.shows).length > 0)
      .map(({ rig }) => ({ rig, gbPerShow: filePlan(analyse(rig)).gbPerShow })),
  );

/** Every show of every rig on the shelf, and what is wanted twice. */
export const readSchedule = async (): Promise<Schedule> => {
  const [rigs, things] = await Promise.all([listRigs(), listThings()]);
  const named = readable(rigs);
  return {
    shows: agendaOf(named),
    clashes: clashesOf(named),
    things: thingFindings(things, named).filter(({ code }) => code === 'things.same-day'),
    unread: rigs.length - named.length,
  };
};
