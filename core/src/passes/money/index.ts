import { apply, type Command, type Device, type Ownership, type Rig } from '../../rig';

/** What a rig costs, in the studio's currency. */
export interface Money {
  /** Sum of known prices by how a device is had */
  readonly by: Readonly<Record<Ownership, number>>;
  /** What is still to be paid: to buy and second-hand */
  readonly toPay: number;
  /** Devices whose price is not known */
  readonly unknown: readonly string[];
  /** Budget less what is to be paid; null where no budget was said */
  readonly left: number | null;
}

/** What was said to be paid for a device, else what its class usually costs. @returns null where neither is known */
export const priceOf = (device: Device): number | null => device.price ?? device.model.typicalPrice;

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
  const toPay = by['to buy'] + by['second-hand'];
  const budget = rig.brief?.budget ?? null;
  return { by, toPay, unknown: unknown.sort(), left: budget === null ? null : budget - toPay };
};

/** What applying a fix adds to what is to be paid. @throws Refusal where it no longer applies */
export const costOf = (rig: Rig, command: Command): number =>
  moneyOf(apply(rig, command)).toPay - moneyOf(rig).toPay;
