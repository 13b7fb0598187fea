import type { Sum } from '../explain/sum';
import type { Measured } from '../measure';
import type { Command, HouseRules } from '../rig';

/** Stop: it will not work or will be lost. Warn: it works badly or is fragile. Note: worth knowing. */
export type Level = 'stop' | 'warn' | 'note';
export type Area = 'brief' | 'signal' | 'sound' | 'picture' | 'computer';

/** What a finding is about. The interface marks the most exact of these. */
export interface About {
  readonly deviceId?: string;
  readonly portId?: string;
  readonly linkId?: string;
  /** A planned shot, a scene, or a button of the panel */
  readonly shotId?: string;
  readonly sceneId?: string;
  readonly buttonId?: string;
  /** A line of the coverage, for what the brief asks for */
  readonly coverage?: string;
  /** Stage where the figures are, in the analysis the finding came from */
  readonly stage?: number;
}

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

/** A remedy as edits that can be applied. */
export interface Fix {
  readonly label: string;
  readonly command: Command;
}

/** One rule of the field: finds a problem, explains it, offers remedies. A file each. */
export interface Rule {
  readonly code: string;
  readonly area: Area;
  /** For the rule reference: what it looks for */
  readonly looksFor: string;
  readonly why: string;
  readonly remedy: string;
  readonly source: string;
  readonly find: (measured: Measured) => Finding[];
  readonly sums?: (measured: Measured, finding: Finding) => Sum[];
  readonly fixes?: (measured: Measured, finding: Finding) => Fix[];
}

/** The same problem in two analyses has the same key, though stages are numbered anew. */
export const findingKey = ({ code, about }: Finding): string =>
  [
    code,
    about.deviceId ?? '',
    about.portId ?? '',
    about.linkId ?? '',
    about.coverage ?? '',
    about.shotId ?? '',
    about.sceneId ?? '',
    about.buttonId ?? '',
  ].join('|');
