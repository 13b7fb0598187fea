import { demoRig } from '../../rules/demo-for-cases';
import { voice } from '../../rules/rigs-for-cases';
import { measure } from '../measure';
import { knobsOf, ladderOf, voices } from './ladder';

describe('the ladder', () => {
  it('climbs from the microphone to the converter, in the units of each place', () => {
    const measured = measure(demoRig('night-tide'));
    const [host] = voices(measured);
    const rungs = host ? ladderOf(measured, host) : [];
    expect(rungs.map(({ label, unit }) => `${label} ${unit}`)).toEqual([
      'Host mic dBu',
      'Interface, Input 1 dBu',
      'Interface, USB dBFS',
    ]);
    expect(rungs.map(({ levelDb }) => Number(levelDb?.toFixed(2)))).toEqual([
      -67.02, -67.84, -23.84,
    ]);
    expect(rungs.at(-1)?.snrDb).toBeCloseTo(58.13, 1);
  });
  it('knows the knobs on the way: gain and pad, with every setting', () => {
    const measured = measure(voice().build());
    const [stage] = voices(measured);
    expect(
      stage &&
        knobsOf(measured, stage).map(({ control, kind, settingsDb }) => [
          control,
          kind,
          settingsDb.length,
          settingsDb[0],
          settingsDb.at(-1),
        ]),
    ).toEqual([
      ['pad-1', 'pad', 2, -20, 0],
      ['gain-1', 'gain', 70, 0, 69],
    ]);
  });
});
