import { type Format, framesPerSecond } from '../units';
import type { FilmFacts, FoundFile } from './found';
import { piecesOf } from './pieces';

export type { FilmFacts, FoundFile } from './found';
import type { PlannedFile } from './written';

/** Files of a show as they are, against what the rig should have written. Seconds. */

/**
 * So many frames come out alike by chance, where what moves turns back: still hands for a breath, twice a
 * second. More are doubled.
 */
const CHANCE_SHARE = 0.02;

/** Whether a film shows frames twice, and not only by chance. */
export const isDoubled = (shown: { readonly repeated: number; readonly frames: number }): boolean =>
  shown.repeated > CHANCE_SHARE * shown.frames;

export interface ComparedFile {
  readonly found: FoundFile;
  /** What it most likely is */
  readonly planned: PlannedFile | null;
  /** Whether its name says so; else it is what it comes nearest to */
  readonly isByName: boolean;
  /** What is not as it should be; none where all is */
  readonly says: readonly string[];
}

export interface ComparedFiles {
  readonly files: readonly ComparedFile[];
  /** Planned, and nothing was found that looks like it */
  readonly missing: readonly PlannedFile[];
  /** Pieces of a recording that its numbers leave out, by the name they should have */
  readonly missingPieces: readonly string[];
}

/** Rates and lengths that are nearer are the same. */
const RATE_WITHIN = 4e-4;
const LENGTH_S = 2;
/** A bitrate that differs by more is not what was set; what shows little is written in fewer bits. */
const BITRATE_TIMES = 2;
/** A file of one channel at 24 bits and 48 kHz; sound is written at 44.1 kHz and 16 bits, too. */
const SOUND_TIMES = 3;

const plain = (text: string): string =>
  text
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** What of a planned file's name may stand in the name of a file: all of it, or what it is of. */
const wordsOf = ({ name, of }: PlannedFile): string[] =>
  [name, of].map(plain).filter((word) => word.length > 2);

/** Whether a word stands in a name, its parts together or apart; Camera 1 does not stand in Camera 10. */
const stands = (word: string, name: string): boolean =>
  new RegExp(`${word.replaceAll(' ', ' ?')}(?!\\p{N})`, 'u').test(plain(name));

/** Whether a file is called as what is planned. */
export const isCalled = (name: string, plan: PlannedFile): boolean =>
  wordsOf(plan).some((word) => stands(word, name));

const signalOf = ({ picture, sound }: FoundFile): PlannedFile['signal'] | null =>
  picture ? 'picture' : sound ? 'sound' : null;

const mbpsOf = ({ bytes, lengthS }: FoundFile): number | null =>
  lengthS ? (8 * bytes) / lengthS / 1e6 : null;

/** By how much a file is beside a plan: 0 where it is as planned. */
const beside = (found: FoundFile, planned: PlannedFile): number => {
  const { format } = planned;
  const size = found.picture && format ? Number(!isSize(found.picture, format)) : 0;
  const rate = found.picture && format ? Number(!isRate(found.picture, format)) : 0;
  const mbps = mbpsOf(found);
  const bits = mbps && planned.mbps > 0 ? Math.abs(Math.log2(mbps / planned.mbps)) : 0;
  return 4 * size + 2 * rate + bits;
};

const isSize = ({ width, height }: FilmFacts, format: Format): boolean =>
  (width === format.width && height === format.height) ||
  (width === format.height && height === format.width);
const isRate = ({ rateHz }: FilmFacts, format: Format): boolean =>
  Math.abs(rateHz / framesPerSecond(format) - 1) < RATE_WITHIN;

/** A rate as it is spoken: 29.97, 25. @unit Hz */
const hz = (rateHz: number): string => String(Number(rateHz.toFixed(2)));

const ofPicture = (picture: FilmFacts, format: Format | null): string[] => [
  ...(format && !isSize(picture, format)
    ? [`${picture.width} × ${picture.height}, planned ${format.width} × ${format.height}`]
    : []),
  ...(format && !isRate(picture, format)
    ? [`${hz(picture.rateHz)} frames a second, planned ${hz(framesPerSecond(format))}`]
    : []),
  ...(picture.isConstant
    ? []
    : ['its frames come unevenly: make it constant before the cut, or its sound will drift']),
  ...(picture.missing > 0
    ? [`${picture.missing} ${picture.missing === 1 ? 'frame is' : 'frames are'} missing`]
    : []),
];

const clock = (lengthS: number): string => {
  const s = Math.round(lengthS);
  const two = (value: number): string => String(value).padStart(2, '0');
  return `${Math.floor(s / 3600)}:${two(Math.floor(s / 60) % 60)}:${two(s % 60)}`;
};

const ofBits = (found: FoundFile, { mbps: set, signal }: PlannedFile): string[] => {
  const mbps = mbpsOf(found);
  const times = signal === 'sound' ? SOUND_TIMES : BITRATE_TIMES;
  return mbps === null || set === 0 || (mbps < set * times && mbps > set / times)
    ? []
    : [`${Number(mbps.toPrecision(3))} Mb/s, planned ${Number(set.toPrecision(3))}`];
};

/** Which planned file each is: by its name, and else what it comes nearest to, each once. */
const matched = (
  found: readonly FoundFile[],
  planned: readonly PlannedFile[],
): ReadonlyMap<FoundFile, PlannedFile> => {
  const is = new Map<FoundFile, PlannedFile>();
  for (const file of found) {
    const [byName] = planned
      .filter(({ signal }) => signal === signalOf(file))
      .flatMap((plan) => wordsOf(plan).map((word) => ({ plan, word })))
      .filter(({ word }) => stands(word, file.name))
      .sort((a, b) => b.word.length - a.word.length);
    if (byName) is.set(file, byName.plan);
  }
  const taken = new Set(is.values());
  const pairs = found
    .filter((file) => !is.has(file))
    .flatMap((file) =>
      planned
        .filter((plan) => !taken.has(plan) && plan.signal === signalOf(file))
        .map((plan) => ({ file, plan, by: beside(file, plan) })),
    )
    .sort((a, b) => a.by - b.by);
  for (const { file, plan } of pairs) {
    if (is.has(file) || taken.has(plan)) continue;
    is.set(file, plan);
    taken.add(plan);
  }
  return is;
};

/**
 * Files of one show against the plan.
 * @param lengthMin of the show; null = not said
 */
export const compareFiles = (
  found: readonly FoundFile[],
  planned: readonly PlannedFile[],
  lengthMin: number | null,
): ComparedFiles => {
  const is = matched(found, planned);
  const together = new Map<PlannedFile, number>();
  for (const [file, plan] of is)
    together.set(plan, (together.get(plan) ?? 0) + (file.lengthS ?? 0));
  const longestS = Math.max(0, ...together.values());
  const pieces = piecesOf(found.map((file) => ({ file, plan: is.get(file) ?? null })));
  const files = found.map((file): ComparedFile => {
    const plan = is.get(file) ?? null;
    const base = {
      found: file,
      planned: plan,
      isByName: plan !== null && isCalled(file.name, plan),
    };
    if (file.bytes === 0) return { ...base, says: ['it is empty'] };
    if (file.problem !== null) return { ...base, says: [file.problem] };
    const lengthS = plan ? (together.get(plan) ?? 0) : 0;
    const tooShortS = pieces.short.get(file);
    // Of a recording in pieces it is said once, at the last of them, unless it is known which piece it is.
    const isTold = plan !== null && pieces.tells.has(file);
    return {
      ...base,
      says: [
        ...(file.picture ? ofPicture(file.picture, plan?.format ?? null) : []),
        ...(plan ? ofBits(file, plan) : ['nothing of this kind is planned']),
        ...(tooShortS === undefined
          ? []
          : [`${clock(tooShortS)} shorter than the other pieces of its recording`]),
        ...(isTold && longestS - lengthS > LENGTH_S
          ? [`${clock(longestS - lengthS)} shorter than the longest`]
          : []),
        ...(isTold && lengthMin !== null && lengthMin * 60 - lengthS > LENGTH_S
          ? [`${clock(lengthS)} of a show of ${clock(60 * lengthMin)}`]
          : []),
      ],
    };
  });
  return {
    files,
    missing: planned.filter((plan) => !together.has(plan)),
    missingPieces: pieces.missing,
  };
};

/** What a film is, in words: 1920 × 1080, 29.97 frames a second. */
export const filmText = ({ width, height, rateHz }: FilmFacts): string =>
  `${width} × ${height}, ${hz(rateHz)} frames a second`;

/** What of a film is not as a format says; none where all is. */
export const filmBeside = (picture: FilmFacts, format: Format | null): readonly string[] =>
  ofPicture(picture, format);
