import { type OldEntry, readRig, Refusal, upgradeLog } from '@echo-loom/core';

/** A rig as it lies in the database, with all of its log. */
export interface OldLog {
  /** JSON */
  readonly document: string;
  readonly entries: readonly OldEntry[];
}

/** What is to be written: JSON, ready for the database; null where the document cannot be read at all. */
export type UpgradedText = { readonly document: string; readonly entries: string } | null;

/** A log of an earlier version as the present one writes it. */
export const upgradeText = ({ document, entries }: OldLog): UpgradedText => {
  try {
    const upgraded = upgradeLog(JSON.parse(document), entries);
    const read = readRig(upgraded.document);
    if (!read.ok) return null;
    return { document: JSON.stringify(read.rig), entries: JSON.stringify(upgraded.entries) };
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
};
