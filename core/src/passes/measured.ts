import type { Graph, Signal, Traced, Walk } from '../graph';
import type { Device, Rig, SetDevice } from '../rig';
import type { Delay } from './figures/delay';
import type { Negotiation, PictureFigures } from './figures/picture';
import type { SoundFigures } from './figures/sound';
import type { UsbTree } from './figures/usb';
import type { Result } from './reads';

/** What a pass is: a name, and a pure function of what is measured. What it reads is written down as it reads. */
export interface PassOf<T> {
  readonly name: string;
  readonly make: (measured: Measured) => T;
  /** Where two results say the same the earlier one is kept, and nothing that rests on it is worked out again */
  readonly same?: (before: T, after: T) => boolean;
}

/** What a pass is that is worked out one by one, each by its key: only those an edit met are worked out again. */
export interface PassFor<Key extends string | number, T> {
  readonly name: string;
  readonly makeFor: (measured: Measured, key: Key) => T;
  /** As of a pass */
  readonly same?: (before: T, after: T) => boolean;
}

/** What is worked out for each source. */
export interface PassOfWalk<T> {
  /** Where its list stands among those of a source */
  readonly slot: number;
  readonly signal: Signal;
  readonly makeFor: (measured: Measured, walk: Walk) => readonly T[];
}

/** What passes ask of the results of an analysis. */
export interface Asked {
  /** The result of a pass, worked out where it is not known. @throws where a pass asks for itself */
  resultOf<T>(of: PassOf<T>): Result<T>;
  ask<T>(of: PassOf<T>): T;
  askFor<Key extends string | number, T>(of: PassFor<Key, T>, key: Key): T;
  /** Whether what asks is worked out for this very source */
  isWithin(index: number): boolean;
  /** A list of one source. What is read for it is put down to the source, not to whoever asks */
  listOf<T>(of: PassOfWalk<T>, index: number): readonly T[];
  /** The lists of every source; whoever asks rests on each of them */
  allLists<T>(of: PassOfWalk<T>): readonly (readonly T[])[];
}

/** Devices as they are called and set. */
export interface Devices {
  /** The device of a node. @throws where there is none of that id */
  device(of: { readonly id: string; readonly index?: number }): SetDevice;
}

/** The rig with every figure computed, before anything is judged. Arrays are by stage index. */
export interface Measured extends Devices {
  device(of: { readonly id: string; readonly index?: number }): Device;
  readonly rig: Rig;
  readonly graph: Graph;
  readonly traced: Traced;
  readonly picture: readonly (PictureFigures | undefined)[];
  /** What sources that send the best that fits agreed on, by the index of their first stage */
  readonly negotiations: ReadonlyMap<number, Negotiation>;
  readonly sound: readonly (SoundFigures | undefined)[];
  readonly delay: readonly Delay[];
  readonly usb: UsbTree;
  /** Every device, in their order */
  devices(): ReadonlyMap<string, Device>;
  /** Where passes ask for one another's results */
  readonly results: Asked;
}
