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
