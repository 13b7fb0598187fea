import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream as NodeStream } from 'node:stream/web';
import { answer, answering, mustSay, problem } from '@/server/answers';
import { BackupProblem } from '@/server/backup/format';
import { bringLogsUp } from '@/server/logs';
import { restoreBackup } from '@/server/backup/restore';
import { MIGRATIONS_FOLDER } from '@/server/migrate';

/** Largest backup taken. @unit bytes */
const MAX_BYTES = 2 * 1024 ** 3;

const atMost = (limit: number): Transform => {
  let size = 0;
  return new Transform({
    transform: (chunk: Buffer, _encoding, done) => {
      size += chunk.length;
      if (size > limit) done(new BackupProblem(`It is larger than ${limit / 1024 ** 3} GB.`));
      else done(null, chunk);
    },
  });
};

/**
 * Puts everything of a backup in the place of everything that is there. The file is read whole
 * before anything changes.
 */
export const POST = answering(async (request) => {
  mustSay(request, 'application/octet-stream');
  if (!request.body)
    return problem(422, 'Nothing was restored.', {
      problems: [{ path: 'file', says: 'It is empty.' }],
    });
  const folder = await mkdtemp(path.join(tmpdir(), 'echo-loom-restore-'));
  const file = path.join(folder, 'backup.gz');
  try {
    const body = Readable.fromWeb(request.body as NodeStream<Uint8Array>);
    await pipeline(body, atMost(MAX_BYTES), createWriteStream(file, { mode: 0o600 }));
    const restored = await restoreBackup(file, MIGRATIONS_FOLDER);
    await bringLogsUp();
    return answer(restored);
  } catch (error) {
    if (!(error instanceof BackupProblem)) throw error;
    return problem(422, 'Nothing was restored.', {
      problems: [{ path: 'file', says: error.message }],
    });
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
});
