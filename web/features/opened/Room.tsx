'use client';

import type { Analysis, Studio } from '@echo-loom/core';
import type { ReactNode } from 'react';
import type { Opened } from '@/session/log';
import { Frame } from './Frame';
import { RigProvider } from '@/features/rig/RigProvider';
import { StudioProvider } from '@/features/rig/Studio';

export { firstAnalysis } from './opening';

export interface RoomProps {
  readonly rigId: string;
  readonly saved: Opened;
  readonly studio: Studio;
  readonly children: ReactNode;
}

/** An open rig: all that is not needed to read what the server sends. */
export const Room = ({
  rigId,
  saved,
  first,
  studio,
  children,
}: RoomProps & { readonly first: Analysis }) => (
  <RigProvider rigId={rigId} saved={saved} first={first}>
    <StudioProvider studio={studio}>
      <Frame rigId={rigId}>{children}</Frame>
    </StudioProvider>
  </RigProvider>
);
