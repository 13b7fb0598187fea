import { atMouth } from '../../edits/mouth';
import type { Fix } from '../../edits/fix';
import { firstCable, replug, splice } from '../../edits/splice';
import { type LinkEdge, stagesOf } from '../../graph';
import { nameOf } from '../../passes/names';
import type { Measured } from '../../passes/measured';
import { gainOf } from '../../passes/sound';
import { explainGainNeeded, explainLevel } from '../../passes/sound/sums';
import { explainSnr } from '../../passes/sound/noise-sums';
import { stageOf } from '../../passes/stages';
import { figure } from '../../passes/sum';
import { numberSetting } from '../../rig';
import { atStage } from '../about';
import type { Rule } from '../rule';
import {
  type ConverterLevel,
  converterLevelAt,
  converterLevels,
  LEVEL_TOLERANCE_DB,
  withGain,
} from './level';

/** A shortfall smaller than this is not worth a remedy. @unit dB */
const SHORT_FROM_DB = 1;
/** Nearest distance offered: closer, breath and lips win. @unit m */
const NEAREST_OFFERED_M = 0.04;

const shortDb = ({ missingDb, spareDb }: ConverterLevel): number => missingDb - spareDb;

/**
 * Whether equipment is missing, not only a turn of a knob. Where a ceiling on the way ends it, what is
 * within the tolerance of the house level is as good as this rig gives.
 */
const isShort = (level: ConverterLevel): boolean =>
  level.gains.length > 0 && shortDb(level) >= (level.limit ? LEVEL_TOLERANCE_DB : SHORT_FROM_DB);

const moveCloser = (measured: Measured, level: ConverterLevel): Fix | null => {
  const [source] = stagesOf(level.stage);
  const emits = source?.at.port.emits?.sound;
  if (!source || emits?.type !== 'microphone') return null;
  const distanceM = numberSetting(measured.device(source.at.device), emits.distanceControl);
  if (distanceM === undefined || distanceM <= NEAREST_OFFERED_M) return null;
  const wanted = Math.max(
    NEAREST_OFFERED_M,
    Math.floor(100 * distanceM * 10 ** (-shortDb(level) / 20)) / 100,
  );
  return withGain(
    measured,
    level.stage,
    atMouth(measured, source.at.device, emits.distanceControl, wanted),
    `Move ${measured.device(source.at.device).name} to ${Math.round(wanted * 100)} cm`,
  );
};

/** The cable from a passive microphone into an input that has phantom power for a booster, if nothing boosts it yet. */
const boostable = ({ stage }: ConverterLevel): LinkEdge | null => {
  const path = stagesOf(stage);
  const [source, next] = path;
  const edge = next?.via.by === 'link' ? next.via.link : undefined;
  const port = edge?.to.port;
  return source?.at.port.family === 'analogue' &&
    source.at.port.nominal === 'microphone' &&
    source.at.port.phantomNeedMa === undefined &&
    edge &&
    port?.family === 'analogue' &&
    port.phantomSupply &&
    path.every(({ at }) => at.device.model.kind !== 'booster')
    ? edge
    : null;
};
const canBoost = (level: ConverterLevel): boolean => boostable(level) !== null;

const addBooster = (measured: Measured, level: ConverterLevel): Fix | null => {
  const edge = boostable(level);
  const port = edge?.to.port;
  if (!edge || port?.family !== 'analogue' || !port.phantomSupply) return null;
  const { commands } = splice(measured.rig, edge, 'booster-inline', { in: 'in', out: 'out' });
  return withGain(
    measured,
    level.stage,
    [
      ...commands,
      {
        type: 'setControl',
        deviceId: edge.to.device.id,
        control: port.phantomSupply.control,
        value: true,
      },
    ],
    `Add a booster after ${measured.device(edge.from.device).name}`,
  );
};

/** Free microphone inputs with enough gain, whose device already leads to the same converter or to one of its own. */
const otherInput = (measured: Measured, level: ConverterLevel): Fix | null => {
  const path = stagesOf(level.stage);
  const edge = path[1]?.via.by === 'link' ? path[1].via.link : undefined;
  const [nearest] = level.gains;
  if (!edge || !nearest || path.length !== 3) return null;
  const needed = nearest.gain.gainDb + level.missingDb;
  for (const node of measured.graph.ports) {
    if (
      node.port.family !== 'analogue' ||
      node.port.direction !== 'in' ||
      node.port.nominal !== 'microphone' ||
      node.links.length ||
      node.device.id === edge.from.device.id
    )
      continue;
    const route = node.routes.find((candidate) => candidate.route.sound?.toDigital);
    const cableId = route?.route.sound && firstCable(edge.from, node);
    if (
      !route?.route.sound ||
      !cableId ||
      gainOf(measured.device(node.device), route.route.sound).maxDb < needed
    )
      continue;
    return withGain(
      measured,
      level.stage,
      replug(edge, node, cableId),
      `Use ${nameOf(measured, node)}`,
    );
  }
  return null;
};

export const gainShort: Rule = {
  code: 'sound.gain-short',
  area: 'sound',
  together: (count) => `${count} voices are short of gain`,
  looksFor:
    'A microphone that stays under the house recording level with every gain on its way turned fully up.',
  why:
    'Level that is missing at the converter has to be added later, and the hiss comes up ' +
    'with it; on air nobody adds it.',
  remedy: 'Move the microphone closer, add a booster, or use an input with more gain.',
  source: 'handbook 2-sound, worked A and B',
  find: (measured) =>
    converterLevels(measured)
      .filter(isShort)
      .map((level) => {
        const [source] = stagesOf(level.stage);
        const name = source ? measured.device(source.at.device).name : 'The microphone';
        const [last] = level.gains;
        return {
          code: 'sound.gain-short',
          area: 'sound',
          level: 'warn',
          about: atStage(level.stage, {
            deviceId: level.stage.at.device.id,
            portId: level.stage.parent?.at.id,
            linkId:
              level.stage.parent?.via.by === 'link' ? level.stage.parent.via.link.id : undefined,
          }),
          title: `${figure(shortDb(level), 2)} dB short of gain`,
          says:
            `${name} stays ${figure(shortDb(level), 2)} dB under the house level. ` +
            (level.limit
              ? `Before more gain could help, ${nameOf(measured, level.limit.at)} comes to its ceiling. ` +
                'Use an input with a gain of its own behind it.'
              : `${last ? measured.device(last.stage.at.device).name : 'The preamp'} ends at ` +
                `${last?.gain.maxDb ?? 0} dB and this voice needs ` +
                `${figure((last?.gain.gainDb ?? 0) + level.missingDb, 2)} dB. Move the microphone ` +
                `closer${canBoost(level) ? ', add a booster' : ''}, or use an input with more gain.`),
          houseRule: 'recordingLevel',
        };
      }),
  sums: (measured, { about }) => {
    const stage = stageOf(measured, about.stage);
    return stage
      ? [
          ...explainGainNeeded(measured, stage),
          ...explainLevel(measured, stage),
          ...explainSnr(measured, stage),
        ]
      : [];
  },
  fixes: (measured, { about }) => {
    const level = converterLevelAt(measured, about.stage);
    if (!level) return [];
    // Moving is free and comes first; what is to be bought next is a matter of school.
    const [input, booster] = [otherInput(measured, level), addBooster(measured, level)];
    const bought =
      measured.rig.houseRules.quietDynamic === 'booster' ? [booster, input] : [input, booster];
    return [moveCloser(measured, level), ...bought].filter((fix) => fix !== null);
  },
};
