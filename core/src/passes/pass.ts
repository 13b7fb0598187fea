import type { Signal, Walk } from '../graph';
import type { Asked, Measured, PassFor, PassOf, PassOfWalk } from './measured';

import { type Changes, nowReading, Reads, recorded, recordedInto, type Result } from './reads';

/** A pass is asked by calling it, however often: it is worked out once for each analysis. */
export type Pass<T> = (measured: Measured) => T;

/**
 * A pass of the engine.
 * @param make works it out; holds on to no device, which may be another one in the next analysis
 */
export const pass = <T>(
  name: string,
  make: (measured: Measured) => T,
  same?: PassOf<T>['same'],
): Pass<T> => {
  const of: PassOf<T> = { name, make, ...(same ? { same } : {}) };
  return (measured) => measured.results.ask(of);
};

/**
 * A pass of many results, one for each key: a person, a scene, a source.
 * @param makeFor works one out; what it says must not hang on whether others were asked for before
 */
export const passFor = <Key extends string | number, T>(
  name: string,
  makeFor: (measured: Measured, key: Key) => T,
  same?: PassFor<Key, T>['same'],
): ((measured: Measured, key: Key) => T) => {
  const of: PassFor<Key, T> = { name, makeFor, ...(same ? { same } : {}) };
  return (measured, key) => measured.results.askFor(of, key);
};

/** A list that is worked out source by source. */
export interface PassBySource<T> extends Pass<readonly T[]> {
  /** Of one source alone */
  readonly of: (measured: Measured, walk: Walk) => readonly T[];
  /** The lists of all sources, by the position of their walks */
  readonly lists: Pass<readonly (readonly T[])[]>;
}

/**
 * A pass whose result is a list, worked out source by source and put together in their order. An
 * edit works out anew only the sources it met.
 * @param signal only its sources are looked at; the lists of others are empty
 * @param makeFor reads the stages of the walk and what they pass, nothing of another source
 */
export const passBySource = <T>(
  name: string,
  signal: Signal,
  makeFor: (measured: Measured, walk: Walk) => readonly T[],
): PassBySource<T> => {
  const each: PassOfWalk<T> = { slot: slots++, signal, makeFor };
  const lists = pass(
    `${name}, by source`,
    (measured) => measured.results.allLists(each),
    haveSameItems,
  );
  const all = pass(name, (measured) => lists(measured).flat());
  return Object.assign((measured: Measured) => all(measured), {
    lists,
    of: (measured: Measured, { index }: Walk): readonly T[] =>
      measured.results.isWithin(index)
        ? measured.results.listOf(each, index)
        : (lists(measured)[index] ?? []),
  });
};

export const haveSameItems = <T>(before: readonly T[], after: readonly T[]): boolean =>
  before.length === after.length && before.every((item, index) => item === after[index]);

/** How many passes work source by source. */
let slots = 0;

/** What a source of the other signal has. */
const NOTHING: readonly never[] = [];

/** What is worked out for one source, and all that was read for it: it holds or falls as a whole. */
interface WalkResults {
  readonly reads: Reads;
  /** By the slot of the pass */
  readonly lists: (readonly unknown[] | undefined)[];
  /** Whether a later analysis has taken it over: then nothing more is added to it */
  isShared: boolean;
}

/** The earlier value of a pass, where the new one says the same. */
const kept = <T>(
  { same }: { readonly same?: (before: T, after: T) => boolean },
  old: Result<T> | undefined,
  value: T,
): T => (old && same?.(old.value, value) ? old.value : value);

/** Results of one analysis. Those of an earlier one that nothing changed met are taken over as they are. */
export class Results implements Asked {
  private readonly whole = new Map<object, Result>();
  private readonly byKey = new Map<object, Map<string | number, Result>>();
  private readonly underWay = new Set<object>();
  private isSameTrace: boolean | undefined;
  private readonly walks: (WalkResults | undefined)[] = [];
  /** The source that is being worked out just now */
  private within: number | null = null;
  private readonly measured: Measured;
  private before: { readonly results: Results; readonly changes: Changes } | null;

  /**
   * @param measured what passes read: it writes down what is read of it
   * @param before results of an earlier analysis, and what differs; let go of by `settle`
   */
  constructor(
    measured: (own: Results) => Measured,
    before?: { readonly results: Results; readonly changes: Changes },
  ) {
    this.measured = measured(this);
    this.before = before ?? null;
  }

  ask<T>(of: PassOf<T>): T {
    const result = this.resultOf(of);
    nowReading()?.ask(result);
    return result.value;
  }

  askFor<Key extends string | number, T>(of: PassFor<Key, T>, key: Key): T {
    const result = this.resultFor(of, key);
    nowReading()?.askOnce(result);
    return result.value;
  }

  /** Whether what asks is worked out for this very source. */
  isWithin(index: number): boolean {
    return this.within === index;
  }

  /** A list of one source. What is read for it is put down to the source, not to whoever asks. */
  listOf<T>(of: PassOfWalk<T>, index: number): readonly T[] {
    const walk = this.measured.traced.walks[index];
    if (!walk) throw new RangeError(`There is no source ${index}`);
    return walk.signal === of.signal ? this.listOfWalk(of, walk) : NOTHING;
  }

  private listOfWalk<T>(of: PassOfWalk<T>, walk: Walk): readonly T[] {
    const { index } = walk;
    // A slot holds the lists of its own pass and of no other.
    const known = this.walkResults(index).lists[of.slot] as readonly T[] | undefined;
    if (known) return known;
    const own = this.ownResults(index);
    const outer = this.within;
    this.within = index;
    try {
      const list = recordedInto(own.reads, () => of.makeFor(this.measured, walk));
      own.lists[of.slot] = list;
      return list;
    } finally {
      this.within = outer;
    }
  }

  /** The lists of every source; whoever asks rests on each of them. */
  allLists<T>(of: PassOfWalk<T>): readonly (readonly T[])[] {
    const lists = this.measured.traced.walks.map((walk) =>
      walk.signal === of.signal ? this.listOfWalk(of, walk) : NOTHING,
    );
    nowReading()?.askLists(of.slot, lists);
    return lists;
  }

  private walkResults(index: number): WalkResults {
    return (this.walks[index] ??= this.heldWalk(index) ?? this.newWalk());
  }

  private newWalk(): WalkResults {
    return { reads: new Reads(true), lists: [], isShared: false };
  }

  /** Results of a source to which more may be added. */
  private ownResults(index: number): WalkResults {
    const there = this.walkResults(index);
    if (!there.isShared) return there;
    const own = { reads: there.reads.copy(), lists: [...there.lists], isShared: false };
    this.walks[index] = own;
    return own;
  }

  /** What the earlier analysis has of a source, where the ways are the same and no edit met it. */
  private heldWalk(index: number): WalkResults | undefined {
    if (!this.before) return undefined;
    this.isSameTrace ??= this.before.results.measured.traced === this.measured.traced;
    const old = this.isSameTrace ? this.before.results.walks[index] : undefined;
    if (!old || !this.holds(old)) return undefined;
    old.isShared = true;
    return old;
  }

  /** The result of a pass, worked out where it is not known. @throws where a pass asks for itself */
  resultOf<T>(of: PassOf<T>): Result<T> {
    // A pass is the key of its own result and of no other.
    const known = this.whole.get(of) as Result<T> | undefined;
    if (known) return known;
    const old = this.before?.results.whole.get(of) as Result<T> | undefined;
    const result = old && this.holds(old) ? old : this.workOut(of, old);
    this.whole.set(of, result);
    return result;
  }

  private workOut<T>(of: PassOf<T>, old: Result<T> | undefined): Result<T> {
    if (this.underWay.has(of)) throw new Error(`The pass “${of.name}” asks for itself`);
    this.underWay.add(of);
    try {
      const { value, reads } = recorded(() => of.make(this.measured));
      return { of, key: null, value: kept(of, old, value), reads };
    } finally {
      this.underWay.delete(of);
    }
  }

  private resultFor<Key extends string | number, T>(of: PassFor<Key, T>, key: Key): Result<T> {
    let results = this.byKey.get(of);
    if (!results) this.byKey.set(of, (results = new Map()));
    const known = results.get(key) as Result<T> | undefined;
    if (known) return known;
    const old = this.before?.results.byKey.get(of)?.get(key) as Result<T> | undefined;
    const result = old && this.holds(old) ? old : this.workOutFor(of, key, old);
    results.set(key, result);
    return result;
  }

  private workOutFor<Key extends string | number, T>(
    of: PassFor<Key, T>,
    key: Key,
    old: Result<T> | undefined,
  ): Result<T> {
    const { value, reads } = recorded(() => of.makeFor(this.measured, key));
    return { of, key, value: kept(of, old, value), reads };
  }

  /** Whether an earlier result still holds: nothing it read of the document is changed, nor what it asked for. */
  private holds({ reads }: Pick<Result, 'reads'>): boolean {
    if (!this.before || reads.meets(this.before.changes)) return false;
    return (
      reads.asked.every((asked) => this.nowOf(asked).value === asked.value) && this.haveLists(reads)
    );
  }

  /** Whether the lists of every source are those that were read. */
  private haveLists({ lists }: Reads): boolean {
    if (lists.length === 0) return true;
    const { walks } = this.measured.traced;
    return lists.every(
      (read) =>
        read.lists.length === walks.length &&
        read.lists.every(
          (list, index) => list === NOTHING || this.walkResults(index).lists[read.slot] === list,
        ),
    );
  }

  /** The same result in this analysis. */
  private nowOf({ of, key }: Result): Result {
    return key === null
      ? this.resultOf(of as PassOf<unknown>)
      : this.resultFor(of as PassFor<string | number, unknown>, key);
  }

  /** Takes over what still holds and was not asked for, and lets go of the earlier analysis. */
  settle(): void {
    const { before } = this;
    if (!before) return;
    for (const { index } of this.measured.traced.walks) this.walkResults(index);
    const stands = ({ reads }: Result): boolean =>
      !reads.meets(before.changes) &&
      reads.asked.every(({ of, key, value }) => {
        const now = key === null ? this.whole.get(of) : this.byKey.get(of)?.get(key);
        return now?.value === value;
      }) &&
      this.haveLists(reads);
    // What a result asked for was known before it was, and stands before it in the list.
    for (const [of, result] of before.results.whole)
      if (!this.whole.has(of) && stands(result)) this.whole.set(of, result);
    this.before = null;
  }
}

/** The results behind what passes ask. @throws TypeError for anything else that answers to the same questions */
export const asResults = (asked: Asked): Results => {
  if (asked instanceof Results) return asked;
  throw new TypeError('Earlier figures are taken over only from an analysis');
};
