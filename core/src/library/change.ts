import { original, produce } from 'immer';
import { freeId } from '../rig/ids';
import { modelSchema } from '../rig/devices/checked-model';
import type { Model } from '../rig/devices/model';
import { type Draft, isFigure, type Path } from './fields';
import { choicesOf, fits, isBranch, isId, MODEL_NODE, type Node, valuesOf } from './schema';
import { wordsFor } from './words';

/** Changes of a draft, each a new draft; what comes of them is judged as a whole. */

/** What keeps a draft from being a model. */
export interface ModelProblem {
  readonly path: Path;
  /** The field in words, from the outside in */
  readonly field: string;
  readonly says: string;
}

/** The nodes a path leads through: a variant is the one that fits what stands there. */
const nodeAt = (draft: unknown, path: Path): Node | null => {
  let node: Node | undefined = MODEL_NODE;
  let value: unknown = draft;
  for (const step of path) {
    const choices: readonly Node[] = choicesOf(node);
    const here: Node | undefined = choices.find((choice) => fits(choice, value)) ?? choices[0];
    const inner: Node | undefined =
      typeof step === 'number'
        ? here?.items
        : (here?.properties?.[step] ?? (here?.additionalProperties || undefined));
    if (!inner) return null;
    value = Array.isArray(value) || isBranch(value) ? Reflect.get(value, step) : undefined;
    node = inner;
  }
  return node;
};

const firstId = (draft: Draft, part: 'ports' | 'controls', at = 0): string => {
  const there = draft[part];
  const ids = isBranch(there) ? Object.keys(there) : [];
  return ids[at] ?? ids[0] ?? '';
};

/** What a part of a model is before anybody has said more: unknown where that may be, else the least that fits. */
const blankOf = (draft: Draft, node: Node, key = ''): unknown => {
  const choices = choicesOf(node);
  if (choices.some(({ type }) => type === 'null')) return null;
  const [first = node] = choices;
  if (first !== node) return blankOf(draft, first, key);
  const values = valuesOf(node);
  if (values) return values[0];
  if (isId(node))
    return key === 'from' || key === 'to'
      ? firstId(draft, 'ports', key === 'to' ? 1 : 0)
      : firstId(draft, 'controls');
  switch (node.type) {
    case 'number':
    case 'integer':
      return Math.max(node.minimum ?? 1, node.exclusiveMinimum === undefined ? 0 : 1, 0);
    case 'string':
      return key === 'unit' ? '' : key === 'value' || key === 'accepts' ? '1920x1080p50' : 'New';
    case 'array':
      return Array.from({ length: node.minItems ?? 0 }, () =>
        blankOf(draft, node.items ?? {}, key),
      );
    default:
      return Object.fromEntries(
        Object.entries(node.properties ?? {})
          .filter(([name]) => node.required?.includes(name))
          .map(([name, inner]) => [name, blankOf(draft, inner, name)]),
      );
  }
};

const starts = (text: string, path: Path): boolean => {
  const at = path.join('.');
  return text === at || text.startsWith(`${at}.`);
};

/** Forgets where figures of a part came from that is no longer as it was. */
const forgetFigures = (draft: Record<string, unknown>, path: Path): void => {
  if (Array.isArray(draft['stated']))
    draft['stated'] = draft['stated'].filter((text: unknown) => !starts(String(text), path));
  if (isBranch(draft['spread']))
    for (const text of Object.keys(draft['spread']))
      if (starts(text, path)) Reflect.deleteProperty(draft['spread'], text);
};

const withParent = (
  draft: Draft,
  path: Path,
  change: (parent: Record<string, unknown> | unknown[], last: string | number) => void,
): Draft =>
  produce(draft, (copy: Record<string, unknown>) => {
    let parent: unknown = copy;
    for (const step of path.slice(0, -1))
      parent = Array.isArray(parent) || isBranch(parent) ? Reflect.get(parent, step) : undefined;
    const last = path.at(-1);
    if (last === undefined || !(Array.isArray(parent) || isBranch(parent))) return;
    change(parent, last);
  });

/** What is typed at a path. A figure that is typed is one of a data sheet. */
export const typed = (draft: Draft, path: Path, value: unknown): Draft => {
  const next = withParent(draft, path, (parent, last) => {
    Reflect.set(parent, last, value);
  });
  return typeof value === 'number' && isFigure(path) ? markStated(next, path, true) : next;
};

/** Says whether a figure comes from a data sheet, or is typical. */
export const markStated = (draft: Draft, path: Path, isStated: boolean): Draft =>
  produce(draft, (copy: Record<string, unknown>) => {
    const at = path.join('.');
    const stated = Array.isArray(copy['stated']) ? copy['stated'].map(String) : [];
    copy['stated'] = isStated
      ? [...new Set([...stated, at])].sort()
      : stated.filter((one) => one !== at);
  });

/** Adds what was left out, as it is before more is said. */
export const added = (draft: Draft, path: Path): Draft => {
  const node = nodeAt(draft, path);
  if (!node) return draft;
  return typed(draft, path, blankOf(draft, node, String(path.at(-1))));
};

/** Leaves out what may be, or takes one out of a list. */
export const leftOut = (draft: Draft, path: Path): Draft =>
  produce(
    withParent(draft, path, (parent, last) => {
      if (Array.isArray(parent)) parent.splice(Number(last), 1);
      else Reflect.deleteProperty(parent, last);
    }),
    (copy: Record<string, unknown>) => {
      // In a list whose places move up, what was stated of one place would stand at another.
      const last = path.at(-1);
      forgetFigures(copy, typeof last === 'number' ? path.slice(0, -1) : path);
    },
  );

/** Makes something another of its variants. */
export const asVariant = (draft: Draft, path: Path, variant: number): Draft => {
  const node = nodeAt(draft, path);
  const chosen = node && choicesOf(node)[variant];
  if (!chosen) return draft;
  const before: unknown = path.reduce<unknown>(
    (at, step) => (Array.isArray(at) || isBranch(at) ? Reflect.get(at, step) : undefined),
    draft,
  );
  const blank = blankOf(draft, chosen, String(path.at(-1)));
  // What both variants have stays: the name of a socket that turns out to be another kind.
  const kept =
    isBranch(blank) && isBranch(before)
      ? Object.fromEntries(
          Object.entries(blank).map(([key, value]) => {
            const inner = chosen.properties?.[key];
            const had = before[key];
            return [
              key,
              inner && inner.const === undefined && had !== undefined && fits(inner, had)
                ? had
                : value,
            ];
          }),
        )
      : blank;
  return produce(typed(draft, path, kept), (copy: Record<string, unknown>) =>
    forgetFigures(copy, path),
  );
};

/** One more in a list: a socket, a way, a control, a band. @param name of one that is kept by name */
export const oneMore = (draft: Draft, path: Path, name = 'New'): Draft => {
  const node = nodeAt(draft, path);
  if (!node) return draft;
  return produce(draft, (copy: Record<string, unknown>) => {
    let at: unknown = copy;
    for (const step of path)
      at = Array.isArray(at) || isBranch(at) ? Reflect.get(at, step) : undefined;
    const now = original(copy) ?? draft;
    if (Array.isArray(at)) at.push(blankOf(now, node.items ?? {}, String(path.at(-1))));
    else if (isBranch(at) && node.additionalProperties) {
      const blank = blankOf(now, node.additionalProperties, '');
      const byFormat = node.propertyNames?.pattern?.includes('x') && !isId(node.propertyNames);
      const id = byFormat ? freeFormat(at) : freeId(name, at);
      at[id] = isBranch(blank)
        ? { ...blank, ...('name' in blank ? { name } : 'label' in blank ? { label: name } : {}) }
        : blank;
    }
  });
};

const FORMATS = ['1920x1080p50', '1920x1080p25', '3840x2160p25', '3840x2160p50', '1920x1080p60'];
const freeFormat = (taken: Record<string, unknown>): string =>
  FORMATS.find((format) => !Object.hasOwn(taken, format)) ?? '1280x720p50';

const fieldText = (path: Path, draft: Draft): string => {
  let at: unknown = draft;
  const parts = path.map((step, index) => {
    at = Array.isArray(at) || isBranch(at) ? Reflect.get(at, step) : undefined;
    if (typeof step === 'number') return `${step + 1}`;
    const told = isBranch(at) && index === 1 ? (at['name'] ?? at['label']) : undefined;
    return typeof told === 'string' && told !== ''
      ? `“${told}”`
      : wordsFor(path.slice(0, index + 1)).label;
  });
  return parts.join(', ') || 'The model';
};

export type ReadModel =
  | { readonly ok: true; readonly model: Model }
  | { readonly ok: false; readonly problems: readonly ModelProblem[] };

/** Most problems that are told at once. */
const TOLD = 40;

/**
 * A draft as a model, as it was written: nothing is added, reordered or left out.
 * @returns every field that keeps it from being one, and why
 */
export const readModel = (draft: unknown): ReadModel => {
  const parsed = modelSchema.safeParse(draft);
  if (parsed.success) return { ok: true, model: draft as Model };
  return {
    ok: false,
    problems: parsed.error.issues.slice(0, TOLD).map(({ path, message }) => {
      const steps = path.filter((step) => typeof step !== 'symbol');
      return { path: steps, field: fieldText(steps, isBranch(draft) ? draft : {}), says: message };
    }),
  };
};

/** A model of which nothing is known but its name. */
export const blankModel = (name: string): Draft => ({
  classId: null,
  name,
  kind: 'converter',
  step: 'shape',
  about: '',
  typicalPrice: null,
  ports: {},
  routes: {},
  controls: {},
  stated: [],
  spread: {},
});
