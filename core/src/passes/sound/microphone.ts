import type { PortNode } from '../../graph';
import {
  choiceSetting,
  entry,
  numberSetting,
  type Pattern,
  PATTERNS,
  type Person,
  type SoundSource,
} from '../../rig';
import { ONE_PASCAL_DB_SPL, thermalNoiseDbu, voltsToDbu } from '../../units';
import type { Measured } from '../measured';
import {
  aWeightedNoise,
  type Missing,
  missingFigure,
  type SoundFigures,
  unweightedNoise,
} from '../figures/sound';
import { ownAngle } from '../place';
import { patternDb } from './pattern';

/** Closer than this the level no longer rises by the distance law. @unit m @source handbook 2-sound */
const NEAREST_M = 0.03;

type MicrophoneSource = Extract<SoundSource, { type: 'microphone' }>;

/**
 * Sound pressure of a voice at a distance on axis: `L(1 m) − 20·log10(d / 1 m)`, held constant below 3 cm.
 * @param atOneMetreDbSpl dB SPL @param distanceM above 0 @source handbook 2-sound
 */
export const splAt = (atOneMetreDbSpl: number, distanceM: number): number =>
  atOneMetreDbSpl - 20 * Math.log10(Math.max(distanceM, NEAREST_M));

/**
 * Open-circuit output of a microphone: `sens · 10^((L − 94)/20)`.
 * @param sensitivityMvPerPa mV/Pa, above 0 @param spl dB SPL @returns dBu
 */
export const microphoneDbu = (sensitivityMvPerPa: number, spl: number): number =>
  voltsToDbu((sensitivityMvPerPa / 1000) * 10 ** ((spl - ONE_PASCAL_DB_SPL) / 20));

/** Whose voice a microphone is set up for, and how far away. */
export const voiceOf = (
  measured: Measured,
  node: PortNode,
  source: MicrophoneSource,
): { person: Person | undefined; distanceM: number | undefined } => {
  const device = measured.device(node.device);
  const { personId } = device;
  return {
    person: personId === null ? undefined : entry(measured.rig.people, personId),
    distanceM: numberSetting(device, source.distanceControl),
  };
};

/**
 * The side from which a microphone hears, as it is made or set. @returns null where it is not
 * known, or the port is no microphone
 */
export const patternOf = (measured: Measured, { port, device }: PortNode): Pattern | null => {
  const source = port.emits?.sound;
  if (source?.type !== 'microphone' || source.pattern === undefined) return null;
  if (typeof source.pattern === 'string') return source.pattern;
  const set = choiceSetting(measured.device(device), source.pattern.control);
  return PATTERNS.find((pattern) => pattern === set) ?? null;
};

/**
 * What a voice loses because the microphone does not point at it. @unit dB, 0 or below; 0 where the
 * pattern is not known
 */
export const aimLossDb = (
  measured: Measured,
  node: PortNode,
  person: Person | undefined,
): number => {
  const deg = ownAngle(measured.rig, measured.device(node.device), person);
  const pattern = deg === 0 ? null : patternOf(measured, node);
  return pattern === null ? 0 : patternDb(pattern, deg);
};

const sourceOhms = ({ port }: PortNode): number | null =>
  port.family === 'analogue' ? (port.sourceOhms ?? null) : null;

/** What a microphone gives at its output, unloaded. */
export const microphoneFigures = (
  measured: Measured,
  node: PortNode,
  source: MicrophoneSource,
): SoundFigures => {
  const { name } = measured.device(node.device);
  const { person, distanceM } = voiceOf(measured, node, source);
  const crestDb = person?.crestDb ?? 14;
  const silent = (unknown: Missing): SoundFigures => ({
    unit: 'dBu',
    levelDb: null,
    crestDb,
    pressedDb: 0,
    noise: null,
    ceilingDb: null,
    unknown,
  });
  if (source.sensitivityMvPerPa === null)
    return silent(missingFigure(`the sensitivity of ${name}`));
  const ohms = sourceOhms(node);
  const noise =
    source.selfNoiseDbaSpl !== null
      ? aWeightedNoise(microphoneDbu(source.sensitivityMvPerPa, source.selfNoiseDbaSpl))
      : ohms !== null && ohms > 0
        ? unweightedNoise(thermalNoiseDbu(ohms))
        : null;
  const ceilingDb =
    source.maxSpl === null ? null : microphoneDbu(source.sensitivityMvPerPa, source.maxSpl);
  if (!person || distanceM === undefined)
    return {
      ...silent({ what: 'talker', says: `who speaks into ${name}` }),
      noise,
      ceilingDb,
    };
  return {
    unit: 'dBu',
    levelDb: microphoneDbu(
      source.sensitivityMvPerPa,
      splAt(person.speechDbSpl, distanceM) + aimLossDb(measured, node, person),
    ),
    crestDb,
    pressedDb: 0,
    noise,
    ceilingDb,
    unknown: null,
  };
};
