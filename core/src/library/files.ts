import Papa from 'papaparse';
import { z } from 'zod';
import { noTable } from '../rig/files/csv';
import { idSchema } from '../rig/ids';
import { modelSchema } from '../rig/devices/checked-model';
import { RIG_VERSION } from '../rig/rig';
import { type ModelProblem, readModel, typed } from './change';
import { type Draft, type Field, fieldsOf } from './fields';
import type { OwnModel } from './own';

/** The library as files: JSON with everything, CSV with one figure a line. */

const KIND = 'echo-loom-library';
/** Most models a file may bring. */
const MOST = 1000;
/** Most lines a table may bring: a model has about a hundred fields. */
const MOST_LINES = 200_000;
/** Most faults that are told; the rest follows once those are mended. */
const MOST_FAULTS = 1000;

const fileSchema = z.strictObject({
  kind: z.literal(KIND),
  version: z.literal(RIG_VERSION),
  models: z
    .array(z.strictObject({ id: idSchema, version: z.number().int().min(1), model: modelSchema }))
    .max(MOST),
});

export const libraryToJson = (models: readonly OwnModel[]): string =>
  `${JSON.stringify({ kind: KIND, version: RIG_VERSION, models }, null, 2)}\n`;

/** What is wrong with a file, and where. */
export interface FileFault {
  /** A path in JSON, a line in CSV */
  readonly at: string;
  readonly says: string;
}

export type ReadLibrary =
  | { readonly ok: true; readonly models: readonly OwnModel[] }
  | { readonly ok: false; readonly faults: readonly FileFault[] };

/** @returns every model of the file as it stands there, or what is wrong with it */
export const libraryFromJson = (text: string): ReadLibrary => {
  let document: unknown;
  try {
    document = JSON.parse(text);
  } catch (error) {
    return { ok: false, faults: [{ at: 'file', says: `is no JSON: ${String(error)}` }] };
  }
  const read = fileSchema.safeParse(document);
  return read.success
    ? { ok: true, models: (document as z.infer<typeof fileSchema>).models }
    : {
        ok: false,
        faults: read.error.issues
          .slice(0, 100)
          .map(({ path, message }) => ({ at: path.join('.') || 'file', says: message })),
      };
};

const leaves = (fields: readonly Field[]): Field[] =>
  fields.flatMap((field) =>
    field.is === 'group' || field.is === 'list' ? leaves(field.fields) : [field],
  );

const HEADINGS = ['model', 'path', 'field', 'value', 'unit', 'stated'] as const;

const valueText = (field: Field): string | null => {
  switch (field.is) {
    case 'number':
    case 'choice':
      return field.value === null ? 'not known' : String(field.value);
    case 'text':
      return field.value;
    default:
      return null;
  }
};

/** One figure or word a line, for a spreadsheet. What a formula would be is led by an apostrophe. */
export const libraryToCsv = (models: readonly OwnModel[]): string =>
  Papa.unparse(
    [
      HEADINGS,
      ...models.flatMap(({ id, model }) =>
        leaves(fieldsOf(model)).flatMap((field) => {
          const value = valueText(field);
          return value === null
            ? []
            : [
                [
                  id,
                  field.path.join('.'),
                  field.words.label,
                  value,
                  field.words.unit ?? '',
                  field.is === 'number' && field.isStated ? 'yes' : '',
                ],
              ];
        }),
      ),
    ],
    { escapeFormulae: /^[=@\t\r]|^[+-](?![\d.])/ },
  );

/** What a CSV file comes to: the models it changes, and the lines that were not understood. */
export interface ReadCsv {
  readonly models: readonly OwnModel[];
  readonly faults: readonly FileFault[];
}

const typedText = (field: Field, text: string): { value: unknown } | { says: string } => {
  if (text === 'not known') {
    const may =
      field.is === 'number'
        ? field.mayBeUnknown
        : field.is === 'choice' && field.options.some(({ value }) => value === null);
    return may ? { value: null } : { says: 'it must be known' };
  }
  switch (field.is) {
    case 'number': {
      const value = Number(text.trim() === '' ? NaN : text.replace('−', '-'));
      return Number.isFinite(value) ? { value } : { says: `“${text}” is no number` };
    }
    case 'choice': {
      const found = field.options.find(({ value }) => String(value) === text);
      return found
        ? { value: found.value }
        : {
            says: `“${text}” is none of ${field.options.map(({ value }) => String(value)).join(', ')}`,
          };
    }
    case 'text':
      return { value: text };
    default:
      return { says: 'nothing can be typed there' };
  }
};

/** A model while a file is read: its fields by their paths, found once for as long as it stays as it is. */
interface Drafted {
  readonly draft: Draft;
  readonly fields: ReadonlyMap<string, Field>;
  readonly isChanged: boolean;
}

const drafted = (draft: Draft, isChanged: boolean): Drafted => ({
  draft,
  fields: new Map(leaves(fieldsOf(draft)).map((field) => [field.path.join('.'), field])),
  isChanged,
});

const said = ([first]: readonly ModelProblem[]): string =>
  first ? `${first.field}: ${first.says}` : 'it is no model';

/** The first of many faults, and how many more there are. */
const told = (faults: readonly FileFault[]): readonly FileFault[] => {
  const next = faults[MOST_FAULTS];
  if (!next) return faults;
  const more = faults.length - MOST_FAULTS;
  return [
    ...faults.slice(0, MOST_FAULTS),
    { at: next.at, says: `${more} more lines cannot be taken, from this one on` },
  ];
};

/**
 * Takes figures from a spreadsheet over into models that are there.
 * @param library the models that are there
 * @returns each model that changes, and every line that cannot be taken, by its number; those are left out
 */
export const libraryFromCsv = (text: string, library: readonly OwnModel[]): ReadCsv => {
  const cannot = noTable(text, MOST_LINES);
  if (cannot) return { models: [], faults: [cannot] };
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false });
  const faults: FileFault[] = [];
  const drafts = new Map<string, Drafted>();
  const [headings = []] = data;
  const columns = (['model', 'path', 'value'] as const).map((name) =>
    headings.findIndex((heading) => heading.trim().toLowerCase() === name),
  );
  if (columns.some((column) => column < 0))
    return {
      models: [],
      faults: [{ at: 'line 1', says: 'expected the columns model, path and value' }],
    };
  data.slice(1).forEach((row, index) => {
    if (row.every((cell) => cell.trim() === '')) return;
    const at = `line ${index + 2}`;
    const [id = '', path = '', value = ''] = columns.map(
      (column) => row[column]?.replace(/^'/, '') ?? '',
    );
    const own = library.find((one) => one.id === id.trim());
    if (!own) {
      faults.push({ at, says: `there is no model “${id}” in the library` });
      return;
    }
    const known = drafts.get(own.id) ?? drafted({ ...own.model }, false);
    drafts.set(own.id, known);
    const field = known.fields.get(path.trim());
    if (!field) {
      faults.push({ at, says: `${own.model.name} has no field “${path}”` });
      return;
    }
    const read = typedText(field, value);
    if ('says' in read) {
      faults.push({ at, says: `${field.words.label}: ${read.says}` });
      return;
    }
    if (valueText(field) === valueText({ ...field, value: read.value } as Field)) return;
    const next = typed(known.draft, field.path, read.value);
    const judged = readModel(next);
    if (judged.ok) drafts.set(own.id, drafted(next, true));
    else faults.push({ at, says: said(judged.problems) });
  });
  const models = library.flatMap((own) => {
    const known = drafts.get(own.id);
    const read = known?.isChanged ? readModel(known.draft) : null;
    return read?.ok ? [{ ...own, model: read.model }] : [];
  });
  return { models, faults: told(faults) };
};
