import { type ParseErrorCode, printParseErrorCode, visit } from 'jsonc-parser';
import {
  checkRig,
  type Imported,
  type ImportProblem,
  MAX_PROBLEMS,
  pathText,
  refused,
} from './check';
import { scanJson, type ScanProblem } from './scan';
import { upgrade } from './upgrade';

export type { Imported, ImportProblem };

/** Largest file read: more than the largest rig takes as JSON. @unit bytes */
export const MAX_FILE_BYTES = 40 * 1024 * 1024;

const MIB = 1024 * 1024;
const file = (says: string): ImportProblem => ({ path: 'file', says });

const isUtf16 = ([first, second]: Uint8Array): boolean =>
  (first === 0xff && second === 0xfe) || (first === 0xfe && second === 0xff);

const decode = (bytes: Uint8Array): { text: string } | { problem: ImportProblem } => {
  if (bytes.length > MAX_FILE_BYTES) {
    const found = (bytes.length / MIB).toFixed(1);
    return { problem: file(`expected at most ${MAX_FILE_BYTES / MIB} MB, found ${found} MB`) };
  }
  if (isUtf16(bytes)) return { problem: file('expected UTF-8 text; this is UTF-16') };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes) };
  } catch {
    return { problem: file('expected UTF-8 text; some bytes are not') };
  }
};

/** `line 3, column 7`, as an editor counts them. Looks at no more text than stands before the place. */
const lineOf = (text: string, offset: number): string => {
  let line = 1;
  let begin = 0;
  for (let at = text.indexOf('\n'); at !== -1 && at < offset; at = text.indexOf('\n', begin)) {
    line++;
    begin = at + 1;
  }
  return `line ${line}, column ${offset - begin + 1}`;
};

const scanned = (text: string, { path, says, offset }: ScanProblem): ImportProblem => {
  if (offset !== undefined) return file(`${lineOf(text, offset)}: ${says}`);
  return path.length === 0 ? file(says) : { path: pathText(path), says };
};

/** Ends a visit at the first error: what follows it means nothing. */
class FirstError extends Error {
  constructor(
    readonly code: ParseErrorCode,
    readonly offset: number,
  ) {
    super('not JSON');
  }
}

/** Longest text that is read a second time to say why it is not JSON. @unit characters */
const MAX_EXPLAINED = 1024 * 1024;

/** Where and why a text is not JSON. Read only once `JSON.parse` has refused it, with this message. */
const syntaxProblem = (text: string, message: string): ImportProblem => {
  if (text.length > MAX_EXPLAINED) {
    const [, offset] = /position (\d+)/.exec(message) ?? [];
    return file(
      offset === undefined
        ? 'this is not JSON'
        : `${lineOf(text, Number(offset))}: this is not JSON`,
    );
  }
  try {
    visit(
      text,
      {
        onError: (code, offset) => {
          throw new FirstError(code, offset);
        },
      },
      { disallowComments: true, allowTrailingComma: false, allowEmptyContent: false },
    );
  } catch (error) {
    if (!(error instanceof FirstError)) throw error;
    return file(
      `${lineOf(text, error.offset)}: this is not JSON (${printParseErrorCode(error.code)})`,
    );
  }
  return file('this is not JSON');
};

/** A JSON text as a value, or what is wrong with it: nesting, width, keys that stand twice, then syntax. */
export const readJson = (
  text: string,
): { readonly value: unknown } | { readonly problems: ImportProblem[] } => {
  const problems = scanJson(text, MAX_PROBLEMS);
  if (problems.length > 0) return { problems: problems.map((problem) => scanned(text, problem)) };
  try {
    return { value: JSON.parse(text) };
  } catch (error) {
    return { problems: [syntaxProblem(text, error instanceof Error ? error.message : '')] };
  }
};

/**
 * Reads a document that has been parsed from JSON already (a database row, an action's argument).
 * @returns the rig in the present version, or every problem with its path
 */
export const readRig = (document: unknown): Imported => {
  const upgraded = upgrade(document);
  return 'why' in upgraded
    ? refused({ path: 'version', says: upgraded.why })
    : checkRig(upgraded.document);
};

/**
 * Reads a rig from the bytes of a file, in time linear in their number. Never throws; what cannot be read is refused
 * with its problems, at most 100, and their places.
 */
export const importRig = (bytes: Uint8Array): Imported => {
  const decoded = decode(bytes);
  if ('problem' in decoded) return refused(decoded.problem);
  const { text } = decoded;
  if (text.trim() === '') return refused(file('expected a rig; this file is empty'));
  const read = readJson(text);
  return 'problems' in read ? refused(...read.problems) : readRig(read.value);
};
