/** Letters that fit a line of a box. */
const LINE_LETTERS = 15;

/** A name on at most two lines. */
export const linesOf = (name: string): string[] => {
  if (name.length <= LINE_LETTERS) return [name];
  const words = name.split(' ');
  let first = words.shift() ?? '';
  while (words[0] !== undefined && `${first} ${words[0]}`.length <= LINE_LETTERS)
    first = `${first} ${words.shift() ?? ''}`;
  const rest = words.join(' ');
  const cut = (text: string) =>
    text.length > LINE_LETTERS ? `${text.slice(0, LINE_LETTERS - 1)}…` : text;
  return rest === '' ? [cut(first)] : [cut(first), cut(rest)];
};

/** Along a bar a letter takes so much. @unit px */
const LETTER = 6.6;
/** So often a long bar says its name, so that every sheet says it. @unit px */
const EVERY = 480;

/** Where along a bar its name stands, cut where it is longer than the bar. */
export const barNames = (
  { y, height }: { readonly y: number; readonly height: number },
  name: string,
): { readonly at: number; readonly text: string }[] => {
  const letters = Math.max(1, Math.floor((height - 8) / LETTER));
  const text = name.length > letters ? `${name.slice(0, Math.max(1, letters - 1))}…` : name;
  const times = Math.max(1, Math.round(height / EVERY));
  return Array.from({ length: times }, (_, index) => ({
    at: y + (height * (index + 0.5)) / times,
    text,
  }));
};
