import { parseTree, printParseErrorCode, type Node, type ParseError } from 'jsonc-parser';
import type { z } from 'zod';
import { inconsistencies } from './consistency';
import { rigSchema, type Rig } from './rig';
import { upgrade } from './upgrade';

/** Largest file read. @unit bytes */
export const MAX_FILE_BYTES = 10 * 1024 * 1024;
/** Deepest nesting read; a rig needs 11. */
const MAX_DEPTH = 40;
const MAX_PROBLEMS = 100;

/** One thing wrong with a file: where (a path from its root, or `file` where there is no path yet) and what. */
export interface ImportProblem {
  readonly path: string;
  readonly says: string;
}
export type Imported = { readonly ok: true; readonly rig: Rig } | { readonly ok: false; readonly problems: readonly ImportProblem[] };

const refused = (...problems: ImportProblem[]): Imported => ({ ok: false, problems: problems.slice(0, MAX_PROBLEMS) });
const file = (says: string): ImportProblem => ({ path: 'file', says });

/** `devices.mic-2.ports[0]`: as a person would write the way to a value. */
const pathText = (path: readonly PropertyKey[]): string =>
  path.reduce<string>((text, key) => (typeof key === 'number' ? `${text}[${key}]` : text ? `${text}.${String(key)}` : String(key)), '') || 'the document';

const decode = (bytes: Uint8Array): { text: string } | { problem: ImportProblem } => {
  if (bytes.length > MAX_FILE_BYTES) return { problem: file(`expected at most ${MAX_FILE_BYTES / 1024 / 1024} MB, found ${(bytes.length / 1024 / 1024).toFixed(1)} MB`) };
  if ((bytes[0] === 0xff && bytes[1] === 0xfe) || (bytes[0] === 0xfe && bytes[1] === 0xff)) return { problem: file('expected UTF-8 text; this is UTF-16') };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes) };
  } catch {
    return { problem: file('expected UTF-8 text; some bytes are not') };
  }
};

/** Nesting depth outside strings, found without recursion so that a hostile file cannot exhaust the stack. */
const tooDeepAt = (text: string): number | null => {
  let depth = 0;
  let inString = false;
  for (let index = 0; index < text.length; index++) {
    const char = text[index];
    if (inString) {
      if (char === '\\') index++;
      else if (char === '"') inString = false;
    } else if (char === '"') inString = true;
    else if (char === '{' || char === '[') {
      if (++depth > MAX_DEPTH) return index;
    } else if (char === '}' || char === ']') depth--;
  }
  return null;
};

const lineOf = (text: string, offset: number): string => {
  const before = text.slice(0, offset).split('\n');
  return `line ${before.length}, column ${(before.at(-1)?.length ?? 0) + 1}`;
};

const PROTOTYPE_KEYS = new Set(['__proto__', 'constructor', 'prototype']);

/** Keys JSON allows and we do not: the same key twice (one would silently win), and keys that reach an object's prototype. */
const badKeys = (root: Node): ImportProblem[] => {
  const problems: ImportProblem[] = [];
  const visit = (node: Node, path: readonly PropertyKey[]): void => {
    if (node.type === 'array') node.children?.forEach((child, index) => visit(child, [...path, index]));
    if (node.type !== 'object') return;
    const seen = new Set<string>();
    for (const property of node.children ?? []) {
      const [key, value] = property.children ?? [];
      const name = String(key?.value);
      if (seen.has(name)) problems.push({ path: pathText([...path, name]), says: 'this key or id stands here twice' });
      seen.add(name);
      if (PROTOTYPE_KEYS.has(name)) problems.push({ path: pathText([...path, name]), says: 'this key is not allowed' });
      else if (value) visit(value, [...path, name]);
    }
  };
  visit(root, []);
  return problems;
};

const issueProblems = (issues: readonly z.core.$ZodIssue[]): ImportProblem[] =>
  issues.flatMap((issue) => {
    if (issue.code === 'unrecognized_keys')
      return issue.keys.map((key) => ({ path: pathText([...issue.path, key]), says: 'there is no such field' }));
    if (issue.code === 'invalid_key' || issue.code === 'invalid_element')
      return issue.issues.map((inner) => ({ path: pathText([...issue.path, ...inner.path]), says: inner.message }));
    return [{ path: pathText(issue.path), says: issue.message }];
  });

/**
 * Reads a document that has been parsed from JSON already (a database row, an action's argument).
 * @returns the rig in the present version, or every problem with its path
 */
export const readRig = (document: unknown): Imported => {
  const upgraded = upgrade(document);
  if ('why' in upgraded) return refused({ path: 'version', says: upgraded.why });
  const parsed = rigSchema.safeParse(upgraded.document);
  if (!parsed.success) return refused(...issueProblems(parsed.error.issues));
  const problems = inconsistencies(parsed.data);
  if (problems.length) return refused(...problems.map(({ path, says }) => ({ path: path.join('.'), says })));
  return { ok: true, rig: parsed.data };
};

/**
 * Reads a rig from the bytes of a file. Never throws; what cannot be read is refused with every problem and its place.
 */
export const importRig = (bytes: Uint8Array): Imported => {
  const decoded = decode(bytes);
  if ('problem' in decoded) return refused(decoded.problem);
  const { text } = decoded;
  if (text.trim() === '') return refused(file('expected a rig; this file is empty'));
  const deep = tooDeepAt(text);
  if (deep !== null) return refused(file(`${lineOf(text, deep)}: nested deeper than ${MAX_DEPTH} levels`));
  const errors: ParseError[] = [];
  const root = parseTree(text, errors, { disallowComments: true, allowTrailingComma: false, allowEmptyContent: false });
  if (errors.length || !root)
    return refused(
      ...(errors.length ? errors : [{ error: 1, offset: 0, length: 0 }]).map((error) =>
        file(`${lineOf(text, error.offset)}: this is not JSON (${printParseErrorCode(error.error) || 'unexpected end'})`),
      ),
    );
  const keys = badKeys(root);
  if (keys.length) return refused(...keys);
  let document: unknown;
  try {
    document = JSON.parse(text);
  } catch (error) {
    return refused(file(`this is not JSON (${error instanceof Error ? error.message : 'unknown'})`));
  }
  return readRig(document);
};
