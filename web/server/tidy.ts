import { forgetPutAway } from './rigs';

/** How often the shelf's cupboard is looked through. @unit ms */
const EVERY_MS = 6 * 60 * 60 * 1000;

/** Now and then deletes for good what was put away long ago. A database that is away is left for the next time. */
export const tidyUp = (): void => {
  const tidy = (): void => void forgetPutAway().catch(() => undefined);
  tidy();
  setInterval(tidy, EVERY_MS).unref();
};
