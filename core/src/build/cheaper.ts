import { type Analysis, reanalyse } from '../analyse';
import { CATALOGUE } from '../catalogue';
import {
  apply,
  type Device,
  entry,
  inOrder,
  type Model,
  Refusal,
  type Rig,
  type SimpleCommand,
  suggestedCable,
} from '../rig';
import { linksOf } from '../rig/links/plugs';
import { findingKey } from '../rules';
import type { Progress } from '../edits/gain/set';
import { moneyOf } from '../passes/money';

/**
 * Classes of the same kind that usually cost less, cheapest first; in a camera's place only such as are
 * known well enough for its shots to be judged.
 */
export const cheaperThan = ({ kind, typicalPrice, camera }: Model): Model[] =>
  typicalPrice === null
    ? []
    : CATALOGUE.filter(
        (model) =>
          model.kind === kind &&
          (camera === undefined || model.camera !== undefined) &&
          model.typicalPrice !== null &&
          model.typicalPrice < typicalPrice,
      ).sort((a, b) => (a.typicalPrice ?? 0) - (b.typicalPrice ?? 0));

/**
 * Another class in a device's place, its cables drawn again where another plug needs another cable.
 * @returns null where a cable would hang loose
 */
export const swapped = (rig: Rig, deviceId: string, model: Model): SimpleCommand[] | null => {
  const commands: SimpleCommand[] = [];
  const again: SimpleCommand[] = [];
  for (const linkId of linksOf(rig.links, deviceId)) {
    const link = entry(rig.links, linkId);
    if (!link) continue;
    const [from, to] = [link.from, link.to].map(({ deviceId: id, portId }) =>
      id === deviceId ? model.ports[portId] : entry(rig.devices, id)?.model.ports[portId],
    );
    const cable = from && to && suggestedCable(from, to);
    if (!cable) return null;
    commands.push({ type: 'disconnect', linkId });
    again.push({
      type: 'connect',
      linkId,
      from: link.from,
      to: link.to,
      cable: { kind: cable.kind, lengthM: link.cable.lengthM },
    });
  }
  return [...commands, { type: 'replaceModel', deviceId, model }, ...again];
};

/** Whether something presses that did not, or a camera has no lens that had one. */
export const isWorse = (before: ReadonlySet<string>, after: Analysis): boolean =>
  after.findings.some(
    (finding) =>
      (finding.level !== 'note' || finding.code === 'picture.lens-unknown') &&
      !before.has(findingKey(finding)),
  );

const priceOf = (rig: Rig): number => moneyOf(rig).toPay;

/** Whether every device of a list can be of a cheaper class, and nothing presses that did not before. */
const tryModel = (
  analysis: Analysis,
  ids: readonly string[],
  model: Model,
  complete: (analysis: Analysis) => Analysis,
): Analysis | null => {
  try {
    let { rig } = analysis;
    for (const id of ids) {
      const commands = swapped(rig, id, model);
      if (!commands) return null;
      rig = apply(rig, { type: 'batch', label: 'Swap', commands });
    }
    const after = complete(reanalyse(analysis, rig));
    return priceOf(after.rig) < priceOf(analysis.rig) &&
      !isWorse(new Set(analysis.findings.map(findingKey)), after)
      ? after
      : null;
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
};

/** Devices to buy, those of one class together. */
const groupsOf = ({ devices }: Rig): (readonly [Device, string[]])[] => {
  const byClass = new Map<string, [Device, string[]]>();
  for (const [id, device] of inOrder(devices)) {
    if (device.model.classId === null) continue;
    const known = byClass.get(device.model.classId);
    if (known) known[1].push(id);
    else byClass.set(device.model.classId, [device, [id]]);
  }
  return [...byClass.values()];
};

/** The first cheaper class that some devices of one class can all be of; as it was where there is none. */
const withCheaper = (
  analysis: Analysis,
  model: Model,
  ids: readonly string[],
  complete: (analysis: Analysis) => Analysis,
): Analysis => {
  const isStill = ids.every((id) => analysis.rig.devices[id]?.model.classId === model.classId);
  for (const cheaper of isStill ? cheaperThan(model) : []) {
    const after = tryModel(analysis, ids, cheaper, complete);
    if (after) return after;
  }
  return analysis;
};

/**
 * The same rig for less: every class is replaced by the cheapest of its kind that brings no stop and no
 * warning, those of one class together first and then one by one, until nothing can be replaced.
 * @param complete what a swapped device needs besides, such as a lens
 */
export const cheapen = (
  begin: Analysis,
  complete: (analysis: Analysis) => Analysis,
  onProgress?: Progress,
): Analysis => {
  let now = begin;
  for (;;) {
    const before = now;
    groupsOf(before.rig).forEach(([{ model }, ids], done, groups) => {
      onProgress?.(done, groups.length);
      now = withCheaper(now, model, ids, complete);
      if (ids.length > 1) for (const id of ids) now = withCheaper(now, model, [id], complete);
    });
    if (now === before) return now;
  }
};
