/** One number that goes into a sum. */
export interface SumInput {
  readonly name: string;
  readonly value: number | string;
  readonly unit: string;
}

/**
 * The arithmetic behind a figure: what it is, the relation, the numbers in it, the result and where
 * the relation comes from.
 */
export interface Sum {
  readonly label: string;
  readonly formula: string;
  readonly inputs: readonly SumInput[];
  /** null where a figure is missing; `note` says which */
  readonly result: number | null;
  readonly unit: string;
  readonly source: string;
  readonly note?: string;
}

/** A number as it is read: fixed digits, a proper minus sign, no negative zero. */
export const figure = (value: number, digits = 1): string => {
  const text = value.toFixed(digits);
  return (Number(text) === 0 ? text.replace('-', '') : text).replace('-', '−');
};
