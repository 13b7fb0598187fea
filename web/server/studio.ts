import { eq } from 'drizzle-orm';
import { type Mains, mainsName, USUAL_MAINS } from '@echo-loom/core';
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

/** What a studio may have said of its mains: one of the usual ones, by its name. */
export const mainsNameSchema = z.enum([...USUAL_MAINS.map(mainsName)]);

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

/** The mains new rigs begin with; null where nobody has said. */
export const findMains = async (): Promise<Mains | null> => {
  const [row] = await database().select().from(studio).where(eq(studio.id, ONLY));
  return USUAL_MAINS.find((mains) => mainsName(mains) === row?.mains) ?? null;
};

/** @param name as `mainsName` writes it; null = not said */
export const setMains = async (name: z.infer<typeof mainsNameSchema> | null): Promise<void> => {
  await database()
    .insert(studio)
    .values({ id: ONLY, currency: 'EUR', mains: name })
    .onConflictDoUpdate({ target: studio.id, set: { mains: name } });
};
