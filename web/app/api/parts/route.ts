import { answer, answering } from '@/server/answers';
import { listParts } from '@/server/parts';

export const dynamic = 'force-dynamic';

/** Paths of everything the pages of this build are made of, for a browser that keeps a run. */
export const GET = answering(async () => answer({ parts: await listParts() }));
