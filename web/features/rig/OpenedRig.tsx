'use client';

import type { Analysis } from '@echo-loom/core';
import { useEffect, useState } from 'react';
import { Paper, type RigFacts } from './Paper';
import type { Room as RoomOf, RoomProps } from './Room';

interface Ready {
  readonly Room: typeof RoomOf;
  readonly first: Analysis;
}

/** A rig's page: what the server knows of it at once, and the open rig as soon as it is computed here. */
export const OpenedRig = ({ facts, ...room }: RoomProps & { readonly facts: RigFacts }) => {
  const [ready, setReady] = useState<Ready | null>(null);
  const [failed, setFailed] = useState<Error | null>(null);
  const { rigId, saved } = room;
  useEffect(() => {
    let isWanted = true;
    const open = async (): Promise<void> => {
      const { Room, firstAnalysis } = await import('./Room');
      const first = await firstAnalysis(saved.rig, () => isWanted);
      if (first && isWanted) setReady({ Room, first });
    };
    open().catch((error: unknown) => {
      if (isWanted) setFailed(error instanceof Error ? error : new Error(String(error)));
    });
    return () => {
      isWanted = false;
    };
    // What the server sends later reaches the open rig as events.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [rigId]);
  if (failed) throw failed;
  return ready ? (
    <ready.Room {...room} first={ready.first} />
  ) : (
    <Paper rigId={rigId} facts={facts} />
  );
};
