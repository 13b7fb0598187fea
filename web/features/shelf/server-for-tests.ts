import { screen, within } from '@testing-library/react';

/** A request, as it was made. */
interface Sent {
  readonly where: string;
  readonly body: unknown;
}

/** A server that answers every request the same way. */
export const serverThat = (status: number, answer: unknown): Sent[] => {
  const sent: Sent[] = [];
  globalThis.fetch = (where, init) => {
    const body = init?.body;
    sent.push({
      where: typeof where === 'string' ? where : 'elsewhere',
      body: typeof body === 'string' ? (JSON.parse(body) as unknown) : body,
    });
    if (status === 0) return Promise.reject(new TypeError('Failed to fetch'));
    return Promise.resolve({
      ok: status < 400,
      status,
      json: () => Promise.resolve(answer),
    } as Response);
  };
  return sent;
};

/** What stands in the dialog that is open. */
export const inDialog = async () => within(await screen.findByRole('dialog'));
