import { type Command, rigToJson } from '@echo-loom/core';
import { addPlace, places, Server } from './server-for-tests';

describe('one open rig in one browser', () => {
  it('applies an edit at once and saves it', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    expect(session.run(addPlace('shed'))).toBe(true);
    expect([places(session), session.store.getState().save.state]).toEqual([['shed'], 'saving']);
    await session.flush();
    expect([
      Object.keys(server.rig.places),
      session.store.getState().save.state,
      server.kept,
    ]).toEqual([['shed'], 'saved', { pending: [], setAside: [] }]);
  });
  it('keeps its analysis while a save is confirmed: nothing is computed twice', async () => {
    const session = new Server('Rig').open('one');
    session.run(addPlace('shed'));
    const { analysis } = session.store.getState();
    await session.flush();
    expect(session.store.getState().analysis).toBe(analysis);
  });
  it('says why a command is refused, and changes nothing', () => {
    const session = new Server('Rig').open('one');
    expect(session.run({ type: 'removePlace', placeId: 'nowhere' })).toBe(false);
    expect(session.store.getState().refusal).toContain('There is no place "nowhere"');
    session.dismissRefusal();
    expect(session.store.getState().refusal).toBeNull();
  });
  it('takes back and does again, to the bytes', async () => {
    const session = new Server('Rig').open('one');
    const blank = rigToJson(session.store.getState().rig);
    session.run(addPlace('shed'));
    const built = rigToJson(session.store.getState().rig);
    session.undo();
    expect(rigToJson(session.store.getState().rig)).toBe(blank);
    session.redo();
    expect(rigToJson(session.store.getState().rig)).toBe(built);
    await session.flush();
  });
  it('takes back only its own edits', async () => {
    const server = new Server('Rig');
    server.save('other-1', 'other', addPlace('theirs'));
    const session = server.open('one');
    session.undo();
    expect(places(session)).toEqual(['theirs']);
    await session.flush();
  });
});

describe('with others on the same rig', () => {
  it('puts what others saved under its own edits', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    server.save('other-1', 'other', addPlace('theirs'));
    session.run(addPlace('mine'));
    await session.flush();
    expect([
      places(session).sort(),
      Object.keys(server.rig.places).sort(),
      session.store.getState().setAside,
    ]).toEqual([['mine', 'theirs'], ['mine', 'theirs'], []]);
    expect(rigToJson(session.store.getState().rig)).toBe(rigToJson(server.rig));
  });
  it('sets aside what no longer fits, with the reason, and keeps the rest', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    server.isDown = true;
    session.run(addPlace('shed'));
    session.run(addPlace('yard'));
    await session.flush();
    server.save('other-1', 'other', addPlace('shed'));
    server.isDown = false;
    await session.flush();
    const { setAside } = session.store.getState();
    expect(setAside).toHaveLength(1);
    expect(setAside[0]?.why).toContain('"shed" is already in this rig');
    expect(places(session).sort()).toEqual(['shed', 'yard']);
    session.dismissSetAside(setAside[0]?.id ?? '');
    expect(session.store.getState().setAside).toEqual([]);
  });
  it('hears of others’ edits when it catches up', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    server.save('other-1', 'other', addPlace('theirs'));
    await session.catchUp();
    expect(places(session)).toEqual(['theirs']);
    expect(session.store.getState().history.map(({ says }) => says)).toEqual([
      'Added the place theirs.',
    ]);
  });
  it('sets aside what the server refuses', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    server.refuses.add('one-entry-1');
    session.run(addPlace('shed'));
    await session.flush();
    expect([
      places(session),
      session.store.getState().setAside.map(({ why }) => why),
      session.store.getState().save.state,
    ]).toEqual([[], ['The server knows better.'], 'saved']);
  });
});

describe('when the server goes away', () => {
  it('keeps edits, says so, asks to try again, and sends them when it is back', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    server.isDown = true;
    session.run(addPlace('shed'));
    await session.flush();
    expect([
      session.store.getState().save,
      server.retries,
      server.kept.pending.map(({ id }) => id),
    ]).toEqual([{ state: 'waiting', says: 'The server does not answer.' }, 1, ['one-entry-1']]);
    server.isDown = false;
    await session.flush();
    expect([session.store.getState().save.state, Object.keys(server.rig.places)]).toEqual([
      'saved',
      ['shed'],
    ]);
  });
  it('adopts what a lost tab had kept, once', async () => {
    const server = new Server('Rig');
    const lost = server.open('one');
    server.isDown = true;
    lost.run(addPlace('shed'));
    await lost.flush();
    const box = server.kept;
    server.isDown = false;
    const session = server.open('two');
    session.adopt(box);
    await session.flush();
    session.adopt(box);
    await session.flush();
    expect([places(session), server.log.length]).toEqual([['shed'], 1]);
  });
  it('adopts what a lost tab had set aside, and keeps it in sight and in its own box', async () => {
    const server = new Server('Rig');
    const session = server.open('two');
    const left = {
      id: 'one-entry-9',
      says: 'Added the place Loft.',
      why: 'There is no such edit any more.',
      kept: { type: 'paintTheLoft' },
    };
    await expect(session.adopt({ pending: [], setAside: [left] })).resolves.toBe(true);
    await session.adopt({ pending: [], setAside: [left] });
    expect(session.store.getState().setAside).toEqual([left]);
    expect(server.kept.setAside).toEqual([left]);
    session.dismissSetAside(left.id);
    expect([session.store.getState().setAside, server.kept.setAside]).toEqual([[], []]);
  });
  it('sets aside what a lost tab kept and no longer fits, beside what that had set aside', async () => {
    const server = new Server('Rig');
    const lost = server.open('one');
    server.isDown = true;
    lost.run(addPlace('shed'));
    lost.run(addPlace('yard'));
    await lost.flush();
    const box = server.kept;
    server.isDown = false;
    server.save('other-1', 'other', addPlace('shed'));
    const session = server.open('two');
    const earlier = { id: 'older', says: 'A kept edit.', why: 'It cannot be read.', kept: '{' };
    await session.adopt({ pending: box.pending, setAside: [earlier] });
    await session.flush();
    const { setAside } = session.store.getState();
    expect(setAside.map(({ id }) => id)).toEqual(['older', 'one-entry-1']);
    expect(setAside[1]).toMatchObject({
      says: 'Added the place shed.',
      why: expect.stringContaining('"shed" is already in this rig') as string,
    });
    expect([places(session).sort(), Object.keys(server.rig.places).sort()]).toEqual([
      ['shed', 'yard'],
      ['shed', 'yard'],
    ]);
  });
  it('does not say that it keeps what the browser has no room for', async () => {
    const server = new Server('Rig');
    server.keeps = false;
    const session = server.open('two');
    const left = { id: 'older', says: 'A kept edit.', why: 'It cannot be read.', kept: '{' };
    await expect(session.adopt({ pending: [], setAside: [left] })).resolves.toBe(false);
    expect(session.store.getState().isKept).toBe(false);
  });
  it('says that a rig is gone', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    server.isDeleted = true;
    session.run(addPlace('shed'));
    await session.flush();
    expect(session.store.getState().save.state).toBe('gone');
    await session.catchUp();
    expect(session.store.getState().save.state).toBe('gone');
  });
});

/** What a person types, or what reaches the session by paste. */
const hostile = (value: unknown): Command => value as Command;

describe('an edit that cannot be', () => {
  it('is refused in words before it is applied, and never sent', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    expect(session.run({ type: 'setHouseRules', rules: { recordingsOfVoice: 2.3 } })).toBe(false);
    expect(session.store.getState().refusal).toBe(
      'This cannot be entered: recordings of voice: expected a whole number.',
    );
    expect(session.run({ type: 'renameRig', name: 'one\ttwo' })).toBe(false);
    expect(session.store.getState().refusal).toBe(
      'This cannot be entered: name: expected text without control characters.',
    );
    expect(session.run(hostile({ type: 'paintTheShed', colour: 'red' }))).toBe(false);
    expect(session.store.getState().refusal).toBe(
      'This cannot be entered: this version of Echo Loom has no such edit.',
    );
    await session.flush();
    expect([server.requests, session.store.getState().save.state]).toEqual([[], 'saved']);
  });
  it('leaves no trace where it changes nothing', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    expect(session.run({ type: 'renameRig', name: 'Rig' })).toBe(true);
    expect(session.store.getState().undo.undo).toEqual([]);
    await session.flush();
    expect([server.requests, server.log]).toEqual([[], []]);
  });
  it(
    'does not hold up the others: the one that is not understood is set aside by name, ' +
      'the rest is saved',
    async () => {
      const server = new Server('Rig');
      const session = server.open('one');
      server.isDown = true;
      for (const name of ['a', 'b', 'c', 'd']) session.run(addPlace(name));
      await session.flush();
      server.isDown = false;
      server.chokesOn.add('one-entry-3');
      await session.flush();
      const { setAside, save } = session.store.getState();
      expect(setAside.map(({ says, why }) => [says, why])).toEqual([
        ['Added the place c.', 'That is not understood.'],
      ]);
      expect([Object.keys(server.rig.places), places(session), save.state]).toEqual([
        ['a', 'b', 'd'],
        ['a', 'b', 'd'],
        'saved',
      ]);
      expect(server.kept.setAside).toHaveLength(1);
    },
  );
  it('can be tried again, and stays in sight where it still does not fit', async () => {
    const server = new Server('Rig');
    const session = server.open('one');
    server.refuses.add('one-entry-1');
    session.run(addPlace('shed'));
    await session.flush();
    const id = session.store.getState().setAside[0]?.id ?? '';
    session.run(addPlace('shed'));
    session.retrySetAside(id);
    expect(session.store.getState().setAside.map((item) => item.id)).toEqual([id]);
    session.undo();
    session.retrySetAside(id);
    expect([session.store.getState().setAside, places(session)]).toEqual([[], ['shed']]);
    await session.flush();
    expect(Object.keys(server.rig.places)).toEqual(['shed']);
  });
});

describe('a browser that keeps nothing', () => {
  it('is told', async () => {
    const server = new Server('Rig');
    server.keeps = false;
    const session = server.open('one');
    server.isDown = true;
    session.run(addPlace('shed'));
    await session.flush();
    expect(session.store.getState().isKept).toBe(false);
  });
});
