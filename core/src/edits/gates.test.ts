import { analyse, type Analysis, fixesOf, reanalyse } from '../analyse';
import { apply } from '../rig';
import { secondFiringWithConsole } from '../rules/time/console-for-cases';
import { closeOneWay } from './gates';

/** Switches on the way of sound: Second Firing by the computer’s own input and by the switcher’s. */

const both = analyse(secondFiringWithConsole());
const without = (analysis: Analysis, control: string): Analysis =>
  reanalyse(
    analysis,
    apply(analysis.rig, { type: 'setControl', deviceId: 'computer', control, value: false }),
  );

describe('a switch on the way of sound', () => {
  it('is closed where everybody behind it comes by another way: either of two', () =>
    expect(closeOneWay(both, 'host-mic', 'stream').map(({ label }) => label)).toEqual([
      'Turn off “USB 2 is heard in the programme” at Show computer',
      'Turn off “USB 5 is heard in the programme” at Show computer',
    ]));
  it('is closed for the historian, whose own voice comes back through the console', () =>
    expect(closeOneWay(both, 'historian-call', 'stream').map(({ label }) => label)).toEqual([
      'Turn off “USB 2 is heard in the programme” at Show computer',
    ]));
  it('is left alone where it is the only way', () =>
    expect(closeOneWay(without(both, 'usb-2-heard'), 'host-mic', 'stream')).toEqual([]));
  it('that was turned off is turned on again, where a deliverable lacks voices', () => {
    const silent = without(analyse(both.rig), 'usb-5-heard');
    const last = without(silent, 'usb-2-heard');
    const finding = last.findings.find(({ code }) => code === 'brief.partly-delivered');
    if (!finding) throw new Error('nothing lacks');
    const [fix] = fixesOf(last, finding);
    expect(fix?.label).toMatch(/^Turn on “USB \d is heard in the programme” at Show computer$/);
    const after = fix && reanalyse(last, apply(last.rig, fix.command));
    expect(after?.findings.map(({ code }) => code)).not.toContain('brief.partly-delivered');
  });
});
