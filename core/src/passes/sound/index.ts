import type { Graph, PortNode, Stage, Traced } from '../../graph';
import type { Rig } from '../../rig';
import { loadingDb } from '../../units';
import { missingFigure, shiftNoise, type SoundFigures, unweightedNoise } from './figures';
import { microphoneFigures } from './microphone';
import { unpowered } from './phantom';
import { inputCeilingDbu, throughRoute } from './route';

export { compressedDb, type StaticCurve } from './dynamics';
export * from './figures';
export { patternOf, splAt, voiceOf } from './microphone';
export { phantomAt } from './phantom';
export { curveOf, gainOf, type GainSetting, inputCeilingDbu, ownNoise, padOf } from './route';

const atSource = (rig: Rig, node: PortNode): SoundFigures | undefined => {
  const source = node.port.emits?.sound;
  switch (source?.type) {
    case 'microphone':
      return microphoneFigures(rig, node, source);
    case 'line':
      return {
        unit: 'dBu',
        levelDb: source.levelDbu,
        crestDb: source.crestDb,
        noise: source.noiseDbu === null ? null : unweightedNoise(source.noiseDbu),
        ceilingDb: node.port.family === 'analogue' ? (node.port.maxOutDbu ?? null) : null,
        unknown:
          source.levelDbu === null
            ? missingFigure(`the output level of ${node.device.device.name}`)
            : null,
      };
    case 'digital':
      return {
        unit: 'dBFS',
        levelDb: source.levelDbfs,
        crestDb: source.crestDb,
        noise: source.noiseDbfs === null ? null : unweightedNoise(source.noiseDbfs),
        ceilingDb: 0,
        unknown:
          source.levelDbfs === null
            ? missingFigure(`the level of ${node.device.device.name}`)
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

const overLink = (before: SoundFigures, stage: Stage): SoundFigures => {
  if (stage.via.by !== 'link') return before;
  const { from, to } = stage.via.link;
  const ceilingDb = before.unit === 'dBu' ? inputCeilingDbu(stage.at) : 0;
  const loading = jointLoadingDb(from, to);
  if (loading === undefined)
    return before.ceilingDb === ceilingDb ? before : { ...before, ceilingDb };
  if (loading === null) {
    const missing =
      from.port.family === 'analogue' && (from.port.sourceOhms ?? null) === null ? from : to;
    return {
      ...before,
      ceilingDb,
      levelDb: null,
      noise: null,
      unknown:
        before.unknown ??
        missingFigure(`the resistance of ${missing.device.device.name}, ${missing.port.name}`),
    };
  }
  return {
    ...before,
    ceilingDb,
    levelDb: before.levelDb === null ? null : before.levelDb + loading,
    noise: before.noise && shiftNoise(before.noise, loading),
  };
};

const dead = (figures: SoundFigures, node: PortNode): SoundFigures => ({
  ...figures,
  levelDb: null,
  noise: null,
  unknown: { what: 'phantom power', says: `phantom power for ${node.device.device.name}` },
});

/**
 * The sound pass: what every sound thread carries at every stage. An output that needs phantom
 * power and gets none gives nothing.
 * @returns figures by stage index; undefined for stages of picture
 */
export const soundPass = (
  rig: Rig,
  graph: Graph,
  { stages }: Traced,
): readonly (SoundFigures | undefined)[] => {
  const withoutPhantom = unpowered(graph);
  const figures: (SoundFigures | undefined)[] = new Array(stages.length);
  for (const stage of stages) {
    if (stage.signal !== 'sound') continue;
    const after = figuresAt(rig, figures, stage);
    figures[stage.index] =
      after && stage.via.by !== 'link' && withoutPhantom.has(stage.at)
        ? dead(after, stage.at)
        : after;
  }
  return figures;
};

const figuresAt = (
  rig: Rig,
  figures: readonly (SoundFigures | undefined)[],
  stage: Stage,
): SoundFigures | undefined => {
  if (stage.via.by === 'source') return atSource(rig, stage.at);
  const before = stage.parent ? figures[stage.parent.index] : undefined;
  return before && soundStep(before, stage);
};

/** Figures at a stage behind its parent's. @param before the figures at the stage's parent */
export const soundStep = (before: SoundFigures, stage: Stage): SoundFigures | undefined => {
  if (!stage.parent) return undefined;
  if (stage.via.by !== 'route') return overLink(before, stage);
  const { route, isUnity } = stage.via.route;
  // Inside a computer most routes only pass sound on: thousands of stages share the figures of the first.
  if (isUnity && before.unit === 'dBFS' && before.ceilingDb === 0) return before;
  const { sound } = route;
  return sound ? throughRoute(before, stage.parent.at, stage.at, sound) : before;
};
