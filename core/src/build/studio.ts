import { z } from 'zod';
import { mainsName, USUAL_MAINS } from '../rig';

/** What a studio has settled for all its rigs. */

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

/** Its mains: one of the usual ones, by its name. */
export const mainsNameSchema = z.enum([...USUAL_MAINS.map(mainsName)]);

export const lengthsSchema = z.enum(['m', 'ft']);
export const paperSchema = z.enum(['A4', 'A3', 'Letter']);

export const studioSchema = z.strictObject({
  currency: currencySchema,
  /** Copied into a rig when it is made; null = not said */
  mains: mainsNameSchema.nullable(),
  /** Of the air where shows are made, °C; copied into a rig when it is made; null = 20 */
  temperatureC: z.number().min(-20).max(50).nullable(),
  /** Names of its rooms and corners; a new rig begins with them */
  places: z.array(z.string().trim().min(1).max(80)).max(20),
  /** How lengths are written on plans */
  lengths: lengthsSchema,
  /** What is printed on until another is chosen */
  paper: paperSchema,
});
export type Studio = z.infer<typeof studioSchema>;

/** Until somebody says otherwise. */
export const UNSAID: Studio = {
  currency: 'EUR',
  mains: null,
  temperatureC: null,
  places: [],
  lengths: 'm',
  paper: 'A4',
};
