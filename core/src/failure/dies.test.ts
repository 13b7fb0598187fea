import { analyse } from '../analyse';
import { demoRig } from '../rules/demo-for-cases';
import { failureCards, ifDies } from './dies';

describe('if something dies', () => {
  const firing = analyse(demoRig('second-firing'));
  it('the interface takes the three voices along, and pictures stay', () => {
    const { lost, scenesLost, todo } = ifDies(firing, 'interface');
    for (const name of ['Host', 'Co-host', 'Guest potter'])
      expect(lost).toContain(`${name}: no longer heard.`);
    expect(lost.join(' ')).not.toMatch(/no longer seen/);
    expect(scenesLost).toEqual([]);
    expect(todo[0]).toBe(
      'Nobody in the room is heard any more: cut to a card or a film, and wait.',
    );
  });
  it('a microphone leaves the others to be shared', () => {
    const { lost, todo } = ifDies(firing, 'host-mic');
    expect(lost).toContain('Host: no longer heard.');
    expect(todo[0]).toMatch(/^Share a microphone that is on: .+ is still heard\.$/);
  });
  it('a camera takes its scenes, and the rest can be cut to', () => {
    const { scenesLost, scenesLeft, lost } = ifDies(firing, 'kiln-camera');
    expect(scenesLost).toEqual(['Kiln']);
    expect(scenesLeft.map(({ name }) => name)).not.toContain('Kiln');
    expect(lost).toContain('Kiln: can no longer be shown.');
  });
  it('does not tell again what an earlier death took', () => {
    const both = ifDies(firing, 'host-mic', ['interface']);
    expect(both.lost).not.toContain('Host: no longer heard.');
  });
  it('has a card only for what costs something, the dearest first', () => {
    const cards = failureCards(analyse(demoRig('night-tide')));
    expect(cards[0]?.deviceId).toBe('computer');
    for (const { lost, scenesLost } of cards)
      expect(lost.length + scenesLost.length).toBeGreaterThan(0);
    const counts = cards.map(({ lost }) => lost.length);
    expect(counts).toEqual([...counts].sort((a, b) => b - a));
  });
});
