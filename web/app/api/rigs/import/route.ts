import { MAX_FILE_BYTES } from '@echo-loom/core';
import { answer, answering, fileBody, problem } from '@/server/answers';
import { readFileApart } from '@/server/reading';
import { createRigFromText } from '@/server/rigs';

/** Puts the rig of a file on the shelf, or says what is wrong with the file and where; then nothing has changed. */
export const POST = answering(async (request) => {
  const read = await readFileApart(await fileBody(request, MAX_FILE_BYTES));
  if (!read.ok) return problem(422, 'The file was not imported.', { problems: read.problems });
  return answer({ id: await createRigFromText(read.document), name: read.name }, 201);
});
