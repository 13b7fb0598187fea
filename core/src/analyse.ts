import { type DeviceNode, stagesOf, type Thread } from './graph';
import { measure, MeasuredRig } from './passes/measure';
import type { Measured } from './passes/measured';
import type { PassOf } from './passes/measured';
import { figure, type Sum } from './passes/sum';
import { apply, type Command, entry, Refusal, type Rig, type SimpleCommand } from './rig';
import { cut } from './rig/text';
import { type PutAside, withoutAside } from './rules/aside';
import { type Cause, causesOf } from './rules/causes';
import { type Finding, findingKey, type Fix, type Level, ruleByCode, RULES } from './rules';
import { simpleOf } from './edits/fix';

export interface Verdict {
  readonly stops: number;
  readonly warns: number;
  readonly notes: number;
}

/** The rig measured and judged. */
export interface Analysis extends Measured {
  /** Stops first, then warnings, then notes; within a level in the order of the rules. Without what is put aside */
  readonly findings: readonly Finding[];
  /** What somebody has put aside, as long as it is as it was then; it counts apart */
  readonly aside: readonly PutAside[];
  /** The same, those of one cause together */
  readonly causes: readonly Cause[];
  /** Counts causes */
  readonly verdict: Verdict;
}

/** Levels in the order in which they are shown. */
const LEVELS: readonly Level[] = ['stop', 'warn', 'note'];

/** Every rule as a pass: what it finds is kept as long as nothing that it read is changed. */
const JUDGES: readonly PassOf<readonly Finding[]>[] = RULES.map(({ code, find }) => ({
  name: code,
  make: find,
}));

/** The rig measured and judged, held by what measured it. */
class AnalysedRig extends MeasuredRig implements Analysis {
  readonly findings: readonly Finding[];
  readonly aside: readonly PutAside[];
  readonly causes: readonly Cause[];
  readonly verdict: Verdict;

  constructor(measured: MeasuredRig) {
    super(measured.rig, measured.inRig, measured.results);
    const found = JUDGES.map((judge) => this.results.resultOf(judge).value);
    this.results.settle();
    const { pressing, aside } = withoutAside(this, found.flat());
    const byLevel = LEVELS.map((level) => pressing.filter((finding) => finding.level === level));
    const causes = byLevel.map(causesOf);
    const [stops = 0, warns = 0, notes = 0] = causes.map(({ length }) => length);
    this.findings = byLevel.flat();
    this.aside = aside;
    this.causes = causes.flat();
    this.verdict = { stops, warns, notes };
  }
}

/**
 * Computes the whole rig: every signal path with its figures, every problem. @param rig consistent,
 * as `readRig` or `apply` gives it
 */
export const analyse = (rig: Rig): Analysis => new AnalysedRig(measure(rig));

/**
 * The same as `analyse(rig)`, rule by rule: whoever draws the steps may do something else between two of them.
 * @returns the analysis; yields how many of its rules have judged
 */
export function* analysing(rig: Rig): Generator<number, Analysis, void> {
  const measured = measure(rig);
  for (const [done, judge] of JUDGES.entries()) {
    measured.results.resultOf(judge);
    yield done + 1;
  }
  return new AnalysedRig(measured);
}

/**
 * The same as `analyse(rig)`, for less: what the change between the two rigs did not meet is taken
 * over. The earlier analysis stays as it is.
 * @param before any earlier analysis; the nearer its rig, the less is computed
 */
export const reanalyse = (before: Analysis, rig: Rig): Analysis =>
  new AnalysedRig(measure(rig, before));

/** An edit that was tried, and the rig with it. */
interface Edited {
  readonly command: Command;
  readonly after: Analysis;
}

/** So many edits of an analysis are kept with what came of them: whoever asks about one has mostly just tried it. */
const MOST_EDITED = 8;

const EDITED = new WeakMap<Analysis, Edited[]>();

/**
 * The rig after an edit. The same edit, the very object, asked about again is not worked out again.
 * @throws Refusal where the rig does not take it
 */
export const edited = (analysis: Analysis, command: Command): Analysis => {
  const kept = EDITED.get(analysis) ?? [];
  const known = kept.find((one) => one.command === command);
  if (known) return known.after;
  const after = reanalyse(analysis, apply(analysis.rig, command));
  EDITED.set(analysis, [...kept.slice(1 - MOST_EDITED), { command, after }]);
  return after;
};

/** What presses and what is put aside: an edit may cure either. */
export const everyFinding = ({ findings, aside }: Analysis): Finding[] => [
  ...findings,
  ...aside.map(({ finding }) => finding),
];

/** The sums behind a finding. */
export const sumsOf = (analysis: Analysis, finding: Finding): Sum[] =>
  ruleByCode.get(finding.code)?.sums?.(analysis, finding) ?? [];

/** So many of the moves that were tried are offered; more would only be more of the same. */
const MOST_MOVES = 3;

/** What an edit does, found by applying it. */
interface Tried {
  readonly fix: Fix;
  readonly cures: boolean;
  /** What was not there before, or was less bad */
  readonly brings: readonly Finding[];
  /** Fewer findings of the level of the one that it cures, or worse, than before */
  readonly isLess: boolean;
}

/** Longer than this no label of a batch may be. */
const MOST_LABEL = 200;

/** The same, with a label that can be kept: names of people and devices may make it long. */
const savable = (fix: Fix): Fix =>
  fix.command.type === 'batch'
    ? { ...fix, command: { ...fix.command, label: cut(fix.command.label, MOST_LABEL) } }
    : fix;

const tryFix = (analysis: Analysis, finding: Finding, given: Fix): Tried | null => {
  const fix = savable(given);
  const key = findingKey(finding);
  const before = new Map(everyFinding(analysis).map((one) => [findingKey(one), one.level]));
  const pressing = (findings: readonly Finding[]): number =>
    findings.filter(({ level }) => LEVELS.indexOf(level) <= LEVELS.indexOf(finding.level)).length;
  try {
    const after = edited(analysis, fix.command);
    const { findings } = after;
    const rank = (level: Level | undefined): number =>
      level === undefined ? LEVELS.length : LEVELS.indexOf(level);
    return {
      fix,
      cures: everyFinding(after).every((one) => findingKey(one) !== key),
      brings: findings.filter((one) => rank(one.level) < rank(before.get(findingKey(one)))),
      isLess: pressing(findings) < pressing(analysis.findings),
    };
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
};

const WORDS: Readonly<Record<Level, string>> = { stop: 'stop', warn: 'warning', note: 'note' };

/** The remedies of a finding, each tried. */
const triedFixesOf = (analysis: Analysis, finding: Finding): Fix[] => {
  const rule = ruleByCode.get(finding.code);
  const tried = (rule?.fixes?.(analysis, finding) ?? []).flatMap((fix) => {
    const one = tryFix(analysis, finding, fix);
    return one?.cures ? [one] : [];
  });
  const worseOf = ({ brings, isLess }: Tried): Finding | undefined =>
    brings.find(({ level }) => level === 'stop') ??
    brings.find(({ level }) => LEVELS.indexOf(level) < LEVELS.indexOf(finding.level)) ??
    (isLess ? undefined : brings.find(({ level }) => level === finding.level));
  if (rule?.moves)
    return tried
      .filter((one) => !worseOf(one) && one.brings.every(({ level }) => level === 'note'))
      .map(({ fix }) => fix)
      .slice(0, MOST_MOVES);
  const good = tried.filter((one) => !worseOf(one));
  const better = good.filter(({ fix }) => !fix.isLast);
  return [
    ...(better.length > 0 ? better : good).map(({ fix }) => fix),
    ...tried.flatMap((one) => {
      const worse = worseOf(one);
      return worse && !(one.fix.isLast && good.length > 0)
        ? [
            {
              ...one.fix,
              label: `${one.fix.label} (brings a ${WORDS[worse.level]}: ${worse.title})`,
              isWorse: true as const,
            },
          ]
        : [];
    }),
  ];
};

const FIXES = new WeakMap<Analysis, WeakMap<Finding, readonly Fix[]>>();

/**
 * The remedies of a finding, as edits. Each is tried before it is offered: the finding has to go. One that
 * brings a stop, or something worse than what it cures, or only another finding in its place, comes last
 * and says what. A way out for want of a better is left out where there is one. One that moves things
 * about a room may bring nothing but notes, because a room is full of other things.
 */
export const fixesOf = (analysis: Analysis, finding: Finding): readonly Fix[] => {
  const kept = FIXES.get(analysis) ?? new WeakMap<Finding, readonly Fix[]>();
  FIXES.set(analysis, kept);
  const fixes = kept.get(finding) ?? triedFixesOf(analysis, finding);
  kept.set(finding, fixes);
  return fixes;
};

/** More commands than this no batch may hold. */
const MOST_COMMANDS = 500;

/**
 * One edit that takes a whole cause away: the best remedy of each place, one after the other, each tried
 * on what the last has left.
 * @returns null where one place has no remedy, or only one that makes something worse
 */
const everywhere = (analysis: Analysis, { places }: Cause): Fix | null => {
  let now = analysis;
  const commands: SimpleCommand[] = [];
  let first: string | undefined;
  for (const place of places) {
    const key = findingKey(place);
    const still = now.findings.find((finding) => findingKey(finding) === key);
    if (!still) continue;
    const [fix] = fixesOf(now, still);
    if (!fix || fix.isWorse) return null;
    first ??= fix.label;
    commands.push(...simpleOf(fix));
    if (commands.length > MOST_COMMANDS) return null;
    now = edited(now, fix.command);
  }
  if (first === undefined) return null;
  const label = `${first}, and ${places.length - 1} more like it`;
  return { label, command: { type: 'batch', label: cut(label, MOST_LABEL), commands } };
};

/** The remedies of a cause: of all its places at once where that can be, and of its first. */
export const fixesOfCause = (analysis: Analysis, cause: Cause): readonly Fix[] => {
  const all = cause.places.length > 1 ? everywhere(analysis, cause) : null;
  return [...(all ? [all] : []), ...fixesOf(analysis, cause.finding)];
};

/** What a finding is pinned to, by the name that tells it from others of its cause. */
export const placeName = ({ rig }: Analysis, { about, title }: Finding): string => {
  const sourceId = about.source?.split('.')[0];
  const device =
    (sourceId === undefined ? undefined : entry(rig.devices, sourceId)) ??
    (about.deviceId === undefined ? undefined : entry(rig.devices, about.deviceId));
  const person = about.personId === undefined ? undefined : entry(rig.people, about.personId);
  return about.line === undefined ? (device?.name ?? person?.name ?? title) : title;
};

/** "2 stops, 5 warnings, 1 note"; "Nothing found" where all is well. */
export const verdictText = ({ stops, warns, notes }: Verdict): string => {
  const part = (count: number, one: string, many: string) =>
    count === 0 ? [] : [`${count} ${count === 1 ? one : many}`];
  return (
    [
      ...part(stops, 'stop', 'stops'),
      ...part(warns, 'warning', 'warnings'),
      ...part(notes, 'note', 'notes'),
    ].join(', ') || 'Nothing found'
  );
};

/** A sum as one line of arithmetic: `59.84 dB = gain set + (target − level)`, with its numbers. */
export const sumText = (sum: Sum): string => {
  const value = (input: Sum['inputs'][number]) =>
    typeof input.value === 'number'
      ? figure(input.value, Math.abs(input.value) >= 1000 || Number.isInteger(input.value) ? 0 : 2)
      : input.value;
  const numbers = sum.inputs
    .map((input) => `${input.name} ${value(input)}${input.unit ? ` ${input.unit}` : ''}`)
    .join(', ');
  return (
    `${sum.label}: ` +
    `${sum.result === null ? 'cannot tell' : `${figure(sum.result, 2)} ${sum.unit}`} = ` +
    `${sum.formula}  [${numbers}]`
  );
};

/** Threads that end at a destination, for reading a rig as sentences. */
export const threadText = (analysis: Analysis, thread: Thread): string => {
  const onTheWay: DeviceNode[] = [];
  for (const { at } of stagesOf(thread.last))
    if (onTheWay.at(-1) !== at.device) onTheWay.push(at.device);
  const names = onTheWay.map((node) => analysis.device(node).name);
  return `${names.join(' → ')}${analysis.delay[thread.last.index]?.unknown ? ' (delay not all known)' : ''}`;
};
