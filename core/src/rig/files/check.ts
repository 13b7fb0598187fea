import { z } from 'zod';
import { MAX_ITEMS } from '../collection';
import { inconsistencies } from '../consistency';
import { modelSchema } from '../devices/checked-model';
import { deviceSchema } from '../devices/schema';
import { type Rig, rigSchema } from '../rig';
import { LIMITS } from '../slices';
import { type Branch, isBranch } from './branch';

/** One thing wrong with a document: where (a path from its root, or `file` where there is no path yet) and what. */
export interface ImportProblem {
  readonly path: string;
  readonly says: string;
}
export type Imported =
  | { readonly ok: true; readonly rig: Rig }
  | { readonly ok: false; readonly problems: readonly ImportProblem[] };

/** Most problems ever looked for in one document. */
export const MAX_PROBLEMS = 100;
/** Most values in one item of a collection; the largest desk of the catalogue has about 1,500. */
export const MAX_ITEM_VALUES = 20_000;

export const refused = (...problems: ImportProblem[]): Imported => ({
  ok: false,
  problems: problems.slice(0, MAX_PROBLEMS),
});

/** `devices.mic-2.ports[0]`: as a person would write the way to a value. */
export const pathText = (path: readonly PropertyKey[]): string => {
  let text = '';
  for (const key of path) {
    if (typeof key === 'number') text += `[${key}]`;
    else text += text ? `.${String(key)}` : String(key);
  }
  return text || 'the document';
};

/** What a schema found, as problems with their paths. @param at the path of the value it looked at */
const issueProblems = (
  issues: readonly z.core.$ZodIssue[],
  at: readonly PropertyKey[],
): ImportProblem[] =>
  issues.slice(0, MAX_PROBLEMS).flatMap((issue) => {
    const path = [...at, ...issue.path];
    if (issue.code === 'unrecognized_keys')
      return issue.keys.slice(0, MAX_PROBLEMS).map((key) => noSuchField([...path, key]));
    if (issue.code === 'invalid_key' || issue.code === 'invalid_element')
      return issue.issues.map((inner) => ({
        path: pathText([...path, ...inner.path]),
        says: inner.message,
      }));
    return [{ path: pathText(path), says: issue.message }];
  });

const noSuchField = (path: readonly PropertyKey[]): ImportProblem => ({
  path: pathText(path),
  says: 'there is no such field',
});

/** Whether a value holds more values than `limit`, without looking further than that. */
const isLargerThan = (limit: number, value: unknown): boolean => {
  let left = limit;
  const waiting: unknown[] = [value];
  while (waiting.length > 0) {
    const next = waiting.pop();
    if (--left < 0) return true;
    if (typeof next !== 'object' || next === null) continue;
    const inside: unknown[] = Array.isArray(next) ? next : Object.values(next);
    if (inside.length > left) return true;
    for (const item of inside) waiting.push(item);
  }
  return false;
};

/**
 * Items that their schema has read, or made, before. They are never changed afterwards, so they
 * need not be read again.
 */
const known = new WeakSet<object>();

const deviceWithoutModel = deviceSchema.omit({ model: true });

class Reader {
  readonly problems: ImportProblem[] = [];

  get isFull(): boolean {
    return this.problems.length >= MAX_PROBLEMS;
  }

  /** Models by their text: a rig has the same few again and again, and they are by far the most of it */
  private readonly models = new Map<string, unknown>();

  private read(schema: z.core.$ZodType, value: unknown, path: readonly PropertyKey[]): unknown {
    const read = z.safeParse(schema, value);
    if (read.success) return read.data;
    this.problems.push(...issueProblems(read.error.issues, path));
    return undefined;
  }

  private model(value: unknown, path: readonly PropertyKey[]): unknown {
    const text = JSON.stringify(value);
    const same = this.models.get(text);
    if (same !== undefined) return same;
    const model = this.read(modelSchema, value, path);
    if (model !== undefined) this.models.set(text, model);
    return model;
  }

  /** A device, its model read once for all that have the same. */
  private device(value: Branch, path: readonly PropertyKey[]): unknown {
    const { model: given, ...rest } = value;
    const own = this.read(deviceWithoutModel, rest, path);
    const model = this.model(given, [...path, 'model']);
    return isBranch(own) && model !== undefined ? { ...own, model } : undefined;
  }

  /** A value as its schema reads it; undefined where it was refused */
  item(schema: z.core.$ZodType, value: unknown, path: readonly PropertyKey[]): unknown {
    if (typeof value === 'object' && value !== null && known.has(value)) return value;
    if (isLargerThan(MAX_ITEM_VALUES, value)) {
      const says = `this holds more than ${MAX_ITEM_VALUES} values`;
      this.problems.push({ path: pathText(path), says });
      return undefined;
    }
    const isDevice = schema === deviceSchema && isBranch(value) && isBranch(value['model']);
    const read = isDevice ? this.device(value, path) : this.read(schema, value, path);
    if (typeof read === 'object' && read !== null) known.add(read);
    return read;
  }

  /** A keyed collection, item by item; the very same object where every item was known */
  collection(schema: z.ZodRecord, value: unknown, name: string): unknown {
    if (!isBranch(value)) return this.item(schema, value, [name]);
    const ids = Object.keys(value);
    const limit = LIMITS[name] ?? MAX_ITEMS;
    if (ids.length > limit) {
      const says = `expected at most ${limit} ${name}, found ${ids.length}`;
      this.problems.push({ path: name, says });
      return undefined;
    }
    const read: Branch = {};
    let isSame = true;
    for (const id of ids) {
      if (this.isFull) return undefined;
      const key = z.safeParse(schema.keyType, id);
      if (!key.success) this.problems.push(...issueProblems(key.error.issues, [name, id]));
      const item = this.item(schema.valueType, value[id], [name, id]);
      isSame &&= item === value[id];
      read[id] = item;
    }
    return isSame ? value : read;
  }
}

/**
 * Reads a document of the present version: what the schema asks, then what no schema can see. Linear in the size of the
 * document, and cheap for one of which most has been read before: items are read once.
 * @returns the rig, or at most 100 problems with their paths
 */
export const checkRig = (document: unknown): Imported => {
  if (!isBranch(document)) {
    const read = rigSchema.safeParse(Array.isArray(document) ? [] : document);
    return refused(...issueProblems(read.error?.issues ?? [], []));
  }
  const reader = new Reader();
  const read: Branch = {};
  for (const [name, schema] of Object.entries(rigSchema.shape)) {
    if (reader.isFull) break;
    const value = Object.hasOwn(document, name) ? document[name] : undefined;
    read[name] =
      schema instanceof z.ZodRecord
        ? reader.collection(schema, value, name)
        : reader.item(schema, value, [name]);
  }
  for (const name in document) {
    if (reader.isFull) break;
    if (!Object.hasOwn(rigSchema.shape, name)) reader.problems.push(noSuchField([name]));
  }
  if (reader.problems.length > 0) return refused(...reader.problems);
  // Every field of the shape has been read by its own schema: this is what `rigSchema` would have returned.
  const rig = read as Rig;
  const problems = inconsistencies(rig);
  return problems.length > 0
    ? refused(...problems.map(({ path, says }) => ({ path: path.join('.'), says })))
    : { ok: true, rig };
};
