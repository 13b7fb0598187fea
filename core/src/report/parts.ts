import type { Analysis } from '../analyse';
import type { Stage } from '../graph';
import type { Framing } from '../passes/framing';
import { builtRoom, targetS } from '../passes/room';
import { eyringS, sabineS } from '../passes/room/reverberation';
import { headroomDb, peakDb, snrAWeightedDb, snrDb } from '../passes/sound';
import { formatName } from '../units';
import type { Report } from './form';
import type { ShotReport, StageReport } from './form-parts';

export const shotReport = ({
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

export const stageReport = (analysis: Analysis, stage: Stage): StageReport => {
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
            noiseDb: sound.noise?.unweightedDb ?? null,
            snrDb: snrDb(sound),
            snrAWeightedDb: snrAWeightedDb(sound),
            noiseWeighting: sound.noise?.weighting ?? null,
            unknown: sound.unknown?.says ?? null,
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

/** The room by its surfaces. */
export const roomReport = (analysis: Analysis): Report['room'] => {
  const built = builtRoom(analysis);
  if (!built) return null;
  const { volumeM3, surfaceM2, bands, rt60S, bareRt60S } = built;
  return {
    volumeM3,
    surfaceM2,
    bands: bands.map(({ hz, absorptionM2, airM2, rt60S: bandS, relation }) => ({
      hz,
      absorptionM2,
      airM2,
      rt60S: bandS,
      relation,
      bySabineS: sabineS(volumeM3, absorptionM2, airM2),
      byEyringS: eyringS(volumeM3, surfaceM2, absorptionM2, airM2),
    })),
    rt60S,
    bareRt60S,
    targetS: targetS(analysis.rig.houseRules.room, volumeM3),
  };
};
