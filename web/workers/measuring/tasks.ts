import type { FoundFile, SummedFile } from '@echo-loom/core';
import {
  align,
  type Alignment,
  beepsIn,
  held,
  type Octaves,
  octavesOf,
  type RoundTrip,
  roundTripOf,
  type Hum,
  humOf,
  LoudnessMeter,
  middleRt60,
  noiseInPauses,
  resampled,
  reverberation,
  type Ringing,
} from '@echo-loom/core/signal';
import { digestOf } from './digest';
import {
  findFiles,
  sumFiles,
  type FlashOf,
  measureFlash,
  measurePicture,
  type PictureFound,
} from './film-tasks';
import { makeFlashFilm } from './make-film';
import { inSteps, type OnProgress } from './progress';
import { openSound, type SoundFile } from './sound-file';

/** What is measured of files, off the main thread. Every figure that comes out of it is plain data. */

export interface Shifted extends Alignment {
  readonly name: string;
  readonly lengthS: number;
}

/** Files against the first of them. */
export interface ClapFound {
  readonly first: { readonly name: string; readonly lengthS: number };
  readonly rest: readonly Shifted[];
}

export interface LevelsFound {
  readonly name: string;
  readonly sha256: string;
  readonly lengthS: number;
  readonly rateHz: number;
  readonly channels: number;
  readonly lufs: number | null;
  /** @unit dBFS, a full sine 0 */
  readonly averageDbfs: number | null;
  readonly peakDbfs: number | null;
  readonly pausesLufs: number | null;
  readonly clipped: number;
  readonly hum: Hum | null;
  /** The quietest pause by octave; null where it is too short */
  readonly noise: Octaves | null;
}

export interface RoomFound {
  readonly name: string;
  readonly sha256: string;
  readonly ringing: readonly Ringing[];
  readonly middle: { readonly rt60S: number; readonly spreadS: number } | null;
}

/** Everything is brought to this rate. @unit Hz */
const RATE_HZ = 48_000;
/** Hum is looked for in a pause of this length. @unit s */
const PAUSE_S = 2;
/** A clap in a room is looked for in so much of a file. @unit s */
const ROOM_MOST_S = 120;

const using = async <T>(file: File, work: (sound: SoundFile) => Promise<T>): Promise<T> => {
  const sound = await openSound(file);
  try {
    return await work(sound);
  } finally {
    sound.close();
  }
};

/** Where the quietest pause of some length begins. @param blocks loudness every 0.1 s @returns s */
const quietestS = (blocks: readonly number[]): number => {
  const count = Math.max(1, Math.round(PAUSE_S / 0.1));
  let best = { at: 0, loudest: Infinity };
  for (let at = 0; at + count <= blocks.length; at += 5) {
    const loudest = Math.max(...blocks.slice(at, at + count));
    if (loudest < best.loudest) best = { at, loudest };
  }
  return best.at * 0.1;
};

export class MeasuringTasks {
  /** How much later each file hears what the first one hears. @param files at least two */
  async clap(files: readonly File[], tell: OnProgress): Promise<ClapFound> {
    const progress = inSteps(tell);
    const [head, ...rest] = files;
    if (!head || rest.length === 0) throw new RangeError('two recordings at least');
    return await using(head, async (first) => {
      const found: Shifted[] = [];
      for (const [index, file] of rest.entries())
        found.push(
          await using(file, async (other) => ({
            ...(await align(resampled(first, RATE_HZ), resampled(other, RATE_HZ), (share) =>
              progress((index + share) / rest.length),
            )),
            name: file.name,
            lengthS: other.lengthS,
          })),
        );
      return { first: { name: head.name, lengthS: first.lengthS }, rest: found };
    });
  }

  /** How loud a recording is, its peaks, its pauses and the hum in them. */
  async levels(file: File, tell: OnProgress): Promise<LevelsFound> {
    const progress = inSteps(tell);
    return await using(file, async (sound) => {
      const { rateHz, lengthS, name } = sound;
      const channels = Math.min(2, sound.channels);
      const meter = new LoudnessMeter(rateHz, channels);
      let samples = 0;
      for await (const piece of sound.pieces()) {
        meter.push(piece.slice(0, channels));
        samples += piece[0]?.length ?? 0;
        progress(samples / Math.max(1, sound.samples));
      }
      const loudness = meter.finish();
      const from = Math.round(quietestS(loudness.blocks) * rateHz);
      const pause = await sound.read(from, Math.round(PAUSE_S * rateHz));
      return {
        name,
        sha256: await digestOf(file),
        lengthS,
        rateHz,
        channels: sound.channels,
        lufs: loudness.lufs,
        averageDbfs: loudness.averageDbfs,
        peakDbfs: loudness.peakDbfs,
        pausesLufs: noiseInPauses(loudness),
        clipped: loudness.clipped,
        hum: lengthS >= PAUSE_S ? humOf(pause, rateHz) : null,
        noise: octavesOf(pause.subarray(0, Math.round(lengthS * rateHz) - from), rateHz),
      };
    });
  }

  /** How much later sound is than picture in a film of our test page. */
  async flash(file: File, tell: OnProgress): Promise<FlashOf> {
    return await measureFlash(file, inSteps(tell));
  }

  /** The page that flashes and beeps, as a film. */
  async flashFilm(tell: OnProgress): Promise<Blob> {
    return await makeFlashFilm(inSteps(tell));
  }

  /** From the computer out and back in, of what came in. @param firstS when the first beep went out */
  async roundTrip(samples: Float32Array, rateHz: number, firstS: number): Promise<RoundTrip> {
    return roundTripOf(await beepsIn(held(samples, rateHz)), firstS);
  }

  /** What the picture of a film is. */
  async picture(file: File, tell: OnProgress): Promise<PictureFound> {
    return await measurePicture(file, inSteps(tell));
  }

  /** What the files of a show are. */
  async files(files: readonly File[], tell: OnProgress): Promise<readonly FoundFile[]> {
    return await findFiles(files, inSteps(tell));
  }

  /** What the files of a show are, and the checksum of each. */
  async summed(files: readonly File[], tell: OnProgress): Promise<readonly SummedFile[]> {
    return await sumFiles(files, inSteps(tell));
  }

  /** How long a room rings, from one clap. */
  async room(file: File, tell: OnProgress): Promise<RoomFound> {
    return await using(file, async (sound) => {
      const count = Math.round(Math.min(ROOM_MOST_S, sound.lengthS) * sound.rateHz);
      const signal = await sound.read(0, count);
      tell(0.5);
      const ringing = reverberation(signal, sound.rateHz);
      const sha256 = await digestOf(file);
      return { name: sound.name, sha256, ringing, middle: middleRt60(ringing) };
    });
  }
}
