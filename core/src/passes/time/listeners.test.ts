import { analyse } from '../../analyse';
import { demoRig } from '../../rules/demo-for-cases';
import { type Arrival, arrivals } from './listeners';

describe('what people hear from a loudspeaker', () => {
  const all = arrivals(analyse(demoRig('harbour-hall')));
  const alike = (a: Arrival, b: Arrival): boolean =>
    a.loudspeakerId === b.loudspeakerId && a.sourceId === b.sourceId && a.personId !== b.personId;
  it('falls by 6.02 dB with twice the distance, and by nothing else', () => {
    const pairs = all.flatMap((a) => all.filter((b) => alike(a, b)).map((b) => [a, b] as const));
    expect(pairs.length).toBeGreaterThan(20);
    for (const [a, b] of pairs)
      expect(a.spl - b.spl).toBeCloseTo(6.0206 * Math.log2(b.airM / a.airM), 3);
    expect(Math.max(...pairs.map(([a, b]) => Math.abs(a.airM - b.airM)))).toBeGreaterThan(1);
  });
  it('comes 2.9 ms later with each metre of air', () => {
    for (const { airM, airMs } of all) {
      expect(airMs / airM).toBeGreaterThan(2.85);
      expect(airMs / airM).toBeLessThan(2.98);
    }
  });
});
