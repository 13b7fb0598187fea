import {
  type Command,
  freeId,
  type OwnThing,
  RIG_VERSION,
  type Thing,
  type ThingFinding,
  thingFindings,
  thingSchema,
  type Use,
} from '@echo-loom/core';
import { eq, isNull, sql } from 'drizzle-orm';
import { nanoid } from 'nanoid';
import { database } from './database';
import { digested } from './digests';
import { standOf } from './rigs';
import { saveEntries } from './save';
import { things } from './schema';

/** The studio's things: each as it stands, and what is wrong between them and the rigs. */

const columns = { id: things.id, version: things.version, thing: things.thing };

/** What a later version wrote and this one cannot read is not on the list as long as that is so. */
export const listThings = async (): Promise<OwnThing[]> => {
  const rows = await database().select(columns).from(things).where(isNull(things.deletedAt));
  return rows
    .filter(({ thing }) => thingSchema.safeParse(thing).success)
    .sort((a, b) => a.thing.name.localeCompare(b.thing.name, 'en') || (a.id < b.id ? -1 : 1));
};

/** A thing as it is to be kept. */
export interface ThingToSave {
  /** null for a new one; one that nobody has given yet is kept as it is asked for */
  readonly id: string | null;
  /** The version it was made from; 0 for a new one */
  readonly from: number;
  /** null takes it off the list */
  readonly thing: Thing | null;
}

/** Somebody else saved it in between. */
export class ThingSavedMeanwhile extends Error {
  constructor(readonly thingName: string) {
    super('saved meanwhile');
  }
}

/** How a thing stood, and which version it stands at now: what undo needs. */
export interface SavedThing {
  readonly id: string;
  readonly version: number;
  readonly before: Thing | null;
}

/**
 * Keeps things, changes them, takes them off the list: all of it or nothing.
 * @throws ThingSavedMeanwhile where one of them was made from another version than the latest
 */
export const saveThings = async (all: readonly ThingToSave[]): Promise<SavedThing[]> =>
  database().transaction(async (transaction) => {
    // One at a time, in every instance: two that save the same would both be the next version.
    await transaction.execute(sql`lock table ${things} in share row exclusive mode`);
    const rows = await transaction.select().from(things);
    const there = new Map(rows.map((row) => [row.id, row]));
    const taken = new Set(there.keys());
    const saved: SavedThing[] = [];
    for (const { id: asked, from, thing } of all) {
      const row = asked === null ? undefined : there.get(asked);
      // What was taken off counts as never there for whoever types it anew, but not for who takes that back.
      const isNew = from === 0 && (row === undefined || row.deletedAt !== null);
      if (!isNew && (row?.version ?? 0) !== from)
        throw new ThingSavedMeanwhile(row?.thing.name ?? thing?.name ?? '');
      const id =
        asked !== null && (row || !taken.has(asked))
          ? asked
          : freeId(thing?.name ?? 'thing', taken);
      taken.add(id);
      const version = (row?.version ?? 0) + 1;
      const before = row && row.deletedAt === null ? row.thing : null;
      const values = {
        id,
        version,
        thing: thing ?? row?.thing,
        at: new Date(),
        deletedAt: thing === null ? new Date() : null,
      };
      if (values.thing === undefined) throw new ThingSavedMeanwhile('');
      const { thing: body } = values;
      if (row)
        await transaction
          .update(things)
          .set({ ...values, thing: body })
          .where(eq(things.id, id));
      else await transaction.insert(things).values({ ...values, thing: body });
      saved.push({ id, version, before });
    }
    return saved;
  });

/** Where every thing is used, and what is wrong. */
export interface ThingsAround {
  readonly uses: readonly Use[];
  readonly findings: readonly ThingFinding[];
  /** Rigs that could not be read: nothing is known of what they use */
  readonly unread: number;
  /** Rigs that changed and are not worked out yet: what stands here of them is of before, or nothing */
  readonly behind: number;
}

/** @param patienceMs how long rigs that changed are waited for */
export const aroundThings = async (
  all: readonly OwnThing[],
  patienceMs?: number,
): Promise<ThingsAround> => {
  const rigs = await digested(undefined, patienceMs);
  const uses = rigs.flatMap(({ digest }) => (digest?.is === 'read' ? digest.uses : []));
  return {
    uses,
    findings: thingFindings(all, uses),
    unread: rigs.filter(({ digest }) => digest?.is === 'unreadable').length,
    behind: rigs.filter(({ isNow }) => !isNow).length,
  };
};

/**
 * Does to a rig what a finding offers, as one edit of its log in somebody's name.
 * @returns why not; null where it is done
 */
export const takeInRig = async (
  rigId: string,
  command: Extract<Command, { type: 'takeThing' }>,
  author: string,
): Promise<string | null> => {
  const on = await standOf(rigId);
  if (!on) return 'There is no such rig; it may have been taken off the shelf.';
  const saved = await saveEntries(rigId, {
    version: RIG_VERSION,
    on,
    entries: [{ id: nanoid(), author, command }],
  });
  if (saved.status !== 'taken') return 'The rig was changed meanwhile. Try again.';
  return saved.refused[0]?.why ?? null;
};
