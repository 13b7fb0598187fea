import { fixesOf, predict, sumsOf, verdictText, voiceFigures, type Analysis, type Prediction, type Verdict, type VoiceFigures } from './analyse';
import { coverage } from './brief/coverage';
import { moneyOf, type Money } from './brief/money';
import type { Sum } from './explain/sum';
import { stagesOf, type Stage } from './graph';
import type { Command } from './rig';
import { headroomDb, peakDb, snrAWeightedDb, snrDb } from './sound';
import { formatName } from './units';
import { conversions } from './rules/places';

/** An analysis as plain JSON, for programs. */
export interface Report {
  readonly rig: string;
  readonly verdict: Verdict & { readonly says: string };
  readonly findings: readonly {
    readonly code: string; readonly level: string; readonly area: string; readonly title: string; readonly says: string;
    readonly about: { readonly deviceId?: string; readonly portId?: string; readonly linkId?: string };
    readonly houseRule?: string; readonly sums: readonly Sum[];
    readonly fixes: readonly { readonly label: string; readonly command: Command; readonly predicts: PredictionReport }[];
  }[];
  readonly coverage: readonly { readonly id: string; readonly need: string; readonly subject: string; readonly verdict: string; readonly says: string; readonly thread: string | null }[];
  readonly money: Money;
  readonly voices: readonly (VoiceFigures & { readonly converter: string })[];
  readonly threads: readonly { readonly id: string; readonly signal: string; readonly delayMs: number; readonly delayUnknown: number; readonly stages: readonly StageReport[] }[];
}

type PredictionReport = Pick<Prediction, 'verdict' | 'cures' | 'effects'> & { readonly brings: readonly string[] };

interface StageReport {
  readonly at: string;
  readonly port: string;
  readonly sound?: { readonly unit: string; readonly levelDb: number | null; readonly peakDb: number | null; readonly headroomDb: number | null; readonly noiseDb: number | null; readonly snrDb: number | null; readonly snrAWeightedDb: number | null; readonly noiseWeighting: string | null; readonly unknown: string | null };
  readonly picture?: { readonly format: string | null; readonly payloadGbps: number | null; readonly streamMBps: number | null; readonly encoding: string | null; readonly stop: string | null };
}

const stageReport = (analysis: Analysis, stage: Stage): StageReport => {
  const sound = analysis.sound[stage.index];
  const picture = analysis.picture[stage.index];
  return {
    at: stage.at.device.id,
    port: stage.at.id,
    ...(sound
      ? {
          sound: {
            unit: sound.unit, levelDb: sound.levelDb, peakDb: peakDb(sound), headroomDb: headroomDb(sound), noiseDb: sound.noise?.statedDb ?? null, snrDb: snrDb(sound),
            snrAWeightedDb: snrAWeightedDb(sound), noiseWeighting: sound.noise?.weighting ?? null, unknown: sound.unknown,
          },
        }
      : {}),
    ...(picture
      ? { picture: { format: picture.format && formatName(picture.format), payloadGbps: picture.payloadGbps, streamMBps: picture.streamMBps, encoding: picture.encoding, stop: picture.stop?.says ?? null } }
      : {}),
  };
};

/** The whole analysis as plain JSON: findings with sums and predicted fixes, voices at their converters, threads stage by stage. */
export const report = (analysis: Analysis): Report => ({
  rig: analysis.rig.name,
  verdict: { ...analysis.verdict, says: verdictText(analysis.verdict) },
  findings: analysis.findings.map((finding) => {
    const { deviceId, portId, linkId } = finding.about;
    return {
      code: finding.code, level: finding.level, area: finding.area, title: finding.title, says: finding.says, about: { deviceId, portId, linkId }, houseRule: finding.houseRule,
      sums: sumsOf(analysis, finding),
      fixes: fixesOf(analysis, finding).map((fix) => {
        const { verdict, cures, effects, brings } = predict(analysis, finding, fix);
        return { label: fix.label, command: fix.command, predicts: { verdict, cures, effects, brings: brings.map((other) => `${other.level} ${other.code}`) } };
      }),
    };
  }),
  coverage: coverage(analysis).map(({ id, need, subject, verdict, says, thread }) => ({ id, need, subject: subject.name, verdict, says, thread: thread?.id ?? null })),
  money: moneyOf(analysis.rig),
  voices: conversions(analysis).flatMap((stage) => {
    const figures = voiceFigures(analysis, stage);
    return figures ? [{ ...figures, converter: `${stage.at.device.id}.${stage.parent?.at.id ?? ''}` }] : [];
  }),
  threads: analysis.traced.threads.map((thread) => ({
    id: thread.id, signal: thread.signal, delayMs: analysis.delay[thread.last.index]?.knownMs ?? 0, delayUnknown: analysis.delay[thread.last.index]?.unknown ?? 0,
    stages: stagesOf(thread.last).map((stage) => stageReport(analysis, stage)),
  })),
});
