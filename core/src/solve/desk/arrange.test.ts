import fc from 'fast-check';
import { analyse } from '../../analyse';
import type { RigDraft } from '../../catalogue/draft';
import { apply } from '../../rig';
import { roomWithHost } from '../../rules/plan-for-cases';
import { arrangeDesk } from './arrange';
import { overlaps, pack, type Packed, type Place } from './packing';
import { times } from '../../runs-for-cases';

/** Every way of putting things down, each tried: the second method. */
const exhaustive = (things: readonly Packed[]): number => {
  const from = (at: number, down: readonly (Place & Packed)[]): number => {
    const thing = things[at];
    if (!thing) return 0;
    return Math.min(
      Infinity,
      ...thing.places
        .map((place) => ({ ...thing, ...place }))
        .filter((place) => !down.some((other) => overlaps(place, other)))
        .map((place) => place.cost + from(at + 1, [...down, place])),
    );
  };
  return from(0, []);
};

const size = fc.integer({ min: 1, max: 4 }).map((tenths) => tenths / 10);
const thing = fc
  .record({
    widthM: size,
    depthM: size,
    costs: fc.array(fc.integer({ min: 0, max: 50 }), { minLength: 15, maxLength: 15 }),
  })
  .map(({ widthM, depthM, costs }): Packed => ({
    id: 'thing',
    widthM,
    depthM,
    places: costs
      .map((cost, at) => ({ xM: (at % 5) / 5, yM: Math.floor(at / 5) / 5, cost }))
      .sort((a, b) => a.cost - b.cost),
  }));

describe('packing things on a desk', () => {
  it('finds what trying every way finds', () =>
    fc.assert(
      fc.property(fc.array(thing, { minLength: 1, maxLength: 4 }), (things) => {
        const packed = pack(things, [], Infinity, 1e9);
        const best = exhaustive(things);
        if (packed === null) return best === Infinity;
        const ground = packed.places.map((place, at) => ({ ...things[at], ...place }) as never);
        return (
          packed.isBest &&
          Math.abs(packed.cost - best) < 1e-9 &&
          ground.every((a, at) => ground.slice(at + 1).every((b) => !overlaps(a, b)))
        );
      }),
      { numRuns: times(150) },
    ));
  it('says so where not every way could be tried', () => {
    const places = Array.from({ length: 40 }, (_, at) => ({ xM: at / 40, yM: 0, cost: at }));
    const wide = { id: 'wide', widthM: 0.3, depthM: 0.3, places };
    expect(pack([wide, wide, wide], [], Infinity, 200)?.isBest ?? false).toBe(false);
  });
  it('finds nothing that costs as much as what there is', () =>
    expect(
      pack(
        [{ id: 'one', widthM: 0.1, depthM: 0.1, places: [{ xM: 0, yM: 0, cost: 3 }] }],
        [],
        3,
        100,
      ),
    ).toBeNull());
});

const desk = (): RigDraft =>
  roomWithHost(3, 1)
    .support('desk', 'Desk, 1.8 m', [3, 1.65, 0])
    .device('mic', 'mic-boundary', { name: 'Mic' })
    .stand('mic', 'desk', 0.4, 0.2);

const messy = desk()
  .device('mixer', 'mixer-4', { name: 'Mixer', person: 'host' })
  .device('screen', 'display-monitor', { name: 'Screen', person: 'host' })
  .device('laptop', 'computer-laptop', { name: 'Laptop' })
  .stand('mixer', 'desk', -0.7, 0.2)
  .stand('screen', 'desk', 0.5, -0.2)
  .stand('laptop', 'desk', 0.55, 0.1)
  .build();

describe('arranging a desk', () => {
  const analysis = analyse(messy);
  const found = arrangeDesk(analysis, 'desk');
  const after = analyse(
    apply(messy, { type: 'batch', label: 'Arranged.', commands: [...(found?.commands ?? [])] }),
  );
  const codes = (of: typeof analysis): string[] =>
    of.findings.filter(({ area }) => area === 'stands').map(({ code }) => code);
  it('takes things out of one another, and says that nothing better is known', () => {
    expect(codes(analysis)).toContain('stands.overlap');
    expect(found?.before).toBeNull();
    expect(found?.isBest).toBe(true);
    expect(found?.says).toMatch(/^Nothing stands in anything else/);
    expect(codes(after).filter((code) => code !== 'stands.shakes')).toEqual([]);
  });
  it('brings what is touched within reach and leaves the microphone where it is', () => {
    expect(after.findings.map(({ code }) => code)).not.toContain('place.out-of-reach');
    expect(after.rig.devices['mic']?.on).toEqual(messy.devices['mic']?.on);
  });
  it('is never worse than what it started from: a second time nothing is better', () => {
    const again = arrangeDesk(after, 'desk');
    expect(again?.commands).toEqual([]);
    expect(again?.says).toMatch(/it stays as it is\.$/);
  });
  it('has nothing to say of a desk that is not there, or bare', () => {
    expect(arrangeDesk(analysis, 'nowhere')).toBeNull();
    expect(arrangeDesk(analyse(desk().build()), 'desk')).toBeNull();
  });
  it('has no place for more than fits', () =>
    expect(
      arrangeDesk(
        analyse(
          [1, 2, 3]
            .reduce(
              (draft, n) =>
                draft.device(`d-${n}`, 'desk-network').stand(`d-${n}`, 'desk', 0.1 * n, 0),
              desk(),
            )
            .build(),
        ),
        'desk',
      ),
    ).toBeNull());
});
