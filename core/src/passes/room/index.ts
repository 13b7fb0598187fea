import { deviceNameById } from '../names';
import type { PortNode } from '../../graph';
import { entry, inOrder, type Pattern, type Spot } from '../../rig';
import { powerSumDb } from '../../units';
import type { Measured } from '../measured';
import { pass } from '../pass';
import {
  fartherFrom,
  microphoneSpot,
  middleM,
  mouthOf,
  moveToMouth,
  ownAngle,
  placedSpot,
  stood,
  stoodAt,
} from '../place';
import { patternOf, splAt, voiceOf } from '../sound';
import { directivity, patternDb, proximityDb, randomEnergyDb } from '../sound/pattern';
import { roomSound } from './built';
import type { Sounding } from './loudspeakers';
import { throughLoudspeakers } from './loudspeakers';
import { echoDistanceM, type PickedUp, pickedUp, withoutEcho } from './picked-up';

export { criticalDistanceM, echoDistanceM, type PickedUp, withoutEcho } from './picked-up';

export {
  bandsOf,
  builtRoom,
  type BuiltRoom,
  roomSound,
  type SurfaceInRoom,
  targetS,
} from './built';
export { singleModesBelowHz, treatmentFor } from './reverberation';
export { treatmentNeeded } from './treatment';
export { fartherFrom } from '../place';

export { patternDb, randomEnergyDb } from '../sound/pattern';

/**
 * What the room does to each microphone: noise, other voices, loudspeakers, echo. @source handbook
 * 2-sound, room, noise, bleed
 */

/** Ratio of the 3:1 rule, `20·log10 3`: another voice should be this far under a microphone's own. @unit dB */
export const THREE_TO_ONE_DB = 20 * Math.log10(3);

/** How far a noise is moved at a time to see what that does: across a room, and still in it. @unit m */
export const FARTHER_M = 2;

/**
 * How deep two arrivals of one voice ripple together: `20·log10((1 + r)/(1 − r))`. @param underDb
 * level of the second under the first, dB, below 0 @returns dB from peak to dip
 */
export const combRippleDb = (underDb: number): number => {
  const r = 10 ** (underDb / 20);
  return r >= 1 ? Infinity : 20 * Math.log10((1 + r) / (1 - r));
};

/** A microphone in its room. */
export interface MicrophoneInRoom {
  readonly node: PortNode;
  readonly personId: string | null;
  readonly pattern: Pattern | null;
  readonly spot: Spot | null;
  /** Above the floor. @unit m; null where nobody has said, or nobody has said where it is */
  readonly heightM: number | null;
  readonly distanceM: number | null;
  readonly offAxisDeg: number;
  /** Its own voice, as the pattern hears it. @unit dB SPL; null where nobody speaks into it */
  readonly ownSpl: number | null;
  /** Noise of the room as the pattern hears it. @unit dB(A) SPL */
  readonly roomSpl: number | null;
  readonly noises: readonly PickedUp[];
  /** Voices of others, by person */
  readonly bleed: readonly PickedUp[];
  /** What loudspeakers send back of its own voice, by loudspeaker */
  readonly returned: readonly PickedUp[];
  /** Room and noises together. @unit dB(A) SPL; null where none is known */
  readonly noiseSpl: number | null;
  /** Own voice over all of that. @unit dB; null where either is not known */
  readonly overRoomDb: number | null;
  readonly criticalDistanceM: number | null;
  /** `20·log10(Dc/d)`, and what the pattern takes off the voice where it is turned away. @unit dB */
  readonly directToReverberantDb: number | null;
  /** How much louder it hears the voice at 100 Hz for being near. @unit dB; null where either is not known */
  readonly proximityDb: number | null;
}

/** Everything that sounds in the room: voices of the show, and noises that run. */
const soundings = pass(
  'soundings',
  (measured): { readonly voices: readonly Sounding[]; readonly running: readonly Sounding[] } => ({
    voices: inOrder(measured.rig.people)
      .filter(([, { where, isHeard }]) => where === 'on site' && isHeard)
      .map(([id, person]) => ({
        id,
        name: person.name,
        at: mouthOf(person),
        splAt1m: person.speechDbSpl,
      })),
    running: [
      ...inOrder(measured.rig.noises)
        .filter(([, { runs }]) => runs)
        .map(([id, { name, at, heightM, dbaAt1m, reading }]) => ({
          id,
          name,
          at: at && { ...at, zM: heightM },
          splAt1m: reading === 'in the room' ? withoutEcho(dbaAt1m, roomSound(measured)) : dbaAt1m,
        })),
      // A computer on the desk is heard like any fan.
      ...stood(measured).flatMap((device) =>
        device.body && device.body.noiseDba !== null
          ? [
              {
                id: device.id,
                name: deviceNameById(measured, device.id),
                at: { ...device.spot, zM: middleM(device) },
                splAt1m: device.body.noiseDba,
              },
            ]
          : [],
      ),
    ],
  }),
);

/** What is tried without changing the rig: another pattern, another distance to the mouth, a noise farther away. */
export interface Supposed {
  readonly pattern?: Pattern;
  readonly distanceM?: number;
  readonly farther?: { readonly noiseId: string; readonly byM: number };
}

/** Most rigs have no places: what is not heard costs nothing. */
const NOTHING: readonly PickedUp[] = [];

/** What a microphone hears. @param pattern null = not known */
const heardBy = (
  measured: Measured,
  node: PortNode,
  pattern: Pattern | null,
  { distanceM, farther }: Supposed = {},
): MicrophoneInRoom | null => {
  const source = node.port.emits?.sound;
  if (source?.type !== 'microphone') return null;
  const device = measured.device(node.device);
  const said = voiceOf(measured, node, source);
  const { person } = said;
  const fromMouthM = distanceM ?? said.distanceM;
  const stands = microphoneSpot(measured.rig, device, person, fromMouthM);
  const there = stands && stoodAt(measured, node.device.id);
  const heightM = there ? middleM(there) : null;
  const mouth = person && mouthOf(person);
  // One that stands on the plan by itself would stand elsewhere at another distance.
  const isMoved = distanceM !== undefined && placedSpot(measured.rig, device) !== null;
  const by = isMoved && mouth && stands ? moveToMouth(mouth, stands, heightM, distanceM) : null;
  const spot = stands && by ? { ...stands, xM: stands.xM + by.xM, yM: stands.yM + by.yM } : stands;
  const heardFrom = spot && { ...spot, zM: heightM };
  const offAxisDeg = ownAngle(measured.rig, device, person);
  const aimDb = pattern ? patternDb(pattern, offAxisDeg) : 0;
  const ownSpl =
    person && fromMouthM !== undefined ? splAt(person.speechDbSpl, fromMouthM) + aimDb : null;
  const room = roomSound(measured);
  const roomSpl =
    pattern && room.noiseDba !== null ? room.noiseDba + randomEnergyDb(pattern) : null;
  const { voices, running } = soundings(measured);
  const noises =
    running.length === 0
      ? NOTHING
      : pickedUp(
          room,
          heardFrom,
          pattern,
          running.map((noise) =>
            farther?.noiseId === noise.id && noise.at && spot
              ? { ...noise, at: { ...noise.at, ...fartherFrom(spot, noise.at, farther.byM) } }
              : noise,
          ),
        );
  const parts = [...(roomSpl === null ? [] : [roomSpl]), ...noises.map(({ spl }) => spl)];
  const noiseSpl = parts.length ? powerSumDb(...parts) : null;
  const critical = pattern && echoDistanceM(room, directivity(pattern));
  return {
    node,
    personId: device.personId,
    pattern,
    spot,
    heightM,
    distanceM: fromMouthM ?? null,
    offAxisDeg,
    ownSpl,
    roomSpl,
    noises,
    bleed: heardFrom
      ? pickedUp(
          room,
          heardFrom,
          pattern,
          voices.filter(({ id }) => id !== device.personId),
        )
      : NOTHING,
    returned: heardFrom
      ? pickedUp(room, heardFrom, pattern, throughLoudspeakers(measured, node))
      : NOTHING,
    noiseSpl,
    overRoomDb: ownSpl === null || noiseSpl === null ? null : ownSpl - noiseSpl,
    criticalDistanceM: critical,
    // A microphone that is turned away loses of the voice, not of the echo.
    directToReverberantDb:
      critical === null || fromMouthM === undefined
        ? null
        : 20 * Math.log10(critical / fromMouthM) + aimDb,
    proximityDb:
      pattern === null || fromMouthM === undefined ? null : proximityDb(pattern, fromMouthM),
  };
};

/** What nobody has said and the room needs for a microphone, in words. */
export const asksOf = (
  measured: Measured,
  { node, personId, pattern, spot }: MicrophoneInRoom,
): string[] => {
  const { voices, running } = soundings(measured);
  const { name } = measured.device(node.device);
  const person = personId === null ? undefined : entry(measured.rig.people, personId);
  const unplaced = [
    ...running.filter(({ at }) => !at).map((noise) => `where ${noise.name} stands`),
    ...voices
      .filter(({ at, id }) => !at && id !== personId)
      .map((voice) => `where ${voice.name} is`),
  ];
  return [
    ...(pattern ? [] : [`the pattern of ${name}`]),
    ...(spot ? unplaced : [person ? `where ${person.name} is` : `who speaks into ${name}`]),
  ];
};

/** Every microphone that is plugged in, as the room treats it, in the rig's order. */
export const microphonesInRoom = pass(
  'microphones in room',
  (measured): readonly MicrophoneInRoom[] => {
    const found: MicrophoneInRoom[] = [];
    for (const node of measured.graph.ports) {
      const microphone =
        node.links.length > 0 && node.port.emits !== undefined
          ? heardBy(measured, node, patternOf(measured, node))
          : null;
      if (microphone) found.push(microphone);
    }
    return found;
  },
);

/** A microphone as it would be. */
export const ifItWere = (
  measured: Measured,
  { node, pattern }: MicrophoneInRoom,
  supposed: Supposed,
): MicrophoneInRoom | null => heardBy(measured, node, supposed.pattern ?? pattern, supposed);

/**
 * Another voice, straight from its mouth, against a microphone's own: what the 3:1 rule and the
 * comb are about. @returns dB, below 0 where it is quieter; null where nobody speaks into it
 */
export const bleedDb = ({ ownSpl }: MicrophoneInRoom, { directSpl }: PickedUp): number | null =>
  ownSpl === null ? null : directSpl - ownSpl;

/** The same with what the walls send of it: what the ear hears. @unit dB */
export const totalBleedDb = ({ ownSpl }: MicrophoneInRoom, { spl }: PickedUp): number | null =>
  ownSpl === null ? null : spl - ownSpl;

/** One way round: out of a loudspeaker, into a microphone, and back. */
export interface Loop {
  readonly microphone: MicrophoneInRoom;
  readonly returned: PickedUp;
  /** What comes back against what went in. @unit dB */
  readonly db: number;
}

/** Loudspeakers and microphones that are bound together by what they share. */
export interface Loops {
  /** By id, in the order they are met */
  readonly loudspeakers: readonly { readonly id: string; readonly name: string }[];
  readonly loops: readonly Loop[];
  /** All of them as powers: the usual case. @unit dB; 0 or above howls */
  readonly powerDb: number;
  /** All of them in step: the worst case at one frequency. @unit dB */
  readonly pressureDb: number;
}

/**
 * Every loop of the room, together with those it shares a loudspeaker or a microphone with. @source
 * handbook 2-sound, sums
 */
export const loops = pass('loops', (measured): readonly Loops[] => {
  const found: Loop[][] = [];
  for (const microphone of microphonesInRoom(measured)) {
    const { ownSpl, returned } = microphone;
    if (ownSpl === null || returned.length === 0) continue;
    const own = returned.map((one) => ({ microphone, returned: one, db: one.spl - ownSpl }));
    const ids = new Set(returned.map(({ id }) => id));
    const met = found.filter((group) => group.some((loop) => ids.has(loop.returned.id)));
    const [into] = met;
    if (!into) found.push(own);
    else {
      for (const other of met.slice(1)) into.push(...found.splice(found.indexOf(other), 1).flat());
      into.push(...own);
    }
  }
  return found.map((group) => ({
    loudspeakers: [
      ...new Map(group.map(({ returned: { id, name } }) => [id, { id, name }])).values(),
    ],
    loops: group,
    powerDb: powerSumDb(...group.map(({ db }) => db)),
    pressureDb: 20 * Math.log10(group.reduce((sum, { db }) => sum + 10 ** (db / 20), 0)),
  }));
});

/**
 * What loudspeakers send back of one microphone's own voice, against the voice itself; whether it
 * howls, all microphones together say. @unit dB
 */
export const loopDb = ({ ownSpl, returned }: MicrophoneInRoom): number | null =>
  ownSpl === null || returned.length === 0
    ? null
    : powerSumDb(...returned.map(({ spl }) => spl)) - ownSpl;
