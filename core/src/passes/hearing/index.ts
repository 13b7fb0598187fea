import type { PortNode, Stage, Thread } from '../../graph';
import { stagesOf } from '../../graph';
import { numberSetting } from '../../rig';
import { dbuToVolts, powerSumDb } from '../../units';
import type { Measured } from '../measured';
import { pass } from '../pass';
import { snrDb } from '../sound';

/** What reaches people's ears. A caution, not medicine. @source handbook 2-sound, hearing */

/**
 * Sound pressure in a headphone: `sensitivity + 10·log10(P)`, P = V² ÷ Z in mW.
 * @param dbu RMS level across the headphone @param ohms its impedance @param earDbPerMw dB SPL for 1 mW @unit dB SPL
 */
export const headphoneSpl = (dbu: number, ohms: number, earDbPerMw: number): number =>
  earDbPerMw + 10 * Math.log10((1000 * dbuToVolts(dbu) ** 2) / ohms);

/** Permissible time at a level: `8 h ÷ 2^((L − 85) ÷ 3)`. @unit h @source NIOSH 98-126 */
export const permissibleHours = (spl: number): number => 8 / 2 ** ((spl - 85) / 3);

/** One sound in a pair of headphones. */
export interface HeardSound {
  readonly source: PortNode;
  readonly last: Stage;
  readonly levelDbu: number | null;
  readonly delayMs: number;
  readonly delayUnknown: number;
  readonly snrDb: number | null;
}

/** A pair of headphones and everything in it. */
export interface Ears {
  readonly node: PortNode;
  readonly personId: string | null;
  readonly heard: readonly HeardSound[];
  /**
   * Everybody as they take turns, each by their loudest microphone, and what is there all the time.
   * @unit dBu; null where none is known
   */
  readonly levelDbu: number | null;
  /** Volume where they are plugged in. @unit dB */
  readonly volumeDb: number;
  /** @unit dB SPL; null where the headphone's figures or the level are not known */
  readonly spl: number | null;
  /** @unit h */
  readonly hours: number | null;
  /** How late the wearer's own voice comes, by the fastest way; null where it does not come. @unit ms */
  readonly ownVoiceMs: number | null;
}

const heardBy = (measured: Measured, threads: readonly Thread[]): HeardSound[] => {
  // Of several ways of one source the loudest is what is heard.
  const heard = new Map<PortNode, HeardSound>();
  for (const { source, last } of threads) {
    const figures = measured.sound[last.index];
    const delay = measured.delay[last.index];
    const sound: HeardSound = {
      source,
      last,
      levelDbu: figures?.unit === 'dBu' ? figures.levelDb : null,
      delayMs: delay?.knownMs ?? 0,
      delayUnknown: delay?.unknown ?? 0,
      snrDb: figures ? snrDb(figures) : null,
    };
    const known = heard.get(source);
    if (!known || (sound.levelDbu ?? -Infinity) > (known.levelDbu ?? -Infinity))
      heard.set(source, sound);
  }
  return [...heard.values()];
};

const earsAt = (measured: Measured, node: PortNode, threads: readonly Thread[]): Ears => {
  const { personId } = measured.device(node.device);
  const heard = heardBy(measured, threads);
  // People speak through several microphones; each counts once, by the loudest of theirs. They take
  // turns; what a player or an instrument sends is there all the time.
  const byTalker = new Map<string, number>();
  const steady: number[] = [];
  for (const { source, levelDbu: level } of heard) {
    if (level === null) continue;
    const { personId: talker } = measured.device(source.device);
    if (talker === null && source.port.emits?.sound?.type !== 'microphone') steady.push(level);
    else {
      const key = talker ?? `device ${source.device.id}`;
      byTalker.set(key, Math.max(level, byTalker.get(key) ?? -Infinity));
    }
  }
  const turns = [...byTalker.values()];
  const levels = [
    ...(turns.length ? [powerSumDb(...turns) - 10 * Math.log10(turns.length)] : []),
    ...steady,
  ];
  const levelDbu = levels.length ? powerSumDb(...levels) : null;
  const { port } = node;
  const volumeDb =
    port.family === 'analogue' && port.earVolumeControl !== undefined
      ? (numberSetting(measured.device(node.device), port.earVolumeControl) ?? 0)
      : 0;
  const spl =
    levelDbu !== null &&
    port.family === 'analogue' &&
    port.inputOhms &&
    port.earDbPerMw !== undefined &&
    port.earDbPerMw !== null
      ? headphoneSpl(levelDbu + volumeDb, port.inputOhms, port.earDbPerMw)
      : null;
  const own =
    personId === null
      ? []
      : threads
          .filter(({ source }) => measured.device(source.device).personId === personId)
          .flatMap(({ last }) => measured.delay[last.index]?.knownMs ?? []);
  return {
    node,
    personId,
    heard,
    levelDbu,
    volumeDb,
    spl,
    hours: spl === null ? null : permissibleHours(spl),
    ownVoiceMs: own.length ? Math.min(...own) : null,
  };
};

/** Every pair of headphones of the rig, in its order. */
export const ears = pass('ears', (measured): readonly Ears[] => {
  const byEnd = new Map<PortNode, Thread[]>();
  for (const thread of measured.traced.threads) {
    if (thread.signal !== 'sound' || thread.end.device.model.kind !== 'headphones') continue;
    const threads = byEnd.get(thread.end);
    if (threads) threads.push(thread);
    else byEnd.set(thread.end, [thread]);
  }
  return measured.graph.ports
    .filter(({ device, port }) => device.model.kind === 'headphones' && port.ends?.sound)
    .map((node) => earsAt(measured, node, byEnd.get(node) ?? []));
});

/** Devices a sound passes on its way to the ears, by name. */
export const wayToEars = (measured: Measured, { last }: HeardSound): string =>
  [...new Set(stagesOf(last).map(({ at }) => measured.device(at.device).name))].join(' → ');
