import { type Analysis, analyse, edited, fixesOfCause } from './analyse';
import type { Fix } from './edits/fix';
import { costOf } from './passes/money';
import type { Rig } from './rig';
import { findingKey } from './rules';

/** What came of taking the best remedy of the first finding that has one, again and again. */
export interface Pressed {
  readonly before: Analysis;
  readonly after: Analysis;
  /** What was pressed, in order */
  readonly presses: readonly string[];
  /** What it costs in all, in the studio's currency; what depends on the room is not in it */
  readonly money: number;
  /** Whether it came back to where it had been, or did not end */
  readonly isCircle: boolean;
  /** Presses after which there were more stops than before them */
  readonly worse: readonly string[];
}

/** More presses than this no rig of the tests needs. */
const MOST_PRESSES = 150;

/** The first remedy on offer that makes nothing worse. @param without causes that are not asked; what has none joins */
const bestOf = (analysis: Analysis, without: Set<string>): Fix | null => {
  for (const cause of analysis.causes) {
    const key = findingKey(cause.finding);
    if (without.has(key)) continue;
    const fix = fixesOfCause(analysis, cause).find(({ isWorse }) => !isWorse);
    if (fix) return fix;
    without.add(key);
  }
  return null;
};

/** Presses every button of a rig until none is left that helps. */
export const pressAll = (rig: Rig): Pressed => {
  const before = analyse(rig);
  const seen = new Set([JSON.stringify(rig)]);
  const presses: string[] = [];
  const worse: string[] = [];
  let now = before;
  let money = 0;
  // What had nothing on offer is asked again only when nothing else has.
  const hopeless = new Set<string>();
  for (;;) {
    let fix = bestOf(now, hopeless);
    if (!fix) {
      hopeless.clear();
      fix = bestOf(now, hopeless);
    }
    if (!fix) return { before, after: now, presses, money, isCircle: false, worse };
    const next = edited(now, fix.command);
    presses.push(fix.label);
    money += costOf(now.rig, fix.command) ?? 0;
    const stops = ({ findings }: Analysis): number =>
      findings.filter(({ level }) => level === 'stop').length;
    if (stops(next) > stops(now)) worse.push(fix.label);
    now = next;
    const state = JSON.stringify(now.rig);
    if (seen.has(state) || presses.length >= MOST_PRESSES)
      return { before, after: now, presses, money, isCircle: true, worse };
    seen.add(state);
  }
};
