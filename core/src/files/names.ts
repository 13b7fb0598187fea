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

/** A unit of UTF-16 takes no more as UTF-8. */
const MOST_BYTES_A_UNIT = 3;

/** As UTF-8, by its code points. */
const bytesOf = (text: string): number =>
  [...text].reduce((sum, character) => {
    const point = character.codePointAt(0) ?? 0;
    return sum + (point < 0x80 ? 1 : point < 0x800 ? 2 : point < 0x10000 ? 3 : 4);
  }, 0);

/** What may have to be changed: most names have nothing of it, and thousands are asked for. */
const WILD = /[^\w.,;!#$%&'()+=@[\]^`{}~ -]| {2}/;

/** What every file system takes of a text, the rest as a hyphen. */
const tame = (text: string): string =>
  WILD.test(text) ? text.normalize('NFC').replace(REFUSED, '-').replace(/\s+/gu, ' ') : text;

/** The beginning of a name in so many bytes, no character cut, none that belongs to the one before left out. */
const shortened = (name: string, mostBytes: number): string => {
  if (MOST_BYTES_A_UNIT * name.length <= mostBytes || bytesOf(name) <= mostBytes) return name;
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

/** Ends of spaces and full stops are dropped by some; a full stop before hides a file on others. */
const trimmed = (text: string): string =>
  /^[\s.]|[\s.]$/u.test(text) ? text.replace(/^[\s.]+|[\s.]+$/gu, '') : text;

/** A text between fields, or a field to be filled in. */
type TemplatePart = { readonly text: string } | { readonly field: NameField };

const partsOf = (template: string): TemplatePart[] =>
  // With one group in the pattern, every second part is what stood in braces.
  template
    .split(FIELD)
    .flatMap((part, index): TemplatePart[] =>
      index % 2 === 0 ? [{ text: part }] : isField(part) ? [{ field: part }] : [],
    );

/**
 * A template read once, for the names of many files.
 * @returns what names a file without its ending, which the recorder adds: names that ext4, APFS, NTFS, exFAT, FAT32
 * with long names and UDF all take; never empty
 */
export const nameTemplate = (template: string): ((values: NameValues) => string) => {
  const parts = partsOf(template);
  // One show, one day and a few people stand in every name.
  const tamed = new Map<string, string>();
  const tameOnce = (text: string): string => {
    const known = tamed.get(text);
    if (known !== undefined) return known;
    const made = tame(text).trim();
    tamed.set(text, made);
    return made;
  };
  return (values) => {
    let filled = '';
    for (const part of parts) filled += 'text' in part ? part.text : tameOnce(values[part.field]);
    const name = trimmed(
      shortened(trimmed(tame(filled).replace(/[{}]/g, '-')), MOST_BYTES - LEFT_FOR_ENDING),
    );
    if (name === '') return 'file';
    return RESERVED.test(name) ? `${name.replace(RESERVED, '$1-')}` : name;
  };
};

/** The name of one file, as `nameTemplate` makes it. */
export const renderName = (template: string, values: NameValues): string =>
  nameTemplate(template)(values);

/** What two names are compared by: some file systems take capitals for small letters, and both ways of writing é. */
export const nameKey = (name: string): string =>
  // Of plain letters both are the same.
  /^[\x20-\x7e]*$/.test(name)
    ? name.toLowerCase()
    : name.normalize('NFKD').toUpperCase().toLowerCase().normalize('NFKD');

/** Names that would be one file where they lie together, each with everything that has it. */
export const collisions = <Item>(
  items: readonly Item[],
  nameOf: (item: Item) => string,
): readonly (readonly Item[])[] => {
  const byKey = new Map<string, Item[]>();
  for (const item of items) {
    const key = nameKey(nameOf(item));
    const known = byKey.get(key);
    if (known) known.push(item);
    else byKey.set(key, [item]);
  }
  return [...byKey.values()].filter((same) => same.length > 1);
};
