import { readRig, type Rig } from '@echo-loom/core';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { ReactNode } from 'react';
import { Server } from '@/session/server-for-tests';
import type { RigSession } from '@/session/state';
import { drawWithRouter } from '@/ui/router-for-tests';
import { type Engine, EngineQueue } from '@/workers/queue';
import { EngineTasks } from '@/workers/tasks';
import { OpenRig } from './open-rig';

/** A rig of the demo. @throws where its file cannot be read */
export const demo = (name: string): Rig => {
  const text = readFileSync(path.resolve('demo', `${name}.rig.json`), 'utf8');
  const read = readRig(JSON.parse(text));
  if (!read.ok) throw new Error(`${name} cannot be read`);
  return read.rig;
};

/** The engine in this thread: the same tasks, without a door between. */
export const engineHere = (): Engine => ({
  // Each task answers at once where the worker's would answer later.
  tasks: new EngineTasks() as unknown as Engine['tasks'],
  end: () => undefined,
  onFailure: () => undefined,
});

export interface Open {
  readonly server: Server;
  readonly session: RigSession;
  /** Addresses that were gone to */
  readonly visited: readonly string[];
}

/** Draws something with a rig open. @param prepare what happened on the server before it was opened */
export const drawWithRig = (
  rig: Rig,
  children: ReactNode,
  prepare: (server: Server) => void = () => undefined,
): Open => {
  const server = new Server(rig.name);
  server.rig = rig;
  prepare(server);
  const session = server.open('one');
  const { visited } = drawWithRouter(
    <OpenRig rigId="a-rig" session={session} engine={new EngineQueue(engineHere)}>
      {children}
    </OpenRig>,
  );
  return { server, session, visited };
};
