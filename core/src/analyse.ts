import { figure, type Sum } from './explain/sum';
import { sourceOf, type Stage, stagesOf, type Thread } from './graph';
import { measure, type Measured } from './measure';
import { apply, levelTarget, type Rig } from './rig';
import { microphonesInRoom } from './room';
import { type Finding, findingKey, type Fix, type Level, ruleByCode, RULES } from './rules';
import { adjustableGains, isConversion } from './rules/places';
import { snrDb } from './sound';

export interface Verdict {
  readonly stops: number;
  readonly warns: number;
  readonly notes: number;
}

/** The rig measured and judged. */
export interface Analysis extends Measured {
  /** Stops first, then warnings, then notes; within a level in the order of the rules */
  readonly findings: readonly Finding[];
  readonly verdict: Verdict;
}

const SEVERITY: Readonly<Record<Level, number>> = { stop: 0, warn: 1, note: 2 };

const judge = (measured: Measured): Analysis => {
  const findings = RULES.flatMap((rule) => rule.find(measured)).sort(
    (a, b) => SEVERITY[a.level] - SEVERITY[b.level],
  );
  const count = (level: Level) =>
    findings.reduce((sum, finding) => sum + (finding.level === level ? 1 : 0), 0);
  return {
    ...measured,
    findings,
    verdict: { stops: count('stop'), warns: count('warn'), notes: count('note') },
  };
};

/**
 * Computes the whole rig: every signal path with its figures, every problem. @param rig consistent,
 * as `readRig` or `apply` gives it
 */
export const analyse = (rig: Rig): Analysis => judge(measure(rig));

/** The sums behind a finding. */
export const sumsOf = (analysis: Analysis, finding: Finding): Sum[] =>
  ruleByCode.get(finding.code)?.sums?.(analysis, finding) ?? [];

/** The remedies of a finding, as edits. */
export const fixesOf = (analysis: Analysis, finding: Finding): Fix[] =>
  ruleByCode.get(finding.code)?.fixes?.(analysis, finding) ?? [];

/** A figure before and after a fix. */
export interface Effect {
  readonly label: string;
  readonly before: number | null;
  readonly after: number | null;
  readonly unit: string;
}

/** What a fix would do, found by applying it and analysing again. */
export interface Prediction {
  readonly verdict: Verdict;
  /** Whether the finding it was offered for is gone */
  readonly cures: boolean;
  /** Findings that were not there before */
  readonly brings: readonly Finding[];
  /** Findings that go, by key, the one it was offered for included */
  readonly takes: readonly Finding[];
  readonly effects: readonly Effect[];
}

/** The figures of a voice at its converter, the place a gain is judged. */
export interface VoiceFigures {
  readonly sourceId: string;
  readonly levelDbfs: number | null;
  /** Gain the nearest adjustable stage would need for the house level; null where it cannot be told */
  readonly gainNeededDb: number | null;
  readonly gainSetDb: number | null;
  readonly gainMaxDb: number | null;
  readonly snrDb: number | null;
}

/** Figures at a conversion. @returns null for any other stage */
export const voiceFigures = (measured: Measured, stage: Stage): VoiceFigures | null => {
  const figures = measured.sound[stage.index];
  if (!figures || !isConversion(stage)) return null;
  const [nearest] = adjustableGains(stage);
  const { averageDbfs } = levelTarget(measured.rig.houseRules);
  return {
    sourceId: sourceOf(stage).at.device.id,
    levelDbfs: figures.levelDb,
    gainNeededDb:
      figures.levelDb === null || !nearest
        ? null
        : nearest.gain.gainDb + averageDbfs - figures.levelDb,
    gainSetDb: nearest?.gain.gainDb ?? null,
    gainMaxDb: nearest?.gain.maxDb ?? null,
    snrDb: snrDb(figures),
  };
};

/** The conversion a finding about sound is judged at: its own stage, or the first one its device's signal meets. */
const conversionFor = (measured: Measured, finding: Finding): Stage | undefined => {
  const stage =
    finding.about.stage === undefined ? undefined : measured.traced.stages[finding.about.stage];
  if (stage && isConversion(stage)) return stage;
  const sourceId = stage ? sourceOf(stage).at.device.id : finding.about.deviceId;
  return measured.traced.stages.find(
    (candidate) =>
      candidate.signal === 'sound' &&
      isConversion(candidate) &&
      sourceOf(candidate).at.device.id === sourceId,
  );
};

const voiceEffects = (before: Analysis, after: Analysis, finding: Finding): Effect[] => {
  const stage = finding.area === 'sound' ? conversionFor(before, finding) : undefined;
  if (!stage) return [];
  const sourceId = sourceOf(stage).at.device.id;
  const later = after.traced.stages.find(
    (candidate) =>
      candidate.signal === 'sound' &&
      isConversion(candidate) &&
      sourceOf(candidate).at.device.id === sourceId,
  );
  const a = voiceFigures(before, stage);
  const b = later ? voiceFigures(after, later) : null;
  return [
    {
      label: 'Gain needed',
      before: a?.gainNeededDb ?? null,
      after: b?.gainNeededDb ?? null,
      unit: 'dB',
    },
    { label: 'Level', before: a?.levelDbfs ?? null, after: b?.levelDbfs ?? null, unit: 'dBFS' },
    { label: 'Signal to noise', before: a?.snrDb ?? null, after: b?.snrDb ?? null, unit: 'dB' },
  ];
};

const streamEffects = (before: Analysis, after: Analysis, finding: Finding): Effect[] => {
  const { linkId } = finding.about;
  const a = linkId === undefined ? undefined : before.usb.links.get(linkId);
  const b = linkId === undefined ? undefined : after.usb.links.get(linkId);
  return a
    ? [
        { label: 'Load', before: a.loadMBps, after: b?.loadMBps ?? null, unit: 'MB/s' },
        { label: 'Carries', before: a.limitMBps, after: b?.limitMBps ?? null, unit: 'MB/s' },
      ]
    : [];
};

const OF_THE_ROOM: ReadonlySet<string> = new Set([
  'sound.room-noise',
  'sound.placed-noise',
  'sound.off-axis',
]);

/** What a fix does to a microphone in its room. */
const roomEffects = (before: Analysis, after: Analysis, { code, about }: Finding): Effect[] => {
  if (!OF_THE_ROOM.has(code)) return [];
  const [a, b] = [before, after].map((analysis) =>
    microphonesInRoom(analysis).find(({ node }) => node.device.id === about.deviceId),
  );
  return a
    ? [
        {
          label: 'Voice over the room',
          before: a.overRoomDb,
          after: b?.overRoomDb ?? null,
          unit: 'dB',
        },
      ]
    : [];
};

/** Tries a fix. @throws Refusal where the rig has changed so that it no longer applies */
export const predict = (analysis: Analysis, finding: Finding, fix: Fix): Prediction => {
  const after = analyse(apply(analysis.rig, fix.command));
  const keysBefore = new Set(analysis.findings.map(findingKey));
  const keysAfter = new Set(after.findings.map(findingKey));
  return {
    verdict: after.verdict,
    cures: !keysAfter.has(findingKey(finding)),
    brings: after.findings.filter((other) => !keysBefore.has(findingKey(other))),
    takes: analysis.findings.filter((other) => !keysAfter.has(findingKey(other))),
    effects: [
      ...roomEffects(analysis, after, finding),
      ...voiceEffects(analysis, after, finding),
      ...streamEffects(analysis, after, finding),
    ],
  };
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
  const names: string[] = [];
  for (const stage of stagesOf(thread.last))
    if (names.at(-1) !== stage.at.device.device.name) names.push(stage.at.device.device.name);
  return `${names.join(' → ')}${analysis.delay[thread.last.index]?.unknown ? ' (delay not all known)' : ''}`;
};
