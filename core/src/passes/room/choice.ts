import { bleedDb, ifItWere, type MicrophoneInRoom, THREE_TO_ONE_DB } from '.';
import { CATALOGUE } from '../../catalogue';
import { entry, type Model, type Pattern, PATTERNS, type Person } from '../../rig';
import type { Measured } from '../measured';
import { figure } from '../sum';

/** A class of microphone for a voice in its room, at the distance it is made for. */
export interface MicrophoneChoice {
  readonly model: Model;
  readonly isPresent: boolean;
  readonly pattern: Pattern;
  readonly distanceM: number;
  readonly there: MicrophoneInRoom;
  /** The loudest other voice against the own. @unit dB; null where nobody else has a place */
  readonly bleedDb: number | null;
  /** Voice over the microphone's own noise. @unit dB(A); null for a passive one, whose noise depends on its input */
  readonly overSelfNoiseDb: number | null;
  readonly speaksFor: readonly string[];
  readonly speaksAgainst: readonly string[];
  /** How many of the reasons against are the person's own: what they wear, hold and do */
  readonly ownReasons: number;
}

/** Worn on the body, it goes where its person goes. */
export const WORN: ReadonlySet<string> = new Set(['mic-lavalier', 'mic-headset', 'mic-wireless']);
const ON_HEAD: ReadonlySet<string> = new Set(['mic-headset']);
const IN_HAND: ReadonlySet<string> = new Set(['mic-dynamic-stage']);
/** A condenser's own hiss is heard in a quiet recording when the voice stands less than this above it. @unit dB(A) */
const OVER_SELF_NOISE_DB = 45;

const firstPattern = (
  model: Model,
): {
  readonly pattern: Pattern;
  readonly distanceM: number;
  readonly selfNoise: number | null;
} | null => {
  for (const { emits } of Object.values(model.ports)) {
    const source = emits?.sound;
    if (source?.type !== 'microphone' || source.pattern === undefined) continue;
    const distance = entry(model.controls, source.distanceControl);
    const switched =
      typeof source.pattern === 'object'
        ? entry(model.controls, source.pattern.control)?.initial
        : source.pattern;
    const pattern = PATTERNS.find((name) => name === switched);
    if (distance?.type !== 'amount' || !pattern) continue;
    return { pattern, distanceM: distance.initial, selfNoise: source.selfNoiseDbaSpl };
  }
  return null;
};

const loudestBleed = (there: MicrophoneInRoom): number | null => {
  const levels = there.bleed.flatMap((other) => bleedDb(there, other) ?? []);
  return levels.length ? Math.max(...levels) : null;
};

/** Why a class suits somebody, and why not, by what they do and wear. */
const byPerson = (
  classId: string,
  { posture, dislikesHeadset, needsHandsFree }: Person,
): { readonly speaksFor: string[]; readonly speaksAgainst: string[] } => ({
  speaksFor: posture === 'moves' && WORN.has(classId) ? ['goes where they go'] : [],
  speaksAgainst: [
    ...(posture === 'moves' && !WORN.has(classId) ? ['they move out of it'] : []),
    ...(dislikesHeadset && ON_HEAD.has(classId) ? ['they dislike a headset'] : []),
    ...(needsHandsFree && IN_HAND.has(classId) ? ['needs a stand: both their hands are busy'] : []),
  ],
});

/**
 * Every class of microphone for the voice that a microphone is for, the best first: with least
 * against it, the person's own reasons before all, then by how far the voice stands over the room.
 * @returns none where nobody speaks into it
 */
export const microphoneChoices = (
  measured: Measured,
  microphone: MicrophoneInRoom,
): MicrophoneChoice[] => {
  const person =
    microphone.personId === null ? undefined : entry(measured.rig.people, microphone.personId);
  if (!person) return [];
  const { voiceOverRoomDb } = measured.rig.houseRules;
  const present = microphone.node.device.model.classId;
  return CATALOGUE.flatMap((model): MicrophoneChoice[] => {
    const made = firstPattern(model);
    const there = made && ifItWere(measured, microphone, made);
    if (!made || !there || model.classId === null) return [];
    const { pattern, distanceM, selfNoise } = made;
    const [bleed, over, dry] = [loudestBleed(there), there.overRoomDb, there.directToReverberantDb];
    const overSelf = selfNoise === null || there.ownSpl === null ? null : there.ownSpl - selfNoise;
    const ofPerson = byPerson(model.classId, person);
    const needsPhantom = Object.values(model.ports).some(
      (port) => port.family === 'analogue' && (port.phantomNeedMa ?? 0) > 0,
    );
    return [
      {
        ownReasons: ofPerson.speaksAgainst.length,
        model,
        isPresent: model.classId === present,
        pattern,
        distanceM,
        there,
        bleedDb: bleed,
        overSelfNoiseDb: overSelf,
        speaksFor: [
          ...ofPerson.speaksFor,
          ...(needsPhantom ? [] : ['needs no phantom power']),
          ...(over !== null && over >= voiceOverRoomDb
            ? [`voice ${figure(over, 0)} dB over the room`]
            : []),
        ],
        speaksAgainst: [
          ...ofPerson.speaksAgainst,
          ...(over !== null && over < voiceOverRoomDb
            ? [`voice only ${figure(over, 0)} dB over the room`]
            : []),
          ...(bleed !== null && bleed > -THREE_TO_ONE_DB
            ? [`another voice ${figure(-bleed, 0)} dB under`]
            : []),
          ...(dry !== null && dry < 0 ? ['more echo than voice'] : []),
          ...(overSelf !== null && overSelf < OVER_SELF_NOISE_DB
            ? [`its own hiss ${figure(overSelf, 0)} dB under the voice`]
            : []),
        ],
      },
    ];
  }).sort(
    (a, b) =>
      a.ownReasons - b.ownReasons ||
      a.speaksAgainst.length - b.speaksAgainst.length ||
      (b.there.overRoomDb ?? 0) - (a.there.overRoomDb ?? 0),
  );
};
