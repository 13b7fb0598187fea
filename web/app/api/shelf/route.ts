import {
  cleanLine,
  nameSchema,
  RIG_VERSION,
  type SimpleCommand,
  studioSchema,
} from '@echo-loom/core';
import { nanoid } from 'nanoid';
import { z } from 'zod';
import { answer, answering, jsonBody, noSuchRig, parsed, problem } from '@/server/answers';
import { createRig, findRig, setDeleted, standOf } from '@/server/rigs';
import { saveEntries } from '@/server/save';
import { blankRigIn, findStudio, settleStudio } from '@/server/studio';
import { rigIdSchema } from '@/session/protocol';

const MAX_BYTES = 256 * 1024;

const deedSchema = z.discriminatedUnion('does', [
  z.strictObject({ does: z.literal('create'), name: nameSchema }),
  z.strictObject({ does: z.literal('duplicate'), id: rigIdSchema }),
  z.strictObject({ does: z.literal('rename'), id: rigIdSchema, name: nameSchema }),
  z.strictObject({ does: z.literal('put away'), id: rigIdSchema }),
  z.strictObject({ does: z.literal('put back'), id: rigIdSchema }),
  /** Rigs that are there keep what was copied into them */
  z.strictObject({ does: z.literal('settle'), studio: studioSchema.partial() }),
  z.strictObject({ does: z.literal('tag'), id: rigIdSchema, tags: z.array(z.string()).max(12) }),
]);
type Deed = z.infer<typeof deedSchema>;

/** Changes a rig through its log, like every other change of it. */
const change = async (id: string, command: SimpleCommand): Promise<Response> => {
  const entry = { id: nanoid(), author: 'the-shelf', command };
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
      return answer({ id: await createRig(blankRigIn(await findStudio(), deed.name)) });
    case 'duplicate':
      return duplicate(deed.id);
    case 'rename':
      return change(deed.id, { type: 'renameRig', name: deed.name });
    case 'put away':
    case 'put back':
      return (await setDeleted(deed.id, deed.does === 'put away')) ? answer({}) : noSuchRig();
    case 'settle':
      await settleStudio(deed.studio);
      return answer({});
    case 'tag':
      return change(deed.id, { type: 'tagRig', tags: deed.tags });
  }
};

/** What can be done with the shelf as a whole. */
export const POST = answering(async (request) =>
  perform(parsed(deedSchema, await jsonBody(request, MAX_BYTES))),
);
