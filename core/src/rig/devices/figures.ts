import { refusals } from '../refusal';
import { modelSchema } from './checked-model';
import type { Model } from './model';

type Branch = Record<string, unknown>;
const isBranch = (value: unknown): value is Branch => typeof value === 'object' && value !== null;

/**
 * Figures of a model that a data sheet states, by path: numbers and unknowns of ports, routes and
 * the device itself, not settings.
 */
const FIGURE_PATH =
  /^((ports|routes)\.[a-z0-9-]+|camera|light|mixes|storage|work|battery|body|supply)(\.[A-Za-z0-9]+)+$/;

/** The figure at a path of a model. @returns undefined where the model has none there */
export const figureAt = (model: Model, path: string): number | null | undefined => {
  let at: unknown = model;
  for (const key of path.split('.'))
    at = isBranch(at) && Object.hasOwn(at, key) ? at[key] : undefined;
  return typeof at === 'number' || at === null ? at : undefined;
};

/** Paths of every figure of a model that a data sheet could state. */
export const figurePaths = (model: Model): string[] => {
  const paths: string[] = [];
  const walk = (value: unknown, path: string): void => {
    if (isBranch(value)) for (const key in value) walk(value[key], path ? `${path}.${key}` : key);
    else if (FIGURE_PATH.test(path) && figureAt(model, path) !== undefined) paths.push(path);
  };
  walk(model, '');
  return paths;
};

/**
 * A copy of the model with one figure replaced, or added where its class had none, and marked as stated by a
 * data sheet.
 * @param device name of the device, for the refusal
 * @throws Refusal where no such figure can be, or the model would not be valid
 */
export const setFigure = (
  device: string,
  model: Model,
  path: string,
  value: number | null,
): Model => {
  if (!FIGURE_PATH.test(path))
    throw refusals.badFigure(device, path, 'this device has no such figure');
  const copy = structuredClone(model);
  const keys = path.split('.');
  const last = keys.at(-1) ?? '';
  let at: unknown = copy;
  for (const key of keys.slice(0, -1))
    at = isBranch(at) && Object.hasOwn(at, key) ? at[key] : undefined;
  const there = isBranch(at) && Object.hasOwn(at, last) ? at[last] : null;
  if (!isBranch(at) || (there !== null && typeof there !== 'number'))
    throw refusals.badFigure(device, path, 'this device has no such figure');
  at[last] = value;
  copy.stated = [...new Set([...copy.stated, path])].sort();
  const parsed = modelSchema.safeParse(copy);
  if (!parsed.success) {
    const [issue] = parsed.error.issues;
    throw refusals.badFigure(
      device,
      path,
      issue?.code === 'unrecognized_keys'
        ? 'this device has no such figure'
        : (issue?.message ?? 'it is out of range'),
    );
  }
  return parsed.data;
};
