import { answer, answering, noSuchRig } from '@/server/answers';
import { openRig } from '@/server/rigs';

interface Context {
  readonly params: Promise<{ rigId: string }>;
}

/** A rig with the newest page of its log, for a page whose own has parted from the server's. */
export const GET = answering(async (_request, { params }: Context) => {
  const opened = await openRig((await params).rigId);
  return opened
    ? answer({ rig: opened.rig, revision: opened.revision, entries: opened.entries })
    : noSuchRig();
});
