import { sourceOf, type Stage, stagesOf } from '../../graph';
import { measure } from '../../passes/measure';
import type { Measured } from '../../passes/measured';
import { costOf } from '../../passes/money';
import { bleedDb, microphonesInRoom } from '../../passes/room';
import { voices } from '../../passes/sound/ladder';
import { figure } from '../../passes/sum';
import { apply, type Command, Refusal, type SimpleCommand } from '../../rig';
import type { Attempt } from './attempts';
import { between, closer, otherInterfaces, otherMicrophones, quieterRoom } from './attempts';
import { CLOSE_DB } from '../../edits/gain/bench';
import { type Progress, setForVoice } from '../../edits/gain/set';

/** A change of noise that nobody hears. @unit dB */
const HEARD_DB = 1;

/** A remedy for one voice, tried in the engine with its gains set as well as they can be. */
export interface Remedy {
  readonly label: string;
  readonly command: Command;
  /** In the studio's currency; 0 = free, null = it depends on the room */
  readonly price: number | null;
  /** Devices more on the desk */
  readonly clutter: number;
  /** Gain that is missing for the house level, before and after. @unit dB */
  readonly missingBeforeDb: number;
  readonly missingAfterDb: number;
  /** @unit dB */
  readonly snrBeforeDb: number;
  readonly snrAfterDb: number;
  /** Voice over the room and its noises, which no gain changes. @unit dB; null where the room is not known */
  readonly overRoomBeforeDb: number | null;
  readonly overRoomAfterDb: number | null;
  /** The loudest other voice against the own. @unit dB, below 0; null where nobody else has a place */
  readonly bleedAfterDb: number | null;
  /** Headroom that is missing at the tightest stage afterwards. @unit dB */
  readonly shortAfterDb: number;
  /** What it does for the gain and for the noise, in words; says plainly when the money changes nothing */
  readonly says: string;
}

const gainWords = (before: number, after: number): string =>
  before <= 0
    ? 'No gain was missing'
    : after <= 0
      ? `Brings the ${figure(before)} dB of gain that are missing`
      : after >= before - 0.05
        ? 'Brings no gain'
        : `Leaves ${figure(after)} dB of gain missing`;

const noiseWords = (wins: number): string =>
  Math.abs(wins) < HEARD_DB
    ? `changes the noise by only ${figure(Math.abs(wins))} dB`
    : wins > 0
      ? `lowers the noise by ${figure(wins)} dB`
      : `raises the noise by ${figure(-wins)} dB`;

/** What it does for the voice over the room, where that is heard. */
const roomWords = (before: number | null, after: number | null): string => {
  const wins = before === null || after === null ? 0 : after - before;
  return Math.abs(wins) < HEARD_DB
    ? ''
    : ` The voice stands ${figure(Math.abs(wins))} dB ${wins > 0 ? 'farther' : 'less'} over the room.`;
};

interface Standing {
  readonly missingDb: number;
  readonly snrDb: number;
  readonly shortDb: number;
  readonly overRoomDb: number | null;
  readonly bleedDb: number | null;
  readonly commands: readonly SimpleCommand[];
}

/** How a voice stands once its gains are set as well as they can be. */
const standing = (measured: Measured, sourceId: string, converterId: string): Standing | null => {
  const stage = voices(measured).find(
    (item) => sourceOf(item).at.device.id === sourceId && item.at.device.id === converterId,
  );
  const answer = stage && setForVoice(measured, stage);
  if (!answer?.can) return null;
  const { after, commands } = answer.proposal;
  // Within half a step of the level nothing is missing.
  const microphone = microphonesInRoom(measured).find(({ node }) => node.device.id === sourceId);
  const bleeds = microphone?.bleed.flatMap((other) => bleedDb(microphone, other) ?? []) ?? [];
  return {
    missingDb: after.missDb > 0 ? after.missDb + CLOSE_DB : 0,
    snrDb: after.snrDb,
    shortDb: after.shortDb,
    overRoomDb: microphone?.overRoomDb ?? null,
    bleedDb: bleeds.length ? Math.max(...bleeds) : null,
    commands,
  };
};

const compareCosts = (a: number | null, b: number | null): number =>
  a === b ? 0 : (a ?? Infinity) - (b ?? Infinity);

/**
 * Of two remedies the better: one that leaves no gain missing, clips nowhere and keeps the house's
 * ratio; then the cheaper, the one with less on the desk, the quieter.
 */
const compareRemedies =
  (leastSnrDb: number) =>
  (a: Remedy, b: Remedy): number =>
    Number(a.missingAfterDb > 0) - Number(b.missingAfterDb > 0) ||
    Number(a.shortAfterDb > 0) - Number(b.shortAfterDb > 0) ||
    // One that leaves more hiss than the house allows is no remedy beside one that does not.
    Number(a.snrAfterDb < leastSnrDb) - Number(b.snrAfterDb < leastSnrDb) ||
    compareCosts(a.price, b.price) ||
    a.clutter - b.clutter ||
    b.snrAfterDb - a.snrAfterDb;

/**
 * What could be done or bought for a voice, each tried in the engine with its gains set, the best first.
 * @param stage the conversion, as `voices` gives it
 * @returns none where the voice's own level cannot be told
 */
export const remediesFor = (measured: Measured, stage: Stage, onProgress?: Progress): Remedy[] => {
  const source = sourceOf(stage);
  const [sourceId, converterId] = [source.at.device.id, stage.at.device.id];
  const before = standing(measured, sourceId, converterId);
  if (!before) return [];
  const isDirect = stagesOf(stage).length === 3;
  const attempts: Attempt[] = [
    ...closer(measured, source, before.missingDb),
    ...between(measured, source, 'booster-inline', 'A booster'),
    ...between(measured, source, 'preamp-one', 'A preamp of its own'),
    ...between(measured, source, 'channel-processor', 'A channel processor'),
    ...quieterRoom(measured, source),
    ...otherMicrophones(measured, source),
    ...(isDirect ? otherInterfaces(measured, stage) : []),
  ];
  return attempts
    .flatMap(({ label, commands, price }, tried): Remedy[] => {
      onProgress?.(tried, attempts.length);
      try {
        const changed = measure(
          apply(measured.rig, { type: 'batch', label, commands: [...commands] }),
          measured,
        );
        const after = standing(changed, sourceId, converterId);
        if (!after) return [];
        const command: Command = {
          type: 'batch',
          label,
          commands: [...commands, ...after.commands],
        };
        const wins = after.snrDb - before.snrDb;
        const gains = before.missingDb - after.missingDb;
        const overRoom = roomWords(before.overRoomDb, after.overRoomDb);
        const isHeard = gains >= HEARD_DB || wins >= HEARD_DB || overRoom !== '';
        return [
          {
            label,
            command,
            price: price === undefined ? costOf(measured.rig, command) : price,
            clutter: changed.graph.devices.size - measured.graph.devices.size,
            missingBeforeDb: before.missingDb,
            missingAfterDb: after.missingDb,
            snrBeforeDb: before.snrDb,
            snrAfterDb: after.snrDb,
            overRoomBeforeDb: before.overRoomDb,
            overRoomAfterDb: after.overRoomDb,
            bleedAfterDb: after.bleedDb,
            shortAfterDb: after.shortDb,
            says:
              `${gainWords(before.missingDb, after.missingDb)} and ` +
              `${noiseWords(wins)}.${overRoom}` +
              (isHeard ? '' : ' Nothing that is heard gets better.'),
          },
        ];
      } catch (error) {
        if (error instanceof Refusal) return [];
        throw error;
      }
    })
    .filter(
      // None that brings a voice under the house's least ratio.
      ({ snrBeforeDb, snrAfterDb }) =>
        snrAfterDb >= measured.rig.houseRules.minimumSnrDb || snrAfterDb > snrBeforeDb - HEARD_DB,
    )
    .sort(compareRemedies(measured.rig.houseRules.minimumSnrDb));
};
