import { lightReport } from './light';
import { type Analysis, fixesOf, placeName, sumsOf, verdictText } from '../analyse';
import { stagesOf } from '../graph';
import { driveLoads, uplinkOf } from '../passes/computer/lines';
import { showOnDrives } from '../recorded/written';
import { workloads } from '../passes/computer/work';
import { cablePlans } from '../passes/cables';
import { coverage } from '../passes/coverage';
import { framings } from '../passes/framing';
import { ears } from '../passes/hearing';
import { moneyOf } from '../passes/money';
import { pressedTo, processors } from '../passes/processing';
import { loudnesses } from '../passes/processing/loudness';
import { loaded } from '../passes/place';
import { scenesMade } from '../passes/programme/scenes';
import {
  asksOf,
  bleedDb,
  combRippleDb,
  loopDb,
  microphonesInRoom,
  totalBleedDb,
} from '../passes/room';
import { channelLoads } from '../passes/sound/channels';
import { spareOf } from '../passes/spare';
import { conversions } from '../passes/sound/gains';
import { voiceFigures } from '../passes/sound/voice-figures';
import { views } from '../passes/view';
import { predict } from '../predict/predict';
import { formatName } from '../units';
import type { Report } from './form';
import { roomReport, shotReport, stageReport } from './parts';
import { supportReport, viewReport } from './place';
import { timeReport } from './time';
import { cableReport, powerReport, wayReport } from './wires';

/**
 * The whole analysis as plain JSON: findings with sums and predicted fixes, voices at their
 * converters, threads stage by stage.
 * @param predictions whether every fix is tried; without, `predicts` is null
 */
export const report = (analysis: Analysis, { predictions = true } = {}): Report => ({
  rig: analysis.rig.name,
  verdict: { ...analysis.verdict, says: verdictText(analysis.verdict) },
  causes: analysis.causes.map(({ title, finding, places }) => ({
    code: finding.code,
    level: finding.level,
    title,
    places: places.map((place) => placeName(analysis, place)),
  })),
  aside: analysis.aside.map(({ finding, reason }) => ({
    code: finding.code,
    level: finding.level,
    title: finding.title,
    reason,
  })),
  findings: analysis.findings.map((finding) => {
    const { deviceId, portId, linkId, personId, noiseId, surfaceId, supportId } = finding.about;
    const { backdropId, lookId } = finding.about;
    const { openingId, walkwayId, cableWayId, circuitId, feedId } = finding.about;
    return {
      code: finding.code,
      level: finding.level,
      area: finding.area,
      title: finding.title,
      says: finding.says,
      about: {
        ...{ deviceId, portId, linkId, personId, noiseId, surfaceId, supportId },
        ...{ backdropId, lookId },
        ...{ openingId, walkwayId, cableWayId, circuitId, feedId },
      },
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
  spare: [...analysis.graph.devices.values()].map((node) => ({
    device: node.id,
    has: spareOf(analysis, node),
  })),
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
  drives: driveLoads(analysis).map(({ node, storage, writeMBps, gbPerHour, hours }) => {
    const ofShow = showOnDrives(analysis).drives.find(({ deviceId }) => deviceId === node.id);
    return {
      device: node.id,
      writeMBps,
      limitMBps: storage.writeMBps,
      gbPerHour,
      hours,
      gbPerShow: ofShow?.gbPerShow ?? 0,
      shows: ofShow?.shows ?? null,
    };
  }),
  ears: ears(analysis).map(({ node, personId, spl, hours, ownVoiceMs }) => ({
    device: node.device.id,
    personId,
    spl,
    hours,
    ownVoiceMs,
  })),
  room: roomReport(analysis),
  supports: loaded(analysis).map(supportReport),
  views: views(analysis).map((view) => viewReport(analysis, view)),
  cables: cablePlans(analysis).map(cableReport),
  cableWays: wayReport(analysis),
  power: powerReport(analysis),
  time: timeReport(analysis),
  light: lightReport(analysis),
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
      proximityDb,
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
      proximityDb,
      loopDb: loopDb(microphone),
      asks: asksOf(analysis, microphone),
      noises: noises.map(({ id, spl, directSpl, echoSpl }) => ({ id, spl, directSpl, echoSpl })),
      bleed: bleed.map((other) => {
        const db = bleedDb(microphone, other);
        return {
          personId: other.id,
          db,
          totalDb: totalBleedDb(microphone, other),
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
