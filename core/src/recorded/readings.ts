import { type Fix, simpleOf } from '../edits/fix';
import { measure } from '../passes/measure';
import type { Measured } from '../passes/measured';
import { builtRoom, roomSound } from '../passes/room';
import {
  apply,
  type Command,
  entry,
  freeId,
  inOrder,
  type Reading,
  type RoomReading,
  type VoiceReading,
} from '../rig';
import { AGREES_DB, type MeasuredVoice, type PredictedVoice, predictedVoices } from './voices';

/** What was read off recordings of voices and of the room, beside what the rig says now. */

export type ReadingIs =
  /** The rig says what was measured */
  | 'used'
  /** It says something else, and nothing was set otherwise */
  | 'apart'
  /** Something that matters is set otherwise than when it was measured */
  | 'stale'
  /** Measured anew since */
  | 'older'
  /** The voice goes nowhere any more */
  | 'gone';

export interface KeptReading {
  readonly id: string;
  readonly reading: Reading;
  readonly unit: 'dBFS' | 's';
  readonly measured: number;
  /** As it was predicted when it was measured; null where nothing was */
  readonly predicted: number | null;
  readonly off: number | null;
  readonly is: ReadingIs;
  /** What is set otherwise, in words; empty where nothing is */
  readonly since: string;
}

/** What lies between mouth and input is the same within this. @unit dB */
const SAME_DB = 0.15;
/** A room rings as measured within the hundredth that is kept. @unit s */
const SAME_S = 0.0051;

/** What everything between mouth and input makes of the talker's level now. @unit dB; null = not known */
const wayDbOf = (
  { rig }: Measured,
  { levelDbfs, personId }: Pick<PredictedVoice, 'levelDbfs' | 'personId'>,
): number | null => {
  const person = personId === null ? undefined : entry(rig.people, personId);
  return levelDbfs === null || !person ? null : levelDbfs - person.speechDbSpl;
};

const inputOf = ({ stage }: PredictedVoice) => stage.parent?.at ?? stage.at;

/** The voice of a microphone at one input, as it is predicted now. */
const predictedOf = (
  measured: Measured,
  { soundId, inputId, portId }: Pick<VoiceReading, 'soundId' | 'inputId' | 'portId'>,
): PredictedVoice | undefined =>
  predictedVoices(measured).find((one) => {
    const input = inputOf(one);
    return one.soundId === soundId && input.device.id === inputId && input.id === portId;
  });

/** When and from which file something was measured. */
export type Origin = Pick<Reading, 'on' | 'file'>;

const kept = (
  { rig }: Measured,
  of: Reading['of'],
  { on, file }: Origin,
  fix: Fix | null,
): Command => ({
  type: 'batch',
  label: of.is === 'room' ? 'Keep how the room rings' : 'Keep a level as measured',
  commands: [
    ...(fix ? simpleOf(fix) : []),
    { type: 'addReading', readingId: freeId('reading', rig.readings), reading: { of, on, file } },
  ],
});

/**
 * Keeps a recording of a voice, with the edit that makes the rig say what was measured.
 * @param fix null where the rig says so, or is left as it is
 */
export const keepVoice = (
  measured: Measured,
  voice: PredictedVoice,
  found: MeasuredVoice,
  origin: Origin,
  fix: Fix | null,
): Command => {
  // A gain that stood otherwise than written is part of the way it was measured by.
  const after = fix ? measure(apply(measured.rig, fix.command), measured) : measured;
  const input = inputOf(voice);
  const where = { soundId: voice.soundId, inputId: input.device.id, portId: input.id };
  const same = predictedOf(after, where);
  const of: VoiceReading = {
    is: 'voice',
    ...where,
    ...found,
    predictedDbfs: voice.levelDbfs,
    wayDb: same ? wayDbOf(after, same) : null,
  };
  return kept(measured, of, origin, fix);
};

const builtS = (measured: Measured): number | null => {
  const rt60S = builtRoom(measured)?.rt60S ?? null;
  return rt60S !== null && Number.isFinite(rt60S) ? rt60S : null;
};

/** Keeps a clap in the room, and lets the room ring as measured. @param rt60S mean of the middle octaves */
export const keepRoom = (
  measured: Measured,
  rt60S: number,
  spreadS: number,
  origin: Origin,
): Command => {
  // A figure that was typed is no prediction where the room is drawn.
  const drawnS = builtS(measured);
  const of: RoomReading = {
    is: 'room',
    rt60S,
    spreadS,
    predictedS: drawnS ?? roomSound(measured).rt60S,
    builtS: drawnS,
  };
  return kept(measured, of, origin, {
    label: 'As measured',
    command: { type: 'setRoom', room: { rt60S } },
  });
};

type Standing = Pick<KeptReading, 'is' | 'since'>;

const byDb = (db: number): string => `${Math.abs(db).toFixed(1)} dB ${db > 0 ? 'more' : 'less'}`;

/** What the way of a kept reading makes of the talker now. @unit dB; null = not known */
export const wayDbAt = (measured: Measured, of: VoiceReading): number | null => {
  const voice = predictedOf(measured, of);
  return voice ? wayDbOf(measured, voice) : null;
};

const standingOfVoice = (measured: Measured, of: VoiceReading): Standing => {
  const voice = predictedOf(measured, of);
  if (!voice) return { is: 'gone', since: '' };
  const wayDb = wayDbOf(measured, voice);
  if (of.wayDb !== null && wayDb !== null && Math.abs(wayDb - of.wayDb) > SAME_DB)
    return {
      is: 'stale',
      since: `the way from mouth to input makes ${byDb(wayDb - of.wayDb)} than when it was measured`,
    };
  const isAsMeasured =
    voice.levelDbfs !== null && Math.abs(voice.levelDbfs - of.levelDbfs) <= AGREES_DB;
  return { is: isAsMeasured ? 'used' : 'apart', since: '' };
};

/** Whether the room is taken to ring as a clap told. */
export const countsInRoom = ({ rig: { room } }: Measured, of: RoomReading): boolean =>
  room.rt60S !== null && Math.abs(room.rt60S - of.rt60S) <= SAME_S;

const standingOfRoom = (measured: Measured, of: RoomReading): Standing => {
  const nowS = builtS(measured);
  if (of.builtS !== null && nowS !== null && Math.abs(nowS - of.builtS) > SAME_S)
    return {
      is: 'stale',
      since:
        `by its surfaces the room came to ${of.builtS.toFixed(2)} s when it was measured, and to ` +
        `${nowS.toFixed(2)} s now`,
    };
  return { is: countsInRoom(measured, of) ? 'used' : 'apart', since: '' };
};

/** The same voice at the same input, or the room. */
const whatOf = ({ of }: Reading): string =>
  of.is === 'room' ? 'room' : `${of.soundId} ${of.inputId} ${of.portId}`;

/** Every reading that is kept, the latest first. */
export const readings = (measured: Measured): readonly KeptReading[] => {
  const latest = new Set<string>();
  return [...inOrder(measured.rig.readings)].reverse().map(([id, reading]): KeptReading => {
    const { of } = reading;
    const isLatest = !latest.has(whatOf(reading));
    latest.add(whatOf(reading));
    const [unit, value, predicted] =
      of.is === 'room'
        ? (['s', of.rt60S, of.predictedS] as const)
        : (['dBFS', of.levelDbfs, of.predictedDbfs] as const);
    const standing =
      of.is === 'room' ? standingOfRoom(measured, of) : standingOfVoice(measured, of);
    return {
      id,
      reading,
      unit,
      measured: value,
      predicted,
      off: predicted === null ? null : value - predicted,
      ...(isLatest || standing.is === 'gone' ? standing : { is: 'older', since: '' }),
    };
  });
};

/** The reading that a person's level, or the time of the room, comes from; null where it was typed. */
export const readFrom = (
  measured: Measured,
  what: { readonly personId: string } | 'room',
): KeptReading | null =>
  readings(measured).find(({ is, reading: { of } }) =>
    is !== 'used'
      ? false
      : what === 'room'
        ? of.is === 'room'
        : of.is === 'voice' && entry(measured.rig.devices, of.soundId)?.personId === what.personId,
  ) ?? null;
