import { parentPort } from 'node:worker_threads';
import { importRig } from '@echo-loom/core';
import type { Asked, Read } from './reading';

/**
 * Reads files beside the request thread: parsing a large one takes a second, in which nobody else
 * would be answered.
 */

const read = (bytes: Uint8Array): Read => {
  const imported = importRig(bytes);
  if (!imported.ok) return { ok: false, problems: imported.problems };
  return { ok: true, name: imported.rig.name, document: JSON.stringify(imported.rig) };
};

parentPort?.on('message', ({ id, bytes }: Asked) => {
  parentPort?.postMessage({ id, read: read(bytes) });
});
