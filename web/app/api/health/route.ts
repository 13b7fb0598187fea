import { answer, answering } from '@/server/answers';
import { healthPool } from '@/server/database';

export const dynamic = 'force-dynamic';

/** 200 when the application and its database answer, 503 when the database does not. Says which start of it this is. */
export const GET = answering(async () => {
  await healthPool().query('select 1');
  return answer({ status: 'well', instance: process.env.ECHO_LOOM_INSTANCE ?? null });
});
