import {
  type AgendaShow,
  agendaOf,
  type Clash,
  clashesOf,
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

/** Every show of every rig on the shelf, and what is wanted twice. */
export const readSchedule = async (): Promise<Schedule> => {
  const [rigs, things] = await Promise.all([listRigs(), listThings()]);
  const named = rigs.flatMap(({ id, read }) => (read.ok ? [{ id, rig: read.rig }] : []));
  return {
    shows: agendaOf(named),
    clashes: clashesOf(named),
    things: thingFindings(things, named).filter(({ code }) => code === 'things.same-day'),
    unread: rigs.length - named.length,
  };
};
