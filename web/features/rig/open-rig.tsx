'use client';

import { createContext, type ReactNode, useContext } from 'react';
import { useStore } from 'zustand';
import type { RigSession, RigState } from '@/session/state';
import type { EngineQueue } from '@/workers/queue';
import { EngineProvider } from '@/workers/useTask';

const SessionContext = createContext<RigSession | null>(null);
const RigIdContext = createContext('');

/** The open rig's id, for links. */
export const useRigId = (): string => useContext(RigIdContext);

/** The open rig's session. Only inside `OpenRig`. */
export const useRigSession = (): RigSession => {
  const session = useContext(SessionContext);
  if (!session) throw new Error('useRigSession is used where no rig is open');
  return session;
};

/** Part of the open rig's state; the component draws again when that part changes. */
export const useRig = <T,>(select: (state: RigState) => T): T =>
  useStore(useRigSession().store, select);

interface Props {
  readonly rigId: string;
  readonly session: RigSession;
  readonly engine: EngineQueue;
  readonly children: ReactNode;
}

/** What stands inside knows which rig is open, and can change it and ask the engine about it. */
export const OpenRig = ({ rigId, session, engine, children }: Props) => (
  <RigIdContext.Provider value={rigId}>
    <SessionContext.Provider value={session}>
      <EngineProvider value={engine}>{children}</EngineProvider>
    </SessionContext.Provider>
  </RigIdContext.Provider>
);
