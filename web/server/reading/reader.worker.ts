import { parentPort } from 'node:worker_threads';
import { importRig, thingsFromCsv } from '@echo-loom/core';
import type { Answered, Asked } from '../apart/beside';
import type { Question, Reading } from './reading';

/**
 * Reads files beside the request thread: parsing a large one takes a second, in which nobody else
 * would be answered.
 */

const read = (question: Question): Reading => {
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

parentPort?.on('message', ({ id, asks }: Asked<Question>) => {
  parentPort?.postMessage({ id, says: read(asks) } satisfies Answered<Reading>);
});
