import fc from 'fast-check';
import { analyse, fixesOf } from '../../analyse';
import { predict } from '../../predict/predict';
import { apply, finish, MATERIALS, rectangle, type Rig, type SimpleCommand } from '../../rig';
import { voice } from '../rigs-for-cases';
import { times } from '../../runs-for-cases';

/** Rooms of every size and make, with and without typed figures, well and badly treated. */
const material = fc.constantFrom(...MATERIALS.map(({ name }) => name));
const metres = (min: number, max: number) =>
  fc.double({ min, max, noNaN: true }).map((m) => Math.round(m * 10) / 10);
const anyRoom = fc.record({
  widthM: metres(1.5, 30),
  depthM: metres(1.5, 30),
  heightM: metres(2, 9),
  floor: material,
  ceiling: material,
  walls: material,
  put: fc.array(
    fc.record({
      name: material,
      covers: fc.constantFrom('floor', 'ceiling', 'walls', 'nothing' as const),
      areaM2: metres(0.5, 60),
    }),
    { maxLength: 4 },
  ),
  typedS: fc.option(fc.double({ min: 0.15, max: 4, noNaN: true })),
  typedM3: fc.option(metres(5, 3000)),
  school: fc.constantFrom('alive', 'dead' as const),
});

const rigOf = ({
  widthM,
  depthM,
  heightM,
  put,
  typedS,
  typedM3,
  school,
  ...made
}: {
  widthM: number;
  depthM: number;
  heightM: number;
  floor: string;
  ceiling: string;
  walls: string;
  put: { name: string; covers: string; areaM2: number }[];
  typedS: number | null;
  typedM3: number | null;
  school: string;
}): Rig => {
  const commands: SimpleCommand[] = [
    { type: 'drawRoom', room: { corners: rectangle(widthM, depthM), heightM } },
    ...(['floor', 'ceiling', 'walls'] as const).map((of) => ({
      type: 'finishRoom' as const,
      of,
      finish: finish(made[of]),
    })),
    ...put.map(({ name, covers, areaM2 }, n) => ({
      type: 'addSurface' as const,
      surfaceId: `surface-${n}`,
      surface: { ...finish(name), covers: covers as 'walls', areaM2 },
    })),
    { type: 'setRoom', room: { rt60S: typedS, volumeM3: typedM3 } },
    { type: 'setHouseRules', rules: { room: school as 'alive' } },
  ];
  return commands.reduce<Rig>((rig, command) => apply(rig, command), voice().build());
};

/** Findings whose fixes put a figure right and change nothing in the room. */
const CORRECTS = new Set(['place.time-differs', 'place.volume-differs', 'place.covered-twice']);
const SHOWN = new Set(['place.rings-long', 'place.boomy', 'place.time-differs']);

describe('what is offered for a room', () => {
  it('cures what it is offered for, and brings nothing that would then be found fault with', () => {
    let tried = 0;
    fc.assert(
      fc.property(anyRoom, (made) => {
        const analysis = analyse(rigOf(made));
        for (const finding of analysis.findings.filter(({ area }) => area === 'place'))
          for (const fix of fixesOf(analysis, finding)) {
            const { cures, brings } = predict(analysis, finding, fix);
            tried++;
            expect([finding.code, fix.label, cures]).toEqual([finding.code, fix.label, true]);
            // A corrected figure may show that the room is worse than it was thought to be.
            const shown = CORRECTS.has(finding.code) ? SHOWN : new Set<string>();
            expect(
              brings
                .filter(({ area, code }) => area === 'place' && !shown.has(code))
                .map(({ code }) => `${fix.label}: ${code}`),
            ).toEqual([]);
          }
      }),
      { numRuns: times(150) },
    );
    expect(tried).toBeGreaterThan(100);
  });
});
