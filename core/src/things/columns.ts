import { CABLE_IDS, CABLES } from '../rig/links/cables';
import { CONDITIONS, HAD_AS, THING_KINDS, type ThingField } from './schema';

/** The fields of a thing as a table, a form and a file name them: one list for all three. */

export interface ThingColumn {
  readonly field: ThingField;
  /** As a column is headed and a field is labelled */
  readonly heading: string;
  readonly is: 'text' | 'number' | 'date' | 'choice';
  readonly unit?: string;
  readonly options?: readonly { readonly value: string; readonly label: string }[];
}

const named = (values: readonly string[]) => values.map((value) => ({ value, label: value }));

export const THING_COLUMNS: readonly ThingColumn[] = [
  { field: 'name', heading: 'Name', is: 'text' },
  { field: 'is', heading: 'Kind', is: 'choice', options: named(THING_KINDS) },
  { field: 'modelRef', heading: 'Model', is: 'text' },
  { field: 'count', heading: 'Count', is: 'number' },
  { field: 'had', heading: 'Had', is: 'choice', options: named(HAD_AS) },
  { field: 'from', heading: 'From', is: 'text' },
  { field: 'backOn', heading: 'Back on', is: 'date' },
  { field: 'serial', heading: 'Serial number', is: 'text' },
  { field: 'boughtOn', heading: 'Bought on', is: 'date' },
  { field: 'paid', heading: 'Paid', is: 'number' },
  { field: 'condition', heading: 'Condition', is: 'choice', options: named(CONDITIONS) },
  { field: 'keptAt', heading: 'Kept at', is: 'text' },
  { field: 'boxAt', heading: 'Box at', is: 'text' },
  {
    field: 'cableKind',
    heading: 'Cable',
    is: 'choice',
    options: CABLE_IDS.map((value) => ({ value, label: CABLES[value].name })),
  },
  { field: 'lengthM', heading: 'Length', is: 'number', unit: 'm' },
  { field: 'shortestMm', heading: 'Shortest focal length', is: 'number', unit: 'mm' },
  { field: 'longestMm', heading: 'Longest focal length', is: 'number', unit: 'mm' },
  { field: 'widest', heading: 'Widest aperture', is: 'number', unit: 'f/' },
  { field: 'massKg', heading: 'Mass', is: 'number', unit: 'kg' },
  { field: 'nearestM', heading: 'Nearest focus', is: 'number', unit: 'm' },
  { field: 'mount', heading: 'Mount', is: 'text' },
  { field: 'holds', heading: 'Holds', is: 'number', unit: 'GB or Wh' },
  { field: 'notes', heading: 'Notes', is: 'text' },
];

/** As a column of a file is headed: with its unit. */
export const headingOf = ({ heading, unit }: ThingColumn): string =>
  unit === undefined ? heading : `${heading} (${unit})`;
