import fc from 'fast-check';
import isDeepEqual from 'fast-deep-equal';
import { analyse } from './analyse';
import { CATALOGUE } from './catalogue';
import { isConversion } from './passes/sound/gains';
import { voiceFigures } from './passes/sound/voice-figures';
import { report } from './report';
import {
  anyCommand,
  apply,
  applyTracked,
  blankRig,
  type Command,
  commandSchema,
  importRig,
  type LogEntry,
  Refusal,
  revertOf,
  type Rig,
  RIG_VERSION,
  rigToJson,
  seeded,
  sentence,
  undoState,
} from './rig';
import { voice } from './rules/rigs-for-cases';
import { times } from './runs-for-cases';

/** Seeds of commands: each seed makes one command, from the rig as it stands then. */
const seeds = fc.array(fc.integer(), { minLength: 1, maxLength: 40 });

interface Played {
  readonly rig: Rig;
  readonly log: LogEntry[];
  /** Everything that was asked for, refused or not */
  readonly asked: Command[];
}

/** One command, or now and then several that belong together. */
const commandFrom = (seed: number, rig: Rig): Command | null => {
  const chance = seeded(seed, CATALOGUE);
  if (!chance.once(6)) return anyCommand(chance, rig);
  const several = [1, 2, 3].flatMap(() => anyCommand(chance, rig) ?? []);
  return several.length > 0 ? { type: 'batch', label: 'Several', commands: several } : null;
};

/** Makes commands, applies what can be applied and keeps the log, as a session does. */
const play = (start: Rig, list: readonly number[]): Played => {
  let rig = start;
  const log: LogEntry[] = [];
  const asked: Command[] = [];
  list.forEach((seed, index) => {
    const command = commandFrom(seed, rig);
    if (!command) return;
    asked.push(command);
    try {
      const { rig: next, changes } = applyTracked(rig, command);
      if (changes.length === 0) return;
      const says = sentence(rig, command);
      const id = `entry-${index}`;
      log.push({ id, author: 'someone', version: RIG_VERSION, command, changes, says });
      rig = next;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
    }
  });
  return { rig, log, asked };
};

describe('what must always hold', () => {
  it('undoing everything restores the bytes, redoing everything restores them again', () => {
    fc.assert(
      fc.property(seeds, (list) => {
        const start = voice().build();
        let { rig, log } = play(start, list);
        const end = rigToJson(rig);
        for (const does of ['undo', 'redo'] as const)
          for (
            let item = undoState(log, 'someone')[does].at(-1);
            item;
            item = undoState(log, 'someone')[does].at(-1)
          ) {
            const command = revertOf(item, does);
            const applied = applyTracked(rig, command);
            log = [
              ...log,
              {
                id: `${item.id}-${does}`,
                author: 'someone',
                version: RIG_VERSION,
                command,
                changes: applied.changes,
                says: sentence(rig, command),
              },
            ];
            rig = applied.rig;
            if (undoState(log, 'someone').undo.length === 0)
              expect(rigToJson(rig)).toBe(rigToJson(start));
          }
        expect(rigToJson(rig)).toBe(end);
      }),
      { numRuns: times(120) },
    );
  });

  it('a rig reached by commands exports and imports to itself, and analyses to the same bytes twice', () => {
    fc.assert(
      fc.property(seeds, (list) => {
        const { rig } = play(blankRig('Any'), list);
        const read = importRig(new TextEncoder().encode(rigToJson(rig)));
        expect(read.ok && isDeepEqual(read.rig, rig)).toBe(true);
        if (read.ok)
          expect(JSON.stringify(report(analyse(read.rig)))).toBe(
            JSON.stringify(report(analyse(rig))),
          );
      }),
      { numRuns: times(80) },
    );
  });

  it('a refused command leaves the rig untouched, and every command survives the schema at the door', () => {
    fc.assert(
      fc.property(seeds, (list) => {
        const rig = voice().build();
        const before = rigToJson(rig);
        for (const command of play(rig, list).asked) {
          expect(commandSchema.parse(JSON.parse(JSON.stringify(command)))).toEqual(command);
          try {
            apply(rig, command);
          } catch (error) {
            expect(error).toBeInstanceOf(Refusal);
          }
        }
        expect(rigToJson(rig)).toBe(before);
      }),
      { numRuns: times(60) },
    );
  });

  it('adding gain never raises the signal-to-noise ratio by more than the converter hid', () => {
    const snrAt = (gain: number, microphone: string) => {
      const analysis = analyse(
        voice({ microphone, settings: { 'gain-1': gain, 'phantom-1': true } }).build(),
      );
      const stage = analysis.traced.stages.find((candidate) => isConversion(candidate));
      const input = stage?.parent ? analysis.sound[stage.parent.index] : undefined;
      return {
        digital: (stage && voiceFigures(analysis, stage)?.snrDb) ?? NaN,
        input: (input?.levelDb ?? NaN) - (input?.noise?.unweightedDb ?? NaN),
      };
    };
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 69 }),
        fc.constantFrom('mic-dynamic-quiet', 'mic-dynamic-stage', 'mic-condenser-large'),
        (gain, microphone) => {
          const { digital, input } = snrAt(gain, microphone);
          expect(digital).toBeLessThanOrEqual(input + 1e-9);
        },
      ),
      { numRuns: times(60) },
    );
  });

  it('undo does not overwrite what someone else has changed since', () => {
    const start = voice().build();
    const command: Command = { type: 'renameDevice', deviceId: 'mic', name: 'Mine' };
    const { rig, changes } = applyTracked(start, command);
    const theirs = apply(rig, { type: 'renameDevice', deviceId: 'mic', name: 'Theirs' });
    const own = { id: 'mine', changes, says: 'Renamed Mic.' };
    expect(() => apply(theirs, revertOf(own, 'undo'))).toThrow('has been changed since');
  });
});
