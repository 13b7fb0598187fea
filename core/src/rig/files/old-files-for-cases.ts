import { readFileSync } from 'node:fs';
import path from 'node:path';
import { brotliDecompressSync } from 'node:zlib';

/**
 * Files and logs as earlier versions of the program left them, by name, in one archive: they differ so little that all
 * of them take less room than one. `npm run old-files` adds to it.
 */
export const OLD_FILES = 'core/src/rig/files/old-files.json.br';

let known: Readonly<Record<string, string>> | null = null;

const all = (): Readonly<Record<string, string>> => {
  if (known) return known;
  const text = brotliDecompressSync(readFileSync(path.resolve(OLD_FILES))).toString('utf8');
  known = JSON.parse(text) as Readonly<Record<string, string>>;
  return known;
};

/** The text of one, to the letter. @param name `night-tide.version-7.rig.json` @throws where there is none */
export const oldText = (name: string): string => {
  const text = all()[name];
  if (text === undefined) throw new Error(`${OLD_FILES} holds no ${name}`);
  return text;
};

/** The names of all of them, in their order. */
export const oldNames = (): string[] => Object.keys(all());
