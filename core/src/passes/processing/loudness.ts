import type { DeviceNode, PortNode, Thread } from '../../graph';
import { type Deliverable, entry } from '../../rig';
import { deliverableFor } from '../computer/work';
import { pass } from '../pass';
import { peakDb } from '../sound';

/** Peaks a programme may reach once it is coded. @unit dBTP @source EBU R 128 */
export const TRUE_PEAK_DBTP = -1;

/** One voice as it arrives in a programme. */
export interface VoiceInProgramme {
  readonly source: PortNode;
  readonly last: Thread['last'];
  readonly levelDbfs: number;
  readonly peakDbfs: number;
}

/** What a stream or programme file will measure, against what is to be delivered. */
export interface ProgrammeLoudness {
  readonly end: DeviceNode;
  readonly deliverable: Omit<Deliverable, 'order'>;
  readonly voices: readonly VoiceInProgramme[];
  /** Everything that is open in it, several microphones of one person too */
  readonly open: ReadonlySet<PortNode>;
  /** Estimated integrated loudness: people take turns, each as loud as they stand. @unit LUFS */
  readonly lufs: number;
  readonly targetLufs: number;
  /** What has to be added to reach the target. @unit dB */
  readonly byDb: number;
  /** Highest peak once that is added. @unit dBTP, about */
  readonly peakAfterDbtp: number;
}

/**
 * Integrated loudness of people who take turns: the mean of their powers. One voice in both
 * channels of a stereo programme reads about its level in dBFS RMS:
 * two channels add 3 dB, the meter's full scale takes them away again, and its weighting is near 0
 * for speech; pauses are gated out.
 * @param levelsDbfs RMS of each voice while it speaks @unit LUFS @source ITU-R BS.1770, EBU R 128
 */
export const loudnessOf = (levelsDbfs: readonly number[]): number =>
  10 * Math.log10(levelsDbfs.reduce((sum, db) => sum + 10 ** (db / 10), 0) / levelsDbfs.length);

/** Every stream and programme file that the brief gives a loudness to, and that has voices whose level is known. */
export const loudnesses = pass('loudnesses', (measured): readonly ProgrammeLoudness[] => {
  if (measured.rig.brief === null) return [];
  const byEnd = new Map<
    DeviceNode,
    { readonly voices: Map<string, VoiceInProgramme>; readonly open: Set<PortNode> }
  >();
  for (const { signal, source, last, end } of measured.traced.threads) {
    if (
      signal !== 'sound' ||
      (end.device.model.kind !== 'stream' && end.device.model.kind !== 'recording')
    )
      continue;
    const figures = measured.sound[last.index];
    const peak = figures && peakDb(figures);
    if (figures?.unit !== 'dBFS' || figures.levelDb === null || peak === null || peak === undefined)
      continue;
    const voice = { source, last, levelDbfs: figures.levelDb, peakDbfs: peak };
    let kept = byEnd.get(end.device);
    if (!kept) byEnd.set(end.device, (kept = { voices: new Map(), open: new Set() }));
    kept.open.add(source);
    // Music and slides come and go; the voices carry the show. Somebody with two microphones is
    // heard by the louder one.
    const who = measured.device(source.device).personId;
    if (
      who !== null &&
      entry(measured.rig.people, who)?.isHeard &&
      voice.levelDbfs > (kept.voices.get(who)?.levelDbfs ?? -Infinity)
    )
      kept.voices.set(who, voice);
  }
  return [...byEnd].flatMap(([end, { voices, open }]) => {
    const deliverable = deliverableFor(measured, end);
    if (!deliverable || deliverable.loudnessLufs === null) return [];
    const all = [...voices.values()];
    if (all.length === 0) return [];
    const lufs = loudnessOf(all.map(({ levelDbfs }) => levelDbfs));
    const byDb = deliverable.loudnessLufs - lufs;
    return [
      {
        end,
        deliverable,
        voices: all,
        open,
        lufs,
        targetLufs: deliverable.loudnessLufs,
        byDb,
        peakAfterDbtp: Math.max(...all.map(({ peakDbfs }) => peakDbfs)) + byDb,
      },
    ];
  });
});
