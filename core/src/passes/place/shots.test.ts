import { analyse } from '../../analyse';
import { entry, type Rig } from '../../rig';
import { demoRig } from '../../rules/demo-for-cases';
import { eyesOf, type InRoom } from '.';
import { shotsOnPlan } from './shots';

const eyesIn = ({ people }: Rig, id: string): InRoom => {
  const person = entry(people, id);
  const at = person && eyesOf(person);
  if (!at) throw new Error(`nobody knows where ${id} is`);
  return at;
};

describe('a shot of several people', () => {
  const shots = ['second-firing', 'harbour-hall'].flatMap((name) => {
    const analysis = analyse(demoRig(name));
    return shotsOnPlan(analysis).flatMap(
      ([, , { peopleIds, isOfPeople, subject, lens, distanceM }]) =>
        isOfPeople && subject && peopleIds.length > 1
          ? [{ eyes: peopleIds.map((id) => eyesIn(analysis.rig, id)), subject, lens, distanceM }]
          : [],
    );
  });
  it('looks at the middle of them, across, up the plan and up', () => {
    expect(shots.length).toBeGreaterThan(0);
    for (const { eyes, subject, lens, distanceM } of shots) {
      for (const axis of ['xM', 'yM', 'zM'] as const) {
        const middle = eyes.reduce((sum, at) => sum + at[axis], 0) / eyes.length;
        expect(subject[axis]).toBeCloseTo(middle, 9);
      }
      expect(distanceM).toBeGreaterThanOrEqual(
        Math.hypot(subject.xM - lens.xM, subject.yM - lens.yM) - 1e-9,
      );
    }
  });
});
