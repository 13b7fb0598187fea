import { z } from 'zod';

/**
 * A backup is one gzip file of JSON lines: a header, every row of every table with its columns as PostgreSQL writes
 * them as text, and an end with a digest of all before it. Documents are text in it, so they come back to the byte.
 */

export const FORMAT = 'echo-loom backup';
export const FORMAT_VERSION = 1;

/** Longest line read: the largest document and its quotes. @unit characters */
export const MAX_LINE = 64 * 1024 * 1024;
/** Most read of one backup once it is unpacked. @unit bytes */
export const MAX_UNPACKED_BYTES = 8 * 1024 ** 3;

const nameSchema = z.string().regex(/^[a-z_]{1,60}$/);

export const headerSchema = z.strictObject({
  format: z.literal(FORMAT),
  version: z.number().int(),
  /** ISO 8601 */
  made: z.string().max(40),
  /** Digests of the migrations that made the tables, oldest first */
  migrations: z.array(z.string().max(100)).min(1).max(1000),
  tables: z
    .array(z.strictObject({ name: nameSchema, columns: z.array(nameSchema).min(1).max(100) }))
    .max(100),
});
export type Header = z.infer<typeof headerSchema>;

/** A row: its table's place in the header, and a text or null for each column. */
export const rowSchema = z.tuple([z.number().int().min(0), z.array(z.string().nullable())]);
export type Row = z.infer<typeof rowSchema>;

export const endSchema = z.strictObject({
  end: z.number().int().min(0),
  sha256: z.string().length(64),
});

/** A file that is no backup, or not one that can be restored here: in words. */
export class BackupProblem extends Error {
  override readonly name = 'BackupProblem';
}

/** The code of an error of the system, of zlib or of PostgreSQL; empty where it has none. */
export const codeOf = (error: unknown): string =>
  typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';
