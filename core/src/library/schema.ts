import { z } from 'zod';
import { modelSchema } from '../rig/devices/checked-model';

/** The shape of a model as data, read off its schema: an editor written by hand would forget what is added later. */

/** What the editor asks of a node of a JSON Schema. */
export interface Node {
  readonly type?: string;
  readonly const?: string | number | boolean | null;
  readonly enum?: readonly (string | number)[];
  readonly anyOf?: readonly Node[];
  readonly oneOf?: readonly Node[];
  readonly properties?: Readonly<Record<string, Node>>;
  readonly required?: readonly string[];
  readonly additionalProperties?: Node | false;
  readonly propertyNames?: Node;
  readonly items?: Node;
  readonly prefixItems?: readonly Node[];
  readonly minItems?: number;
  readonly maxItems?: number;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly exclusiveMinimum?: number;
  readonly maxLength?: number;
  readonly pattern?: string;
}

const nodeSchema: z.ZodType<Node> = z.looseObject({});

/** The whole model. */
export const MODEL_NODE: Node = nodeSchema.parse(z.toJSONSchema(modelSchema, { io: 'input' }));

export const isBranch = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The choices of a node that may be one of several; itself where it may not. */
export const choicesOf = (node: Node): readonly Node[] => node.anyOf ?? node.oneOf ?? [node];

/** What a word of the schema allows, where it is a list of words and nothing else. */
export const valuesOf = (node: Node): readonly (string | number | boolean | null)[] | null => {
  if (node.const !== undefined) return [node.const];
  if (node.enum) return node.enum;
  if (node.type === 'boolean') return [false, true];
  if (node.type === 'null') return [null];
  const choices = choicesOf(node);
  if (choices[0] === node) return null;
  const all = choices.map(valuesOf);
  return all.every((values) => values !== null) ? all.flat() : null;
};

/** Whether an id of something else stands there. */
export const isId = ({ type, pattern }: Node): boolean =>
  type === 'string' && pattern !== undefined && pattern.includes('(?!constructor$)');

/** Whether a value has the outline of a node: its type, and the words that tell one variant from another. */
export const fits = (node: Node, value: unknown): boolean => {
  const choices = choicesOf(node);
  if (choices[0] !== node) return choices.some((choice) => fits(choice, value));
  const values = valuesOf(node);
  if (values) return values.some((one) => one === value);
  switch (node.type) {
    case 'number':
    case 'integer':
      return typeof value === 'number';
    case 'string':
      return typeof value === 'string';
    case 'array':
      return Array.isArray(value);
    default:
      return (
        isBranch(value) &&
        Object.entries(node.properties ?? {}).every(([key, inner]) =>
          Object.hasOwn(value, key)
            ? inner.const === undefined || inner.const === value[key]
            : !node.required?.includes(key),
        )
      );
  }
};
