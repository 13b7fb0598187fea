import {
  allModelRefs,
  commandSchema,
  idSchema,
  MOST_THINGS,
  type OwnThing,
  type ReadThings,
  thingSchema,
  thingsFromCells,
  thingsToCsv,
  toTake,
} from '@echo-loom/core';
import { z } from 'zod';
import { answer, answering, jsonBody, parsed, problem, queryOf } from '@/server/answers';
import { listOwnModels } from '@/server/library';
import { readApart } from '@/server/reading';
import {
  aroundThings,
  listThings,
  saveThings,
  takeInRig,
  ThingSavedMeanwhile,
  type ThingToSave,
} from '@/server/things';
import { givenIdSchema, rigIdSchema } from '@/session/protocol';

/** Five thousand things with notes are some megabytes. */
const MAX_BYTES = 16 * 1024 * 1024;

const toSaveSchema = z.strictObject({
  id: idSchema.nullable(),
  from: z.number().int().min(0),
  thing: thingSchema.nullable(),
});

const cellSchema = z.union([z.string().max(5000), z.number(), z.boolean(), z.null()]);

const deedSchema = z.discriminatedUnion('does', [
  /** Saves, changes and takes off the list: all or none */
  z.strictObject({
    does: z.literal('save'),
    things: z.array(toSaveSchema).min(1).max(MOST_THINGS),
  }),
  /** @param isSure takes what is sound; otherwise it is only said what would be */
  z.strictObject({ does: z.literal('take csv'), text: z.string(), isSure: z.boolean() }),
  z.strictObject({
    does: z.literal('take cells'),
    cells: z.array(z.array(cellSchema).max(200)).max(MOST_THINGS + 10),
    isSure: z.boolean(),
  }),
  z.strictObject({
    does: z.literal('take in rig'),
    rigId: rigIdSchema,
    author: givenIdSchema,
    command: z.unknown(),
  }),
]);
type Deed = z.infer<typeof deedSchema>;

const keep = async (all: readonly ThingToSave[], more: object = {}): Promise<Response> => {
  try {
    const there = all.some(({ from }) => from === 0) ? (await listThings()).length : 0;
    const added = all.filter(({ from, thing }) => from === 0 && thing !== null).length;
    if (there + added > MOST_THINGS)
      return problem(400, `The list holds at most ${MOST_THINGS} things; nothing was taken.`);
    return answer({ saved: all.length === 0 ? [] : await saveThings(all), ...more });
  } catch (error) {
    if (!(error instanceof ThingSavedMeanwhile)) throw error;
    const name = error.thingName === '' ? 'it' : `“${error.thingName}”`;
    return problem(
      409,
      `Somebody else changed ${name} meanwhile. Nothing was changed; ` +
        'what you typed is still here.',
    );
  }
};

const modelRefs = async () => allModelRefs((await listOwnModels()).map(({ id }) => id));

/** What a file brings: told first, then taken. */
const take = async (read: ReadThings, there: readonly OwnThing[], isSure: boolean) => {
  const { added, changed, same } = toTake(read.lines, there);
  const told = {
    added: added.map(({ thing }) => thing.name),
    changed: changed.map(({ thing }) => thing.name),
    same,
    faults: read.faults,
  };
  if (!isSure) return answer({ ...told, saved: [] });
  return keep(
    [
      ...added.map(({ id, thing }) => ({ id, from: 0, thing })),
      ...changed.map(({ id, from, thing }) => ({ id, from, thing })),
    ],
    told,
  );
};

const perform = async (deed: Deed): Promise<Response> => {
  switch (deed.does) {
    case 'save': {
      const refs = await modelRefs();
      const strange = deed.things.find(
        ({ thing }) => typeof thing?.modelRef === 'string' && !refs.has(thing.modelRef),
      );
      return strange?.thing
        ? problem(
            400,
            `${strange.thing.name}: neither the catalogue nor the library has “${strange.thing.modelRef}”.`,
          )
        : keep(deed.things);
    }
    case 'take csv': {
      const { read } = await readApart({
        is: 'things',
        csv: deed.text,
        refs: [...(await modelRefs())],
      });
      return take(read, await listThings(), deed.isSure);
    }
    case 'take cells':
      return take(thingsFromCells(deed.cells, await modelRefs()), await listThings(), deed.isSure);
    case 'take in rig': {
      const command = parsed(commandSchema, deed.command);
      if (command.type !== 'takeThing') return problem(400, 'Only a thing can be taken here.');
      const why = await takeInRig(deed.rigId, command, deed.author);
      return why === null ? answer({}) : problem(409, why);
    }
  }
};

/** What can be done with the things of the studio. */
export const POST = answering(async (request) =>
  perform(parsed(deedSchema, await jsonBody(request, MAX_BYTES))),
);

const querySchema = z.strictObject({ as: z.enum(['csv']).optional() });

/** The things, where they are used, and what is wrong: as an answer, or the list as a file. */
export const GET = answering(async (request) => {
  const { as } = queryOf(request, querySchema);
  const things = await listThings();
  if (as === 'csv')
    return new Response(thingsToCsv(things), {
      headers: {
        'content-type': 'text/csv; charset=utf-8',
        'content-disposition': 'attachment; filename="things.csv"',
        'cache-control': 'no-store',
      },
    });
  return answer({ things, ...(await aroundThings(things, Infinity)) });
});
