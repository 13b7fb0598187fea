import { z } from 'zod';
import type { AnyCommand } from './slice';
import { COMMANDS, type Commands } from './slices';

/** Longest label of an undo or redo; a longer sentence is shortened. */
export const MAX_LABEL = 400;

/** Most places that one entry of the log changes: 500 devices that go with every cable in them stay far below */
const MAX_CHANGES = 100_000;

export type CommandType = keyof Commands;

/**
 * Changes that stand alone. Ids of new things come with the command, so that every side that
 * applies it gets the same rig.
 */
export type SimpleCommand = {
  [Type in CommandType]: { type: Type } & z.infer<Commands[Type]['schema']>;
}[CommandType];

const byType: ReadonlyMap<string, AnyCommand> = new Map(Object.entries(COMMANDS));

/** Every kind of command there is, beside several at once and undo. */
export const commandTypes: readonly string[] = [...byType.keys()];

/** What is known of a kind of command. @returns undefined for one that this version does not have */
export const commandOf = (type: string): AnyCommand | undefined => byType.get(type);

const simpleSchemas = [...byType].map(([type, { schema }]) =>
  z.strictObject({ type: z.literal(type), ...schema.shape }),
);
type OneOrMore<T> = [T, ...T[]];

const simpleCommandSchema = z.discriminatedUnion(
  'type',
  simpleSchemas as OneOrMore<(typeof simpleSchemas)[number]>,
) as unknown as z.ZodType<SimpleCommand>;

/**
 * One place in the document that a command changed, with what stood there and what stands there
 * now. Absent = not there.
 */
export const changeSchema = z.strictObject({
  path: z.array(z.string().max(200)).min(1).max(12),
  before: z.json().optional(),
  after: z.json().optional(),
});
export type Change = z.infer<typeof changeSchema>;

/** Several changes that belong together: all or none, one line of history. */
const batchSchema = z.strictObject({
  type: z.literal('batch'),
  label: z.string().min(1).max(200),
  commands: z.array(simpleCommandSchema).min(1).max(500),
});

/** Undo or redo of an earlier entry of the log: puts back what stood there, unless someone has changed it since. */
const revertSchema = z.strictObject({
  type: z.literal('revert'),
  does: z.enum(['undo', 'redo']),
  entryId: z.string().min(1).max(64),
  label: z.string().min(1).max(MAX_LABEL),
  changes: z.array(changeSchema).min(1).max(MAX_CHANGES),
});

/** Everything that can change a rig. */
export type Command = SimpleCommand | z.infer<typeof batchSchema> | z.infer<typeof revertSchema>;

/** What each part of the document says of its own commands, and the two that are about others. */
export const commandSchema = z.discriminatedUnion('type', [
  batchSchema,
  revertSchema,
  ...simpleSchemas,
]) as unknown as z.ZodType<Command>;

/**
 * Undo or redo as it is asked for: by the entry alone. What it puts back is for the log to say, not
 * for who asks.
 */
export const askedRevertSchema = z.strictObject({
  type: z.literal('revert'),
  does: z.enum(['undo', 'redo']),
  entryId: z.string().regex(/^[\w-]{1,64}$/),
});
export type AskedRevert = z.infer<typeof askedRevertSchema>;

/** A command as it is sent and kept until it is saved. */
export type AskedCommand = Exclude<Command, { type: 'revert' }> | AskedRevert;
