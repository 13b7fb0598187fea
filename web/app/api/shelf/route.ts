import { blankRigOn, cleanLine, nameSchema, RIG_VERSION } from '@echo-loom/core';
import { nanoid } from 'nanoid';
import { z } from 'zod';
import { answer, answering, jsonBody, noSuchRig, parsed, problem } from '@/server/answers';
import { createRig, findRig, setDeleted, standOf } from '@/server/rigs';
import { saveEntries } from '@/server/save';
import { currencySchema, findMains, mainsNameSchema, setCurrency, setMains } from '@/server/studio';
import { rigIdSchema } from '@/session/protocol';

const MAX_BYTES = 256 * 1024;

const deedSchema = z.discriminatedUnion('does', [
  z.strictObject({ does: z.literal('create'), name: nameSchema }),
  z.strictObject({ does: z.literal('duplicate'), id: rigIdSchema }),
  z.strictObject({ does: z.literal('rename'), id: rigIdSchema, name: nameSchema }),
  z.strictObject({ does: z.literal('put away'), id: rigIdSchema }),
  z.strictObject({ does: z.literal('put back'), id: rigIdSchema }),
  z.strictObject({ does: z.literal('choose currency'), currency: currencySchema }),
  /** What new rigs begin with; rigs that are there keep their own */
  z.strictObject({ does: z.literal('choose mains'), mains: mainsNameSchema.nullable() }),
]);
type Deed = z.infer<typeof deedSchema>;

/** Renames through the log, like every other change of a rig. */
const rename = async (id: string, name: string): Promise<Response> => {
  const entry = { id: nanoid(), author: 'the-shelf', command: { type: 'renameRig', name } };
  const on = await standOf(id);
  if (!on) return noSuchRig();
  const saved = await saveEntries(id, { version: RIG_VERSION, on, entries: [entry] });
  if (saved.status !== 'taken') return noSuchRig();
  const [refused] = saved.refused;
  return refused ? problem(409, refused.why) : answer({});
};

const duplicate = async (id: string): Promise<Response> => {
  const found = await findRig(id);
  if (!found) return noSuchRig();
  if (!found.read.ok) return problem(409, 'This rig cannot be read, so it cannot be duplicated.');
  const name = `${cleanLine(found.read.rig.name, 70)} copy`;
  return answer({ id: await createRig({ ...found.read.rig, name }) });
};

const perform = async (deed: Deed): Promise<Response> => {
  switch (deed.does) {
    case 'create':
      return answer({ id: await createRig(blankRigOn(deed.name, await findMains())) });
    case 'duplicate':
      return duplicate(deed.id);
    case 'rename':
      return rename(deed.id, deed.name);
    case 'put away':
    case 'put back':
      return (await setDeleted(deed.id, deed.does === 'put away')) ? answer({}) : noSuchRig();
    case 'choose currency':
      await setCurrency(deed.currency);
      return answer({});
    case 'choose mains':
      await setMains(deed.mains);
      return answer({});
  }
};

/** What can be done with the shelf as a whole. */
export const POST = answering(async (request) =>
  perform(parsed(deedSchema, await jsonBody(request, MAX_BYTES))),
);
