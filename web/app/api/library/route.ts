import {
  freeId,
  idSchema,
  libraryToCsv,
  libraryToJson,
  modelSchema,
  type OwnModel,
} from '@echo-loom/core';
import { z } from 'zod';
import { answer, answering, jsonBody, parsed, problem, queryOf } from '@/server/answers';
import {
  listOwnModels,
  SavedMeanwhile,
  saveOwnModels,
  setModelDeleted,
  type ToSave,
  updateRig,
  usedIds,
  versionsOf,
} from '@/server/library';
import { readApart } from '@/server/reading';
import { givenIdSchema, rigIdSchema } from '@/session/protocol';

/** A library of a thousand models is some megabytes. */
const MAX_BYTES = 16 * 1024 * 1024;

const deedSchema = z.discriminatedUnion('does', [
  /** @param id null for a new one */
  z.strictObject({
    does: z.literal('save'),
    id: idSchema.nullable(),
    from: z.number().int().min(0),
    model: z.unknown(),
  }),
  z.strictObject({ does: z.literal('remove'), id: idSchema }),
  z.strictObject({ does: z.literal('put back'), id: idSchema }),
  z.strictObject({
    does: z.literal('update'),
    id: idSchema,
    rigId: rigIdSchema,
    author: givenIdSchema,
  }),
  z.strictObject({ does: z.literal('take json'), text: z.string() }),
  /** @param isSure takes what can be taken; otherwise it is only said what would be */
  z.strictObject({ does: z.literal('take csv'), text: z.string(), isSure: z.boolean() }),
]);
type Deed = z.infer<typeof deedSchema>;

const noSuchModel = (): Response =>
  problem(404, 'There is no such model in the library; it may have been taken out.');

const keep = async (all: readonly ToSave[]): Promise<Response> => {
  try {
    const saved = await saveOwnModels(all);
    return answer({ models: saved.map(({ id, version }) => ({ id, version })) });
  } catch (error) {
    if (!(error instanceof SavedMeanwhile)) throw error;
    return problem(
      409,
      `Somebody else saved version ${error.version} of “${error.id}” meanwhile. What you typed is still here: ` +
        'save it as a new model, or open theirs and type it again.',
    );
  }
};

/** Ids of a file that are free here, and the version they go on from. */
const asNew = async (incoming: readonly OwnModel[]): Promise<ToSave[]> => {
  const there = await listOwnModels();
  const taken = await usedIds();
  return incoming.flatMap(({ id, model }) => {
    const same = there.find((one) => one.id === id);
    // The very same is there already.
    if (same && JSON.stringify(same.model) === JSON.stringify(model)) return [];
    const to = freeId(id, taken);
    taken.add(to);
    return [{ id: to, from: 0, model }];
  });
};

const perform = async (deed: Deed): Promise<Response> => {
  switch (deed.does) {
    case 'save': {
      const read = modelSchema.safeParse(deed.model);
      if (!read.success)
        return problem(400, 'This is no model yet.', {
          problems: read.error.issues
            .slice(0, 100)
            .map(({ path, message }) => ({ path: path.join('.'), says: message })),
        });
      // As it was sent, to the byte: it has been read, and nothing is to be reordered.
      const model = deed.model as OwnModel['model'];
      const id = deed.id ?? freeId(model.name, await usedIds());
      return keep([{ id, from: deed.id === null ? 0 : deed.from, model }]);
    }
    case 'remove':
    case 'put back':
      return (await setModelDeleted(deed.id, deed.does === 'remove')) ? answer({}) : noSuchModel();
    case 'update': {
      const versions = await versionsOf(deed.id);
      if (versions.length === 0) return noSuchModel();
      const why = await updateRig(deed.rigId, versions, deed.author);
      return why === null ? answer({}) : problem(409, why);
    }
    case 'take json': {
      const { read } = await readApart({ is: 'library', json: deed.text });
      if (!read.ok)
        return problem(400, 'Nothing was taken: the file is not sound.', { faults: read.faults });
      return keep(await asNew(read.models));
    }
    case 'take csv': {
      const { read } = await readApart({
        is: 'figures',
        csv: deed.text,
        library: await listOwnModels(),
      });
      const { models, faults } = read;
      if (!deed.isSure) return answer({ names: models.map(({ model }) => model.name), faults });
      return keep(models.map(({ id, version, model }) => ({ id, from: version, model })));
    }
  }
};

/** What can be done with the library. */
export const POST = answering(async (request) =>
  perform(parsed(deedSchema, await jsonBody(request, MAX_BYTES))),
);

const asFile = (text: string, type: string, name: string): Response =>
  new Response(text, {
    headers: {
      'content-type': `${type}; charset=utf-8`,
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store',
    },
  });

const querySchema = z.strictObject({ as: z.enum(['json', 'csv']).optional() });

/** The library: as an answer, or as a file. */
export const GET = answering(async (request) => {
  const { as } = queryOf(request, querySchema);
  const models = await listOwnModels();
  if (as === 'csv') return asFile(libraryToCsv(models), 'text/csv', 'library.csv');
  if (as === 'json') return asFile(libraryToJson(models), 'application/json', 'library.json');
  return answer({ models });
});
