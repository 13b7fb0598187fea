import type { Command, SimpleCommand } from '../rig';

/** A remedy as edits that can be applied. */
export interface Fix {
  readonly label: string;
  readonly command: Command;
  /** Tried, it brings a stop, or something worse than what it cures; the label says what */
  readonly isWorse?: true;
  /** A way out for want of a better: offered only where nothing else cures */
  readonly isLast?: true;
}

/** What a remedy is made of; none for one that takes something back. */
export const simpleOf = ({ command }: Pick<Fix, 'command'>): readonly SimpleCommand[] =>
  command.type === 'batch' ? command.commands : command.type === 'revert' ? [] : [command];
