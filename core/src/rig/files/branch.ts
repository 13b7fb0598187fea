/** A part of a document of which nothing is known yet. */
export type Branch = Record<string, unknown>;
export const isBranch = (value: unknown): value is Branch =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
