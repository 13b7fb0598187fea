import type { RigEvent } from '@/session/protocol';
import { Socket } from 'node:net';
import pg from 'pg';
import { CHANNEL, type Notice, noticeSchema } from './channel';
import { databaseUrl } from './database';
import { entriesAfter } from './rigs';

type Listener = (event: RigEvent) => void;

/** A rig that somebody here listens to. */
interface Heard {
  readonly listeners: Set<Listener>;
  /** Latest revision told; null until one is known */
  told: number | null;
  /** Latest revision heard of */
  latest: number;
  isReading: boolean;
}

interface Hub {
  readonly rigs: Map<string, Heard>;
  /** Set while there is anyone to listen for */
  isListening: boolean;
}

const store = globalThis as typeof globalThis & { echoLoomEvents?: Hub };
const theHub = (): Hub => (store.echoLoomEvents ??= { rigs: new Map(), isListening: false });

/** How long after a lost connection the next one is tried. @unit ms */
const AGAIN_MS = 200;
/** Most entries pushed at once; more are fetched by who wants them. */
const PUSHED = 50;

const tell = (heard: Heard, event: RigEvent): void => {
  for (const listener of heard.listeners) listener(event);
};

/** Reads what is new in a rig's log once, however many listen, and passes it on. */
const passOn = async (rigId: string, heard: Heard): Promise<void> => {
  if (heard.isReading) return;
  heard.isReading = true;
  try {
    while (heard.told !== null && heard.latest > heard.told && heard.listeners.size > 0) {
      const fresh = await entriesAfter(rigId, heard.told);
      const revision = fresh.at(-1)?.revision ?? heard.latest;
      heard.told = revision;
      heard.latest = Math.max(heard.latest, revision);
      const entries = fresh.length > 0 && fresh.length <= PUSHED ? { entries: fresh } : {};
      tell(heard, { tells: 'entries', rigId, revision, ...entries });
    }
  } catch {
    // The database went away between: everyone looks again when it is back.
    heard.told = null;
    tell(heard, { tells: 'look', rigId });
  } finally {
    heard.isReading = false;
  }
};

const hear = (hub: Hub, { rigId, saved }: Notice): void => {
  for (const [id, heard] of hub.rigs) {
    if (rigId !== null && rigId !== id) continue;
    if (saved === null) {
      heard.told = null;
      heard.latest = 0;
      tell(heard, { tells: 'look', rigId: id });
      continue;
    }
    heard.latest = Math.max(heard.latest, saved.revision);
    heard.told ??= saved.since;
    void passOn(id, heard);
  }
};

const parseNotice = (payload: string | undefined): Notice | null => {
  try {
    return noticeSchema.parse(JSON.parse(payload ?? ''));
  } catch {
    return null;
  }
};

/**
 * One connection that listens, until it breaks. Everyone is told to look when it stands: something
 * may have been missed.
 */
const listenOnce = async (hub: Hub): Promise<void> => {
  const client = new pg.Client({
    connectionString: databaseUrl(),
    connectionTimeoutMillis: 2000,
    keepAlive: true,
    // It is the web server that keeps the process alive, not this.
    stream: () => new Socket().unref(),
  });
  const ended = new Promise<void>((done) => {
    client.on('error', () => done());
    client.on('end', () => done());
  });
  client.on('notification', ({ payload }) => {
    const notice = parseNotice(payload);
    if (notice) hear(hub, notice);
  });
  try {
    await client.connect();
    await client.query(`listen ${CHANNEL}`);
    hear(hub, { rigId: null, saved: null });
    await ended;
  } finally {
    client.end().catch(() => undefined);
  }
};

/** One LISTEN connection a process, opened again for as long as the process lives. */
const keepListening = async (hub: Hub): Promise<never> => {
  for (;;) {
    await listenOnce(hub).catch(() => undefined);
    await new Promise((done) => setTimeout(done, AGAIN_MS).unref());
  }
};

/**
 * Calls back whenever a rig has been saved by anyone, in any instance.
 * @returns a function that stops it
 */
export const onRigChange = (rigId: string, listener: Listener): (() => void) => {
  const hub = theHub();
  const heard = hub.rigs.get(rigId) ?? {
    listeners: new Set<Listener>(),
    told: null,
    latest: 0,
    isReading: false,
  };
  heard.listeners.add(listener);
  hub.rigs.set(rigId, heard);
  if (!hub.isListening) {
    hub.isListening = true;
    void keepListening(hub);
  }
  return () => {
    heard.listeners.delete(listener);
    if (heard.listeners.size === 0) hub.rigs.delete(rigId);
  };
};
