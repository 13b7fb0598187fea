import type { Model } from '../rig/devices/model';
import { choicesOf, fits, isBranch, isId, MODEL_NODE, type Node, valuesOf } from './schema';
import { type Words, wordsFor } from './words';

/** A model as fields to fill in: what stands at each path, what may stand there, and whether it is only typical. */

export type Path = readonly (string | number)[];

/** One of the words that may stand somewhere. */
export interface Choice {
  readonly value: string | number | boolean | null;
  readonly label: string;
}

interface Common {
  readonly path: Path;
  readonly words: Words;
  /** Whether it may be left out */
  readonly isOptional: boolean;
}

export type Field = Common &
  (
    | {
        readonly is: 'number';
        readonly value: number | null;
        readonly least: number | null;
        readonly most: number | null;
        readonly isWhole: boolean;
        /** Whether it may be unknown */
        readonly mayBeUnknown: boolean;
        /** Whether a data sheet or a meter said so; null where it is no figure */
        readonly isStated: boolean | null;
        readonly spread: readonly [number, number] | null;
      }
    | { readonly is: 'text'; readonly value: string; readonly mostLetters: number }
    | {
        readonly is: 'choice';
        readonly value: Choice['value'];
        readonly options: readonly Choice[];
      }
    /** Several of some words */
    | {
        readonly is: 'several';
        readonly value: readonly unknown[];
        readonly options: readonly Choice[];
      }
    | {
        readonly is: 'group';
        readonly fields: readonly Field[];
        /** What it may be instead, what that is a choice of, and which of them it is */
        readonly variants: readonly string[];
        readonly variantWords: Words;
        readonly variant: number;
      }
    /** As many as wanted; those with a key are named by it */
    | { readonly is: 'list'; readonly fields: readonly Field[]; readonly isFull: boolean }
    | { readonly is: 'left out' }
  );

/** A draft of a model: not yet known to be one. */
export type Draft = Readonly<Record<string, unknown>>;

/** What is not asked for: where a model comes from, and what is kept of its figures. */
const HIDDEN: ReadonlySet<string> = new Set(['classId', 'stated', 'spread', 'own']);

const nameAt = (value: unknown, fallback: string): string =>
  isBranch(value) && typeof (value['name'] ?? value['label']) === 'string'
    ? String(value['name'] ?? value['label'])
    : fallback;

const idsIn = (draft: Draft, part: 'ports' | 'controls'): Choice[] =>
  isBranch(draft[part])
    ? Object.entries(draft[part]).map(([id, value]) => ({ value: id, label: nameAt(value, id) }))
    : [];

/** Most sockets that are named; a mixer has sixty. */
const NAMED = 2;

/** Sockets by their names. */
const socketNames = (draft: Draft, ids: unknown): string => {
  const all = (Array.isArray(ids) ? ids : []).map(
    (id) => idsIn(draft, 'ports').find(({ value }) => value === id)?.label ?? String(id),
  );
  const more = all.length - NAMED;
  return `${all.slice(0, NAMED).join(', ')}${more > 0 ? ` and ${more} more` : ''}`;
};

/** What one of a list is called: by its name, a way by where it leads. */
const itemName = (draft: Draft, path: Path, id: string, value: unknown): string =>
  path[0] === 'routes' && path.length === 1 && isBranch(value)
    ? `${socketNames(draft, value['from'])} to ${socketNames(draft, value['to'])}`
    : nameAt(value, id);

/** Ids that are words of the model’s own, and point to nothing. */
const OWN_WORDS: ReadonlySet<string> = new Set(['socket', 'controller']);
/** Ids of sockets; every other id is one of a control. */
const TO_SOCKETS: ReadonlySet<string> = new Set(['from', 'to']);

const keyOf = (path: Path): string =>
  String([...path].reverse().find((step) => typeof step === 'string') ?? '');

const shown = (value: Choice['value']): string =>
  value === null ? 'not known' : value === true ? 'yes' : value === false ? 'no' : String(value);

/** What an id at a path may be. @returns null where it is a word of its own */
const idChoices = (draft: Draft, path: Path): Choice[] | null => {
  const key = keyOf(path);
  if (OWN_WORDS.has(key)) return null;
  return idsIn(draft, TO_SOCKETS.has(key) ? 'ports' : 'controls');
};

/** The words that may stand at a node; null where it is not a choice between words. */
const wordsAllowed = (draft: Draft, node: Node, path: Path): Choice[] | null => {
  const parts = choicesOf(node).map((choice): Choice[] | null => {
    const values = valuesOf(choice);
    if (values) return values.map((value) => ({ value, label: shown(value) }));
    return isId(choice) ? idChoices(draft, path) : null;
  });
  return parts.every((part) => part !== null) ? parts.flat() : null;
};

const numberNode = (node: Node): Node | undefined =>
  choicesOf(node).find(({ type }) => type === 'number' || type === 'integer');

/** What a variant is called. */
const variantName = (node: Node, index: number): string => {
  const words = valuesOf(node);
  if (words) return words.length === 1 ? shown(words[0] ?? null) : 'one of these';
  if (isId(node)) return 'as a control says';
  const [only] = node.required ?? [];
  const told = Object.values(node.properties ?? {}).find((inner) => inner.const !== undefined);
  if (told) return String(told.const);
  if (only === 'control') return 'as a control says';
  return only === undefined ? `kind ${index + 1}` : wordsFor([only]).unit || wordsFor([only]).label;
};

const FIGURES =
  /^(ports|routes|camera|light|mixes|storage|work|battery|body|supply|typicalPrice)(\.|$)/;

/** Whether a data sheet states what stands at a path. */
export const isFigure = (path: Path): boolean => FIGURES.test(path.join('.'));

interface Walk {
  readonly draft: Draft;
  readonly stated: ReadonlySet<string>;
  readonly spread: Record<string, unknown>;
}

const spreadAt = (
  spread: Record<string, unknown>,
  path: string,
): readonly [number, number] | null => {
  const at = spread[path];
  return Array.isArray(at) && typeof at[0] === 'number' && typeof at[1] === 'number'
    ? [at[0], at[1]]
    : null;
};

const fieldAt = (
  walk: Walk,
  node: Node,
  value: unknown,
  path: Path,
  isOptional: boolean,
): Field => {
  const common: Common = { path, words: wordsFor(path), isOptional };
  if (value === undefined) return { ...common, is: 'left out' };
  const number = numberNode(node);
  const others = choicesOf(node).filter((choice) => choice !== number && choice.type !== 'null');
  if (number && others.length === 0) {
    const at = path.join('.');
    return {
      ...common,
      is: 'number',
      value: typeof value === 'number' ? value : null,
      least: number.minimum ?? number.exclusiveMinimum ?? null,
      most: number.maximum ?? null,
      isWhole: number.type === 'integer',
      mayBeUnknown: choicesOf(node).some(({ type }) => type === 'null'),
      isStated: isFigure(path) ? walk.stated.has(at) : null,
      spread: spreadAt(walk.spread, at),
    };
  }
  const words = wordsAllowed(walk.draft, node, path);
  if (words) return { ...common, is: 'choice', value: value as Choice['value'], options: words };
  const choices = choicesOf(node);
  if (choices.length > 1) return variantField(walk, choices, value, common);
  return plainField(walk, node, value, common);
};

const WHICH: Words = { label: 'Which' };

/** What tells variants from each other: what a socket carries, what a control is. */
const tellingWords = ([first]: readonly Node[]): Words => {
  const telling = Object.entries(first?.properties ?? {}).find(
    ([, inner]) => inner.const !== undefined,
  );
  return telling ? wordsFor([telling[0]]) : WHICH;
};

const variantField = (
  walk: Walk,
  choices: readonly Node[],
  value: unknown,
  common: Common,
): Field => {
  const variant = choices.findIndex((choice) => fits(choice, value));
  const chosen = choices[variant];
  const inner = chosen ? fieldAt(walk, chosen, value, common.path, false) : null;
  const told = inner?.is === 'group' ? inner.fields : inner ? [inner] : [];
  return {
    ...common,
    is: 'group',
    // The word that tells a variant is chosen by the variant itself.
    fields: told.filter(
      ({ path }) => chosen?.properties?.[String(path.at(-1))]?.const === undefined,
    ),
    variants: choices.map(variantName),
    variantWords: tellingWords(choices),
    variant,
  };
};

const plainField = (walk: Walk, node: Node, value: unknown, common: Common): Field => {
  const { path } = common;
  if (node.type === 'array' && Array.isArray(value)) {
    const item = node.items ?? {};
    const options = wordsAllowed(walk.draft, item, path);
    if (options) return { ...common, is: 'several', value, options };
    return {
      ...common,
      is: 'list',
      fields: value.map((one: unknown, index) => fieldAt(walk, item, one, [...path, index], false)),
      isFull: value.length >= (node.maxItems ?? Infinity),
    };
  }
  if (isBranch(value) && node.additionalProperties)
    return {
      ...common,
      is: 'list',
      fields: Object.entries(value).map(([id, one]) => {
        const field = fieldAt(walk, node.additionalProperties || {}, one, [...path, id], false);
        return { ...field, words: { ...field.words, label: itemName(walk.draft, path, id, one) } };
      }),
      isFull: false,
    };
  if (isBranch(value))
    return {
      ...common,
      is: 'group',
      fields: fieldsIn(walk, node, value, path),
      variants: [],
      variantWords: WHICH,
      variant: -1,
    };
  return {
    ...common,
    is: 'text',
    value: typeof value === 'string' ? value : '',
    mostLetters: node.maxLength ?? 400,
  };
};

const fieldsIn = (walk: Walk, node: Node, value: Record<string, unknown>, path: Path): Field[] =>
  Object.entries(node.properties ?? {})
    .filter(([key]) => !(path.length === 0 && HIDDEN.has(key)))
    .map(([key, inner]) =>
      fieldAt(walk, inner, value[key], [...path, key], !node.required?.includes(key)),
    );

/** Every field of a model, in the order of its schema. */
export const fieldsOf = (draft: Draft | Model): Field[] => {
  const branch = draft as Draft;
  const stated = Array.isArray(branch['stated']) ? branch['stated'].map(String) : [];
  const spread = isBranch(branch['spread']) ? branch['spread'] : {};
  return fieldsIn({ draft: branch, stated: new Set(stated), spread }, MODEL_NODE, branch, []);
};
