import { Readable } from 'node:stream';
import { answering } from '@/server/answers';
import { backupName, writeBackup } from '@/server/backup/write';
import { healthPool } from '@/server/database';

export const dynamic = 'force-dynamic';

/** Everything in the database as one file. */
export const GET = answering(async () => {
  // A database that is away is said so here: once the file has begun, it could only be cut off.
  await healthPool().query('select 1');
  const body = Readable.toWeb(writeBackup()) as ReadableStream<Uint8Array>;
  return new Response(body, {
    headers: {
      'content-type': 'application/gzip',
      'content-disposition': `attachment; filename="${backupName(new Date())}"`,
      'cache-control': 'no-store',
    },
  });
});
