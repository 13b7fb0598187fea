import { build, STARTING_POINTS } from '.';
import { analyse } from '../analyse';
import { anyAnswers, anyMains } from './answers-for-cases';

/** Answers of the green screen's starting point, for so many people. */
const point = STARTING_POINTS.find(({ id }) => id === 'green-screen');
if (!point) throw new Error('it is a starting point');
const answers = point.answers('Screen');

describe('a green screen', () => {
  it('stands behind one presenter, lit, and nothing presses', () => {
    const built = build(answers);
    expect(built.ok && Object.values(built.rig.backdrops).map(({ is }) => is)).toEqual([
      'green screen',
    ]);
    expect(built.ok && analyse(built.rig).findings.filter(({ level }) => level !== 'note')).toEqual(
      [],
    );
  });
  it('is refused, with the reason, where it would put something where it must not stand', () => {
    // Drawn at random: two people in a small room, and a tripod that would end outside its walls.
    const crowded = { ...anyAnswers(15), background: 'green screen' as const };
    const built = build(crowded, anyMains(15));
    expect(built.ok ? '' : built.why).toMatch(
      /^A green screen does not fit into this show\. .* Let fewer people be seen, or leave the background/,
    );
  });
});
