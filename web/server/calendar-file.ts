import type { AgendaShow } from '@echo-loom/core';
import { createEvents, type EventAttributes } from 'ics';

/** The schedule as a calendar file. Times are those of the clock on the wall, wherever it hangs. @source RFC 5545 */

const dayOf = (on: string): [number, number, number] => {
  const [year = 0, month = 1, day = 1] = on.split('-').map(Number);
  return [year, month, day];
};

/** A moment of a day and minutes after its midnight, which may be those of another day. */
const moment = (on: string, min: number): [number, number, number, number, number] => {
  const at = new Date(Date.parse(`${on}T00:00:00Z`) + Math.round(min) * 60_000);
  return [
    at.getUTCFullYear(),
    at.getUTCMonth() + 1,
    at.getUTCDate(),
    at.getUTCHours(),
    at.getUTCMinutes(),
  ];
};

const list = (label: string, names: readonly string[]): string[] =>
  names.length === 0 ? [] : [`${label}: ${names.join(', ')}`];

const eventOf = (show: AgendaShow): EventAttributes => {
  const { rigId, rigName, showId, name, on, fromMin, beginsMin, untilMin } = show;
  const about = {
    uid: `${showId}.${rigId}@echo-loom`,
    title: name === rigName ? name : `${rigName}: ${name}`,
    productId: 'echo-loom',
    description: [
      ...list('In the room', show.onSite),
      ...list('By line', show.remote),
      ...list('Charge the evening before', show.batteries),
      ...list('Empty, when verified twice', show.cards),
    ].join('\n'),
  };
  if (beginsMin === null || fromMin === null)
    return { ...about, start: dayOf(on), duration: { days: 1 } };
  return {
    ...about,
    start: moment(on, fromMin),
    startInputType: 'local',
    startOutputType: 'local',
    end: moment(on, untilMin ?? beginsMin + 60),
    endInputType: 'local',
    endOutputType: 'local',
  };
};

/** @throws Error where the library refuses one of them */
export const calendarFile = (shows: readonly AgendaShow[]): string => {
  const { error, value } = createEvents(shows.map(eventOf), {
    productId: 'echo-loom',
    calName: 'Echo Loom',
  });
  if (typeof value !== 'string') throw error ?? new Error('No calendar was made.');
  return value;
};
