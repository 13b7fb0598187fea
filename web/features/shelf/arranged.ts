import type { ReadableItem, ShelfItem } from './items';

/** Orders of the shelf, and what each is called. */
export const ORDERS = [
  { value: 'latest', label: 'Latest first' },
  { value: 'name', label: 'By name' },
  { value: 'worst', label: 'Worst first' },
] as const;
export type Order = (typeof ORDERS)[number]['value'];

export const isOrder = (text: string): text is Order => ORDERS.some(({ value }) => value === text);

const byName = new Intl.Collator('en', { sensitivity: 'base', numeric: true });

/** Every tag on the shelf, in order. */
export const tagsOf = (items: readonly ShelfItem[]): readonly string[] =>
  [...new Set(items.flatMap((item) => (item.is === 'readable' ? item.tags : [])))].sort(
    byName.compare,
  );

const CLEAN = { stops: 0, warns: 0, notes: 0 };

const worse = ({ verdict: a }: ReadableItem, { verdict: b }: ReadableItem): number => {
  const [one, two] = [a ?? CLEAN, b ?? CLEAN];
  return two.stops - one.stops || two.warns - one.warns || two.notes - one.notes;
};

/**
 * The rigs whose name or tags hold every word of a query, in an order. What cannot be read has no name: it stands first
 * as long as nothing is looked for.
 * @param items latest first, as the server gives them
 */
export const arranged = (
  items: readonly ShelfItem[],
  query: string,
  order: Order,
): readonly ShelfItem[] => {
  const words = query.toLowerCase().split(/\s+/).filter(Boolean);
  const readable = items.filter(
    (item): item is ReadableItem =>
      item.is === 'readable' &&
      words.every((word) => [item.name, ...item.tags].join(' ').toLowerCase().includes(word)),
  );
  const unreadable = words.length > 0 ? [] : items.filter(({ is }) => is === 'unreadable');
  if (order === 'latest') return words.length > 0 ? readable : items;
  return [
    ...unreadable,
    ...readable.sort(
      (a, b) => (order === 'worst' ? worse(a, b) : 0) || byName.compare(a.name, b.name),
    ),
  ];
};
