import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { StringDecoder } from 'node:string_decoder';
import { createGunzip } from 'node:zlib';
import type { z } from 'zod';
import {
  BackupProblem,
  codeOf,
  endSchema,
  FORMAT_VERSION,
  headerSchema,
  MAX_LINE,
  MAX_UNPACKED_BYTES,
  rowSchema,
  type Header,
  type Row,
} from './format';

/** The lines of a gzip file, none longer than allowed. @throws BackupProblem */
async function* unpackedLines(path: string): AsyncGenerator<string> {
  const unpacked = createReadStream(path).pipe(createGunzip());
  const decoder = new StringDecoder('utf8');
  let total = 0;
  let parts: string[] = [];
  let length = 0;
  for await (const chunk of unpacked as AsyncIterable<Buffer>) {
    total += chunk.length;
    if (total > MAX_UNPACKED_BYTES)
      throw new BackupProblem('It unpacks to more than a backup can hold.');
    const [begin = '', ...rest] = decoder.write(chunk).split('\n');
    parts.push(begin);
    length += begin.length;
    if (length > MAX_LINE) throw new BackupProblem('A line of it is longer than any row can be.');
    for (const next of rest) {
      yield parts.join('');
      parts = [next];
      length = next.length;
    }
  }
  if (length > 0) throw new BackupProblem('It ends in the middle of a line.');
}

const parseLine = <T>(schema: z.ZodType<T>, line: string, number: number): T => {
  let value: unknown;
  try {
    value = JSON.parse(line);
  } catch {
    throw new BackupProblem(`Line ${number} is not JSON.`);
  }
  const read = schema.safeParse(value);
  if (!read.success)
    throw new BackupProblem(`Line ${number} is not what stands there in a backup.`);
  return read.data;
};

const checkHeader = (header: Header): Header => {
  if (header.version > FORMAT_VERSION) {
    throw new BackupProblem(
      'It was written by a newer version of Echo Loom; this one is older and cannot read it.',
    );
  }
  return header;
};

const checkRow = ({ tables }: Header, row: Row, number: number): Row => {
  const table = tables[row[0]];
  if (!table || table.columns.length !== row[1].length)
    throw new BackupProblem(`Line ${number} belongs to no table.`);
  return row;
};

/** A piece of a backup as it is read: the header first, then rows. */
export type Piece = { readonly header: Header } | { readonly row: Row };

/** Everything of a backup, checked to its end. @throws BackupProblem */
export async function* readBackup(path: string): AsyncGenerator<Piece> {
  const digest = createHash('sha256');
  let header: Header | null = null;
  let number = 0;
  let rows = 0;
  let isEnded = false;
  try {
    for await (const line of unpackedLines(path)) {
      number++;
      if (isEnded) throw new BackupProblem('Something follows its end.');
      if (header === null) {
        header = checkHeader(parseLine(headerSchema, line, number));
        yield { header };
      } else if (line.startsWith('[')) {
        rows++;
        yield { row: checkRow(header, parseLine(rowSchema, line, number), number) };
      } else {
        const end = parseLine(endSchema, line, number);
        if (end.end !== rows || end.sha256 !== digest.digest('hex')) {
          throw new BackupProblem('It has been changed or damaged since it was written.');
        }
        isEnded = true;
        continue;
      }
      digest.update(`${line}\n`);
    }
  } catch (error) {
    if (error instanceof BackupProblem) throw error;
    // Z_DATA_ERROR, Z_BUF_ERROR: not gzip, or cut off.
    if (codeOf(error).startsWith('Z_'))
      throw new BackupProblem('It is not a backup of Echo Loom, or it is cut off.');
    throw error;
  }
  if (!isEnded)
    throw new BackupProblem(
      header === null ? 'It is empty.' : 'It is cut off: its end is missing.',
    );
}
