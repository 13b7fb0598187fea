import { importRig, libraryFromCsv, libraryFromJson, thingsFromCsv } from '@echo-loom/core';
import type { Question, Reading } from './reading';

const readRig = (bytes: Uint8Array<ArrayBuffer>): Reading => {
  const imported = importRig(bytes);
  return imported.ok
    ? {
        is: 'rig',
        ok: true,
        name: imported.rig.name,
        document: JSON.stringify(imported.rig),
      }
    : { is: 'rig', ok: false, problems: imported.problems };
};

/** Reads what came from outside; in the worker, since it may take a second. */
export const read = (question: Question): Reading => {
  switch (question.is) {
    case 'rig':
      return readRig(question.bytes);
    case 'things':
      return { is: 'things', read: thingsFromCsv(question.csv, new Set(question.refs)) };
    case 'library':
      return { is: 'library', read: libraryFromJson(question.json) };
    case 'figures':
      return { is: 'figures', read: libraryFromCsv(question.csv, question.library) };
  }
};
