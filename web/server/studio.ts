import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { database } from './database';
import { studio } from './schema';

/** Currencies a studio may write its prices in; a code of ISO 4217 that the browser knows how to write. */
export const currencySchema = z.enum([
  'EUR',
  'GBP',
  'USD',
  'AUD',
  'CAD',
  'CHF',
  'CZK',
  'DKK',
  'INR',
  'JPY',
  'NOK',
  'NZD',
  'PLN',
  'SEK',
  'ZAR',
]);
export type Currency = z.infer<typeof currencySchema>;

/** The one row of this table: one database is one studio. */
const ONLY = 1;

/** The studio's currency; EUR until one is chosen. */
export const findCurrency = async (): Promise<Currency> => {
  const [row] = await database().select().from(studio).where(eq(studio.id, ONLY));
  const parsed = currencySchema.safeParse(row?.currency);
  return parsed.success ? parsed.data : 'EUR';
};

export const setCurrency = async (currency: Currency): Promise<void> => {
  await database()
    .insert(studio)
    .values({ id: ONLY, currency })
    .onConflictDoUpdate({ target: studio.id, set: { currency } });
};
