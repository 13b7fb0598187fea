import type { Application } from './application';

/** A blank rig of a name. @returns its id */
export const make = async (application: Application, name: string): Promise<string> => {
  const response = await fetch(`${application.url}/api/shelf`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ does: 'create', name }),
  });
  return ((await response.json()) as { id: string }).id;
};
