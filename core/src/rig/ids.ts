import { z } from 'zod';

/**
 * Ids are lower-case words joined by hyphens. `constructor` is the one such word every JavaScript
 * object answers to.
 */
export const ID_PATTERN = /^(?!constructor$)[a-z0-9]+(?:-[a-z0-9]+)*$/;

export const idSchema = z
  .string()
  .max(48)
  .regex(ID_PATTERN, 'expected lower-case letters and digits joined by hyphens, such as host-mic');

export const nameSchema = z
  .string()
  .trim()
  .min(1, 'expected a name')
  .max(80)
  .regex(/^[^\p{Cc}\p{Cs}]*$/u, 'expected text without control characters');

/**
 * The first free id of the form `stem`, `stem-2`, `stem-3` …: deterministic, so that the same fix
 * proposes the same command twice.
 * @param taken ids in use
 */
export const freeId = (
  stem: string,
  taken: ReadonlySet<string> | Readonly<Record<string, unknown>>,
): string => {
  const has = (id: string) => (taken instanceof Set ? taken.has(id) : Object.hasOwn(taken, id));
  const base =
    stem
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 40)
      .replace(/-+$/, '') || 'item';
  const safe = ID_PATTERN.test(base) ? base : `${base}-1`;
  if (!has(safe)) return safe;
  for (let n = 2; ; n++) if (!has(`${safe}-${n}`)) return `${safe}-${n}`;
};
