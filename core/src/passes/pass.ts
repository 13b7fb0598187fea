import type { Stage, Walk } from '../graph';
import type { Measured } from './measure';
import { type Changes, nowReading, recorded, type Result } from './reads';

/** What a pass is: a name, and a pure function of what is measured. What it reads is written down as it reads. */
export interface PassOf<T> {
  readonly name: string;
  readonly make: (measured: Measured) => T;
  /** Where two results say the same the earlier one is kept, and nothing that rests on it is worked out again */
  readonly same?: (before: T, after: T) => boolean;
}

/** What a pass is that works source by source: only the sources an edit met are worked out again. */
export interface PassOfSource<T> {
  readonly name: string;
  readonly makeFor: (measured: Measured, walk: Walk) => T;
}

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
 * A pass whose result is a list, worked out source by source and put together in their order.
 * @param makeFor reads the stages of the walk and what they pass, nothing of another source
 */
export const passBySource = <T>(
  name: string,
  makeFor: (measured: Measured, walk: Walk) => readonly T[],
): Pass<readonly T[]> => {
  const of: PassOfSource<readonly T[]> = { name, makeFor };
  return pass(name, (measured) =>
    measured.traced.walks.flatMap((walk) => measured.results.askFor(of, walk)),
  );
};

/** Stages of a walk, the source first. */
export const stagesIn = ({ traced }: Measured, { from, to }: Walk): readonly Stage[] =>
  traced.stages.slice(from, to);

/** Results of one analysis. Those of an earlier one that nothing changed met are taken over as they are. */
export class Results {
  private readonly whole = new Map<object, Result>();
  private readonly bySource = new Map<object, (Result | undefined)[]>();
  private readonly underWay = new Set<object>();
  private isSameTrace: boolean | undefined;
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

  askFor<T>(of: PassOfSource<T>, walk: Walk): T {
    const result = this.resultFor(of, walk);
    nowReading()?.askOnce(result);
    return result.value;
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
    const { value, reads } = recorded(() => of.make(this.measured));
    this.underWay.delete(of);
    return { of, walk: null, value: old && of.same?.(old.value, value) ? old.value : value, reads };
  }

  private resultFor<T>(of: PassOfSource<T>, walk: Walk): Result<T> {
    let results = this.bySource.get(of);
    if (!results) this.bySource.set(of, (results = []));
    const known = results[walk.index] as Result<T> | undefined;
    if (known) return known;
    const old = this.walkedAlike()
      ? (this.before?.results.bySource.get(of)?.[walk.index] as Result<T> | undefined)
      : undefined;
    const result =
      old && this.holds(old)
        ? old
        : { of, walk: walk.index, ...recorded(() => of.makeFor(this.measured, walk)) };
    results[walk.index] = result;
    return result;
  }

  /** Whether sources, and the ways from them, are those of the earlier analysis. */
  private walkedAlike(): boolean {
    const before = this.before?.results.measured.traced;
    return (this.isSameTrace ??= before !== undefined && before === this.measured.traced);
  }

  /** Whether an earlier result still holds: nothing it read of the document is changed, nor what it asked for. */
  private holds({ reads }: Result): boolean {
    if (!this.before || reads.meets(this.before.changes)) return false;
    return reads.asked.every((asked) => this.nowOf(asked)?.value === asked.value);
  }

  /** The same result in this analysis. */
  private nowOf({ of, walk }: Result): Result | undefined {
    if (walk === null) return this.resultOf(of as PassOf<unknown>);
    const there = this.walkedAlike() ? this.measured.traced.walks[walk] : undefined;
    return there && this.resultFor(of as PassOfSource<unknown>, there);
  }

  /** Takes over what still holds and was not asked for, and lets go of the earlier analysis. */
  settle(): void {
    const { before } = this;
    if (!before) return;
    const stands = ({ reads }: Result): boolean =>
      !reads.meets(before.changes) &&
      reads.asked.every(
        (asked) =>
          (asked.walk === null
            ? this.whole.get(asked.of)
            : this.bySource.get(asked.of)?.[asked.walk]
          )?.value === asked.value,
      );
    // What a result asked for was known before it was, and stands before it in the list.
    for (const [of, result] of before.results.whole)
      if (!this.whole.has(of) && stands(result)) this.whole.set(of, result);
    this.before = null;
  }
}
