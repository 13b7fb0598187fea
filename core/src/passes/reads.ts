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
  /** Which one, of a pass that is worked out one by one */
  readonly key: string | number | null;
  readonly value: T;
  readonly reads: Reads;
}

const SETTINGS = ASPECTS.number | ASPECTS.switch | ASPECTS.choice;

const ALL_ASPECTS = Object.values(ASPECTS).reduce((sum, aspect) => sum | aspect, 0);

/** @param bits at least one */
const lowestBit = (bits: number): number => 31 - Math.clz32(bits & -bits);

/** What was read of a device: a sum of `ASPECTS`, and the marks of its controls. */
interface ReadDevice {
  readonly index: number;
  aspects: number;
  controls: number;
}

/** So many devices are told apart; a voice seldom passes more. */
const FEW = 12;

/** A set of parts of the document: 32 of them a number, by their place. */
type PartBits = readonly number[];

const addPart = (bits: number[], place: number): void => {
  const word = place >> 5;
  while (bits.length <= word) bits.push(0);
  bits[word] = (bits[word] ?? 0) | (1 << (place & 31));
};

const sharePart = (a: PartBits, b: PartBits): boolean =>
  a.some((word, index) => (word & (b[index] ?? 0)) !== 0);

/** What was read while one thing was worked out. */
export class Reads {
  /** Results of other passes */
  readonly asked: Result[] = [];
  /** Lists that were worked out source by source */
  readonly lists: { readonly slot: number; readonly lists: readonly (readonly unknown[])[] }[] = [];
  /** Parts of the document, as `PartBits` */
  private readonly parts: number[] = [];
  /** The devices of which something was read, as long as they are few */
  private few: ReadDevice[] | null = [];
  /** Otherwise, for each aspect, of which it was read: one bit a device, in their order */
  private many: (Uint32Array | undefined)[] | null = null;
  /** The marks of all controls that were read, once the devices are many */
  private controls = 0;
  /** Whether it rests on what was worked out source by source, of every source */
  private restsOnAll = false;

  /** @param ofOneSource whether what is worked out is of one source, and so may not rest on all of them */
  constructor(private readonly ofOneSource = false) {}

  /** @throws where something of one source asks for what rests on all of them: it would rest on itself */
  ask(result: Result): void {
    if (result.reads.restsOnAll) {
      if (this.ofOneSource)
        throw new Error('What is worked out for one source asks for what rests on every source');
      this.restsOnAll = true;
    }
    if (!this.asked.includes(result)) this.asked.push(result);
  }

  /** The same, to be added to without this one being changed. */
  copy(): Reads {
    const copy = new Reads(this.ofOneSource);
    copy.restsOnAll = this.restsOnAll;
    copy.asked.push(...this.asked);
    copy.lists.push(...this.lists);
    copy.parts.push(...this.parts);
    copy.few = this.few && this.few.map((read) => ({ ...read }));
    copy.many = this.many && this.many.map((bits) => bits?.slice());
    copy.controls = this.controls;
    return copy;
  }

  /** As `ask`, for a result that is not asked for twice: hundreds of sources are not looked through. */
  askOnce(result: Result): void {
    this.restsOnAll ||= result.reads.restsOnAll;
    this.asked.push(result);
  }

  askLists(slot: number, lists: readonly (readonly unknown[])[]): void {
    this.restsOnAll = true;
    this.lists.push({ slot, lists });
  }

  /** @param place of the part, as `placeOf` says it */
  part(place: number): void {
    addPart(this.parts, place);
  }

  device(index: number, aspects: number, controls: number, count: number): void {
    const read = this.fewOf(index);
    if (read) {
      read.aspects |= aspects;
      read.controls |= controls;
    } else if (this.few && this.few.length < FEW) this.few.push({ index, aspects, controls });
    else this.ofMany(index, aspects, controls, count);
  }

  private fewOf(index: number): ReadDevice | undefined {
    // A plain loop: this is asked for with every setting that is read.
    if (this.few) for (const known of this.few) if (known.index === index) return known;
    return undefined;
  }

  private ofMany(index: number, aspects: number, controls: number, count: number): void {
    const known = this.few ?? [];
    this.few = null;
    this.many ??= [];
    for (const read of known) this.ofMany(read.index, read.aspects, read.controls, count);
    this.controls |= controls;
    for (let left = aspects; left !== 0; left &= left - 1) {
      const bits = (this.many[lowestBit(left)] ??= new Uint32Array((count + 31) >> 5));
      bits[index >> 5] = (bits[index >> 5] ?? 0) | (1 << (index & 31));
    }
  }

  /** What was read of a device: a sum of `ASPECTS`, of those asked for. */
  private aspectsOf(index: number, among: number): number {
    if (!this.many) return 0;
    let aspects = 0;
    for (let left = among & ALL_ASPECTS; left !== 0; left &= left - 1) {
      const bits = this.many[lowestBit(left)];
      if (((bits?.[index >> 5] ?? 0) & (1 << (index & 31))) !== 0) aspects |= left & -left;
    }
    return aspects;
  }

  /**
   * Whether something of the document that was read is changed. May say yes where nothing is, and
   * never the other way round.
   */
  meets(changes: Changes): boolean {
    if (sharePart(this.parts, changes.parts)) return true;
    if (this.few?.length === 0) return false;
    if (changes.devices === null) return true;
    for (const [index, { aspects, controls }] of changes.devices) {
      const read = this.fewOf(index);
      const shared = read ? read.aspects & aspects : this.aspectsOf(index, aspects);
      if ((shared & ~SETTINGS) !== 0) return true;
      if (shared !== 0 && ((read ? read.controls : this.controls) & controls) !== 0) return true;
    }
    return false;
  }
}

/** What differs between the rig of an earlier analysis and that of a later one. */
export interface Changes {
  /** The parts of the document that are changed */
  readonly parts: PartBits;
  /** By position; null where they are no longer the same devices in the same order */
  readonly devices: readonly (readonly [number, DeviceChange])[] | null;
}

/** Places of the parts of a document, by name; one more stands for which devices there are, in which order. */
interface Places {
  readonly of: readonly (readonly [keyof Rig, number])[];
  readonly whichDevices: number;
}

let known: Places | null = null;

/** Every document has the same parts: they are counted once. */
const placesOf = (rig: Rig): Places => {
  if (known) return known;
  // Names of a schema, whose type says nothing of them at run time.
  const parts = (Object.keys(rig) as (keyof Rig)[]).sort();
  known = { of: parts.map((part, place) => [part, place]), whichDevices: parts.length };
  return known;
};

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
  const places = placesOf(after);
  const parts: number[] = [];
  for (const [part, place] of places.of) if (before[part] !== after[part]) addPart(parts, place);
  if (devices === null) addPart(parts, places.whichDevices);
  return { parts, devices };
};

/** Where what is read is written down just now; null where nobody asks. */
let reading: Reads | null = null;

/** The list of what is being read just now. */
export const nowReading = (): Reads | null => reading;

/** Works something out and adds what it reads to a list. */
export const recordedInto = <T>(reads: Reads, work: () => T): T => {
  const outer = reading;
  reading = reads;
  try {
    return work();
  } finally {
    reading = outer;
  }
};

/** Works something out and writes down what it reads. */
export const recorded = <T>(work: () => T): { value: T; reads: Reads } => {
  const reads = new Reads();
  return { value: recordedInto(reads, work), reads };
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
  private readonly devices: Rig['devices'];
  private readonly whichDevices: number;
  private readonly order: readonly string[];
  private readonly found: (Device | undefined)[];

  /** @param watched whether each tells what is read of it */
  constructor(
    rig: Rig,
    private readonly watched: boolean,
  ) {
    this.devices = rig.devices;
    this.whichDevices = placesOf(rig).whichDevices;
    this.order = deviceOrder(this.devices);
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
    reading?.part(this.whichDevices);
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

/**
 * The devices as a collection by id. Which there are is read with the collection itself; what is read of one of
 * them is told by the device. A proxy, so that nothing is made for a device that nobody asks for.
 */
const watchedDevices = (devices: Rig['devices'], inRig: DevicesInOrder): Rig['devices'] => {
  const get = (id: string | symbol): Device | undefined =>
    typeof id === 'string' && Object.hasOwn(devices, id) ? inRig.get({ id }) : undefined;
  // The collection itself is frozen, and a proxy may not say otherwise than a frozen target.
  return new Proxy<Record<string, Device>>(
    {},
    {
      get: (_, id) => get(id),
      has: (_, id) => get(id) !== undefined,
      ownKeys: () => Object.keys(devices),
      getOwnPropertyDescriptor: (_, id) => {
        const value = get(id);
        return value && { value, enumerable: true, configurable: true, writable: false };
      },
    },
  );
};

/** The document, which tells which of its parts are read. It reads, copies and writes out as the document does. */
export const watchedRig = (rig: Rig, inRig: DevicesInOrder): Rig => {
  const devices = watchedDevices(rig.devices, inRig);
  const places = placesOf(rig);
  const told = (place: number, value: Rig[keyof Rig]) => ({
    enumerable: true,
    get: () => {
      reading?.part(place);
      return value;
    },
  });
  return Object.defineProperties(
    {},
    Object.fromEntries(
      places.of.map(([part, place]) => [
        part,
        part === 'devices' ? told(places.whichDevices, devices) : told(place, rig[part]),
      ]),
    ),
    // Every part is there, each behind its getter.
  ) as Rig;
};
