import { analyse, fixesOf } from '../../analyse';
import { CATALOGUE } from '../../catalogue';
import { predict } from '../../predict/predict';
import { anyId } from '../../rig/chance';
import { apply, entry, Refusal, type Rig, seeded, type SimpleCommand } from '../../rig';
import { demoRig } from '../demo-for-cases';

const DEMOS = ['second-firing', 'night-tide', 'harbour-hall'].map(demoRig);
/** What says that typing and drawing differ may well show that what was typed hid something. */
const TELLS = new Set(['place.shot-differs', 'place.background-differs', 'place.seats-differ']);

/** A demo with things moved anywhere in its room. */
const shuffled = (seed: number): Rig => {
  const chance = seeded(seed, CATALOGUE);
  const start = DEMOS[seed % DEMOS.length];
  if (!start) throw new Error('there is no demo');
  const corners = start.shell?.corners ?? [];
  const anywhere = () => ({
    xM: (Math.max(...corners.map(({ xM }) => xM)) * chance.integer(0, 100)) / 100,
    yM: (Math.max(...corners.map(({ yM }) => yM)) * chance.integer(0, 100)) / 100,
  });
  return Array.from({ length: chance.integer(1, 8) }).reduce<Rig>((rig) => {
    const supportId = anyId(chance, rig.supports) ?? '';
    const personId = anyId(chance, rig.people) ?? '';
    const deviceId = anyId(chance, rig.devices) ?? '';
    const at = entry(rig.supports, supportId)?.at;
    const moves: readonly [SimpleCommand, ...SimpleCommand[]] = [
      {
        type: 'changeSupport',
        supportId,
        support: { at: { facingDeg: at?.facingDeg ?? 0, ...anywhere() } },
      },
      {
        type: 'changePerson',
        personId,
        person: { at: { ...anywhere(), facingDeg: chance.integer(0, 360) } },
      },
      {
        type: 'standDevice',
        deviceId,
        on: { supportId, xM: chance.integer(-5, 6) / 10, yM: 0.1, turnDeg: 0, upM: 0 },
      },
    ];
    try {
      return apply(rig, chance.oneOf(moves));
    } catch (error) {
      if (error instanceof Refusal) return rig;
      throw error;
    }
  }, start);
};

it('whatever is moved to cure something cures it, and brings nothing as bad', () => {
  let tried = 0;
  for (let seed = 1; seed <= 12; seed++) {
    const analysis = analyse(shuffled(seed));
    for (const finding of analysis.findings) {
      if ((finding.area !== 'place' && finding.area !== 'stands') || TELLS.has(finding.code))
        continue;
      for (const fix of fixesOf(analysis, finding)) {
        const { cures, brings } = predict(analysis, finding, fix);
        tried++;
        expect([seed, fix.label, cures]).toEqual([seed, fix.label, true]);
        expect(brings.filter(({ level }) => level !== 'note')).toEqual([]);
      }
    }
  }
  expect(tried).toBeGreaterThan(30);
});
