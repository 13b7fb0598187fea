import type { Fix } from '../edits/fix';
import type { Measured } from '../passes/measured';
import type { Sum } from '../passes/sum';
import type { HouseRules } from '../rig';
import { type About, aboutKey } from './about';
import type { Area } from './areas';

/** Stop: it will not work or will be lost. Warn: it works badly or is fragile. Note: worth knowing. */
export type Level = 'stop' | 'warn' | 'note';

/** Something wrong, fragile or worth knowing, in plain words. */
export interface Finding {
  /** Stable: `sound.gain-short` */
  readonly code: string;
  readonly area: Area;
  readonly level: Level;
  readonly about: About;
  /** What happens, as a headline */
  readonly title: string;
  /** What happens, then why, then what to do */
  readonly says: string;
  /** The house rule it was judged by */
  readonly houseRule?: keyof HouseRules;
}

/** Matters that several rules have to do with, and a view or a search asks for. */
export type Matter =
  /** How far a voice stands over the room */
  | 'voice over room'
  /** What the room does to a microphone */
  | 'microphone in room'
  /** What the room is built of */
  | 'room'
  /** What people hear */
  | 'ears'
  /** What a larger picture may break */
  | 'size'
  /** What the switcher's panel can do */
  | 'panel';

/** One rule of the field: finds a problem, explains it, offers remedies. A file each. */
export interface Rule {
  readonly code: string;
  readonly area: Area;
  /** What it has to do with, for whoever asks for the findings of one matter */
  readonly matters?: readonly Matter[];
  /** For the rule reference: what it looks for */
  readonly looksFor: string;
  readonly why: string;
  readonly remedy: string;
  readonly source: string;
  readonly find: (measured: Measured) => readonly Finding[];
  readonly sums?: (measured: Measured, finding: Finding) => Sum[];
  readonly fixes?: (measured: Measured, finding: Finding) => Fix[];
  /** What it is called where several of its findings have one cause; otherwise those of one title are one */
  readonly together?: (count: number) => string;
  /** Its fixes move things: each is tried, and offered only where it cures and brings nothing as bad */
  readonly moves?: true;
}

/** The same problem in two analyses has the same key, and two problems of one analysis never do. */
export const findingKey = ({ code, about }: Pick<Finding, 'code' | 'about'>): string =>
  `${code}|${aboutKey(about)}`;
