import {
  blankRigOn,
  type Mains,
  mainsName,
  type Rig,
  settledIn,
  type Studio,
  studioSchema,
  UNSAID,
  USUAL_MAINS,
} from '@echo-loom/core';
import { eq } from 'drizzle-orm';
import { database } from './database';
import { studio } from './schema';

/** The one row of this table: one database is one studio. */
const ONLY = 1;

/** What the studio has settled; what a later version wrote and this one cannot read counts as not said. */
export const findStudio = async (): Promise<Studio> => {
  const [row] = await database().select().from(studio).where(eq(studio.id, ONLY));
  if (!row) return UNSAID;
  const said = Object.entries(row).filter(([key, value]) => {
    const field = Object.hasOwn(studioSchema.shape, key)
      ? studioSchema.shape[key as keyof Studio]
      : undefined;
    return field?.safeParse(value).success === true;
  });
  return { ...UNSAID, ...(Object.fromEntries(said) as Partial<Studio>) };
};

/** Settles some of it; the rest stays. */
export const settleStudio = async (part: Partial<Studio>): Promise<void> => {
  await database()
    .insert(studio)
    .values({ id: ONLY, currency: UNSAID.currency, ...part })
    .onConflictDoUpdate({ target: studio.id, set: { id: ONLY, ...part } });
};

/** The mains of a studio; null where nobody has said. */
export const mainsOf = ({ mains }: Studio): Mains | null =>
  USUAL_MAINS.find((usual) => mainsName(usual) === mains) ?? null;

/** A blank rig in this studio: on its mains, in its air, with its places. */
export const blankRigIn = (settled: Studio, name: string): Rig =>
  settledIn(blankRigOn(name, mainsOf(settled)), settled);
