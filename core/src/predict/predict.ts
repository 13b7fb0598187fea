import type { Analysis, Verdict } from '../analyse';
import { everyFinding, edited } from '../analyse';
import { sourceOf, type Stage } from '../graph';
import type { Measured } from '../passes/measured';
import { microphonesInRoom } from '../passes/room';
import { isConversion } from '../passes/sound/gains';
import { voiceFigures } from '../passes/sound/voice-figures';
import { type Finding, findingKey, type Fix, hasToDoWith } from '../rules';

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

/** What a fix does to a microphone in its room. */
const roomEffects = (before: Analysis, after: Analysis, finding: Finding): Effect[] => {
  if (!hasToDoWith(finding, 'voice over room')) return [];
  const { about } = finding;
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
  const after = edited(analysis, fix.command);
  const keysBefore = new Set(everyFinding(analysis).map(findingKey));
  const keysAfter = new Set(everyFinding(after).map(findingKey));
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
