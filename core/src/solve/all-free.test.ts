import { analyse } from '../analyse';
import { costOf } from '../passes/money';
import { apply, commandSchema, type Rig } from '../rig';
import { demoRig } from '../rules/demo-for-cases';
import { voice } from '../rules/rigs-for-cases';
import { allFree } from './all-free';
import { alsoInLong } from '../runs-for-cases';

/** All that is free in a demo's rig; looked for once. */
const freeIn = (name: string): ReturnType<typeof taken> => {
  const found = known.get(name) ?? taken(demoRig(name));
  known.set(name, found);
  return found;
};
const known = new Map<string, ReturnType<typeof taken>>();

const taken = (rig: Rig, leaveOut: readonly string[] = []) => {
  const { steps, after } = allFree(analyse(rig), leaveOut);
  const command = {
    type: 'batch' as const,
    label: 'All that is free',
    commands: steps.flatMap(({ commands }) => [...commands]),
  };
  return { steps, after, command };
};

describe('all that is free', () => {
  it('is nothing where all is well', () =>
    expect(allFree(analyse(voice().build())).steps).toEqual([]));
  it('is the gain that is turned up, not the booster that is bought', () => {
    const { steps } = taken(voice({ settings: { 'gain-1': 40 } }).build());
    expect(steps.map(({ label }) => label)).toEqual([
      expect.stringMatching(/^Set Interface, .* dB for Mic$/),
    ]);
  });
  it.each(alsoInLong(['night-tide', 'second-firing'], ['harbour-hall']))(
    '%s: as one edit it costs nothing and gives the verdict that was foretold',
    (name) => {
      const rig = demoRig(name);
      const { steps, after, command } = freeIn(name);
      expect(steps.length).toBeGreaterThan(1);
      expect(commandSchema.parse(command)).toEqual(command);
      expect(costOf(rig, command)).toBeLessThanOrEqual(0);
      const before = analyse(rig).verdict;
      expect(analyse(apply(rig, command)).verdict).toEqual(after);
      expect(after.stops).toBeLessThanOrEqual(before.stops);
      expect(after.stops + after.warns).toBeLessThan(before.stops + before.warns);
    },
  );
  it('leaves what has to come from somewhere, though it has no price: panels, another cable, a line', () => {
    for (const name of ['night-tide', 'second-firing'])
      for (const { label } of freeIn(name).steps)
        expect(label).not.toMatch(/^(Hang|Use|Order|Add) /);
  });
  it('goes without a step that is not wanted', () => {
    const [step] = freeIn('night-tide').steps;
    if (!step) throw new Error('something is free');
    const { steps } = taken(demoRig('night-tide'), [step.key]);
    expect(steps.length).toBeGreaterThan(0);
    expect(steps.map(({ label }) => label)).not.toContain(step.label);
  });
  it('tells how far it is', () => {
    const told: number[] = [];
    const { steps } = allFree(analyse(demoRig('night-tide')), [], (found) => told.push(found));
    expect(told).toEqual(steps.map((_, index) => index + 1));
  });
});
