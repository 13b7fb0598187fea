import { z } from 'zod';
import { OWNERSHIPS } from '../devices/ownership';
import { idSchema, nameSchema } from '../ids';
import { orderSchema } from '../order';

/** Lenses: things of their own, which outlive the bodies they sit on. */

const millimetres = z.number().min(0.5).max(5000);

export const focalRangeSchema = z
  .strictObject({
    shortestMm: millimetres,
    /** The same for one that does not zoom */
    longestMm: millimetres,
  })
  .refine(({ shortestMm, longestMm }) => shortestMm <= longestMm, {
    message: 'expected shortestMm ≤ longestMm',
  });

export const lensSchema = z.strictObject({
  name: nameSchema,
  focal: focalRangeSchema,
  /** Widest aperture it has at every focal length, as its f-number */
  widest: z.number().min(0.5).max(64),
  massKg: z.number().positive().max(100),
  /** Nearer than this it does not focus, m from the sensor */
  nearestM: z.number().min(0).max(100),
  /** The bayonet or thread it has; it fits bodies that have the same */
  mount: nameSchema,
  price: z.number().min(0).max(1e9).nullable(),
  ownership: z.enum(OWNERSHIPS),
  /** Which of the studio's things it is; left out: nobody has said, or it is not there yet */
  thingId: idSchema.optional(),
  order: orderSchema,
});
export type Lens = z.infer<typeof lensSchema>;

/** Whether a lens has a focal length, to a hundredth of it. @param focalMm mm */
export const reachesFocal = (
  { focal: { shortestMm, longestMm } }: Pick<Lens, 'focal'>,
  focalMm: number,
): boolean => focalMm >= shortestMm * 0.99 && focalMm <= longestMm * 1.01;

/** `35 mm` or `24–70 mm`, with its widest aperture. */
export const lensText = ({ focal: { shortestMm, longestMm }, widest }: Lens): string =>
  `${shortestMm === longestMm ? shortestMm : `${shortestMm}–${longestMm}`} mm f/${widest}`;

const sameMount = (a: string, b: string): boolean => a.toLowerCase() === b.toLowerCase();

/** Whether a lens goes onto a body: one with another mount, or a lens that is built in, takes none. */
export const fitsOn = ({ mount }: Pick<Lens, 'mount'>, bodyMount: string | undefined): boolean =>
  bodyMount !== undefined && sameMount(mount, bodyMount);
