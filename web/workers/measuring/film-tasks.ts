import type { FilmFacts, FoundFile, SummedFile } from '@echo-loom/core';
import {
  beepsIn,
  type FlashFound,
  flashOffset,
  resampled,
  twoCameras,
} from '@echo-loom/core/signal';
import { type Pace, paceOf, type Shown, shownIn, type TwoCameras } from '@echo-loom/core/signal';
import { digestOf } from './digest';
import { type FilmFile, openFilm, type Still } from './film-file';
import type { OnProgress } from './progress';
import { openSound, UnreadableFile } from './sound-file';

/** What is measured of films, and of the files of a show. */

/** Everything is brought to this rate. @unit Hz */
const RATE_HZ = 48_000;

export interface FlashOf extends FlashFound {
  readonly name: string;
  /** Of the whole file, in hexadecimal */
  readonly sha256: string;
  /** How much later one camera sees than another, where two are in it */
  readonly cameras: TwoCameras | null;
}

export interface PictureFound {
  readonly name: string;
  readonly codec: string;
  readonly facts: FilmFacts | null;
  readonly width: number;
  readonly height: number;
  readonly pace: Pace | null;
  readonly isFullRange: boolean | null;
  readonly isHdr: boolean;
  /** Its sound, by its codec; null where there is none that is read */
  readonly sound: string | null;
  /** Why its pictures are not read; null where they are */
  readonly unread: string | null;
  readonly shown: Shown | null;
  readonly still: Still | null;
}

const filming = async <T>(file: File, work: (film: FilmFile) => Promise<T>): Promise<T> => {
  const film = await openFilm(file);
  try {
    return await work(film);
  } finally {
    film.close();
  }
};

const factsOf = ({ width, height }: FilmFile, pace: Pace | null): FilmFacts | null =>
  pace && {
    width,
    height,
    rateHz: pace.rateHz,
    isConstant: pace.isConstant,
    missing: pace.missing,
  };

/** The sound of a file; null where there is none that is read. */
const soundOf = async (
  file: File,
): Promise<{ codec: string; channels: number; rateHz: number; lengthS: number } | null> => {
  try {
    const sound = await openSound(file);
    const { codec, channels, rateHz, lengthS } = sound;
    sound.close();
    return { codec, channels, rateHz, lengthS };
  } catch (error) {
    if (error instanceof UnreadableFile) return null;
    throw error;
  }
};

/** How much later sound is than picture in a film of our test page. */
export const measureFlash = async (file: File, tell: OnProgress): Promise<FlashOf> => {
  const sound = await openSound(file);
  const beeps = await beepsIn(resampled(sound, RATE_HZ)).finally(() => sound.close());
  tell(0.2);
  return await filming(file, async (film) => {
    const frames = await film.frames((share) => tell(0.2 + 0.6 * share));
    const found = flashOffset(frames, beeps);
    return {
      ...found,
      why: film.unread ? `${film.unread} ${beeps.length} beeps are heard in it.` : found.why,
      cameras: twoCameras(frames),
      name: file.name,
      sha256: await digestOf(file),
    };
  });
};

/** What the picture of a film is: size, pace, what it shows, and one picture of it. */
export const measurePicture = async (file: File, tell: OnProgress): Promise<PictureFound> =>
  await filming(file, async (film) => {
    const pace = paceOf(await film.times((share) => tell(0.3 * share)));
    const frames = await film.frames((share) => tell(0.3 + 0.6 * share));
    const { codec, width, height, isFullRange, isHdr, unread, lengthS } = film;
    const sound = await soundOf(file);
    return {
      name: file.name,
      codec,
      facts: factsOf(film, pace),
      width,
      height,
      pace,
      isFullRange,
      isHdr,
      sound: sound?.codec ?? null,
      unread,
      shown: frames.length > 0 ? shownIn(frames) : null,
      still: await film.still(Math.min(10, lengthS / 2)),
    };
  });

/** One file of a show, as it is; what cannot be read is said in it. */
const foundOf = async (file: File, tell: OnProgress): Promise<FoundFile> => {
  const base = { name: file.webkitRelativePath || file.name, bytes: file.size, problem: null };
  const sound = await soundOf(file);
  try {
    return await filming(file, async (film) => {
      const pace = paceOf(await film.times(tell));
      return {
        ...base,
        lengthS: film.lengthS,
        picture: factsOf(film, pace) ?? {
          width: film.width,
          height: film.height,
          rateHz: 0,
          isConstant: true,
          missing: 0,
        },
        sound,
      };
    });
  } catch (error) {
    if (!(error instanceof UnreadableFile)) throw error;
    return sound
      ? { ...base, lengthS: sound.lengthS, picture: null, sound }
      : {
          ...base,
          lengthS: null,
          picture: null,
          sound: null,
          problem: 'it is no recording that can be read here',
        };
  }
};

/** The files of a show, one after the other. */
export const findFiles = async (
  files: readonly File[],
  tell: OnProgress,
): Promise<readonly FoundFile[]> => {
  const found: FoundFile[] = [];
  for (const [index, file] of files.entries())
    found.push(await foundOf(file, (share) => tell((index + share) / files.length)));
  return found;
};

/** The same, each read to its last byte; how far it is goes by bytes. */
export const sumFiles = async (
  files: readonly File[],
  tell: OnProgress,
): Promise<readonly SummedFile[]> => {
  const all = Math.max(
    1,
    files.reduce((sum, { size }) => sum + size, 0),
  );
  const found: SummedFile[] = [];
  let read = 0;
  for (const file of files) {
    const facts = await foundOf(file, () => undefined);
    found.push({ ...facts, sha256: await digestOf(file, (bytes) => tell((read + bytes) / all)) });
    read += file.size;
  }
  return found;
};
