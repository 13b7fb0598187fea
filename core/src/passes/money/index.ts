import {
  apply,
  cablePrice,
  type Command,
  type Device,
  type End,
  entry,
  OWNERSHIPS,
  type Ownership,
  type Rig,
} from '../../rig';
import { soldPrice } from '../../rig/links/cables';
import { cableStock } from '../cables/buy';

/** What a rig costs, in the studio's currency. */
export interface Money {
  /** Sum of known prices by how a device is had */
  readonly by: Readonly<Record<Ownership, number>>;
  /** What is in it for lenses, however they are had; of a lens without a price, nothing */
  readonly lenses: number;
  /** What is in it for cables, at typical prices, however they are had */
  readonly cables: number;
  /** What is in it for strips, supplies that last, chargers, covers and trays */
  readonly gear: number;
  /** What is still to be paid: to buy and second-hand */
  readonly toPay: number;
  /** Devices whose price is not known */
  readonly unknown: readonly string[];
  /** Budget less what is to be paid; null where no budget was said */
  readonly left: number | null;
}

/** What was said to be paid for a device, else what its class usually costs. @returns null where neither is known */
export const priceOf = (device: Device): number | null => device.price ?? device.model.typicalPrice;

/** An amount to the hundredth. */
const cents = (amount: number): number => Math.round(amount * 100) / 100;

/** Headphones bring their cable. */
const isCaptive = (rig: Rig, { deviceId }: End): boolean =>
  entry(rig.devices, deviceId)?.model.kind === 'headphones';

/** A cable comes with the gear: it is owned where both its ends are, else it is bought with what is not. */
const ownershipOf = (rig: Rig, ends: readonly End[]): Ownership => {
  const had = ends.map(({ deviceId }) => entry(rig.devices, deviceId)?.ownership ?? 'owned');
  return had.find((how) => how === 'to buy' || how === 'second-hand') === undefined
    ? (had[0] ?? 'owned')
    : 'to buy';
};

/**
 * Adds up a rig. Second-hand is counted at the price typed; where none is, at the typical price of
 * a new one, which is too much and safe.
 */
export const moneyOf = (rig: Rig): Money => {
  const by: Record<Ownership, number> = { owned: 0, borrowed: 0, 'to buy': 0, 'second-hand': 0 };
  const unknown: string[] = [];
  for (const [id, device] of Object.entries(rig.devices)) {
    const price = priceOf(device);
    if (price === null) unknown.push(id);
    else by[device.ownership] += price;
  }
  let lenses = 0;
  for (const { price, ownership } of Object.values(rig.lenses)) {
    lenses += price ?? 0;
    by[ownership] += price ?? 0;
  }
  let cables = 0;
  // What is in the box is taken before any is bought.
  const { own } = cableStock(rig);
  for (const [linkId, { from, to, cable: run }] of Object.entries(rig.links)) {
    const price = isCaptive(rig, to) ? 0 : own.has(linkId) ? cablePrice(run) : soldPrice(run);
    cables += price;
    by[own.has(linkId) ? 'owned' : ownershipOf(rig, [from, to])] += price;
  }
  let gear = 0;
  for (const { had } of [
    ...Object.values(rig.feeds),
    ...Object.values(rig.loads),
    ...Object.values(rig.cableWays),
  ]) {
    gear += had?.price ?? 0;
    by[had?.ownership ?? 'owned'] += had?.price ?? 0;
  }
  for (const how of OWNERSHIPS) by[how] = cents(by[how]);
  const toPay = cents(by['to buy'] + by['second-hand']);
  const budget = rig.brief?.budget ?? null;
  return {
    by,
    lenses: cents(lenses),
    cables: cents(cables),
    gear: cents(gear),
    toPay,
    unknown: unknown.sort(),
    left: budget === null ? null : cents(budget - toPay),
  };
};

/** What applying a fix adds to what is to be paid. @throws Refusal where it no longer applies */
export const costOf = (rig: Rig, command: Command): number =>
  cents(moneyOf(apply(rig, command)).toPay - moneyOf(rig).toPay);
