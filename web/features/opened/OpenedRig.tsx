'use client';

import type { Analysis } from '@echo-loom/core';
import { useEffect, useState } from 'react';
import { keepKeys, keepNoKeys } from './early-keys';
import { Paper, type RigFacts } from './Paper';
import { usePressed } from '@/features/rig/pressed';
import type { Room as RoomOf, RoomProps } from './Room';

interface Ready {
  readonly Room: typeof RoomOf;
  readonly first: Analysis;
}

/** Waits until no button of the pointer is down: a press that began on one page would end on another. */
const pointerUp = (isDown: () => boolean): Promise<void> =>
  isDown()
    ? new Promise((done) => {
        for (const end of ['pointerup', 'pointercancel'])
          window.addEventListener(end, () => setTimeout(done, 0), { once: true });
      })
    : Promise.resolve();

/** A rig's page: what the server knows of it at once, and the open rig as soon as it is computed here. */
export const OpenedRig = ({ facts, ...room }: RoomProps & { readonly facts: RigFacts }) => {
  const [ready, setReady] = useState<Ready | null>(null);
  const [failed, setFailed] = useState<Error | null>(null);
  const { rigId, saved } = room;
  useEffect(() => {
    let isWanted = true;
    let isDown = false;
    keepKeys();
    const press = () => {
      isDown = true;
    };
    const release = () => {
      isDown = false;
    };
    window.addEventListener('pointerdown', press);
    window.addEventListener('pointerup', release);
    window.addEventListener('pointercancel', release);
    const open = async (): Promise<void> => {
      const { Room, firstAnalysis } = await import('./Room');
      const first = await firstAnalysis(saved.rig, () => isWanted);
      await pointerUp(() => isDown);
      if (first && isWanted) setReady({ Room, first });
    };
    open().catch((error: unknown) => {
      if (isWanted) setFailed(error instanceof Error ? error : new Error(String(error)));
    });
    return () => {
      isWanted = false;
      keepNoKeys();
      // What was meant for this rig is not done in the next.
      usePressed.getState().take();
      usePressed.getState().takeKeys();
      window.removeEventListener('pointerdown', press);
      window.removeEventListener('pointerup', release);
      window.removeEventListener('pointercancel', release);
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
