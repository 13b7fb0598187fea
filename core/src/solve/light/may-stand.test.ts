import { analyse } from '../../analyse';
import { lampSources, movedTo } from '../../passes/light';
import { about, camera, doing, key, lit } from '../../rules/light-for-cases';
import { whyNot } from './may-stand';

describe('where a lamp must not stand', () => {
  const analysis = analyse(
    lit(
      key,
      camera(),
      doing(
        { type: 'changePerson', personId: 'host', person: { wearsGlasses: true } },
        {
          type: 'addWalkway',
          walkwayId: 'way',
          walkway: { name: 'Way', from: { xM: 5, yM: 0 }, to: { xM: 5, yM: 5 }, widthM: 0.9 },
        },
      ),
    ),
  );
  const at = (xM: number, yM: number, zM: number) => {
    const [source] = lampSources(analysis);
    if (!source) throw new Error('no lamp');
    return whyNot(analysis, movedTo(analysis, source, { xM, yM, zM }));
  };
  it('says why', () => {
    expect(at(-1, 2, 1.8)).toBe('outside the room');
    expect(at(2, 3, 2.4)).toBe('through the ceiling');
    expect(at(5, 3, 1.8)).toBe('in a walkway');
    expect(at(3, 1.5, 1.8)).toBe('in somebody');
    expect(at(3, 0.6, 1.2)).toBe('in a picture');
    expect(at(about(2, 0).xM, about(2, 0).yM + 0.4, 1.3)).toBe('in somebody’s glasses');
    expect(at(about(2, -40).xM, about(2, -40).yM, 1.95)).toBeNull();
  });
});
