import { importRig, thingsFromCsv } from '@echo-loom/core';
import type { Question, Reading } from './reading';

/** Reads what came from outside; in the worker, since it may take a second. */
export const read = (question: Question): Reading => {
  if (question.is === 'things')
    return { is: 'things', read: thingsFromCsv(question.csv, new Set(question.refs)) };
  const imported = importRig(question.bytes);
  return imported.ok
    ? {
        is: 'rig',
        ok: true,
        name: imported.rig.name,
        document: JSON.stringify(imported.rig),
      }
    : { is: 'rig', ok: false, problems: imported.problems };
};
