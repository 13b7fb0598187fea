import { analyse } from '../../analyse';
import { boom } from '../../rules/plan-for-cases';
import { baseEdgeM, counterweightKg, loaded, type Pull, tippingOver } from './loads';

/** @source handbook 5-plan, stands, the worked figures */
const WORKED: readonly Pull[] = [
  { of: { deviceId: 'head' }, massKg: 1.9, atM: 1.4 },
  { of: 'its arm', massKg: 1.6, atM: 0.6 },
  { of: 'the stand', massKg: 5.2, atM: 0 },
];

describe('a stand with a boom, as the handbook works it', () => {
  const tipping = tippingOver(0.42, WORKED);
  it('stands on an edge of half the leg', () => expect(baseEdgeM(3, 0.84)).toBeCloseTo(0.42, 9));
  it('overturns with 2.15 kg·m and is held by 2.18', () =>
    expect([tipping.overturning, tipping.restoring].map((m) => m.toFixed(2))).toEqual([
      '2.15',
      '2.18',
    ]));
  it('has a factor of 1.02 and wants a bag of 1.24 kg', () =>
    expect([tipping.factor, tipping.bagKg].map((m) => m.toFixed(2))).toEqual(['1.02', '1.24']));
  it('or a counterweight of 7.24 kg at half a metre', () =>
    expect(counterweightKg(WORKED, 0.5)).toBeCloseTo(7.24, 9));
  it('with that bag it has the factor that is asked for', () =>
    expect(
      tippingOver(0.42, [...WORKED, { of: 'the bag', massKg: tipping.bagKg, atM: -0.42 }]).factor,
    ).toBeCloseTo(1.5, 9));
  it('is worked out so from the rig', () => {
    const [stand] = loaded(analyse(boom().build()));
    expect(stand?.tipping?.factor.toFixed(2)).toBe('1.02');
    expect(stand?.tipping?.bagKg.toFixed(2)).toBe('1.24');
  });
});

describe('the edge of a base', () => {
  it('is the plate’s radius for a round one', () => expect(baseEdgeM(0, 0.14)).toBe(0.14));
  it('is nearer to the leg the more feet there are', () =>
    expect([3, 4, 5, 6].map((feet) => baseEdgeM(feet, 1).toFixed(3))).toEqual([
      '0.500',
      '0.707',
      '0.809',
      '0.866',
    ]));
  it('is none on two feet', () => expect(baseEdgeM(2, 1)).toBe(0));
});

it('what pulls nowhere beyond the edge cannot tip', () =>
  expect(tippingOver(0.4, [{ of: 'the stand', massKg: 4, atM: 0.1 }]).factor).toBe(Infinity));
