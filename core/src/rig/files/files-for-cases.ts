import { readFileSync } from 'node:fs';
import path from 'node:path';
import { type Imported, importRig } from './import';
import { oldText } from './old-files-for-cases';

export const file = (name: string): string =>
  readFileSync(path.resolve('demo', `${name}.rig.json`), 'utf8');

export const nightTide = file('night-tide');

/** Files as version 2 of the document wrote them. */
export const oldFile = (name: string, version = 2): string =>
  oldText(`${name}.version-${version}.rig.json`);

export const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);

export const read = (text: string): Imported => importRig(bytes(text));

export const problems = (imported: Imported): string[] =>
  imported.ok ? [] : imported.problems.map(({ path: at, says }) => `${at}: ${says}`);

/** Every path in a document with the value there. */
export const pathsOf = (value: unknown, at: (string | number)[] = []): (string | number)[][] =>
  typeof value !== 'object' || value === null
    ? [at]
    : [
        at,
        ...Object.entries(value).flatMap(([key, item]) =>
          pathsOf(item, [...at, Array.isArray(value) ? Number(key) : key]),
        ),
      ];

export const edit = (
  document: unknown,
  at: readonly (string | number)[],
  change: (parent: Record<string, unknown>, key: string) => void,
): void => {
  let parent = document as Record<string, unknown>;
  for (const key of at.slice(0, -1)) parent = parent[String(key)] as Record<string, unknown>;
  change(parent, String(at.at(-1)));
};
