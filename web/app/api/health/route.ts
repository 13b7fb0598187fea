import { sql } from 'drizzle-orm';
import { answering } from '@/server/answers';
import { database } from '@/server/database';

export const dynamic = 'force-dynamic';

/** 200 when the application and its database answer, 503 when the database does not. */
export const GET = (): Promise<Response> =>
  answering(async () => {
    await database().execute(sql`select 1`);
    return Response.json({ status: 'well' }, { headers: { 'cache-control': 'no-store' } });
  });
