import { analyse } from '../../analyse';
import { fill, key, lamp, lit } from '../../rules/light-for-cases';
import { limitsOf, missedBy } from './limits';
import { taskOf } from './wish';

describe('limits on light', () => {
  it('lets the hair have twice what the key gives, and no more', () => {
    const lamps = [key, fill, lamp('hair', 'light-spot', 1.2, 170, 2.2, 50)];
    const task = taskOf(analyse(lit(...lamps)), { aim: 'power', faceLux: 300 });
    const part = (id: string) => task.faces[0]?.face.parts.find(({ source }) => source.id === id);
    const [front, back] = [part('key'), part('hair')];
    if (!front || !back) throw new Error('both shine');
    const limits = limitsOf(task, [front]).filter(
      ({ about: of, max }) => of === 'hair' && max !== undefined,
    );
    expect(limits).toHaveLength(1);
    const missed = (times: number): number => {
      const share = (times * front.full.lux) / back.full.hairLux;
      return Math.max(...limits.map((limit) => missedBy(limit, { key: 1, fill: 0, hair: share })));
    };
    expect(missed(1.95)).toBe(0);
    expect(missed(2.05)).toBeGreaterThan(0.01);
  });
});
