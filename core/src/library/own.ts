import type { Model } from '../rig/devices/model';
import type { Rig } from '../rig/rig';
import { inOrder } from '../rig/order';
import type { SimpleCommand } from '../rig';
import { isBranch } from './schema';
import { wordsFor } from './words';

/** Models of the studio’s own, kept for all rigs by version; a device says which of them it was made from. */

/** A model as the library keeps it. */
export interface OwnModel {
  readonly id: string;
  /** From 1 up; each time it is saved it is one more */
  readonly version: number;
  readonly model: Model;
}

/** As it goes into a rig: with its own name in the library on it. */
export const stamped = ({ id, version, model }: OwnModel): Model => ({
  ...model,
  own: { modelId: id, version },
});

/** As it goes into the library: whatever rig it came from is no part of it. */
export const unstamped = ({ own: _own, ...model }: Model): Model => model;

/** A field that is not the same in two models. */
export interface Difference {
  /** From the model down, by words joined with dots */
  readonly path: string;
  readonly field: string;
  /** As text; null where it is not there */
  readonly before: string | null;
  readonly after: string | null;
}

const NOT_COMPARED: ReadonlySet<string> = new Set(['stated', 'spread', 'own']);

const asText = (value: unknown): string | null =>
  value === undefined
    ? null
    : value === null
      ? 'not known'
      : typeof value === 'object'
        ? JSON.stringify(value)
        : String(value);

/** Whose field it is, where it is one of several: a socket or a control by its name. */
const ownerAt = ([part = '', id]: readonly string[], models: readonly unknown[]): string => {
  const named = models
    .map((model) => valueAt(model, [part, id ?? '']))
    .find((value) => isBranch(value) && typeof (value['name'] ?? value['label']) === 'string');
  return isBranch(named) ? String(named['name'] ?? named['label']) : (id ?? '');
};

/** A field in words, as it stands among the others. */
const fieldAt = (path: readonly string[], ...models: readonly unknown[]): string =>
  path.length > 2
    ? `${ownerAt(path, models)}: ${wordsFor(path).label}`
    : path.length === 2 && LISTS.has(path[0] ?? '')
      ? ownerAt(path, models)
      : wordsFor(path).label;

/** Parts of a model that are kept by ids. */
const LISTS: ReadonlySet<string> = new Set(['ports', 'routes', 'controls']);

const walk = (
  before: unknown,
  after: unknown,
  path: string[],
  models: readonly unknown[],
  found: Difference[],
): void => {
  if (isBranch(before) && isBranch(after)) {
    for (const key of new Set([...Object.keys(before), ...Object.keys(after)]))
      if (path.length > 0 || !NOT_COMPARED.has(key))
        walk(before[key], after[key], [...path, key], models, found);
    return;
  }
  if (JSON.stringify(before) === JSON.stringify(after)) return;
  const { unit } = wordsFor(path);
  const withUnit = (text: string | null): string | null =>
    text !== null && unit && /^[−-]?[\d.]+$/.test(text) ? `${text} ${unit}` : text;
  found.push({
    path: path.join('.'),
    field: fieldAt(path, ...models),
    before: withUnit(asText(before)),
    after: withUnit(asText(after)),
  });
};

/** Where two models differ, field by field. */
export const differences = (before: Model, after: Model): Difference[] => {
  const found: Difference[] = [];
  walk(before, after, [], [before, after], found);
  return found;
};

/** The keys of a path, where it leads to something in a model. */
const valueAt = (model: unknown, path: readonly string[]): unknown =>
  path.reduce<unknown>((at, key) => (isBranch(at) ? at[key] : undefined), model);

const put = (model: Model, path: readonly string[], value: unknown): Model => {
  const copy = structuredClone(model);
  const parent = valueAt(copy, path.slice(0, -1));
  const last = path.at(-1);
  if (isBranch(parent) && last !== undefined) parent[last] = value;
  return copy;
};

/** What a device becomes when its model is brought up to a later version. */
export interface Updated {
  readonly model: Model;
  /** What changes, from the device as it is */
  readonly changes: readonly Difference[];
  /** Figures that were typed into this rig, and stay */
  readonly kept: readonly Difference[];
}

/**
 * A later version of a model in place of an earlier one. What somebody typed over in the rig stays: it was
 * measured on this very thing, and the library knows nothing of it.
 * @param base the version the device was made from @param mine as it is in the rig
 */
export const updated = (base: Model, mine: Model, next: OwnModel): Updated => {
  const kept = differences(base, mine).filter(({ path }) => {
    const keys = path.split('.');
    const value = valueAt(mine, keys);
    const isTyped = mine.stated.includes(path) && (typeof value === 'number' || value === null);
    return isTyped && valueAt(next.model, keys) !== undefined;
  });
  const model = kept.reduce((now, { path }) => {
    const keys = path.split('.');
    return put(now, keys, valueAt(mine, keys));
  }, stamped(next));
  const withStated: Model = {
    ...model,
    stated: [...new Set([...model.stated, ...kept.map(({ path }) => path)])].sort(),
  };
  return {
    model: withStated,
    changes: differences(mine, withStated),
    kept,
  };
};

/** Devices of a rig that were made from a model of the library. */
export const devicesOf = (rig: Rig, modelId: string): { deviceId: string; version: number }[] =>
  inOrder(rig.devices).flatMap(([deviceId, { model }]) =>
    model.own?.modelId === modelId ? [{ deviceId, version: model.own.version }] : [],
  );

/** What would be done to one device. */
export interface DeviceUpdate extends Updated {
  readonly deviceId: string;
  readonly name: string;
  readonly from: number;
}

/**
 * Every device of a rig that is behind, brought up to a version.
 * @param versions every version there was, oldest first
 */
export const updatesFor = (rig: Rig, versions: readonly OwnModel[]): DeviceUpdate[] => {
  const next = versions.at(-1);
  if (!next) return [];
  return devicesOf(rig, next.id).flatMap(({ deviceId, version }) => {
    const device = rig.devices[deviceId];
    if (!device || version >= next.version) return [];
    // A version that is no longer there: every stated figure that differs is taken to be of the rig.
    const base = versions.find((one) => one.version === version)?.model ?? next.model;
    return [{ deviceId, name: device.name, from: version, ...updated(base, device.model, next) }];
  });
};

/** The same as one edit. */
export const updateCommands = (updates: readonly DeviceUpdate[]): SimpleCommand[] =>
  updates.map(({ deviceId, model }) => ({ type: 'replaceModel', deviceId, model }));
