import { sourceOf } from '../graph';
import { coverage } from '../passes/coverage';
import type { CoverageLine } from '../passes/coverage/line';
import { voiceSources } from '../passes/coverage/threads';
import { measure, type Measured } from '../passes/measure';
import { conversions, nearestGain, steppedGain } from '../passes/sound/gains';
import { voiceTargetDbfs } from '../passes/sound';
import { apply, type Command, Refusal, type Rig, type SimpleCommand } from '../rig';
import { attempts } from './attempts';
import type { Fix } from './fix';

/** Edits tried for one line at the most; more would keep a person waiting. */
const MOST_TRIES = 120;

/**
 * Sets the gain of whoever is newly heard, so that the remedy leaves a level and not only a way.
 * @param speaks sources whose level counts @param turns devices whose knobs may be turned; null = any
 */
const withGains = (
  rig: Rig,
  commands: readonly SimpleCommand[],
  speaks: ReadonlySet<string>,
  turns: ReadonlySet<string> | null,
): readonly SimpleCommand[] => {
  const after = measure(apply(rig, { type: 'batch', label: 'Try', commands: [...commands] }));
  const set: SimpleCommand[] = [];
  for (const stage of conversions(after)) {
    const figures = after.sound[stage.index];
    const level = figures?.levelDb;
    const gain = nearestGain(after, stage);
    if (
      !figures ||
      level === null ||
      level === undefined ||
      !gain ||
      !speaks.has(sourceOf(stage).at.device.id) ||
      (turns && !turns.has(gain.stage.at.device.id))
    )
      continue;
    const value = steppedGain(
      gain.gain.gainDb + voiceTargetDbfs(rig.houseRules, figures) - level,
      gain.gain,
    );
    if (value !== gain.gain.gainDb)
      set.push({
        type: 'setControl',
        deviceId: gain.stage.at.device.id,
        control: gain.control,
        value,
      });
  }
  return [...commands, ...set];
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
  for (const attempt of attempts(measured, line).slice(0, MOST_TRIES)) {
    // One remedy of each kind: the first port that does, not every port that would.
    if (kinds.has(attempt.kind)) continue;
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
              measured.rig,
              attempt.commands,
              new Set(voiceSources(measured, line.subject.id).map(({ id }) => id)),
              added,
            )
          : withGains(measured.rig, attempt.commands, added, null);
    const command: Command = { type: 'batch', label: attempt.label, commands: [...commands] };
    fixes.push({ label: attempt.label, command });
    if (fixes.length === 2) break;
  }
  return fixes;
};
