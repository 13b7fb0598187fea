import { type Device, inOrder, type Rig } from '../rig';
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

/** What was read while one thing was worked out. */
export class Reads {
  /** Results of other passes */
  readonly asked: Result[] = [];
  /** Parts of the document, one bit each */
  private parts = 0;
  private aspects = 0;
  private controls = 0;
  /** Devices of which something was read, one bit each in their order */
  private devices: Uint32Array | null = null;

  ask(result: Result): void {
    if (!this.asked.includes(result)) this.asked.push(result);
  }

  part(bit: number): void {
    this.parts |= bit;
  }

  device(index: number, aspects: number, controls: number, count: number): void {
    this.aspects |= aspects;
    this.controls |= controls;
    this.devices ??= new Uint32Array((count + 31) >> 5);
    const word = index >> 5;
    this.devices[word] = (this.devices[word] ?? 0) | (1 << (index & 31));
  }

  /**
   * Whether something of the document that was read is changed. May say yes where nothing is, and
   * never the other way round.
   */
  meets(changes: Changes): boolean {
    if ((this.parts & changes.parts) !== 0) return true;
    if (this.devices === null) return false;
    if (changes.devices === null) return true;
    for (const [index, { aspects, controls }] of changes.devices) {
      const shared = this.aspects & aspects;
      if (shared === 0 || ((this.devices[index >> 5] ?? 0) & (1 << (index & 31))) === 0) continue;
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

const changedDevices = (before: Rig, after: Rig): Changes['devices'] => {
  if (before.devices === after.devices) return [];
  const now = inOrder(after.devices);
  const then = inOrder(before.devices);
  if (now.length !== then.length || now.some(([id], index) => then[index]?.[0] !== id)) return null;
  return now.flatMap(([, device], index) => {
    const old = then[index]?.[1];
    return old === undefined || old === device ? [] : [[index, deviceChange(old, device)] as const];
  });
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

/** Writes down that it was asked which devices there are. */
export const readWhichDevices = (): void => reading?.part(WHICH_DEVICES);

/** The devices of a rig in their order, each of which tells what is read of it. */
export const watchedDevices = (rig: Rig): ReadonlyMap<string, Device> => {
  const ordered = inOrder(rig.devices);
  const notice = (index: number, aspects: number, controls: number): void =>
    reading?.device(index, aspects, controls, ordered.length);
  return new Map(
    ordered.map(([id, device], index) => [id, new WatchedDevice(device, index, notice)]),
  );
};

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
