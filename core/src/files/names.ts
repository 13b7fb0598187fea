/** Names of files by a template: such as every common file system takes, and none twice. */

export const NAME_FIELDS = {
  show: 'Name of the show',
  date: 'Day, 2026-12-03',
  episode: 'Number of the episode',
  take: 'Number of the take',
  source: 'What is recorded: the camera or voice',
  person: 'Whose it is',
  track: 'Number of the file on its drive',
  drive: 'The drive or card it is on',
} as const;
export type NameField = keyof typeof NAME_FIELDS;
export type NameValues = Readonly<Record<NameField, string>>;

/** Some file systems count bytes and some units of UTF-16; a recorder adds its ending. @unit bytes */
const MOST_BYTES = 254;
const LEFT_FOR_ENDING = 17;

/** Refused by FAT, exFAT and NTFS, or a path on any of them. */
const REFUSED = /[<>:"/\\|?*\p{Cc}\p{Cs}\p{Cn}\p{Zl}\p{Zp}]/gu;
/** Names of devices of old, refused with and without an ending. */
const RESERVED = /^(con|prn|aux|nul|conin\$|conout\$|com[0-9¹²³]|lpt[0-9¹²³])(?=$|[ .])/i;

/** As UTF-8, by its code points. */
const bytesOf = (text: string): number =>
  [...text].reduce((sum, character) => {
    const point = character.codePointAt(0) ?? 0;
    return sum + (point < 0x80 ? 1 : point < 0x800 ? 2 : point < 0x10000 ? 3 : 4);
  }, 0);

/** What every file system takes of a text, the rest as a hyphen. */
const tame = (text: string): string =>
  text.normalize('NFC').replace(REFUSED, '-').replace(/\s+/gu, ' ');

/** The beginning of a name in so many bytes, no character cut, none that belongs to the one before left out. */
const shortened = (name: string, mostBytes: number): string => {
  if (bytesOf(name) <= mostBytes) return name;
  const parts = new Intl.Segmenter('en', { granularity: 'grapheme' }).segment(name);
  let text = '';
  for (const { segment } of parts) {
    if (bytesOf(text + segment) > mostBytes) break;
    text += segment;
  }
  return text;
};

const FIELD = /\{([^{}]*)\}/g;

const isField = (name: string): name is NameField => Object.hasOwn(NAME_FIELDS, name);

/** What is wrong with a template; none where it can be used. */
export const templateProblems = (template: string): string[] => {
  const fields = [...template.matchAll(FIELD)].map(([, name = '']) => name);
  const rest = template.replace(FIELD, '');
  return [
    ...fields
      .filter((name) => !isField(name))
      .map(
        (name) =>
          `{${name}} is no field; there are ${Object.keys(NAME_FIELDS)
            .map((field) => `{${field}}`)
            .join(', ')}.`,
      ),
    ...(/[{}]/.test(rest) ? ['A brace is open: fields stand in braces, such as {show}.'] : []),
    ...(fields.some((name) => name === 'source' || name === 'track')
      ? []
      : ['Neither {source} nor {track} is in it: every file of a drive would have one name.']),
  ];
};

/**
 * The name of a file without its ending, which the recorder adds.
 * @returns a name that ext4, APFS, NTFS, exFAT, FAT32 with long names and UDF all take; never empty
 */
export const renderName = (template: string, values: NameValues): string => {
  const filled = template.replace(FIELD, (_, field: string) =>
    isField(field) ? tame(values[field]).trim() : '',
  );
  const trimmed = (text: string): string =>
    // Ends of spaces and full stops are dropped by some; a full stop before hides a file on others.
    text.replace(/^[\s.]+|[\s.]+$/gu, '');
  const name = trimmed(
    shortened(trimmed(tame(filled).replace(/[{}]/g, '-')), MOST_BYTES - LEFT_FOR_ENDING),
  );
  if (name === '') return 'file';
  return RESERVED.test(name) ? `${name.replace(RESERVED, '$1-')}` : name;
};

/** What two names are compared by: some file systems take capitals for small letters, and both ways of writing é. */
export const nameKey = (name: string): string =>
  name.normalize('NFKD').toUpperCase().toLowerCase().normalize('NFKD');

/** Names that would be one file where they lie together, each with everything that has it. */
export const collisions = <Item>(
  items: readonly Item[],
  nameOf: (item: Item) => string,
): readonly (readonly Item[])[] => {
  const byKey = new Map<string, Item[]>();
  for (const item of items) {
    const key = nameKey(nameOf(item));
    byKey.set(key, [...(byKey.get(key) ?? []), item]);
  }
  return [...byKey.values()].filter((same) => same.length > 1);
};
