'use server';

import { answersSchema, blankRig, build, nameSchema, type Command } from '@echo-loom/core';
import { nanoid } from 'nanoid';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { isDatabaseAway } from '@/server/answers';
import { currencySchema, setCurrency } from '@/server/studio';
import { createRig, findRig, saveEntries, setDeleted } from '@/server/rigs';

/** What an action answers: what was asked for, or why not, in words for the screen. */
export type ActionAnswer<T> = ({ readonly ok: true } & T) | { readonly ok: false; readonly says: string };

const rigId = z.string().regex(/^[\w-]{1,40}$/);
const newRig = z.strictObject({ name: nameSchema });
const rename = z.strictObject({ id: rigId, name: nameSchema });

const refuse = (says: string): { readonly ok: false; readonly says: string } => ({ ok: false, says });

/** Parses an action's argument, runs it, and renews the shelf. A database that is away is said. */
const acting = async <In, Out>(schema: z.ZodType<In>, argument: unknown, act: (input: In) => Promise<ActionAnswer<Out>>): Promise<ActionAnswer<Out>> => {
  const parsed = schema.safeParse(argument);
  if (!parsed.success) return refuse(parsed.error.issues[0]?.message ?? 'The request is not understood.');
  try {
    const answer = await act(parsed.data);
    revalidatePath('/');
    return answer;
  } catch (error) {
    if (isDatabaseAway(error)) return refuse('The database does not answer. Nothing was changed; try again in a moment.');
    throw error;
  }
};

const gone = refuse('There is no such rig; it may have been deleted.');

export const createRigAction = async (argument: unknown): Promise<ActionAnswer<{ id: string }>> =>
  acting(newRig, argument, async ({ name }) => ({ ok: true, id: await createRig(blankRig(name)) }));

/** Builds a rig from the answers of a brief, or says which of them contradict each other. */
export const buildRigAction = async (argument: unknown): Promise<ActionAnswer<{ id: string }>> =>
  acting(answersSchema, argument, async (answers) => {
    const built = build(answers);
    return built.ok ? { ok: true, id: await createRig(built.rig) } : refuse(built.why);
  });

/** The currency every price of this studio is written in. */
export const setCurrencyAction = async (argument: unknown): Promise<ActionAnswer<object>> =>
  acting(currencySchema, argument, async (currency) => {
    await setCurrency(currency);
    return { ok: true };
  });

export const duplicateRigAction = async (argument: unknown): Promise<ActionAnswer<{ id: string }>> =>
  acting(rigId, argument, async (id) => {
    const found = await findRig(id);
    if (!found) return gone;
    return { ok: true, id: await createRig({ ...found.rig, name: `${found.rig.name.slice(0, 70)} copy` }) };
  });

/** Renames through the log, like every other change of a rig. */
export const renameRigAction = async (argument: unknown): Promise<ActionAnswer<object>> =>
  acting(rename, argument, async ({ id, name }) => {
    const command: Command = { type: 'renameRig', name };
    for (let attempt = 0; attempt < 5; attempt++) {
      const found = await findRig(id);
      if (!found) return gone;
      const answer = await saveEntries(id, { revision: found.revision, entries: [{ id: nanoid(), author: 'the-shelf', command }] });
      if (answer.status === 'saved') return { ok: true };
    }
    return refuse('Others are changing this rig just now; try again.');
  });

export const deleteRigAction = async (argument: unknown): Promise<ActionAnswer<object>> => acting(rigId, argument, async (id) => ((await setDeleted(id, true)) ? { ok: true } : gone));
export const restoreRigAction = async (argument: unknown): Promise<ActionAnswer<object>> => acting(rigId, argument, async (id) => ((await setDeleted(id, false)) ? { ok: true } : gone));
