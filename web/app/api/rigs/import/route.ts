import { MAX_FILE_BYTES } from '@echo-loom/core';
import { answer, answering, fileBody, problem } from '@/server/answers';
import { readApart } from '@/server/reading';
import { createRigFromText } from '@/server/rigs';

/** Puts the rig of a file on the shelf, or says what is wrong with the file and where; then nothing has changed. */
export const POST = answering(async (request) => {
  const bytes = await fileBody(request, MAX_FILE_BYTES);
  const read = await readApart({ is: 'rig', bytes }, [bytes.buffer]);
  if (!read.ok) return problem(422, 'The file was not imported.', { problems: read.problems });
  return answer({ id: await createRigFromText(read.document), name: read.name }, 201);
});
