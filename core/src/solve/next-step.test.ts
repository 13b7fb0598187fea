import { analyse, reanalyse } from '../analyse';
import { apply } from '../rig';
import { demoRig } from '../rules/demo-for-cases';
import { voice } from '../rules/rigs-for-cases';
import { nextStep } from './next-step';

describe('what to do next', () => {
  it('is nothing where nothing presses', () =>
    expect(nextStep(analyse(voice().build()))).toBeNull());
  it('looks at stops before warnings: Night Tide has one stop', () => {
    const analysis = analyse(demoRig('night-tide'));
    const step = nextStep(analysis);
    expect(step?.stopsGone).toBe(1);
    expect(step?.after.stops).toBe(0);
  });
  it('turns to warnings where there is no stop: gain before a booster that costs', () => {
    const rig = voice({ settings: { 'gain-1': 40 } }).build();
    expect(nextStep(analyse(rig))).toMatchObject({
      fix: { label: expect.stringMatching(/^Set Interface, .* dB for Mic$/) as string },
      stopsGone: 0,
      warnsGone: 1,
      cost: 0,
    });
  });
  it('does what it says, taken again and again, and comes to an end', () => {
    let analysis = analyse(demoRig('second-firing'));
    for (let count = 0; count < 30; count++) {
      const step = nextStep(analysis);
      if (!step) break;
      const after = reanalyse(analysis, apply(analysis.rig, step.fix.command));
      expect(after.verdict).toEqual(step.after);
      expect(step.stopsGone + step.warnsGone).toBeGreaterThan(0);
      analysis = after;
      if (analysis.verdict.stops === 0) break;
    }
    expect(analysis.verdict.stops).toBe(0);
  });
});
