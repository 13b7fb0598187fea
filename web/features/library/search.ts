import { type Kind, type Model, type OwnModel, searchWords } from '@echo-loom/core';

/** Catalogue and library as one list, searched and narrowed together. */

export interface Entry {
  readonly key: string;
  readonly model: Model;
  /** null for a class of the catalogue */
  readonly own: OwnModel | null;
  /** Whether the studio has one, as its list of things says */
  readonly isThere: boolean;
}

export interface Narrowed {
  readonly query: string;
  readonly kind: string | null;
  readonly connector: string | null;
  readonly whose: string | null;
  readonly mostPrice: number | null;
}

export const ALL: Narrowed = {
  query: '',
  kind: null,
  connector: null,
  whose: null,
  mostPrice: null,
};

export const connectorsOf = (model: Model): string[] => [
  ...new Set(Object.values(model.ports).map(({ connector }) => connector)),
];

const fitsQuery = ({ model }: Entry, query: string): boolean => {
  const text = `${model.name} ${model.about} ${searchWords(model)}`.toLowerCase();
  return query
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
};

const fitsWhose = ({ own, isThere }: Entry, whose: string | null): boolean =>
  whose === null || (whose === 'there' ? isThere : (whose === 'ours') === (own !== null));

/** What fits every condition, the studio's own first. */
export const narrowed = (entries: readonly Entry[], by: Narrowed): Entry[] =>
  entries.filter(
    (entry) =>
      fitsQuery(entry, by.query) &&
      (by.kind === null || entry.model.kind === by.kind) &&
      (by.connector === null || connectorsOf(entry.model).includes(by.connector)) &&
      fitsWhose(entry, by.whose) &&
      (by.mostPrice === null ||
        (entry.model.typicalPrice !== null && entry.model.typicalPrice <= by.mostPrice)),
  );

/** What there is to choose from, in the order of its name. */
export const kindsOf = (entries: readonly Entry[]): Kind[] =>
  [...new Set(entries.map(({ model }) => model.kind))].sort();
