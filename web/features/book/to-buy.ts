import {
  type Analysis,
  CABLES,
  cableStock,
  inOrder,
  type Ownership,
  priceOf,
} from '@echo-loom/core';
import { type BookPart, BOX, column, table } from './parts';

/** The chapter of what is still to be bought. */

const isToBuy = (how: Ownership): boolean => how === 'to buy' || how === 'second-hand';

/** Gear, lenses, what mains and ways need, and cables by length. */
export const toBuy = ({ rig }: Analysis, money: (amount: number) => string): BookPart[] => {
  const priced = (price: number | null) => (price === null ? 'not known' : money(price));
  const { toBuy: cables, joins } = cableStock(rig);
  const things = [
    ...inOrder(rig.devices)
      // A stream and a file cost nothing: nobody fetches them.
      .filter(([, device]) => isToBuy(device.ownership) && priceOf(device) !== 0)
      .map(([, device]) => [
        device.name,
        device.model.name,
        device.ownership,
        priced(priceOf(device)),
        BOX,
      ]),
    ...inOrder(rig.lenses)
      .filter(([, { ownership }]) => isToBuy(ownership))
      .map(([, { name, ownership, price }]) => [name, 'lens', ownership, priced(price), BOX]),
    ...[rig.feeds, rig.loads, rig.cableWays].flatMap((part) =>
      inOrder<{
        name: string;
        order: number;
        had?: { ownership: Ownership; price: number | null } | undefined;
      }>(part)
        .filter(([, { had }]) => had !== undefined && isToBuy(had.ownership))
        .map(([, { name, had }]) => [
          name,
          'mains and ways',
          had?.ownership ?? '',
          priced(had?.price ?? null),
          BOX,
        ]),
    ),
  ];
  return [
    ...table(
      'Gear',
      [
        column('What for', 28),
        column('What', 36),
        column('How', 14),
        column('About', 16),
        column('', 6),
      ],
      things,
    ),
    ...table(
      'Cables by length',
      [
        column('Count', 10),
        column('Cable', 40),
        column('Length', 20),
        column('About', 24),
        column('', 6),
      ],
      [
        ...cables.map(({ count, kind, lengthM, price }) => [
          String(count),
          CABLES[kind].name,
          `${lengthM} m`,
          money(price),
          BOX,
        ]),
        ...joins.map(({ count, kind, price }) => [
          String(count),
          `Join, ${CABLES[kind].name}`,
          '–',
          money(price),
          BOX,
        ]),
      ],
    ),
  ];
};
