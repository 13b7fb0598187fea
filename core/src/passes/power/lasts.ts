import type { Charger, Rig } from '../../rig';

/** How long what holds its own power lasts. */

/**
 * How long a supply carries a load.
 * @param wh what its battery holds @param efficiency of what makes mains of it, 0 to 1 @param w the load
 * @returns min; Infinity where nothing hangs on it
 * @source handbook 5, Power: 288 Wh, 0.85, 190 W are 77 min
 */
export const upsMinutes = (wh: number, efficiency: number, w: number): number =>
  w <= 0 ? Infinity : (60 * wh * efficiency) / w;

/** Share of a battery that is used before it is changed. @source handbook 5, Power */
const USABLE = 0.85;

/** How long a battery lasts. @returns h @source handbook 5, Power: 16.4 Wh at 6.2 W are 2.25 h */
export const batteryHours = (wh: number, w: number): number => (wh * USABLE) / w;

/** What a long day asks of batteries that are alike. */
export interface BatteryDay {
  /** Devices that run on them, one each */
  readonly devices: number;
  /** How long one lasts. @unit h */
  readonly lastsH: number;
  /** How long a charge takes. @unit h */
  readonly chargeH: number;
  /** @unit h */
  readonly dayH: number;
  /** Slots of the charger */
  readonly slots: number;
}

/**
 * Whether so many batteries, all full in the morning, last the day: each is run to empty, changed for a
 * full one, and charged as soon as a slot is free.
 */
const lastsDay = (
  count: number,
  { devices, lastsH, chargeH, dayH, slots }: BatteryDay,
): boolean => {
  let full = count - devices;
  if (full < 0) return false;
  /** When each slot is free again */
  const free = Array.from({ length: slots }, () => 0);
  /** When each charge ends */
  let charges: number[] = [];
  for (let change = 1; change * lastsH < dayH - 1e-9; change++) {
    const now = change * lastsH;
    full += charges.filter((end) => end <= now + 1e-9).length;
    charges = charges.filter((end) => end > now + 1e-9);
    if (full < devices) return false;
    full -= devices;
    for (let empty = 0; empty < devices && slots > 0; empty++) {
      const slot = free.indexOf(Math.min(...free));
      const end = Math.max(now, free[slot] ?? now) + chargeH;
      free[slot] = end;
      charges.push(end);
    }
  }
  return true;
};

/**
 * How many batteries a long day asks for.
 * @source handbook 5, Power: three cameras of 2.25 h, charged in 2.5 h, a day of 8 h: 12 without a
 * charger, 10 with two slots, 9 with three or more
 */
export const batteriesFor = (day: BatteryDay): number => {
  for (let count = day.devices; ; count++) if (lastsDay(count, day)) return count;
};

/**
 * The chargers of a rig as one: all their slots, and the longest charge of them.
 * @returns null where it has none
 */
export const chargersOf = ({ loads }: Pick<Rig, 'loads'>): Charger | null => {
  const chargers = Object.values(loads).flatMap(({ charges }) => charges ?? []);
  return chargers.length === 0
    ? null
    : {
        slots: chargers.reduce((sum, { slots }) => sum + slots, 0),
        chargeH: Math.max(...chargers.map(({ chargeH }) => chargeH)),
      };
};

/** What one change of air an hour carries off. @unit W/(m³·K) */
const AIR = 0.33;

/**
 * How much warmer the air gets.
 * @param w heat given off @param airChanges of the room, an hour @param volumeM3 of the room
 * @returns K @source handbook 5, Room sound: W ÷ (0.33 · changes · V)
 */
export const warmerK = (w: number, airChanges: number, volumeM3: number): number =>
  w / (AIR * airChanges * volumeM3);
