import type { CableWayKind } from '../rig/cabling/schema';
import type { Had } from '../rig/devices/ownership';
import type { Charger, FeedFigures } from '../rig/power/schema';

/**
 * What a rig needs that is no device of its chain: strips, supplies that last, chargers, covers and
 * trays. Figures and prices are typical of their classes. Amounts in the studio's currency.
 */

export interface FeedClass {
  readonly id: string;
  readonly name: string;
  readonly figures: FeedFigures;
  readonly price: number;
}

const strip = (sockets: number, mostA: number, price: number): FeedClass => ({
  id: `strip-${sockets}`,
  name: `Strip, ${sockets} sockets`,
  figures: { is: 'strip', sockets, mostA },
  price,
});

export const FEED_CLASSES: readonly FeedClass[] = [
  strip(4, 10, 12),
  strip(6, 10, 18),
  strip(8, 16, 35),
  {
    id: 'distribution-12',
    name: 'Distribution unit, 12 sockets',
    figures: { is: 'strip', sockets: 12, mostA: 16 },
    price: 110,
  },
  {
    id: 'ups-small',
    name: 'Supply that lasts, 288 Wh',
    figures: { is: 'ups', sockets: 4, mostW: 540, mostVa: 900, wh: 288, efficiency: 0.85 },
    price: 190,
  },
  {
    id: 'ups-large',
    name: 'Supply that lasts, 860 Wh',
    figures: { is: 'ups', sockets: 8, mostW: 1350, mostVa: 1500, wh: 860, efficiency: 0.88 },
    price: 620,
  },
];

export interface ChargerClass {
  readonly id: string;
  readonly name: string;
  /** At most, from the mains. @unit W */
  readonly mostW: number;
  readonly charges: Charger;
  readonly price: number;
}

export const CHARGER_CLASSES: readonly ChargerClass[] = [
  {
    id: 'charger-2',
    name: 'Charger, 2 slots',
    mostW: 30,
    charges: { slots: 2, chargeH: 2.5 },
    price: 45,
  },
  {
    id: 'charger-4',
    name: 'Charger, 4 slots',
    mostW: 70,
    charges: { slots: 4, chargeH: 2.5 },
    price: 140,
  },
];

/** What a metre of a way costs that has to be bought; 0 for what is there: floor, walls, grid. */
export const WAY_PRICE_PER_M: Readonly<Record<CableWayKind, number>> = {
  'floor edge': 0,
  floor: 0,
  cover: 18,
  duct: 6,
  tray: 12,
  wall: 0,
  overhead: 0,
};

/** What a way of so many metres costs where it has to be bought. @returns undefined for what costs nothing */
export const wayToBuy = (is: CableWayKind, lengthM: number): Had | undefined =>
  WAY_PRICE_PER_M[is] === 0
    ? undefined
    : { ownership: 'to buy', price: Math.round(100 * WAY_PRICE_PER_M[is] * lengthM) / 100 };
