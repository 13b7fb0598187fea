import type { PlannedFile } from './written';
import type { FoundFile } from './found';

/** Recordings that a recorder cut into pieces, numbered at the end of their names. */

export interface Pieces {
  /** Names of those that their numbers leave out */
  readonly missing: readonly string[];
  /** By how much a piece in the middle is shorter than the others of its recording. @unit s */
  readonly short: ReadonlyMap<FoundFile, number>;
  /** Where it is told how long a recording is: at its last piece, and nowhere where a piece is to blame */
  readonly tells: ReadonlySet<FoundFile>;
}

/** Cut by size or by time, pieces are as long as each other but for the last. @unit s */
const SAME_S = 2;

interface Numbered {
  readonly file: FoundFile;
  readonly number: number;
}

/** `clip_0007.mp4` is number 7, four digits wide, of `clip_….mp4`. */
const NUMBERED = /^(?<stem>.*?)(?<number>\d{1,6})(?<ending>\.[^./\\]*)?$/;

const middle = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor((values.length - 1) / 2)] ?? 0;

/** Pieces but for the last, against the middle of them: only where most are alike. */
const shortOf = (inOrder: readonly Numbered[]): [FoundFile, number][] => {
  const whole = inOrder.slice(0, -1).map(({ file }) => file);
  const usualS = middle(whole.map(({ lengthS }) => lengthS ?? 0));
  const alike = whole.filter(({ lengthS }) => Math.abs((lengthS ?? 0) - usualS) <= SAME_S);
  return whole.length < 3 || alike.length * 2 < whole.length + 1
    ? []
    : whole.flatMap((file) => {
        const byS = usualS - (file.lengthS ?? usualS);
        return byS > SAME_S ? [[file, byS] as [FoundFile, number]] : [];
      });
};

/** What the numbers of files say of those that are missing, and their lengths of those that are short. */
export const piecesOf = (
  all: readonly { readonly file: FoundFile; readonly plan: PlannedFile | null }[],
): Pieces => {
  const groups = new Map<
    string,
    { plan: PlannedFile; name: (number: number) => string; of: Numbered[] }
  >();
  const tells = new Map<PlannedFile, FoundFile>();
  for (const { file, plan } of all) {
    if (!plan) continue;
    const last = tells.get(plan);
    if (!last || file.name > last.name) tells.set(plan, file);
    const { stem = '', number = '', ending = '' } = NUMBERED.exec(file.name)?.groups ?? {};
    if (number === '') continue;
    const key = `${plan.key}\n${stem}\n${ending}`;
    const group = groups.get(key) ?? {
      plan,
      name: (n) => `${stem}${String(n).padStart(number.length, '0')}${ending}`,
      of: [],
    };
    group.of.push({ file, number: Number(number) });
    groups.set(key, group);
  }
  const inPieces = [...groups.values()].filter(({ of }) => of.length > 1);
  const first = Math.min(1, ...inPieces.flatMap(({ of }) => of.map(({ number }) => number)));
  const missing: string[] = [];
  const short = new Map<FoundFile, number>();
  for (const { plan, name, of } of inPieces) {
    const inOrder = of.toSorted((a, b) => a.number - b.number);
    const there = new Set(inOrder.map(({ number }) => number));
    const begins = inPieces.some((group) => group.of.some(({ number }) => number === first))
      ? first
      : (inOrder[0]?.number ?? first);
    const lastNumber = inOrder.at(-1)?.number ?? first;
    // A name that counts otherwise, by the clock or by the frame, has no gaps: it has nothing but.
    const gaps = Array.from({ length: lastNumber - begins + 1 }, (_, at) => begins + at).filter(
      (number) => !there.has(number),
    );
    if (gaps.length <= of.length) missing.push(...gaps.map(name));
    const tooShort = shortOf(inOrder);
    for (const [file, byS] of tooShort) short.set(file, byS);
    if (tooShort.length > 0 || (gaps.length > 0 && gaps.length <= of.length)) tells.delete(plan);
  }
  return { missing, short, tells: new Set(tells.values()) };
};
