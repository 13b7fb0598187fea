import type { Command } from '../rig';

/** A remedy as edits that can be applied. */
export interface Fix {
  readonly label: string;
  readonly command: Command;
  /** Tried, it brings a stop, or something worse than what it cures; the label says what */
  readonly isWorse?: true;
  /** A way out for want of a better: offered only where nothing else cures */
  readonly isLast?: true;
}
