import { GLOSSARY, type Word } from './glossary';

/** What a term or one of its other forms means. @returns undefined where it is not explained */
const byForm: ReadonlyMap<string, Word> = new Map(
  GLOSSARY.filter(({ isListedOnly }) => !isListedOnly).flatMap((word) =>
    [word.term, ...(word.forms ?? [])].map((form) => [form.toLowerCase(), word] as const),
  ),
);

/** The longest form first, so that a word within another is not taken for itself. */
const FORMS = [...byForm.keys()].sort((a, b) => b.length - a.length);
const escaped = (form: string): string => form.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const PATTERN = new RegExp(
  `(?<![\\p{L}\\p{N}-])(${FORMS.map(escaped).join('|')})(?![\\p{L}\\p{N}-])`,
  'giu',
);

/** A piece of a sentence: plain, or a word that can be explained. */
export interface Piece {
  readonly text: string;
  readonly word?: Word;
}

/** A sentence in pieces; each word is explained where it first stands, once. */
export const piecesOf = (text: string): readonly Piece[] => {
  const seen = new Set<Word>();
  const pieces: Piece[] = [];
  let from = 0;
  for (const match of text.matchAll(PATTERN)) {
    const word = byForm.get(match[0].toLowerCase());
    if (!word || seen.has(word)) continue;
    seen.add(word);
    if (match.index > from) pieces.push({ text: text.slice(from, match.index) });
    pieces.push({ text: match[0], word });
    from = match.index + match[0].length;
  }
  if (from < text.length) pieces.push({ text: text.slice(from) });
  return pieces;
};
