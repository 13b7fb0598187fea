import { demoRig } from '../rules/demo-for-cases';
import { packingCsv, packingList } from './packing';

const hall = demoRig('harbour-hall');
const firing = demoRig('second-firing');

describe('what goes along to a show elsewhere', () => {
  it.each([5, 12, 20, 40])(
    'no case is heavier than %d kg, and each thing is in one of them',
    (mostKg) => {
      for (const rig of [hall, firing]) {
        const { cases, alone, stays } = packingList(rig, mostKg);
        for (const { things, massKg } of cases) {
          expect(massKg).toBeLessThanOrEqual(mostKg + 1e-9);
          expect(things.reduce((sum, thing) => sum + (thing.massKg ?? 0), 0)).toBeCloseTo(
            massKg,
            9,
          );
        }
        for (const thing of alone) expect(thing.massKg).toBeGreaterThan(mostKg);
        const ids = [...cases.flatMap(({ things }) => things), ...alone].map(
          ({ deviceId }) => deviceId,
        );
        expect(new Set(ids).size).toBe(ids.length);
        const hung = Object.values(rig.devices).filter(
          ({ on, model }) =>
            !['call', 'stream', 'recording'].includes(model.kind) &&
            ['overhead', 'wall'].includes(rig.supports[on?.supportId ?? '']?.figures.is ?? ''),
        );
        expect(stays.toSorted()).toEqual(hung.map(({ name }) => name).sort());
        const carried = Object.entries(rig.devices).filter(
          ([, device]) =>
            !['call', 'stream', 'recording'].includes(device.model.kind) &&
            !hung.includes(device) &&
            rig.people[device.personId ?? '']?.where !== 'remote',
        );
        expect(ids.sort()).toEqual(carried.map(([id]) => id).sort());
      }
    },
  );
  it('two cases of a group are not half empty both', () => {
    const { cases } = packingList(hall, 12);
    for (const group of ['Picture', 'Sound', 'Computers', 'Light']) {
      const light = cases.filter(({ name, massKg }) => name.startsWith(group) && massKg * 2 < 12);
      expect(light.length).toBeLessThanOrEqual(1);
    }
  });
  it('counts cables by kind and length, and leaves what is fixed to the house', () => {
    const { cables, supports } = packingList(hall, 20);
    const carried = Object.values(hall.links).filter(
      ({ cable }) => cable.kind !== 'inside' && cable.kind !== 'radio',
    );
    expect(cables.reduce((sum, { count }) => sum + count, 0)).toBe(carried.length);
    const fixed = Object.values(firing.supports).filter(
      ({ figures }) => figures.is === 'overhead' || figures.is === 'wall',
    );
    for (const { name } of fixed) expect(packingList(firing, 20).supports).not.toContain(name);
    expect(supports.length).toBeGreaterThan(0);
  });
  it('is a table with a line for each', () => {
    const list = packingList(firing, 20);
    const lines = packingCsv(list).trim().split(/\r?\n/);
    expect(lines[0]).toBe('Case,Thing,Count,kg');
    expect(lines).toHaveLength(
      1 +
        list.cases.reduce((sum, { things }) => sum + things.length, 0) +
        list.alone.length +
        list.supports.length +
        list.stays.length +
        list.cables.length,
    );
  });
});
