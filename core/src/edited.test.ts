import { analyse, edited, fixesOf } from './analyse';
import { apply, type Command } from './rig';
import { voice } from './rules/rigs-for-cases';

const rig = voice({ settings: { 'gain-1': 20 } }).build();
const gain = (value: number): Command => ({
  type: 'setControl',
  deviceId: 'interface',
  control: 'gain-1',
  value,
});

describe('an edit that is tried', () => {
  it('comes to what the rig with it comes to', () => {
    const command = gain(44);
    const whole = analyse(apply(rig, command));
    const tried = edited(analyse(rig), command);
    expect(tried.findings).toEqual(whole.findings);
    expect(tried.rig).toEqual(whole.rig);
  });
  it('is not worked out again while it is one of the last, and anew after', () => {
    const analysis = analyse(rig);
    const command = gain(44);
    const first = edited(analysis, command);
    for (let db = 1; db <= 7; db++) edited(analysis, gain(db));
    expect(edited(analysis, command)).toBe(first);
    for (let db = 1; db <= 8; db++) edited(analysis, gain(db));
    expect(edited(analysis, command)).not.toBe(first);
  });
  it('is another thing for another rig', () => {
    const command = gain(44);
    const other = voice({ microphone: 'mic-dynamic-quiet', settings: { 'gain-1': 20 } }).build();
    const there = edited(analyse(rig), command);
    expect(edited(analyse(other), command).rig).not.toEqual(there.rig);
  });
});

describe('the remedies of a finding', () => {
  it('are those of the analysis it is in', () => {
    const quiet = analyse(rig);
    const [finding] = quiet.findings;
    if (!finding) throw new Error('too little gain is found');
    const fixes = fixesOf(quiet, finding);
    expect(fixes.length).toBeGreaterThan(0);
    expect(fixesOf(quiet, finding)).toBe(fixes);
    const [fix] = fixes;
    expect(fix && edited(quiet, fix.command).findings).not.toContainEqual(finding);
    // The same finding where what would cure it is locked or gone is asked about anew.
    expect(fixesOf(analyse(rig), finding)).toEqual(fixes);
  });
});
