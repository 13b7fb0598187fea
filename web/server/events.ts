import postgres from 'postgres';
import { databaseUrl } from './database';
import { CHANNEL } from './rigs';

type Listener = (revision: number) => void;

interface Hub {
  readonly listeners: Map<string, Set<Listener>>;
  client: postgres.Sql | null;
}

const store = globalThis as typeof globalThis & { echoLoomEvents?: Hub };

const hear = (hub: Hub, payload: string): void => {
  const [rigId = '', revision = ''] = payload.split(' ');
  for (const listener of hub.listeners.get(rigId) ?? []) listener(Number(revision));
};

/** One LISTEN connection a process; postgres.js opens it again by itself when the database comes back, and then everyone is told to look. */
const connect = (hub: Hub): postgres.Sql => {
  const client = postgres(databaseUrl(), { max: 1, onnotice: () => undefined });
  const lookAgain = () => {
    for (const listeners of hub.listeners.values()) for (const listener of listeners) listener(-1);
  };
  client.listen(CHANNEL, (payload) => hear(hub, payload), lookAgain).catch(() => {
    // The database is away: the next browser that opens a rig, or asks again, makes a new connection.
    if (hub.client === client) hub.client = null;
  });
  return client;
};

/**
 * Calls back whenever a rig has been saved by anyone, in any instance.
 * @param listener gets the new revision, or −1 after the connection was lost and something may have been missed
 * @returns a function that stops it
 */
export const onRigChange = (rigId: string, listener: Listener): (() => void) => {
  const hub = (store.echoLoomEvents ??= { listeners: new Map<string, Set<Listener>>(), client: null });
  const listeners = hub.listeners.get(rigId) ?? new Set<Listener>();
  hub.listeners.set(rigId, listeners.add(listener));
  hub.client ??= connect(hub);
  return () => {
    listeners.delete(listener);
    if (listeners.size === 0) hub.listeners.delete(rigId);
    if (hub.listeners.size > 0) return;
    void hub.client?.end({ timeout: 1 });
    hub.client = null;
  };
};
