import type { Fix } from '../edits/fix';
import { sourceOf, type Stage } from '../graph';
import type { Measured } from '../passes/measured';
import { nameOf } from '../passes/names';
import { peakDb } from '../passes/sound';
import { type Knob, knobsOf, voices } from '../passes/sound/ladder';
import { entry } from '../rig';

/** A test recording of a voice beside what the rig makes of it. Levels in dBFS, a full sine 0. */

export interface PredictedVoice {
  readonly key: string;
  readonly stage: Stage;
  /** The microphone */
  readonly soundId: string;
  /** The microphone and the input its voice becomes digital at */
  readonly label: string;
  readonly personId: string | null;
  readonly levelDbfs: number | null;
  readonly peakDbfs: number | null;
  /** Of microphone and electronics, without the room. @unit dBFS, A-weighted */
  readonly noiseDbfsA: number | null;
}

/** Every voice where it becomes digital. */
export const predictedVoices = (measured: Measured): readonly PredictedVoice[] =>
  voices(measured).map((stage) => {
    const figures = measured.sound[stage.index];
    const source = sourceOf(stage).at.device;
    const input = stage.parent?.at ?? stage.at;
    const { name, personId } = measured.device(source);
    return {
      key: `${source.id} ${input.device.id} ${input.id}`,
      stage,
      soundId: source.id,
      label: `${name}, at ${nameOf(measured, input)}`,
      personId,
      levelDbfs: figures?.levelDb ?? null,
      peakDbfs: figures ? peakDb(figures) : null,
      noiseDbfsA: figures?.noise?.aWeightedDb ?? null,
    };
  });

/** What a test recording of one voice showed. */
export interface MeasuredVoice {
  readonly levelDbfs: number;
  readonly peakDbfs: number;
  /** Of the pauses. @unit dBFS, A-weighted; null where there were none */
  readonly noiseDbfsA: number | null;
}

export interface ComparedVoice {
  /** Measured less predicted. @unit dB; null where nothing is predicted */
  readonly levelOffDb: number | null;
  readonly peakOffDb: number | null;
  readonly noiseOffDb: number | null;
  /** What it most likely comes from, in words */
  readonly says: string;
  /** Edits that make the rig say what was measured, the likelier first */
  readonly fixes: readonly Fix[];
}

/** Nearer than this a level is as predicted: a talker differs as much from one day to the next. @unit dB */
export const AGREES_DB = 1.5;
/** Voice and noise are off by the same where they differ by no more. @unit dB */
const ALIKE_DB = 3;

/** Pauses that are so much louder than predicted have something in them that was not predicted. @unit dB */
const ROOM_DB = 6;

const off = (measured: number | null, predicted: number | null): number | null =>
  measured === null || predicted === null ? null : measured - predicted;

const tenth = (value: number): number => Math.round(10 * value) / 10;

/** The setting of a knob that comes nearest to what it gives now and some dB more; null beside its range. */
const turned = ({ valueDb, settingsDb }: Knob, byDb: number): number | null => {
  const wanted = valueDb + byDb;
  const [least, most] = [settingsDb[0] ?? valueDb, settingsDb.at(-1) ?? valueDb];
  if (wanted < least - 1 || wanted > most + 1) return null;
  return settingsDb.reduce((best, one) =>
    Math.abs(one - wanted) < Math.abs(best - wanted) ? one : best,
  );
};

const byGain = (measured: Measured, { stage }: PredictedVoice, byDb: number): Fix[] => {
  const knob = knobsOf(measured, stage).findLast(({ kind }) => kind === 'gain');
  const value = knob ? turned(knob, byDb) : null;
  return !knob || value === null || value === knob.valueDb
    ? []
    : [
        {
          label: `${knob.label} stands at ${value} dB`,
          command: { type: 'setControl', deviceId: knob.deviceId, control: knob.control, value },
        },
      ];
};

const byTalker = (measured: Measured, { personId }: PredictedVoice, byDb: number): Fix[] => {
  const person = personId === null ? undefined : entry(measured.rig.people, personId);
  if (!person || personId === null) return [];
  const speechDbSpl = tenth(person.speechDbSpl + byDb);
  return speechDbSpl < 30 || speechDbSpl > 120
    ? []
    : [
        {
          label: `${person.name} speaks at ${speechDbSpl} dB SPL`,
          command: { type: 'changePerson', personId, person: { speechDbSpl } },
        },
      ];
};

const howFar = (db: number): string =>
  `${tenth(Math.abs(db)).toFixed(1)} dB ${db < 0 ? 'quieter' : 'louder'}`;

/**
 * Which figure of the rig is off: where the noise in the pauses is off by as much as the voice, a gain
 * stands otherwise than written; where the voice alone is, the talker differs, or how far away they are.
 */
export const compareVoice = (
  measured: Measured,
  voice: PredictedVoice,
  found: MeasuredVoice,
): ComparedVoice => {
  const levelOffDb = off(found.levelDbfs, voice.levelDbfs);
  const base = {
    levelOffDb,
    peakOffDb: off(found.peakDbfs, voice.peakDbfs),
    noiseOffDb: off(found.noiseDbfsA, voice.noiseDbfsA),
  };
  if (levelOffDb === null)
    return { ...base, says: 'The rig cannot tell this level yet.', fixes: [] };
  if (Math.abs(levelOffDb) <= AGREES_DB)
    return {
      ...base,
      says:
        (base.noiseOffDb ?? 0) > ROOM_DB
          ? 'The voice is as the rig predicts it. Its pauses are louder than microphone and electronics ' +
            'make them: that is the room, or hum.'
          : 'The voice is as the rig predicts it.',
      fixes: [],
    };
  const gain = byGain(measured, voice, levelOffDb);
  const talker = byTalker(measured, voice, levelOffDb);
  const isAlike = base.noiseOffDb !== null && Math.abs(base.noiseOffDb - levelOffDb) <= ALIKE_DB;
  return {
    ...base,
    says: isAlike
      ? `Voice and noise are both ${howFar(levelOffDb)}: most likely a gain stands otherwise than written.`
      : `The voice is ${howFar(levelOffDb)}, the noise is not: most likely the talker, or how far away ` +
        'they are. The noise measured has the room in it, the noise predicted has not.',
    fixes: isAlike ? [...gain, ...talker] : [...talker, ...gain],
  };
};
