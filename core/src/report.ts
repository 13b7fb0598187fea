import {
  fixesOf,
  predict,
  sumsOf,
  verdictText,
  voiceFigures,
  type Analysis,
  type Prediction,
  type Verdict,
  type VoiceFigures,
} from './analyse';
import { coverage } from './brief/coverage';
import { moneyOf, type Money } from './brief/money';
import { driveLoads, uplinkOf } from './computer/lines';
import { workloads, type Workload } from './computer/work';
import type { Sum } from './explain/sum';
import { framings, type Framing } from './framing';
import { ears } from './hearing';
import { pressedTo, processors } from './processing';
import { loudnesses } from './processing/loudness';
import { asksOf, bleedDb, combRippleDb, loopDb, microphonesInRoom } from './room';
import { channelLoads } from './sound/channels';
import { stagesOf, type Stage } from './graph';
import { scenesMade } from './programme/scenes';
import type { Command } from './rig';
import { headroomDb, peakDb, snrAWeightedDb, snrDb } from './sound';
import { formatName } from './units';
import { conversions } from './rules/places';

/** An analysis as plain JSON, for programs. */
export interface Report {
  readonly rig: string;
  readonly verdict: Verdict & { readonly says: string };
  readonly findings: readonly {
    readonly code: string;
    readonly level: string;
    readonly area: string;
    readonly title: string;
    readonly says: string;
    readonly about: {
      readonly deviceId?: string;
      readonly portId?: string;
      readonly linkId?: string;
    };
    readonly houseRule?: string;
    readonly sums: readonly Sum[];
    readonly fixes: readonly {
      readonly label: string;
      readonly command: Command;
      readonly predicts: PredictionReport | null;
    }[];
  }[];
  readonly coverage: readonly {
    readonly id: string;
    readonly need: string;
    readonly subject: string;
    readonly verdict: string;
    readonly says: string;
    readonly thread: string | null;
  }[];
  readonly money: Money;
  /** Every planned shot with its figures; lengths in m and mm, angles in degrees, light in lux */
  readonly shots: readonly ShotReport[];
  readonly scenes: readonly {
    readonly id: string;
    readonly name: string;
    readonly possible: boolean;
    readonly madeAt: readonly string[];
    readonly short: readonly { readonly resource: string; readonly says: string }[];
  }[];
  /** Sources that send the best that fits */
  readonly negotiated: readonly {
    readonly device: string;
    readonly port: string;
    readonly format: string;
    readonly wish: string;
    readonly forcedBy: readonly { readonly linkId: string | null; readonly says: string }[];
  }[];
  readonly usb: readonly {
    readonly linkId: string;
    readonly loadMBps: number;
    readonly limitMBps: number;
  }[];
  readonly work: readonly {
    readonly device: string;
    readonly units: number;
    readonly budget: number | null;
    readonly items: Workload['items'];
  }[];
  readonly drives: readonly {
    readonly device: string;
    readonly writeMBps: number;
    readonly limitMBps: number | null;
    readonly gbPerHour: number;
    readonly hours: number | null;
  }[];
  readonly ears: readonly {
    readonly device: string;
    readonly personId: string | null;
    readonly spl: number | null;
    readonly hours: number | null;
    readonly ownVoiceMs: number | null;
  }[];
  /** Every microphone in its room. Levels in dB SPL and dB(A), ratios in dB, lengths in m */
  readonly microphones: readonly {
    readonly device: string;
    readonly personId: string | null;
    readonly pattern: string | null;
    readonly distanceM: number | null;
    readonly ownSpl: number | null;
    readonly roomSpl: number | null;
    readonly overRoomDb: number | null;
    readonly criticalDistanceM: number | null;
    readonly directToReverberantDb: number | null;
    readonly loopDb: number | null;
    readonly asks: readonly string[];
    readonly noises: readonly {
      readonly id: string;
      readonly spl: number;
      readonly directSpl: number;
      readonly echoSpl: number | null;
    }[];
    readonly bleed: readonly {
      readonly personId: string;
      readonly db: number | null;
      readonly combRippleDb: number | null;
    }[];
  }[];
  readonly processors: readonly {
    readonly device: string;
    readonly does: string;
    readonly isIn: boolean;
    readonly unit: string;
    readonly thresholdDb: number;
    readonly averageDb: number;
    readonly peakDb: number;
    readonly underneathDb: number | null;
    readonly out: { readonly averageDb: number; readonly peakDb: number } | null;
  }[];
  readonly programmes: readonly {
    readonly device: string;
    readonly lufs: number;
    readonly targetLufs: number;
    readonly peakAfterDbtp: number;
  }[];
  readonly channels: readonly {
    readonly from: string;
    readonly to: string;
    readonly used: number;
    readonly most: number | null;
  }[];
  readonly uplink: { readonly mbps: number; readonly lineMbps: number | null };
  readonly voices: readonly (VoiceFigures & { readonly converter: string })[];
  readonly threads: readonly {
    readonly id: string;
    readonly signal: string;
    readonly delayMs: number;
    readonly delayUnknown: number;
    readonly stages: readonly StageReport[];
  }[];
}

type PredictionReport = Pick<Prediction, 'verdict' | 'cures' | 'effects'> & {
  readonly brings: readonly string[];
};

type ShotReport = Pick<
  Framing,
  | 'shotId'
  | 'crop'
  | 'sensorWidthMm'
  | 'sensorHeightMm'
  | 'focalMm'
  | 'fullFrameFocalMm'
  | 'widthM'
  | 'heightM'
  | 'wanted'
  | 'distanceForWantedM'
  | 'focalForWantedMm'
  | 'sharp'
  | 'blurPercent'
  | 'eyeLineDeg'
  | 'punchInMost'
  | 'lightNeededLux'
  | 'stopsOver'
  | 'panRangeDeg'
  | 'asks'
> & { readonly device: string; readonly distanceM: number | null };

const shotReport = ({
  shotId,
  shot,
  crop,
  sensorWidthMm,
  sensorHeightMm,
  focalMm,
  fullFrameFocalMm,
  widthM,
  heightM,
  wanted,
  distanceForWantedM,
  focalForWantedMm,
  sharp,
  blurPercent,
  eyeLineDeg,
  punchInMost,
  lightNeededLux,
  stopsOver,
  panRangeDeg,
  asks,
}: Framing): ShotReport => ({
  shotId,
  device: shot.deviceId,
  distanceM: shot.distanceM,
  crop,
  sensorWidthMm,
  sensorHeightMm,
  focalMm,
  fullFrameFocalMm,
  widthM,
  heightM,
  wanted,
  distanceForWantedM,
  focalForWantedMm,
  sharp,
  blurPercent,
  eyeLineDeg,
  punchInMost,
  lightNeededLux,
  stopsOver,
  panRangeDeg,
  asks,
});

interface StageReport {
  readonly at: string;
  readonly port: string;
  readonly sound?: {
    readonly unit: string;
    readonly levelDb: number | null;
    readonly peakDb: number | null;
    readonly headroomDb: number | null;
    readonly noiseDb: number | null;
    readonly snrDb: number | null;
    readonly snrAWeightedDb: number | null;
    readonly noiseWeighting: string | null;
    readonly unknown: string | null;
  };
  readonly picture?: {
    readonly format: string | null;
    readonly payloadGbps: number | null;
    readonly streamMBps: number | null;
    readonly encoding: string | null;
    readonly stop: string | null;
  };
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
            unit: sound.unit,
            levelDb: sound.levelDb,
            peakDb: peakDb(sound),
            headroomDb: headroomDb(sound),
            noiseDb: sound.noise?.statedDb ?? null,
            snrDb: snrDb(sound),
            snrAWeightedDb: snrAWeightedDb(sound),
            noiseWeighting: sound.noise?.weighting ?? null,
            unknown: sound.unknown,
          },
        }
      : {}),
    ...(picture
      ? {
          picture: {
            format: picture.format && formatName(picture.format),
            payloadGbps: picture.payloadGbps,
            streamMBps: picture.streamMBps,
            encoding: picture.encoding,
            stop: picture.stop?.says ?? null,
          },
        }
      : {}),
  };
};

/**
 * The whole analysis as plain JSON: findings with sums and predicted fixes, voices at their
 * converters, threads stage by stage.
 * @param predictions whether every fix is tried; without, `predicts` is null
 */
export const report = (analysis: Analysis, { predictions = true } = {}): Report => ({
  rig: analysis.rig.name,
  verdict: { ...analysis.verdict, says: verdictText(analysis.verdict) },
  findings: analysis.findings.map((finding) => {
    const { deviceId, portId, linkId } = finding.about;
    return {
      code: finding.code,
      level: finding.level,
      area: finding.area,
      title: finding.title,
      says: finding.says,
      about: { deviceId, portId, linkId },
      houseRule: finding.houseRule,
      sums: sumsOf(analysis, finding),
      fixes: fixesOf(analysis, finding).map((fix) => {
        if (!predictions) return { label: fix.label, command: fix.command, predicts: null };
        const { verdict, cures, effects, brings } = predict(analysis, finding, fix);
        return {
          label: fix.label,
          command: fix.command,
          predicts: {
            verdict,
            cures,
            effects,
            brings: brings.map((other) => `${other.level} ${other.code}`),
          },
        };
      }),
    };
  }),
  coverage: coverage(analysis).map(({ id, need, subject, verdict, says, thread }) => ({
    id,
    need,
    subject: subject.name,
    verdict,
    says,
    thread: thread?.id ?? null,
  })),
  money: moneyOf(analysis.rig),
  shots: framings(analysis).map(shotReport),
  scenes: scenesMade(analysis).map(({ sceneId, scene, madeAt, short }) => ({
    id: sceneId,
    name: scene.name,
    possible: short.length === 0,
    madeAt: madeAt.map(({ id }) => id),
    short: short.map(({ resource, says }) => ({ resource, says })),
  })),
  negotiated: [...analysis.negotiations].flatMap(([index, { format, wish, forcedBy }]) => {
    const at = analysis.traced.stages[index]?.at;
    return at
      ? [
          {
            device: at.device.id,
            port: at.id,
            format: formatName(format),
            wish: formatName(wish.format),
            forcedBy: forcedBy.map(({ linkId, says }) => ({ linkId, says })),
          },
        ]
      : [];
  }),
  usb: [...analysis.usb.links.values()].map(({ link, loadMBps, limitMBps }) => ({
    linkId: link.id,
    loadMBps,
    limitMBps,
  })),
  work: workloads(analysis).map(({ node, units, budget, items }) => ({
    device: node.id,
    units,
    budget,
    items,
  })),
  drives: driveLoads(analysis).map(({ node, storage, writeMBps, gbPerHour, hours }) => ({
    device: node.id,
    writeMBps,
    limitMBps: storage.writeMBps,
    gbPerHour,
    hours,
  })),
  ears: ears(analysis).map(({ node, personId, spl, hours, ownVoiceMs }) => ({
    device: node.device.id,
    personId,
    spl,
    hours,
    ownVoiceMs,
  })),
  microphones: microphonesInRoom(analysis).map((microphone) => {
    const {
      node,
      personId,
      pattern,
      distanceM,
      ownSpl,
      roomSpl,
      overRoomDb,
      criticalDistanceM,
      directToReverberantDb,
      noises,
      bleed,
    } = microphone;
    return {
      device: node.device.id,
      personId,
      pattern,
      distanceM,
      ownSpl,
      roomSpl,
      overRoomDb,
      criticalDistanceM,
      directToReverberantDb,
      loopDb: loopDb(microphone),
      asks: asksOf(analysis, microphone),
      noises: noises.map(({ id, spl, directSpl, echoSpl }) => ({ id, spl, directSpl, echoSpl })),
      bleed: bleed.map((other) => {
        const db = bleedDb(microphone, other);
        return {
          personId: other.id,
          db,
          combRippleDb: db === null || db >= 0 ? null : combRippleDb(db),
        };
      }),
    };
  }),
  processors: processors(analysis).map((processor) => {
    const {
      deviceId,
      does,
      isIn,
      thresholdDb,
      voiceIn: { unit, averageDb, peakDb: peak, underneathDb },
    } = processor;
    return {
      device: deviceId,
      does,
      isIn,
      unit,
      thresholdDb,
      averageDb,
      peakDb: peak,
      underneathDb,
      out: processor.does === 'compress' && isIn ? pressedTo(processor) : null,
    };
  }),
  programmes: loudnesses(analysis).map(({ end, lufs, targetLufs, peakAfterDbtp }) => ({
    device: end.id,
    lufs,
    targetLufs,
    peakAfterDbtp,
  })),
  channels: channelLoads(analysis).map(({ from, to, sources, most }) => ({
    from: `${from.device.id}.${from.id}`,
    to: `${to.device.id}.${to.id}`,
    used: sources.length,
    most,
  })),
  uplink: { mbps: uplinkOf(analysis).mbps, lineMbps: uplinkOf(analysis).lineMbps },
  voices: conversions(analysis).flatMap((stage) => {
    const figures = voiceFigures(analysis, stage);
    return figures
      ? [{ ...figures, converter: `${stage.at.device.id}.${stage.parent?.at.id ?? ''}` }]
      : [];
  }),
  threads: analysis.traced.threads.map((thread) => ({
    id: thread.id,
    signal: thread.signal,
    delayMs: analysis.delay[thread.last.index]?.knownMs ?? 0,
    delayUnknown: analysis.delay[thread.last.index]?.unknown ?? 0,
    stages: stagesOf(thread.last).map((stage) => stageReport(analysis, stage)),
  })),
});
