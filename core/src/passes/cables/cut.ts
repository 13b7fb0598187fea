import { entry, type Rig } from '../../rig';
import { type CableId, CABLES } from '../../rig/links/cables';
import { cableStock, isBought } from './buy';
import type { CablePlan } from './plan';

/** Cables that are cut from a drum and get their plugs in the studio. Lengths in metres. */

/** Kinds whose plugs are put on by hand. @source typical */
export const MADE_BY_HAND: ReadonlySet<CableId> = new Set([
  'balanced',
  'unbalanced',
  'speaker',
  'digital-xlr',
  'sdi-coax',
  'ethernet',
]);

/** What is on a drum. @unit m @source usual */
export const DRUM_M = 100;

/** Cut to this. @unit m */
const STEP_M = 0.1;
const ROUNDING = 1e-9;

export interface Cut {
  readonly linkId: string;
  readonly lengthM: number;
}

/** All cuts of one kind. */
export interface ToCut {
  readonly kind: CableId;
  /** The longest first, by drum; what is longer than a drum stands on none */
  readonly drums: readonly (readonly Cut[])[];
  readonly tooLong: readonly Cut[];
  readonly lengthM: number;
  readonly plugs: number;
  /** So many drums at least: what all cuts together ask for */
  readonly atLeastDrums: number;
  /** Of cable and plugs, typical, in the studio's currency; what is left on the drums not counted */
  readonly price: number;
}

/** What a run is cut to: what the plan asks, else what was typed, up to the next tenth. */
const cutM = (plan: CablePlan | undefined, typedM: number): number => {
  const needM = plan?.is === 'planned' ? plan.needM : typedM;
  return Math.ceil(needM / STEP_M - ROUNDING) / (1 / STEP_M);
};

/** Fills drums with the longest cuts first, each onto the first drum that holds it. */
const onDrums = (cuts: readonly Cut[]): Cut[][] => {
  const drums: { readonly cuts: Cut[]; leftM: number }[] = [];
  for (const cut of cuts) {
    const drum = drums.find(({ leftM }) => leftM >= cut.lengthM - ROUNDING);
    if (drum) {
      drum.cuts.push(cut);
      drum.leftM -= cut.lengthM;
    } else drums.push({ cuts: [cut], leftM: DRUM_M - cut.lengthM });
  }
  return drums.map((drum) => drum.cuts);
};

/**
 * What is to be cut, by kind: runs that can be made by hand and that nothing in the box serves.
 * @param plans of the rig's cables
 */
export const cutList = (rig: Rig, plans: readonly CablePlan[]): ToCut[] => {
  const { own } = cableStock(rig);
  const planOf = new Map(plans.map((plan) => [plan.linkId, plan]));
  const cuts = new Map<CableId, Cut[]>();
  for (const [linkId, link] of Object.entries(rig.links)) {
    const { kind, lengthM } = link.cable;
    if (own.has(linkId) || !MADE_BY_HAND.has(kind) || !isBought(rig, link)) continue;
    const cut = { linkId, lengthM: cutM(planOf.get(linkId), lengthM) };
    cuts.set(kind, [...(cuts.get(kind) ?? []), cut]);
  }
  return [...cuts]
    .map(([kind, list]): ToCut => {
      const sorted = list.sort((a, b) => b.lengthM - a.lengthM || (a.linkId < b.linkId ? -1 : 1));
      const fits = sorted.filter(({ lengthM }) => lengthM <= DRUM_M + ROUNDING);
      const total = (some: readonly Cut[]): number =>
        some.reduce((sum, { lengthM }) => sum + lengthM, 0);
      const { each, perM } = CABLES[kind].price;
      return {
        kind,
        drums: onDrums(fits),
        tooLong: sorted.filter(({ lengthM }) => lengthM > DRUM_M + ROUNDING),
        lengthM: total(sorted),
        plugs: 2 * sorted.length,
        atLeastDrums: Math.ceil(total(fits) / DRUM_M - ROUNDING),
        price: sorted.length * each + perM * total(sorted),
      };
    })
    .sort((a, b) => (CABLES[a.kind].name < CABLES[b.kind].name ? -1 : 1));
};

/** Names of both ends, for the list. */
export const cutEnds = (rig: Rig, { linkId }: Cut): string => {
  const link = entry(rig.links, linkId);
  const name = (id: string | undefined): string =>
    (id === undefined ? undefined : entry(rig.devices, id)?.name) ?? '';
  return `${name(link?.from.deviceId)} – ${name(link?.to.deviceId)}`;
};
