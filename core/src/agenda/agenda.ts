import { secondsOfDay } from '../day/rundown';
import { batteryOf } from '../passes/power';
import { inOrder } from '../rig';
import type { NamedRig } from '../things';

/** Every show of every rig against the calendar: who is needed, what must be ready, and what is wanted twice. */

/** One day a rig is used on. */
export interface AgendaShow {
  readonly rigId: string;
  readonly rigName: string;
  readonly showId: string;
  readonly name: string;
  /** `2026-12-03` */
  readonly on: string;
  /** Minutes since midnight that the room is wanted from, set-up included; null where no beginning is said */
  readonly fromMin: number | null;
  /** Minutes since midnight that the show begins at */
  readonly beginsMin: number | null;
  /** Past midnight it is more than a day. @unit min */
  readonly untilMin: number | null;
  /** Those who come into the room */
  readonly onSite: readonly string[];
  readonly remote: readonly string[];
  /** Devices that run on batteries: charged the evening before */
  readonly batteries: readonly string[];
  /** Devices that record on cards: emptied before, when their files are verified twice */
  readonly cards: readonly string[];
}

const showsOf = ({ id: rigId, rig }: NamedRig): AgendaShow[] => {
  const { brief, beginsAt } = rig;
  const begins = beginsAt === null ? null : secondsOfDay(beginsAt) / 60;
  const devices = inOrder(rig.devices).map(([, device]) => device);
  const people = inOrder(rig.people)
    .map(([, person]) => person)
    .filter((person) => person.is === 'person');
  const named = (where: 'on site' | 'remote'): string[] =>
    people.filter((person) => person.where === where).map(({ name }) => name);
  return inOrder(rig.shows).map(([showId, { name, on }]) => ({
    rigId,
    rigName: rig.name,
    showId,
    name,
    on,
    fromMin: begins === null ? null : begins - (brief?.setUpMin ?? 0),
    beginsMin: begins,
    untilMin: begins === null || !brief ? null : begins + brief.lengthMin,
    onSite: named('on site'),
    remote: named('remote'),
    batteries: devices.filter((device) => batteryOf(device) !== null).map((device) => device.name),
    cards: devices
      .filter(({ model }) => model.storage?.medium === 'card')
      .map((device) => device.name),
  }));
};

/** What the calendar asks of one rig: kept of each revision, so that a rig is not read again for a visit. */
export interface RigDays {
  readonly rigId: string;
  readonly shows: readonly AgendaShow[];
  readonly room: {
    /** As it is called; null where it is not */
    readonly name: string | null;
    /** Its corners as a text; null where it is not drawn */
    readonly outline: string | null;
  };
}

export const rigDays = (named: NamedRig): RigDays => ({
  rigId: named.id,
  shows: showsOf(named),
  room: {
    name: named.rig.room.name || null,
    outline: named.rig.shell ? JSON.stringify(named.rig.shell.corners) : null,
  },
});

/** In the order of the days, then of their beginnings; what has no beginning last on its day. */
export const agendaOf = (rigs: readonly RigDays[]): AgendaShow[] =>
  rigs
    .flatMap(({ shows }) => shows)
    .sort(
      (a, b) =>
        a.on.localeCompare(b.on) ||
        (a.beginsMin ?? Infinity) - (b.beginsMin ?? Infinity) ||
        a.rigName.localeCompare(b.rigName),
    );

export interface Clash {
  readonly on: string;
  readonly is: 'person' | 'room';
  /** Whether both are wanted at once; else it is only the same day, or nobody has said when */
  readonly level: 'stop' | 'warn' | 'note';
  readonly rigIds: readonly [string, string];
  readonly says: string;
  readonly sum: string;
}

const two = (value: number): string => String(value).padStart(2, '0');

/** `19:30`; past midnight it begins anew. */
export const minuteText = (min: number): string => {
  const whole = ((Math.round(min) % 1440) + 1440) % 1440;
  return `${two(Math.floor(whole / 60))}:${two(whole % 60)}`;
};

const spanText = ({ rigName, fromMin, untilMin }: AgendaShow): string =>
  fromMin === null || untilMin === null
    ? `${rigName}: nobody has said when`
    : `${rigName}: ${minuteText(fromMin)} to ${minuteText(untilMin)} with set-up`;

/** Minutes between two, which may be of two days; below 0 they overlap; null where one of them is not known. */
const between = (a: AgendaShow, b: AgendaShow): number | null => {
  if (a.fromMin === null || a.untilMin === null || b.fromMin === null || b.untilMin === null)
    return null;
  const days = (Date.parse(b.on) - Date.parse(a.on)) / 60_000;
  return Math.max(days + b.fromMin - a.untilMin, a.fromMin - b.untilMin - days);
};

const howNear = (
  a: AgendaShow,
  b: AgendaShow,
): { readonly level: Clash['level']; readonly says: string } => {
  const gap = between(a, b);
  return gap === null
    ? { level: 'warn', says: 'on the same day, and nobody has said when' }
    : gap < 0
      ? { level: 'stop', says: `at once for ${-gap} min` }
      : { level: 'note', says: `on the same day, ${gap} min apart` };
};

const same = (name: string): string => name.trim().toLowerCase();

/** By name where both have one, else by the outline they are drawn in. */
const isOneRoom = ({ room: a }: RigDays, { room: b }: RigDays): boolean =>
  a.name !== null && b.name !== null
    ? same(a.name) === same(b.name)
    : a.outline !== null && a.outline === b.outline;

/** What two rigs want on one day: a person by name, a room. Things are found with the things. */
export const clashesOf = (rigs: readonly RigDays[]): Clash[] => {
  const shows = agendaOf(rigs);
  const byId = new Map(rigs.map((rig) => [rig.rigId, rig]));
  return shows.flatMap((a, at) =>
    shows.slice(at + 1).flatMap((b): Clash[] => {
      // A show may end after midnight, in the set-up of another.
      const isNear = a.on === b.on || (between(a, b) ?? 0) < 0;
      if (!isNear || a.rigId === b.rigId) return [];
      const { level, says } = howNear(a, b);
      const about = {
        on: a.on,
        level,
        rigIds: [a.rigId, b.rigId] as const,
        sum: `${spanText(a)}; ${spanText(b)}`,
      };
      const theirs = new Set([...b.onSite, ...b.remote].map(same));
      const [one, two] = [byId.get(a.rigId), byId.get(b.rigId)];
      return [
        ...[...a.onSite, ...a.remote]
          .filter((name) => theirs.has(same(name)))
          .map((name) => ({
            ...about,
            is: 'person' as const,
            says: `${name} is wanted in ${a.rigName} and in ${b.rigName} ${says}, if it is one person.`,
          })),
        ...(one && two && isOneRoom(one, two)
          ? [
              {
                ...about,
                is: 'room' as const,
                says: one.room.name
                  ? `${a.rigName} and ${b.rigName} want ${one.room.name} ${says}.`
                  : `${a.rigName} and ${b.rigName} are drawn in the same room and want it ${says}.`,
              },
            ]
          : []),
      ];
    }),
  );
};
