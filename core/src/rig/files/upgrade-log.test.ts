import fc from 'fast-check';
import { CATALOGUE } from '../../catalogue';
import { anyCommand } from '../any-command';
import { applyTracked } from '../apply';
import { seeded } from '../chance';
import { type Change, type Command, commandSchema } from '../commands';
import { type LogEntry, revertOf, undoState } from '../history';
import { Refusal } from '../refusal';
import { blankRig, type Rig, RIG_VERSION } from '../rig';
import { rigToJson } from './export';
import { readRig } from './import';
import { oldText } from './old-files-for-cases';
import { upgradeCommand } from './upgrade-command';
import { type OldEntry, upgradeLog } from './upgrade-log';
import { times } from '../../runs-for-cases';

/** A log that the program wrote while its document was of that version, with the documents at both ends. */
interface OldLog {
  readonly start: unknown;
  readonly document: unknown;
  readonly entries: {
    readonly id: string;
    readonly author: string;
    readonly command: Command;
    readonly changes: readonly Change[];
    readonly says: string;
  }[];
}

const oldLog = (version: number): OldLog =>
  JSON.parse(oldText(`second-firing.version-${version}.log.json`)) as OldLog;

const numbered = ({ entries }: OldLog, version: number | null): OldEntry[] =>
  entries.map(({ command, changes }, index) => ({
    revision: index + 1,
    version,
    command,
    changes,
  }));

const readable = (document: unknown): Rig => {
  const read = readRig(document);
  if (!read.ok) throw new Error(read.problems.map(({ says }) => says).join('; '));
  return read.rig;
};

/** Takes back everything that can be, and says how many that were. */
const takenBack = (rig: Rig, log: readonly LogEntry[]): { rig: Rig; count: number } => {
  const { undo } = undoState(log, 'old-author');
  let at = rig;
  for (const item of [...undo].reverse()) at = applyTracked(at, revertOf(item, 'undo')).rig;
  return { rig: at, count: undo.length };
};

const asLog = (old: OldLog, upgraded: ReturnType<typeof upgradeLog>): LogEntry[] =>
  upgraded.entries.map(({ command, changes, version }, index) => ({
    id: old.entries[index]?.id ?? '',
    author: 'old-author',
    version,
    command: commandSchema.safeParse(command).data ?? null,
    changes,
    says: old.entries[index]?.says ?? '',
  }));

describe.each([2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18])(
  'a log of version %i',
  (version) => {
    const old = oldLog(version);
    const upgraded = upgradeLog(old.document, numbered(old, version));
    const log = asLog(old, upgraded);

    it('is all brought up with its document', () => {
      expect(upgraded.entries.map((entry) => entry.version)).toEqual(
        old.entries.map(() => RIG_VERSION),
      );
      expect(readable(upgraded.document).name).toBe('Second Firing, old');
      expect(log.map(({ command }) => command?.type)).toEqual(
        old.entries.map(({ command }) => command.type),
      );
    });
    it('takes back everything that was done before the update, and leaves what there was', () => {
      const { rig, count } = takenBack(readable(upgraded.document), log);
      // One of them was taken back while it was still of its own version.
      expect(count).toBe(old.entries.length - 2);
      expect(rigToJson(rig)).toBe(rigToJson(readable(old.start)));
    });
    it('does again what was taken back before the update', () => {
      const rig = readable(upgraded.document);
      const [undone] = undoState(log.slice(0, 10), 'old-author').redo;
      if (!undone) throw new Error('nothing was taken back');
      const { changes } = applyTracked(rig, revertOf(undone, 'redo'));
      expect(changes.map(({ path }) => path.slice(0, 2))).toContainEqual([
        'devices',
        'guest-two-mic',
      ]);
    });
    it('can be brought up again without a difference', () => {
      const again = upgradeLog(
        upgraded.document,
        upgraded.entries.map((entry) => ({ ...entry })),
      );
      expect(again.entries).toEqual(upgraded.entries);
    });
  },
);

describe('a log that does not fit together', () => {
  const old = oldLog(4);
  const broken = numbered(old, 4).map((entry) =>
    entry.revision === 5 ? { ...entry, changes: [{ path: ['name'], after: 'Never was' }] } : entry,
  );
  const upgraded = upgradeLog(old.document, broken);

  it('keeps its undo down to there, and only its words from there on', () => {
    expect(upgraded.entries.map(({ version }) => version)).toEqual([
      ...new Array<number>(5).fill(0),
      ...new Array<number>(old.entries.length - 5).fill(RIG_VERSION),
    ]);
    const { undo } = undoState(asLog(old, upgraded), 'old-author');
    expect(undo.every(({ version }) => version === RIG_VERSION)).toBe(true);
    expect(undo.length).toBeGreaterThan(3);
  });
  it('stays so when it is brought up once more', () => {
    const again = upgradeLog(upgraded.document, upgraded.entries);
    expect(again.entries.map(({ version }) => version)).toEqual(
      upgraded.entries.map(({ version }) => version),
    );
  });
});

describe('a log of which nobody wrote the version down', () => {
  it('is taken to be of the version of its document, as far as it fits', () => {
    const old = oldLog(3);
    const entries = upgradeLog(old.document, numbered(old, null)).entries;
    expect(entries.every(({ version }) => version === RIG_VERSION)).toBe(true);
  });
  it('loses its undo where the document was upgraded alone', () => {
    const old = oldLog(2);
    const alone = readable(old.document);
    const { entries } = upgradeLog(alone, numbered(old, null));
    // What changed only plain values still fits; a device that was added then is another now.
    expect(entries.at(-1)?.version).toBe(0);
    expect(entries.at(0)?.version).toBe(0);
  });
});

describe('a log of the present version', () => {
  it('is found as it stands, whatever was done', () => {
    fc.assert(
      fc.property(fc.array(fc.integer(), { minLength: 1, maxLength: 20 }), (seeds) => {
        let rig = blankRig('Any');
        const entries: OldEntry[] = [];
        for (const seed of seeds) {
          const command = anyCommand(seeded(seed, CATALOGUE), rig);
          if (!command) continue;
          try {
            const { rig: next, changes } = applyTracked(rig, command);
            if (changes.length === 0) continue;
            const revision = entries.length + 1;
            entries.push({ revision, version: RIG_VERSION, command, changes });
            rig = next;
          } catch (error) {
            if (!(error instanceof Refusal)) throw error;
          }
        }
        const { document, entries: upgraded } = upgradeLog(rig, entries);
        expect(document).toBe(rig);
        expect(upgraded.every(({ version }) => version === RIG_VERSION)).toBe(true);
        let at = rig;
        for (const { changes } of [...upgraded].reverse())
          at = applyTracked(at, revertOf({ id: 'an-entry', changes, says: 'It.' }, 'undo')).rig;
        expect(rigToJson(at)).toBe(rigToJson(blankRig('Any')));
      }),
      { numRuns: times(60) },
    );
  });
  it('of a document that a later version wrote is refused', () =>
    expect(() => upgradeLog({ version: RIG_VERSION + 1 }, [])).toThrow('this program is older'));
});

describe('a command kept in a browser since before an update', () => {
  const [first] = Object.values(readable(oldLog(2).document).people);
  it.each([2, 3, 4])('of version %i is one of the present', (version) => {
    for (const { command } of oldLog(version).entries) {
      if (command.type === 'revert') continue;
      expect(
        commandSchema.safeParse(upgradeCommand(command, version)).error?.issues,
      ).toBeUndefined();
    }
  });
  it('says what a person has said since: version 2 knew no posture, version 4 no place', () => {
    const added = oldLog(2).entries.find(({ command }) => command.type === 'addPerson')?.command;
    expect(commandSchema.safeParse(added).success).toBe(false);
    expect(upgradeCommand(added, 2)).toMatchObject({
      person: { posture: 'sits', wearsGlasses: false, at: null },
    });
    expect(first?.posture).toBe('sits');
  });
  it('is upgraded inside several that belong together', () => {
    const added = oldLog(4).entries.find(({ command }) => command.type === 'addPerson')?.command;
    const batch = { type: 'batch', label: 'Both', commands: [added, added] };
    expect(commandSchema.safeParse(batch).success).toBe(false);
    expect(commandSchema.safeParse(upgradeCommand(batch, 4)).success).toBe(true);
  });
  it('that is nothing known stays what it is', () => {
    expect(upgradeCommand('lamp', 2)).toBe('lamp');
    expect(upgradeCommand({ type: 'batch' }, 2)).toEqual({ type: 'batch' });
  });
});
