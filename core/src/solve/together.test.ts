import { analyse, type Analysis, fixesOfCause } from '../analyse';
import { costOf } from '../passes/money';
import { apply } from '../rig';
import { demoRig } from '../rules/demo-for-cases';
import { findingKey } from '../rules';
import { doingOf, DOINGS } from './doing';
import { isFree } from './free';
import { type Chosen, together } from './together';

/** The best remedy of each cause that has one that makes nothing worse. */
const bestOf = (analysis: Analysis): Chosen[] =>
  analysis.causes.flatMap((cause) => {
    const fix = fixesOfCause(analysis, cause).find(({ isWorse, isLast }) => !isWorse && !isLast);
    return fix ? [{ key: findingKey(cause.finding), fix }] : [];
  });

const judged = analyse(demoRig('second-firing'));
const best = bestOf(judged);

describe('remedies taken together', () => {
  it('none of them change nothing', () =>
    expect(together(judged, [])).toEqual({
      steps: [],
      commands: [],
      after: judged.verdict,
      brings: [],
      cost: 0,
    }));
  it('one alone does what it does by itself', () => {
    const [first] = best;
    if (!first) throw new Error('nothing helps');
    const alone = analyse(apply(judged.rig, first.fix.command));
    const taken = together(judged, [first]);
    expect(taken.after).toEqual(alone.verdict);
    expect(taken.cost).toBe(costOf(judged.rig, first.fix.command));
    expect(taken.steps).toEqual([{ key: first.key, label: first.fix.label, how: 'as chosen' }]);
  });
  it('all of them end as they are predicted to, as one edit', () => {
    const taken = together(judged, best);
    const after = analyse(
      apply(judged.rig, { type: 'batch', label: 'All', commands: [...taken.commands] }),
    );
    expect(after.verdict).toEqual(taken.after);
    expect(taken.after.stops).toBeLessThan(judged.verdict.stops);
    expect(taken.steps).toHaveLength(best.length);
    const done = taken.steps.filter(({ how }) => how === 'as chosen' || how === 'another way');
    expect(done.length).toBeGreaterThan(best.length / 2);
  });
  it('what another has mended is not done a second time, and costs nothing', () => {
    const [first] = best;
    if (!first) throw new Error('nothing helps');
    const twice = together(judged, [first, first]);
    expect(twice.steps.map(({ how }) => how)).toEqual(['as chosen', 'not needed']);
    expect(twice.cost).toBe(together(judged, [first]).cost);
  });
  it('what needs the same socket as another is done another way, or said not to be possible', () => {
    const devices = best.filter(({ fix }) =>
      (fix.command.type === 'batch' ? fix.command.commands : [fix.command]).some(
        (command) => command.type === 'addDevice',
      ),
    );
    const [one] = devices;
    if (!one) throw new Error('nothing is added');
    const other = best.find(({ key }) => key !== one.key);
    if (!other) throw new Error('only one remedy');
    // The same device under the same name, for another finding.
    const taken = together(judged, [one, { key: other.key, fix: one.fix }]);
    expect(taken.steps[1]?.how).not.toBe('as chosen');
    expect(() =>
      apply(judged.rig, { type: 'batch', label: 'Both', commands: [...taken.commands] }),
    ).not.toThrow();
  });
});

describe('what a remedy asks for', () => {
  it.each(['night-tide', 'second-firing', 'harbour-hall'] as const)(
    'in %s what is not free is bought, and what is free is not',
    (name) => {
      const analysis = analyse(demoRig(name));
      for (const { fix } of bestOf(analysis)) {
        const doing = doingOf(analysis.rig, fix);
        expect(DOINGS).toContain(doing);
        expect([fix.label, doing === 'buy']).toEqual([fix.label, !isFree(analysis.rig, fix)]);
      }
    },
  );
  it.each([
    ['turn', { type: 'setControl', deviceId: 'interface', control: 'gain-1', value: 20 }],
    ['write', { type: 'writeNotes', notes: 'Look at it.' }],
    ['plug', { type: 'disconnect', linkId: 'host-camera-hdmi-to-switcher' }],
    [
      'move',
      { type: 'changePerson', personId: 'host', person: { at: { xM: 1, yM: 1, facingDeg: 0 } } },
    ],
  ] as const)('%s', (doing, command) =>
    expect(doingOf(demoRig('second-firing'), { command })).toBe(doing),
  );
});
