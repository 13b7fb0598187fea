import type { Thread } from '../../graph';

export const NEEDS = ['seen', 'heard', 'hears', 'sees', 'shown', 'delivered'] as const;

export type Need = (typeof NEEDS)[number];

/** One thing the brief asks for, and whether the threads give it. */
export interface CoverageLine {
  /** Stable from edit to edit: `person:host:seen` */
  readonly id: string;
  readonly subject: {
    readonly kind: 'person' | 'sight' | 'deliverable';
    readonly id: string;
    readonly name: string;
  };
  readonly need: Need;
  readonly verdict: 'met' | 'partly' | 'missing';
  /** What satisfies it, or what is missing */
  readonly says: string;
  /** Devices at whose ends the satisfying threads stand */
  readonly by: readonly string[];
  /** Devices that are there for it where it is not met, such as a camera that reaches nothing */
  readonly there?: readonly string[];
  /** The thread that satisfies it, the first of several */
  readonly thread: Thread | null;
}

/** What is said of one need, before it is put down for whom. */
export type CoverageAnswer = Omit<CoverageLine, 'id' | 'subject' | 'need'>;
