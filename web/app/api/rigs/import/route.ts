import { importRig, MAX_FILE_BYTES } from '@echo-loom/core';
import { answering, problem, readBody } from '@/server/answers';
import { createRig } from '@/server/rigs';

/** Puts the rig of a file on the shelf, or says everything that is wrong with the file and where; then nothing has changed. */
export const POST = (request: Request): Promise<Response> =>
  answering(async () => {
    const bytes = await readBody(request, MAX_FILE_BYTES + 1);
    if (!bytes) return problem(422, 'The file was not imported.', { problems: [{ path: 'file', says: `expected at most ${MAX_FILE_BYTES / 1024 / 1024} MB` }] });
    const imported = importRig(bytes);
    if (!imported.ok) return problem(422, 'The file was not imported.', { problems: imported.problems });
    return Response.json({ id: await createRig(imported.rig), name: imported.rig.name }, { status: 201 });
  });
