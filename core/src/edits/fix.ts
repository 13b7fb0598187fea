import type { Command } from '../rig';

/** A remedy as edits that can be applied. */
export interface Fix {
  readonly label: string;
  readonly command: Command;
}
