import {
  devicesOf,
  type DeviceUpdate,
  idSchema,
  modelSchema,
  type OwnModel,
  RIG_VERSION,
  updateCommands,
  updatesFor,
} from '@echo-loom/core';
import { and, asc, desc, eq, isNull, sql } from 'drizzle-orm';
import { nanoid } from 'nanoid';
import { database } from './database';
import { findRig, listRigs, standOf } from './rigs';
import { saveEntries } from './save';
import { ownModels } from './schema';

/** The library of the studio: its own models, by version, and the rigs that use them. */

interface Row {
  readonly id: string;
  readonly version: number;
  readonly model: unknown;
}

const columns = { id: ownModels.id, version: ownModels.version, model: ownModels.model };

/** What a later version wrote and this one cannot read is not in the library as long as that is so. */
const readable = (rows: readonly Row[]): OwnModel[] =>
  rows.flatMap(({ id, version, model }) =>
    modelSchema.safeParse(model).success
      ? [{ id, version, model: model as OwnModel['model'] }]
      : [],
  );

/** The latest version of every model, by name. */
export const listOwnModels = async (): Promise<OwnModel[]> => {
  const rows = await database()
    .selectDistinctOn([ownModels.id], columns)
    .from(ownModels)
    .where(isNull(ownModels.deletedAt))
    .orderBy(asc(ownModels.id), desc(ownModels.version));
  return readable(rows).sort((a, b) => a.model.name.localeCompare(b.model.name, 'en'));
};

/**
 * Every version of a model, oldest first. Ids come from addresses, where anything can stand: what cannot be one
 * never reaches the database.
 * @returns none where it is not in the library
 */
export const versionsOf = async (id: string): Promise<OwnModel[]> => {
  if (!idSchema.safeParse(id).success) return [];
  const rows = await database()
    .select(columns)
    .from(ownModels)
    .where(and(eq(ownModels.id, id), isNull(ownModels.deletedAt)))
    .orderBy(asc(ownModels.version));
  return readable(rows);
};

/** Ids that have been given, also of models that were taken out. */
export const usedIds = async (): Promise<Set<string>> =>
  new Set(
    (await database().selectDistinct({ id: ownModels.id }).from(ownModels)).map(({ id }) => id),
  );

/** A model as it is to be kept. */
export interface ToSave {
  readonly id: string;
  /** The version it was made from; 0 for a new one */
  readonly from: number;
  readonly model: OwnModel['model'];
}

/** Somebody else saved a version in between. */
export class SavedMeanwhile extends Error {
  constructor(
    readonly id: string,
    readonly version: number,
  ) {
    super('saved meanwhile');
  }
}

/**
 * Keeps models, each as one version more: all of them or none.
 * @throws SavedMeanwhile where one of them was made from another version than the latest
 */
export const saveOwnModels = async (all: readonly ToSave[]): Promise<OwnModel[]> =>
  database().transaction(async (transaction) => {
    const saved: OwnModel[] = [];
    // One at a time, in every instance: two that save the same would both be the next version.
    await transaction.execute(sql`lock table ${ownModels} in share row exclusive mode`);
    for (const { id, from, model } of all) {
      const [latest] = await transaction
        .select({ version: ownModels.version })
        .from(ownModels)
        .where(eq(ownModels.id, id))
        .orderBy(desc(ownModels.version))
        .limit(1);
      if ((latest?.version ?? 0) !== from) throw new SavedMeanwhile(id, latest?.version ?? 0);
      const row = { id, version: from + 1, model, written: RIG_VERSION };
      await transaction.insert(ownModels).values(row);
      // What is saved is in the library again, with all its versions.
      await transaction.update(ownModels).set({ deletedAt: null }).where(eq(ownModels.id, id));
      saved.push({ id, version: row.version, model });
    }
    return saved;
  });

/** Takes a model out of the library, or puts it back. Rigs keep what they were made with. */
export const setModelDeleted = async (id: string, isDeleted: boolean): Promise<boolean> => {
  const rows = await database()
    .update(ownModels)
    .set({ deletedAt: isDeleted ? sql`now()` : null })
    .where(eq(ownModels.id, id))
    .returning({ id: ownModels.id });
  return rows.length > 0;
};

/** A rig that uses a model, and what would change there. */
export interface UsedIn {
  readonly rigId: string;
  readonly name: string;
  readonly devices: number;
  readonly updates: readonly DeviceUpdate[];
}

/** Every rig of the shelf that uses a model, with what its latest version would change. */
export const usesOf = async (versions: readonly OwnModel[]): Promise<UsedIn[]> => {
  const id = versions.at(-1)?.id;
  if (id === undefined) return [];
  const all = await listRigs();
  return all.flatMap(({ id: rigId, read }) => {
    const devices = read.ok ? devicesOf(read.rig, id).length : 0;
    return read.ok && devices > 0
      ? [{ rigId, name: read.rig.name, devices, updates: updatesFor(read.rig, versions) }]
      : [];
  });
};

/**
 * Brings a rig up to the latest version, as one edit of its log in somebody's name.
 * @returns why not; null where it is done
 */
export const updateRig = async (
  rigId: string,
  versions: readonly OwnModel[],
  author: string,
): Promise<string | null> => {
  const [found, on] = [await findRig(rigId), await standOf(rigId)];
  if (!found?.read.ok || !on) return 'There is no such rig; it may have been taken off the shelf.';
  const commands = updateCommands(updatesFor(found.read.rig, versions));
  const name = versions.at(-1)?.model.name ?? '';
  if (commands.length === 0) return null;
  const saved = await saveEntries(rigId, {
    version: RIG_VERSION,
    on,
    entries: [
      {
        id: nanoid(),
        author,
        command: { type: 'batch', label: `Brought ${name} up to date`, commands },
      },
    ],
  });
  if (saved.status !== 'taken') return 'The rig was changed meanwhile. Try again.';
  return saved.refused[0]?.why ?? null;
};
