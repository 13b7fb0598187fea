import type { PortNode, Stage } from '../../graph';
import { loadingDb } from '../../units';
import { unpowered } from '../picture/settings';
import type { Devices, Measured } from '../measured';
import { passBySource } from '../pass';
import {
  missingFigure,
  shiftNoise,
  soundAfter,
  type SoundFigures,
  unweightedNoise,
} from '../figures/sound';
import { microphoneFigures } from './microphone';
import { lacksPhantom } from './phantom';
import { inputCeilingDbu, throughRoute } from './route';

export { compressedDb, type StaticCurve } from './dynamics';
export * from '../figures/sound';
export { aimLossDb, patternOf, splAt, voiceOf } from './microphone';
export { type Phantom, phantomAt } from './phantom';
export { peakCeilingDbfs, voiceTargetDbfs } from './target';
export { curveOf, gainOf, type GainSetting, inputCeilingDbu, ownNoise, padOf } from './route';

const atSource = (measured: Measured, node: PortNode): SoundFigures | undefined => {
  const source = node.port.emits?.sound;
  switch (source?.type) {
    case 'microphone':
      return microphoneFigures(measured, node, source);
    case 'line':
      return {
        unit: 'dBu',
        levelDb: source.levelDbu,
        crestDb: source.crestDb,
        pressedDb: 0,
        noise: source.noiseDbu === null ? null : unweightedNoise(source.noiseDbu),
        ceilingDb: node.port.family === 'analogue' ? (node.port.maxOutDbu ?? null) : null,
        unknown:
          source.levelDbu === null
            ? missingFigure(`the output level of ${measured.device(node.device).name}`)
            : null,
      };
    case 'digital':
      return {
        unit: 'dBFS',
        levelDb: source.levelDbfs,
        crestDb: source.crestDb,
        pressedDb: 0,
        noise: source.noiseDbfs === null ? null : unweightedNoise(source.noiseDbfs),
        ceilingDb: 0,
        unknown:
          source.levelDbfs === null
            ? missingFigure(`the level of ${measured.device(node.device).name}`)
            : null,
      };
    case undefined:
      return undefined;
  }
};

/**
 * Loading of an analogue joint. @returns dB, 0 or below; null where a resistance is unknown;
 * undefined where the joint is not analogue
 */
export const jointLoadingDb = (from: PortNode, to: PortNode): number | null | undefined => {
  if (from.port.family !== 'analogue' || to.port.family !== 'analogue') return undefined;
  const { sourceOhms } = from.port;
  const { inputOhms } = to.port;
  return sourceOhms === undefined ||
    sourceOhms === null ||
    inputOhms === undefined ||
    inputOhms === null
    ? null
    : loadingDb(sourceOhms, inputOhms);
};

const overLink = (measured: Devices, before: SoundFigures, stage: Stage): SoundFigures => {
  if (stage.via.by !== 'link') return before;
  const { from, to } = stage.via.link;
  const ceilingDb = before.unit === 'dBu' ? inputCeilingDbu(measured, stage.at) : 0;
  const loading = jointLoadingDb(from, to);
  if (loading === undefined)
    return before.ceilingDb === ceilingDb ? before : soundAfter(before, { ceilingDb });
  if (loading === null) {
    const missing =
      from.port.family === 'analogue' && (from.port.sourceOhms ?? null) === null ? from : to;
    return soundAfter(before, {
      ceilingDb,
      levelDb: null,
      noise: null,
      unknown:
        before.unknown ??
        missingFigure(
          `the resistance of ${measured.device(missing.device).name}, ${missing.port.name}`,
        ),
    });
  }
  return soundAfter(before, {
    ceilingDb,
    levelDb: before.levelDb === null ? null : before.levelDb + loading,
    noise: before.noise && shiftNoise(before.noise, loading),
  });
};

/** Nothing comes out of what has no power. @param what it lacks: phantom power, or its own supply */
const dead = (figures: SoundFigures, what: string, name: string): SoundFigures =>
  soundAfter(figures, {
    levelDb: null,
    noise: null,
    unknown: { what: 'power', says: `${what} for ${name}` },
  });

/** Figures of one source's sound, by the position of the stage in its walk, the source first. */
export const soundOfWalk = passBySource(
  'sound of a source',
  'sound',
  (measured, { from, to }): readonly (SoundFigures | undefined)[] => {
    const { stages } = measured.traced;
    const figures: (SoundFigures | undefined)[] = new Array(to - from);
    for (let index = from; index < to; index++) {
      const stage = stages[index];
      if (stage) figures[index - from] = figuresAt(measured, figures, stage, from);
    }
    return figures;
  },
);

/**
 * The sound pass: what every sound thread carries at every stage. An output that needs phantom
 * power and gets none gives nothing.
 * @returns figures by stage index; undefined for stages of picture
 */
export const soundPass = (measured: Measured): readonly (SoundFigures | undefined)[] => {
  const { stages, walks } = measured.traced;
  const figures: (SoundFigures | undefined)[] = new Array(stages.length);
  soundOfWalk.lists(measured).forEach((own, index) => {
    const from = walks[index]?.from ?? 0;
    for (let n = 0; n < own.length; n++) figures[from + n] = own[n];
  });
  return figures;
};

const figuresAt = (
  measured: Measured,
  figures: readonly (SoundFigures | undefined)[],
  stage: Stage,
  from: number,
): SoundFigures | undefined => {
  const before = stage.parent ? figures[stage.parent.index - from] : undefined;
  const after = stage.via.by === 'source' ? atSource(measured, stage.at) : before;
  if (!after) return undefined;
  const here = stage.parent ? soundStep(measured, after, stage) : after;
  if (!here || stage.via.by === 'link') return here;
  const device = measured.device(stage.at.device);
  if (unpowered(device)) return dead(here, 'its own supply', device.name);
  return lacksPhantom(measured, stage.at) ? dead(here, 'phantom power', device.name) : here;
};

/** Figures at a stage behind its parent's. @param before the figures at the stage's parent */
export const soundStep = (
  measured: Devices,
  before: SoundFigures,
  stage: Stage,
): SoundFigures | undefined => {
  if (!stage.parent) return undefined;
  if (stage.via.by !== 'route') return overLink(measured, before, stage);
  const { route, isUnity } = stage.via.route;
  // Inside a computer most routes only pass sound on: thousands of stages share the figures of the first.
  if (isUnity && before.unit === 'dBFS' && before.ceilingDb === 0) return before;
  const { sound } = route;
  return sound ? throughRoute(measured, before, stage.parent.at, stage.at, sound) : before;
};
