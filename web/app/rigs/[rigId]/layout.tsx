import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { connection } from 'next/server';
import { cache, type ReactNode } from 'react';
import { OpenedRig } from '@/features/opened/OpenedRig';
import type { RigFacts } from '@/features/opened/Paper';
import { Unreadable } from '@/features/shelf/Unreadable';
import { digested } from '@/server/digests';
import { findRig, pageOfLog } from '@/server/rigs';
import { findStudio } from '@/server/studio';

interface Props {
  readonly params: Promise<{ rigId: string }>;
  readonly children: ReactNode;
}

/** How long a page waits for what its rig comes to, where it is not known yet. @unit ms */
const PATIENCE_MS = 600;

/** Once for a page: its title asks too. */
const found = cache(findRig);

export const generateMetadata = async ({ params }: Props): Promise<Metadata> => {
  await connection();
  const rig = await found((await params).rigId);
  if (!rig) return { title: 'No such rig' };
  return { title: rig.read.ok ? rig.read.rig.name : 'A rig that cannot be read' };
};

const factsOf = async (rigId: string, name: string): Promise<RigFacts> => {
  const [one] = await digested(rigId, PATIENCE_MS);
  const digest = one?.isNow && one.digest?.is === 'read' ? one.digest : null;
  if (!digest) return { name, known: null };
  const { verdict, devices, cables, people } = digest;
  return { name, known: { verdict, devices, cables, people, found: digest.found } };
};

/** Opens the rig once for all its views: moving between them keeps edits that are not saved yet. */
const RigLayout = async ({ params, children }: Props) => {
  await connection();
  const { rigId } = await params;
  const rig = await found(rigId);
  if (!rig) notFound();
  if (!rig.read.ok) return <Unreadable rigId={rigId} problems={rig.read.problems} />;
  const [studio, entries, facts] = await Promise.all([
    findStudio(),
    pageOfLog(rigId, rig.revision),
    factsOf(rigId, rig.read.rig.name),
  ]);
  return (
    <OpenedRig
      rigId={rigId}
      saved={{ rig: rig.read.rig, revision: rig.revision, entries }}
      studio={studio}
      facts={facts}
    >
      {children}
    </OpenedRig>
  );
};
export default RigLayout;
