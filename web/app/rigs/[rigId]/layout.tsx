import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { connection } from 'next/server';
import type { ReactNode } from 'react';
import { StudioProvider } from '@/features/rig/Studio';
import { Frame } from '@/features/rig/Frame';
import { RigProvider } from '@/features/rig/RigProvider';
import { Unreadable } from '@/features/shelf/Unreadable';
import { findRig, pageOfLog } from '@/server/rigs';
import { findStudio } from '@/server/studio';

interface Props {
  readonly params: Promise<{ rigId: string }>;
  readonly children: ReactNode;
}

export const generateMetadata = async ({ params }: Props): Promise<Metadata> => {
  await connection();
  const found = await findRig((await params).rigId);
  if (!found) return { title: 'No such rig' };
  return { title: found.read.ok ? found.read.rig.name : 'A rig that cannot be read' };
};

/** Opens the rig once for all its views: moving between them keeps edits that are not saved yet. */
const RigLayout = async ({ params, children }: Props) => {
  await connection();
  const { rigId } = await params;
  const found = await findRig(rigId);
  if (!found) notFound();
  if (!found.read.ok) return <Unreadable rigId={rigId} problems={found.read.problems} />;
  const studio = await findStudio();
  const entries = await pageOfLog(rigId, found.revision);
  return (
    <RigProvider rigId={rigId} saved={{ rig: found.read.rig, revision: found.revision, entries }}>
      <StudioProvider studio={studio}>
        <Frame rigId={rigId}>{children}</Frame>
      </StudioProvider>
    </RigProvider>
  );
};
export default RigLayout;
