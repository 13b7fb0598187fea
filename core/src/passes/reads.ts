import { type Device, entry, inOrder, type Rig } from '../rig';
import { ASPECTS, deviceChange, type DeviceChange, WatchedDevice } from '../rig/devices/watched';

/**
 * What a pass or a rule reads is written down while it reads. A declaration could be forgotten, or
 * be wider than need be; a record is neither.
 */

/** What one thing came to, and what was read on the way. */
export interface Result<T = unknown> {
  /** The pass or the rule it is the result of */
  readonly of: object;
  /** For what is worked out source by source: which of `Traced.walks` */
  readonly walk: number | null;
  readonly value: T;
  readonly reads: Reads;
}

const SETTINGS = ASPECTS.number | ASPECTS.switch | ASPECTS.choice;

/** As many devices are kept as a list; a voice seldom passes more. */
const FEW = 6;

/** What was read while one thing was worked out. */
export class Reads {
  /** Results of other passes */
  readonly asked: Result[] = [];
  /** Parts of the document, one bit each */
  private parts = 0;
  private aspects = 0;
  private controls = 0;
  /** Devices of which something was read, by position: a few as a list, more as one bit each */
  private few: number[] | null = null;
  private many: Uint32Array | null = null;

  ask(result: Result): void {
    if (!this.asked.includes(result)) this.asked.push(result);
  }

  /** As `ask`, for a result that is not asked for twice: hundreds of sources are not looked through. */
  askOnce(result: Result): void {
    this.asked.push(result);
  }

  part(bit: number): void {
    this.parts |= bit;
  }

  device(index: number, aspects: number, controls: number, count: number): void {
    this.aspects |= aspects;
    this.controls |= controls;
    if (this.many === null) {
      this.few ??= [];
      if (this.few.includes(index)) return;
      if (this.few.length < FEW) {
        this.few.push(index);
        return;
      }
      this.many = new Uint32Array((count + 31) >> 5);
      for (const known of this.few) this.mark(this.many, known);
    }
    this.mark(this.many, index);
  }

  private mark(bits: Uint32Array, index: number): void {
    bits[index >> 5] = (bits[index >> 5] ?? 0) | (1 << (index & 31));
  }

  private hasRead(index: number): boolean {
    return this.many
      ? ((this.many[index >> 5] ?? 0) & (1 << (index & 31))) !== 0
      : (this.few?.includes(index) ?? false);
  }

  /**
   * Whether something of the document that was read is changed. May say yes where nothing is, and
   * never the other way round.
   */
  meets(changes: Changes): boolean {
    if ((this.parts & changes.parts) !== 0) return true;
    if (this.few === null) return false;
    if (changes.devices === null) return true;
    for (const [index, { aspects, controls }] of changes.devices) {
      const shared = this.aspects & aspects;
      if (shared === 0 || !this.hasRead(index)) continue;
      if ((shared & ~SETTINGS) !== 0 || (this.controls & controls) !== 0) return true;
    }
    return false;
  }
}

/** What differs between the rig of an earlier analysis and that of a later one. */
export interface Changes {
  /** One bit for each part of the document */
  readonly parts: number;
  /** By position; null where they are no longer the same devices in the same order */
  readonly devices: readonly (readonly [number, DeviceChange])[] | null;
}

/** Stands for which devices there are, and in which order. */
const WHICH_DEVICES = 1 << 30;

/** Parts of the document in the order of their bits: no document has more than 30. */
const bitsOf = (rig: Rig): readonly (readonly [keyof Rig, number])[] =>
  (Object.keys(rig) as (keyof Rig)[]).sort().map((part, index) => [part, 1 << index]);

/** Ids of the devices in their order. Collections are never changed in place, so each is sorted once. */
const orders = new WeakMap<Rig['devices'], readonly string[]>();
export const deviceOrder = (devices: Rig['devices']): readonly string[] => {
  const known = orders.get(devices);
  if (known) return known;
  const order = inOrder(devices).map(([id]) => id);
  orders.set(devices, order);
  return order;
};

const changedDevices = (before: Rig, after: Rig): Changes['devices'] => {
  if (before.devices === after.devices) return [];
  const order = deviceOrder(before.devices);
  if (Object.keys(after.devices).length !== order.length) return null;
  const changed: (readonly [number, DeviceChange])[] = [];
  for (let index = 0; index < order.length; index++) {
    const id = order[index] ?? '';
    const then = before.devices[id];
    const now = entry(after.devices, id);
    if (!then || !now || then.order !== now.order) return null;
    if (then !== now) changed.push([index, deviceChange(then, now)]);
  }
  orders.set(after.devices, order);
  return changed;
};

export const changesBetween = (before: Rig, after: Rig): Changes => {
  const devices = changedDevices(before, after);
  return {
    parts: bitsOf(after).reduce(
      (sum, [part, bit]) => (before[part] === after[part] ? sum : sum | bit),
      devices === null ? WHICH_DEVICES : 0,
    ),
    devices,
  };
};

/** Where what is read is written down just now; null where nobody asks. */
let reading: Reads | null = null;

/** The list of what is being read just now. */
export const nowReading = (): Reads | null => reading;

/** Works something out and writes down what it reads. */
export const recorded = <T>(work: () => T): { value: T; reads: Reads } => {
  const outer = reading;
  const reads = new Reads();
  reading = reads;
  try {
    return { value: work(), reads };
  } finally {
    reading = outer;
  }
};

/** Where each device stands in the order, by its id. */
const positions = new WeakMap<readonly string[], ReadonlyMap<string, number>>();
const positionsIn = (order: readonly string[]): ReadonlyMap<string, number> => {
  const known = positions.get(order);
  if (known) return known;
  const made = new Map(order.map((id, index) => [id, index]));
  positions.set(order, made);
  return made;
};

/** The devices of a rig in their order, found by a node or by an id. */
export class DevicesInOrder {
  private readonly order: readonly string[];
  private readonly found: (Device | undefined)[];

  /** @param watched whether each tells what is read of it */
  constructor(
    private readonly devices: Rig['devices'],
    private readonly watched: boolean,
  ) {
    this.order = deviceOrder(devices);
    this.found = new Array(this.order.length);
  }

  /** @param of its id, and where it stands if that is known @throws where there is none of that id */
  get({ id, index }: { readonly id: string; readonly index?: number }): Device {
    const at =
      index !== undefined && this.order[index] === id ? index : positionsIn(this.order).get(id);
    if (at === undefined) throw new Error(`The rig has no device “${id}”`);
    return this.at(at, id);
  }

  /** Every device by its id. */
  all(): ReadonlyMap<string, Device> {
    reading?.part(WHICH_DEVICES);
    return new Map(this.order.map((id, index) => [id, this.at(index, id)]));
  }

  private at(index: number, id: string): Device {
    return (this.found[index] ??= this.find(index, id));
  }

  private find(index: number, id: string): Device {
    const device = this.devices[id];
    if (!device) throw new Error(`The rig has no device “${id}”`);
    return this.watched ? new WatchedDevice(device, index, this.notice) : device;
  }

  private readonly notice = (index: number, aspects: number, controls: number): void =>
    reading?.device(index, aspects, controls, this.order.length);
}

/** The document, which tells which of its parts are read. It reads, copies and writes out as the document does. */
export const watchedRig = (rig: Rig): Rig =>
  Object.defineProperties(
    {},
    Object.fromEntries(
      bitsOf(rig).map(([part, bit]) => [
        part,
        {
          enumerable: true,
          get: () => {
            reading?.part(bit);
            return rig[part];
          },
        },
      ]),
    ),
    // Every part is there, each behind its getter.
  ) as Rig;
