import type { Change, Command, Model, Rig, RunEvent, RunPlan, Thing } from '@echo-loom/core';
import type { RigDigest } from './digests/digest';
import {
  doublePrecision,
  index,
  integer,
  json,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
} from 'drizzle-orm/pg-core';

/** One row a rig: the document as it stands and how many commands made it so. */
export const rigs = pgTable(
  'rigs',
  {
    id: text('id').primaryKey(),
    document: json('document').$type<Rig>().notNull(),
    revision: integer('revision').notNull().default(0),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
    changedAt: timestamp('changed_at', { withTimezone: true }).notNull().defaultNow(),
    /** Set when the rig was taken off the shelf; it can be put back */
    deletedAt: timestamp('deleted_at', { withTimezone: true }),
  },
  (table) => [index('rigs_by_change').on(table.changedAt)],
);

/** The command log: entry n of a rig took it from revision n − 1 to n. */
export const entries = pgTable(
  'entries',
  {
    rigId: text('rig_id')
      .notNull()
      .references(() => rigs.id, { onDelete: 'cascade' }),
    revision: integer('revision').notNull(),
    entryId: text('entry_id').notNull(),
    author: text('author').notNull(),
    /** Version of the document its changes are written in; null = before that was kept, 0 = no upgrade reached it */
    version: integer('version'),
    command: json('command').$type<Command>().notNull(),
    changes: json('changes').$type<readonly Change[]>().notNull(),
    says: text('says').notNull(),
    /** An undo or redo: the entry it takes back or does again */
    reverts: text('reverts'),
    at: timestamp('at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.rigId, table.revision] }),
    uniqueIndex('entries_once').on(table.rigId, table.entryId),
    index('entries_reverts').on(table.rigId, table.reverts),
  ],
);

/** What holds for every rig of this database: one studio, one row. */
export const studio = pgTable('studio', {
  id: integer('id').primaryKey(),
  currency: text('currency').notNull(),
  /** Voltage and frequency of its mains, as new rigs begin with; null = not said */
  mains: text('mains'),
  /** °C; null = not said */
  temperatureC: doublePrecision('temperature_c'),
  places: json('places').$type<string[]>(),
  lengths: text('lengths'),
  paper: text('paper'),
});

/** Models of the studio’s own: every version that was saved, so that a rig can be brought up from any of them. */
export const ownModels = pgTable(
  'own_models',
  {
    id: text('id').notNull(),
    version: integer('version').notNull(),
    /** Version of the document whose models are written so */
    written: integer('written').notNull(),
    model: json('model').$type<Model>().notNull(),
    at: timestamp('at', { withTimezone: true }).notNull().defaultNow(),
    /** Set on every version when it was taken out of the library; it can be put back */
    deletedAt: timestamp('deleted_at', { withTimezone: true }),
  },
  (table) => [primaryKey({ columns: [table.id, table.version] })],
);

/** The studio’s things, each as it stands; the version counts its saves, so that nobody writes over another. */
export const things = pgTable('things', {
  id: text('id').primaryKey(),
  version: integer('version').notNull(),
  thing: json('thing').$type<Thing>().notNull(),
  at: timestamp('at', { withTimezone: true }).notNull().defaultNow(),
  /** Set when it was taken off the list; it can be put back */
  deletedAt: timestamp('deleted_at', { withTimezone: true }),
});

/** Runs of a rig: what was planned when each began. What happened in it stands in its events. */
export const runs = pgTable(
  'runs',
  {
    /** Given by whoever began it; the same run begun twice is one */
    id: text('id').primaryKey(),
    rigId: text('rig_id')
      .notNull()
      .references(() => rigs.id, { onDelete: 'cascade' }),
    plan: json('plan').$type<RunPlan>().notNull(),
    at: timestamp('at', { withTimezone: true }).notNull().defaultNow(),
    /** How many events it has: the place of the last */
    events: integer('events').notNull().default(0),
  },
  (table) => [index('runs_of_rig').on(table.rigId, table.at)],
);

/** What happened in a run: only ever added to. The place counts arrivals, the event says when it was. */
export const runEvents = pgTable(
  'run_events',
  {
    runId: text('run_id')
      .notNull()
      .references(() => runs.id, { onDelete: 'cascade' }),
    place: integer('place').notNull(),
    eventId: text('event_id').notNull(),
    event: json('event').$type<RunEvent>().notNull(),
    at: timestamp('at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.runId, table.place] }),
    uniqueIndex('run_events_once').on(table.runId, table.eventId),
  ],
);

/** What was worked out of a rig, once for each document: it may be thrown away at any time. */
export const digests = pgTable('digests', {
  rigId: text('rig_id')
    .primaryKey()
    .references(() => rigs.id, { onDelete: 'cascade' }),
  /** Which build of the application worked it out */
  engine: text('engine').notNull(),
  /** Which write of the rig's row it was worked out of, as PostgreSQL counts them */
  write: text('write').notNull(),
  body: json('body').$type<RigDigest>().notNull(),
});
