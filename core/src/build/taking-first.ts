import { type Analysis, reanalyse } from '../analyse';
import { withDelays, withGains } from './finish';
import { pressingOf } from './settle';
import { CATALOGUE } from '../catalogue';
import { compareIn } from '../library/compare';
import { type OwnModel, stamped } from '../library/own';
import { apply, type Command, type Model, type Rig } from '../rig';
import { freeId } from '../rig/ids';
import { reachesFocal } from '../rig/lenses/schema';
import { inOrder } from '../rig/order';
import type { OwnThing } from '../things/schema';
import { asLens, isFit, modelRefOf, takeCommand, usesIn } from '../things/uses';

/** A rig that takes what the studio has before anything is bought. */

/** What there is to take from. */
export interface Stock {
  readonly things: readonly OwnThing[];
  readonly models: readonly OwnModel[];
}

export const NO_STOCK: Stock = { things: [], models: [] };

/** So many of each thing are still to be had, by its id. */
const leftOf = (rig: Rig, { things }: Stock): Map<string, number> => {
  const left = new Map(
    things
      .filter(({ thing }) => thing.had !== 'wanted' && isFit(thing))
      .map(({ id, thing }) => [id, thing.count]),
  );
  for (const { thingId } of usesIn({ id: '', rig }))
    left.set(thingId, (left.get(thingId) ?? 0) - 1);
  return left;
};

const modelOf = ({ models }: Stock, modelRef: string): Model | null => {
  const own = models.find(({ id }) => `own:${id}` === modelRef);
  if (own) return stamped(own);
  return CATALOGUE.find((model) => modelRefOf(model) === modelRef) ?? null;
};

/** What the studio has is taken before what it has borrowed; of two alike, the first by name. */
const ownFirst = (a: OwnThing, b: OwnThing): number =>
  Number(a.thing.had !== 'owned') - Number(b.thing.had !== 'owned') ||
  a.thing.name.localeCompare(b.thing.name, 'en') ||
  (a.id < b.id ? -1 : 1);

const isToBuy = (ownership: string): boolean =>
  ownership === 'to buy' || ownership === 'second-hand';

/** Gains and delays of another model are its own: they are set again where it brings something that presses. */
const settledWith = (before: Analysis, swappedIn: Analysis): Analysis | null => {
  const was = pressingOf(before);
  const isBetter = (now: Analysis) => [...pressingOf(now)].every((key) => was.has(key));
  if (isBetter(swappedIn)) return swappedIn;
  const set = withDelays(withGains(swappedIn));
  return isBetter(set) ? set : null;
};

/** Another model of the same kind that the studio has, where it brings nothing that presses. */
const swapped = (
  analysis: Analysis,
  deviceId: string,
  kind: Model['kind'],
  stock: Stock,
  candidates: readonly OwnThing[],
): Analysis | null => {
  for (const own of candidates) {
    const model = own.thing.modelRef === null ? null : modelOf(stock, own.thing.modelRef);
    if (model?.kind !== kind) continue;
    const [tried] = compareIn(analysis, deviceId, [model]);
    if (!tried || tried.why !== null) continue;
    const command: Command = {
      type: 'batch',
      label: `Took ${own.thing.name} from what there is`,
      commands: [...tried.commands, takeCommand('device', deviceId, own)],
    };
    const next = settledWith(analysis, reanalyse(analysis, apply(analysis.rig, command)));
    if (next) return next;
  }
  return null;
};

const withDevices = (begin: Analysis, stock: Stock): Analysis => {
  let now = begin;
  const left = leftOf(now.rig, stock);
  const devices = stock.things.filter(({ thing }) => thing.is === 'device').sort(ownFirst);
  const free = () => devices.filter(({ id }) => (left.get(id) ?? 0) > 0);
  const takes = (ownId: string) => left.set(ownId, (left.get(ownId) ?? 0) - 1);
  const wanting = () => inOrder(now.rig.devices).filter(([, { ownership }]) => isToBuy(ownership));
  // The very same model first, for all of them: a swap never takes what another device is.
  for (const [deviceId, { model }] of wanting()) {
    const own = free().find(({ thing }) => thing.modelRef === modelRefOf(model));
    if (!own) continue;
    now = reanalyse(now, apply(now.rig, takeCommand('device', deviceId, own)));
    takes(own.id);
  }
  for (const [deviceId, { model }] of wanting()) {
    const others = free().filter(({ thing }) => thing.modelRef !== modelRefOf(model));
    const next = swapped(now, deviceId, model.kind, stock, others);
    if (!next) continue;
    now = next;
    const taken = now.rig.devices[deviceId]?.thingId;
    if (taken !== undefined) takes(taken);
  }
  return now;
};

/** A lens of the same mount that reaches what the one in the rig is set to, and opens as wide. */
const withLenses = (begin: Rig, stock: Stock): Rig => {
  let rig = begin;
  const left = leftOf(rig, stock);
  const lenses = stock.things.filter(({ thing }) => thing.is === 'lens').sort(ownFirst);
  for (const [lensId, lens] of inOrder(begin.lenses)) {
    if (!isToBuy(lens.ownership)) continue;
    const own = lenses.find(
      ({ id, thing }) =>
        (left.get(id) ?? 0) > 0 &&
        thing.mount?.toLowerCase() === lens.mount.toLowerCase() &&
        thing.shortestMm !== null &&
        thing.longestMm !== null &&
        [lens.focal.shortestMm, lens.focal.longestMm].every((focal) =>
          reachesFocal(
            { focal: { shortestMm: thing.shortestMm ?? 0, longestMm: thing.longestMm ?? 0 } },
            focal,
          ),
        ) &&
        (thing.widest ?? Infinity) <= lens.widest,
    );
    const changed = own && asLens(own);
    if (!own || !changed) continue;
    rig = apply(rig, {
      type: 'batch',
      label: `Took ${own.thing.name} from what there is`,
      commands: [{ type: 'changeLens', lensId, lens: changed }, takeCommand('lens', lensId, own)],
    });
    left.set(own.id, (left.get(own.id) ?? 0) - 1);
  }
  return rig;
};

/** The studio's cables, in the box that the rig's are taken from first. */
const withCables = (begin: Rig, { things }: Stock): Rig => {
  const commands = things.flatMap(({ thing }) =>
    thing.is === 'cable' &&
    thing.had !== 'wanted' &&
    isFit(thing) &&
    thing.cableKind &&
    thing.lengthM
      ? [{ kind: thing.cableKind, lengthM: thing.lengthM, count: Math.min(thing.count, 1000) }]
      : [],
  );
  return commands.reduce(
    (rig, ownCable) =>
      apply(rig, {
        type: 'addOwnCable',
        ownCableId: freeId(`own-${ownCable.kind}`, rig.ownCables),
        ownCable,
      }),
    begin,
  );
};

/**
 * Takes what the studio has into a rig, in place of what would be bought: cables, lenses, the very same models, then
 * others of the same kind where the whole rig, computed with them, has nothing new that presses. What is taken costs
 * nothing.
 */
export const takingFirst = (analysis: Analysis, stock: Stock): Analysis =>
  withDevices(reanalyse(analysis, withLenses(withCables(analysis.rig, stock), stock)), stock);
