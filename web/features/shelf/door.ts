import { z } from 'zod';
import type { Studio } from '@echo-loom/core';

/** The shelf's way to the server. */

export type Deed =
  | { readonly does: 'create'; readonly name: string }
  | { readonly does: 'rename'; readonly id: string; readonly name: string }
  | { readonly does: 'duplicate' | 'put away' | 'put back'; readonly id: string }
  | { readonly does: 'tag'; readonly id: string; readonly tags: readonly string[] }
  | { readonly does: 'settle'; readonly studio: Partial<Studio> };

export type Answer =
  { readonly ok: true; readonly id: string } | { readonly ok: false; readonly says: string };

const answerSchema = z.object({ id: z.string().optional(), says: z.string().optional() });
const NO_SERVER = 'The server does not answer. Nothing was changed; try again in a moment.';

/** Does something with the shelf. @returns the id of a rig it made, or why it was not done */
export const shelfDo = async (deed: Deed): Promise<Answer> => {
  try {
    const headers = { 'content-type': 'application/json' };
    const response = await fetch('/api/shelf', {
      method: 'POST',
      headers,
      body: JSON.stringify(deed),
    });
    const { id = '', says = 'That did not work.' } = answerSchema.parse(await response.json());
    return response.ok ? { ok: true, id } : { ok: false, says };
  } catch {
    return { ok: false, says: NO_SERVER };
  }
};

const problemSchema = z.object({ path: z.string(), says: z.string() });
const fileAnswerSchema = answerSchema.extend({ problems: z.array(problemSchema).optional() });
export type FileProblem = z.infer<typeof problemSchema>;
export type FileAnswer =
  | { readonly ok: true; readonly id: string }
  | { readonly ok: false; readonly says: string; readonly problems: readonly FileProblem[] };

/** Sends a file. @param where the door it goes to */
export const sendFile = async (
  where: '/api/rigs/import' | '/api/restore',
  file: File,
): Promise<FileAnswer> => {
  try {
    const headers = { 'content-type': 'application/octet-stream' };
    const response = await fetch(where, { method: 'POST', headers, body: file });
    const {
      id = '',
      says = 'The file was not read.',
      problems = [],
    } = fileAnswerSchema.parse(await response.json());
    return response.ok ? { ok: true, id } : { ok: false, says, problems };
  } catch {
    return { ok: false, says: NO_SERVER, problems: [] };
  }
};
