import type { SaveAnswer, Stand } from '@/session/protocol';
import { type Command, type Rig, RIG_VERSION } from '@echo-loom/core';
import { findRig } from './rigs';
import { saveEntries } from './save';

export const rename = (to: string): Command => ({ type: 'renameRig', name: to });

export const addPlace = (placeId: string): Command => ({
  type: 'addPlace',
  placeId,
  place: { name: placeId },
});

export const item = (id: string, command: unknown, author = 'author-one') => ({
  id: id.padEnd(10, '-'),
  author,
  command,
});

export const START: Stand = { revision: 0, entryId: null };

export const save = (id: string, entries: ReturnType<typeof item>[], on: Stand = START) =>
  saveEntries(id, { version: RIG_VERSION, on, entries });

export const taken = (answer: SaveAnswer) => {
  if (answer.status !== 'taken') throw new Error(answer.status);
  return {
    says: answer.entries.map(({ says }) => says),
    refused: answer.refused,
    done: answer.done,
  };
};

export const document = async (id: string): Promise<Rig> => {
  const found = await findRig(id);
  if (!found?.read.ok) throw new Error('the rig is not there');
  return found.read.rig;
};

/** Waits for what comes by itself, a few seconds at most. */
export const until = async (holds: () => boolean): Promise<void> => {
  for (let n = 0; n < 200 && !holds(); n++) await new Promise((done) => setTimeout(done, 20));
};
