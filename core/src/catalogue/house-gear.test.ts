import { chargersOf } from '../passes/power';
import { blankRig, type Load } from '../rig';
import { chargerSchema, feedFiguresSchema } from '../rig/power/schema';
import { CHARGER_CLASSES, FEED_CLASSES, wayToBuy } from './house-gear';

describe('strips, supplies, chargers and covers', () => {
  it('have ids of their own, figures that a document holds, and prices', () => {
    const classes = [...FEED_CLASSES, ...CHARGER_CLASSES];
    expect(new Set(classes.map(({ id }) => id)).size).toBe(classes.length);
    for (const { figures } of FEED_CLASSES)
      expect(feedFiguresSchema.safeParse(figures).success).toBe(true);
    for (const { charges } of CHARGER_CLASSES)
      expect(chargerSchema.safeParse(charges).success).toBe(true);
    expect(classes.every(({ price }) => price > 0)).toBe(true);
  });
  it('a cover costs by its length; the floor is there', () => {
    expect(wayToBuy('cover', 1.5)).toEqual({ ownership: 'to buy', price: 27 });
    expect(wayToBuy('tray', 0.333)).toEqual({ ownership: 'to buy', price: 4 });
    expect(wayToBuy('floor', 10)).toBeUndefined();
  });
});

describe('the chargers of a rig', () => {
  const load = (charges?: Load['charges']): Load => ({
    name: 'Charger',
    mostW: 30,
    powerFactor: null,
    from: null,
    runs: true,
    order: 0,
    ...(charges ? { charges } : {}),
  });
  it('count together, and the slowest of them rules', () => {
    expect(
      chargersOf({
        loads: {
          one: load({ slots: 2, chargeH: 2.5 }),
          other: load({ slots: 4, chargeH: 3 }),
          kettle: load(),
        },
      }),
    ).toEqual({ slots: 6, chargeH: 3 });
    expect(chargersOf(blankRig('None'))).toBeNull();
  });
});
