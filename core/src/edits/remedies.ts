import { sourceOf } from '../graph';
import { coverage } from '../passes/coverage';
import type { CoverageLine } from '../passes/coverage/line';
import { voiceSources } from '../passes/coverage/threads';
import { measure } from '../passes/measure';
import type { Measured } from '../passes/measured';
import { knobsOf, voices } from '../passes/sound/ladder';
import { apply, type Command, Refusal, type SimpleCommand } from '../rig';
import { attempts } from './attempts';
import type { Fix } from './fix';
import { setWithSharers } from './gain/set';

/** Edits tried for one line at the most; more would keep a person waiting. */
const MOST_TRIES = 120;
const MOST_LAST_TRIES = 20;

/** Combinations of knobs tried for one voice here; the rest of a remedy is tried as well. */
const MOST_SETTINGS = 4_000;

/**
 * Sets whoever is newly heard, by the search behind “set it for me”, so that the remedy leaves a level and
 * not only a way.
 * @param speaks sources whose level counts @param turns devices whose knobs may be turned; null = any
 */
const withGains = (
  measured: Measured,
  commands: readonly SimpleCommand[],
  speaks: ReadonlySet<string>,
  turns: ReadonlySet<string> | null,
): readonly SimpleCommand[] => {
  let now = measure(
    apply(measured.rig, { type: 'batch', label: 'Try', commands: [...commands] }),
    measured,
  );
  const all = [...commands];
  const done = new Set<string>();
  for (const stage of voices(now)) {
    const source = sourceOf(stage).at.device.id;
    if (!speaks.has(source) || done.has(source)) continue;
    done.add(source);
    const held = new Set(
      turns === null
        ? []
        : knobsOf(now, stage)
            .filter(({ deviceId }) => !turns.has(deviceId))
            .map(({ deviceId, control }) => `${deviceId}.${control}`),
    );
    const set = setWithSharers(now, stage, { held, most: MOST_SETTINGS });
    all.push(...set);
    if (set.length > 0)
      now = measure(apply(now.rig, { type: 'batch', label: 'Try', commands: [...set] }), now);
  }
  return all;
};

const verdictAfter = (
  measured: Measured,
  line: CoverageLine,
  commands: readonly SimpleCommand[],
): CoverageLine['verdict'] | null => {
  try {
    const after = measure(
      apply(measured.rig, { type: 'batch', label: 'Try', commands: [...commands] }),
      measured,
    );
    return coverage(after).find(({ id }) => id === line.id)?.verdict ?? null;
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
};

/**
 * Edits that give a line what it lacks, found by trying them: first with what is there, then with one thing more.
 * @returns at most two, each of which meets the line
 */
export const remedies = (measured: Measured, line: CoverageLine): Fix[] => {
  const fixes: Fix[] = [];
  const kinds = new Set<string>();
  const done = new Set<string>();
  const all = attempts(measured, line);
  const tried = [
    ...all.filter(({ isLast }) => !isLast).slice(0, MOST_TRIES),
    ...all.filter(({ isLast }) => isLast).slice(0, MOST_LAST_TRIES),
  ];
  for (const attempt of tried) {
    // One remedy of each kind: the first port that does, not every port that would.
    if (kinds.has(attempt.kind) || (attempt.isLast && fixes.length > 0)) continue;
    // Whatever it is called, the same cable is one remedy.
    const same = JSON.stringify(attempt.commands);
    if (done.has(same)) continue;
    done.add(same);
    const verdict = verdictAfter(measured, line, attempt.commands);
    if (
      verdict !== 'met' &&
      !(line.verdict === 'missing' && verdict === 'partly' && line.need === 'heard')
    )
      continue;
    kinds.add(attempt.kind);
    const added = new Set(
      attempt.commands.flatMap((command) =>
        command.type === 'addDevice' ? [command.deviceId] : [],
      ),
    );
    const commands =
      line.need !== 'heard'
        ? attempt.commands
        : line.verdict === 'partly'
          ? withGains(
              measured,
              attempt.commands,
              new Set(voiceSources(measured, line.subject.id).map(({ id }) => id)),
              added,
            )
          : withGains(measured, attempt.commands, added, null);
    const command: Command = { type: 'batch', label: attempt.label, commands: [...commands] };
    fixes.push({ label: attempt.label, command });
    if (fixes.length === 2) break;
  }
  return fixes;
};
