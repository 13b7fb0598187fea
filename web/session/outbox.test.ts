import { Storage } from './browser-for-tests';
import { adoptBoxes, type Box, keepBox } from './outbox';
import { PAGE_VERSION } from './protocol';

const NOBODY: ReadonlySet<string> = new Set();
const pending = (id: string, name: string) => ({
  id,
  author: 'browser-one',
  version: PAGE_VERSION,
  command: { type: 'renameRig' as const, name },
});
const box = (more: Partial<Box>): Box => ({ pending: [], setAside: [], ...more });
const aside = {
  id: 'aside-one',
  says: 'An edit.',
  why: 'It did not fit.',
  kept: { type: 'renameRig', name: 'Kept' },
};

/** A storage with one box in it, as it was written. */
const storageWith = (text: string, tab = 'gone'): Storage => {
  const storage = new Storage();
  storage.setItem(`echo-loom.outbox.rig.${tab}`, text);
  return storage;
};

describe('the box of a tab', () => {
  it('comes back as it was put in, and is gone when there is nothing in it', () => {
    const storage = new Storage();
    const full = box({ pending: [pending('entry-one', 'One')], setAside: [aside] });
    expect(keepBox(storage, 'rig', 'tab', full)).toBe(true);
    const adopted = adoptBoxes(storage, 'rig', 'next', NOBODY);
    expect({ pending: adopted.pending, setAside: adopted.setAside }).toEqual(full);
    keepBox(storage, 'rig', 'tab', box({}));
    expect(storage.length).toBe(0);
  });

  it('says when nothing can be kept', () => {
    const full = new Storage();
    full.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    expect(keepBox(full, 'rig', 'tab', box({ pending: [pending('entry-one', 'One')] }))).toBe(
      false,
    );
  });

  it('is left alone while its tab is open, or it belongs to another rig', () => {
    const storage = new Storage();
    keepBox(storage, 'rig', 'open', box({ pending: [pending('entry-one', 'One')] }));
    keepBox(storage, 'other', 'gone', box({ pending: [pending('entry-two', 'Two')] }));
    expect(adoptBoxes(storage, 'rig', 'next', new Set(['open'])).pending).toEqual([]);
  });

  it('is emptied only once its new owner has it, and not where it was written to meanwhile', () => {
    const storage = new Storage();
    keepBox(storage, 'rig', 'gone', box({ pending: [pending('entry-one', 'One')] }));
    const adopted = adoptBoxes(storage, 'rig', 'next', NOBODY);
    expect(storage.length).toBe(1);
    keepBox(
      storage,
      'rig',
      'gone',
      box({ pending: [pending('entry-one', 'One'), pending('entry-two', 'Two')] }),
    );
    adopted.emptied();
    expect(storage.length).toBe(1);
    adoptBoxes(storage, 'rig', 'next', NOBODY).emptied();
    expect(storage.length).toBe(0);
  });
});

describe('an edit kept since before an update', () => {
  const kept = (version: number, command: unknown) =>
    storageWith(
      JSON.stringify({
        pending: [{ id: 'entry-old', author: 'browser-one', version, command }],
        setAside: [],
      }),
    );
  const person = {
    name: 'Guest',
    where: 'on site',
    posture: 'sits',
    shot: null,
    isHeard: true,
    speechDbSpl: 60,
    spreadDb: 6,
    crestDb: 14,
    wearsGlasses: false,
    dislikesHeadset: false,
    needsHandsFree: false,
  };
  it('is one of the present: version 4 knew nobody’s place', () => {
    const command = { type: 'addPerson', personId: 'guest', person };
    const { pending: taken, setAside } = adoptBoxes(kept(4, command), 'rig', 'next', NOBODY);
    expect(setAside).toEqual([]);
    expect(taken).toEqual([
      {
        id: 'entry-old',
        author: 'browser-one',
        version: PAGE_VERSION,
        command: {
          ...command,
          person: { ...person, is: 'person', at: null, eyeM: null, statureM: null },
        },
      },
    ]);
  });
  it('is set aside with its words where no step leads to the present', () => {
    const command = { type: 'addLamp', lampId: 'key' };
    const { pending: taken, setAside } = adoptBoxes(kept(4, command), 'rig', 'next', NOBODY);
    expect(taken).toEqual([]);
    expect(setAside[0]?.why).toContain('made with an earlier version of Echo Loom');
    expect(setAside[0]?.kept).toMatchObject({ command });
  });
});

describe('what cannot be read', () => {
  it('is shown entry by entry; what can be read beside it is taken', () => {
    const kept = {
      pending: [
        pending('entry-one', 'One'),
        {
          id: 'entry-two',
          author: 'browser-one',
          version: PAGE_VERSION,
          command: { type: 'paintTheShed' },
        },
        'rubbish',
        pending('entry-4th', 'Four'),
      ],
      setAside: ['what is this'],
    };
    const { pending: read, setAside } = adoptBoxes(
      storageWith(JSON.stringify(kept)),
      'rig',
      'next',
      NOBODY,
    );
    expect(read.map(({ id }) => id)).toEqual(['entry-one', 'entry-4th']);
    expect(setAside.map(({ says, kept: item }) => [says, item])).toEqual([
      ['A kept edit (paintTheShed).', kept.pending[1]],
      ['A kept edit.', 'rubbish'],
      ['A kept edit.', 'what is this'],
    ]);
    expect(setAside[0]?.why).toBe(
      'This cannot be entered: this version of Echo Loom has no such edit.',
    );
  });

  it('is never deleted: a text that is no JSON comes back whole', () => {
    const { setAside } = adoptBoxes(storageWith('{"pending":[{"id"'), 'rig', 'next', NOBODY);
    expect(setAside).toMatchObject([{ says: 'Kept edits.', kept: '{"pending":[{"id"' }]);
  });

  it('from an earlier version says so', () => {
    const old = [
      {
        id: 'entry-one',
        author: 'browser-one',
        version: 4,
        command: { type: 'renameRig', name: '' },
      },
    ];
    const { setAside } = adoptBoxes(storageWith(JSON.stringify(old)), 'rig', 'next', NOBODY);
    expect(setAside[0]?.why).toBe(
      'This cannot be entered: name: expected a name. It was made with an earlier version of Echo Loom.',
    );
  });
});

it('boxes of before this version are lists without versions, and their undos carried what they put back', () => {
  const undo = {
    type: 'revert',
    does: 'undo',
    entryId: 'entry-one',
    label: 'Renamed.',
    changes: [{ path: ['name'], before: 'B', after: 'A' }],
  };
  const old = [{ id: 'entry-two', author: 'browser-one', command: undo }];
  expect(adoptBoxes(storageWith(JSON.stringify(old)), 'rig', 'next', NOBODY).pending).toEqual([
    {
      id: 'entry-two',
      author: 'browser-one',
      version: PAGE_VERSION,
      command: { type: 'revert', does: 'undo', entryId: 'entry-one' },
    },
  ]);
});
