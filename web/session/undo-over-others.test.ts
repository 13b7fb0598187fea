import { blankRig, rigToJson } from '@echo-loom/core';
import { addPlace, Server } from './server-for-tests';

describe('undo over others’ edits', () => {
  it('sends the entry alone: what is put back is the log’s to say', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    session.run(addPlace('shed'));
    session.undo();
    await session.flush();
    expect(server.requests.flatMap(({ entries }) => entries).at(-1)?.command).toEqual({
      type: 'revert',
      does: 'undo',
      entryId: 'one-entry-1',
    });
    expect(rigToJson(server.rig)).toBe(rigToJson(blankRig('Rig')));
  });
  it('of a sentence longer than a label may be is taken all the same', async () => {
    const server = new Server('Rig');
    server.save('one-entry-0', 'one', { type: 'renameRig', name: 'Long' });
    server.log = server.log.map((entry) => ({ ...entry, says: 'y'.repeat(900) }));
    const session = server.open('one');
    session.undo();
    await session.flush();
    const last = server.log.at(-1)?.command;
    expect(last?.type === 'revert' && last.label).toBe(`${'y'.repeat(399)}…`);
    expect([
      server.rig.name,
      session.store.getState().save.state,
      session.store.getState().setAside,
    ]).toEqual(['Rig', 'saved', []]);
  });
});
