import { analyse, reanalyse } from '../analyse';
import { apply, type Rig, type SimpleCommand } from '../rig';
import { demoRig } from '../rules/demo-for-cases';
import { saidBy } from '../said-for-cases';
import { measure } from './measure';
import type { Measured } from './measured';
import { pass, passBySource, passFor } from './pass';

const rig = demoRig('second-firing');
const after = (command: SimpleCommand, from: Rig = rig): Rig => apply(from, command);

const turnUp: SimpleCommand = {
  type: 'setControl',
  deviceId: 'interface',
  control: 'gain-1',
  value: 40,
};
const rename: SimpleCommand = { type: 'renameDevice', deviceId: 'host-mic', name: 'Her mic' };

/** A pass that counts how often it was worked out. */
const counted = <T>(make: (measured: Measured) => T) => {
  let times = 0;
  const asked = pass('counted', (measured) => {
    times++;
    return make(measured);
  });
  return { asked, times: () => times };
};

describe('a pass', () => {
  it('is worked out once for an analysis, however often it is asked for', () => {
    const { asked, times } = counted(({ graph }) => graph.devices.size);
    const measured = measure(rig);
    asked(measured);
    expect(asked(measured)).toBe(Object.keys(rig.devices).length);
    expect(times()).toBe(1);
  });
  it('is not worked out again where nothing it read is changed', () => {
    const { asked, times } = counted((measured) => measured.device({ id: 'host-mic' }).name);
    const first = measure(rig);
    asked(first);
    expect(asked(measure(after(turnUp), first))).toBe('Host mic');
    expect(times()).toBe(1);
  });
  it('is worked out again where a name it read is another', () => {
    const { asked, times } = counted((measured) => measured.device({ id: 'host-mic' }).name);
    const first = measure(rig);
    asked(first);
    expect(asked(measure(after(rename), first))).toBe('Her mic');
    expect(times()).toBe(2);
  });
  it('tells the name of a device from its settings', () => {
    const { asked, times } = counted((measured) => measured.device({ id: 'interface' }).settings);
    const first = measure(rig);
    asked(first);
    const renamed = after({ type: 'renameDevice', deviceId: 'interface', name: 'Box' });
    asked(measure(renamed, first));
    expect(times()).toBe(1);
    asked(measure(after(turnUp), first));
    expect(times()).toBe(2);
  });
  it('is worked out again where another pass that it asked for says something else', () => {
    const name = pass('name', (measured) => measured.device({ id: 'host-mic' }).name);
    const { asked, times } = counted((measured) => `${name(measured)}!`);
    const first = measure(rig);
    asked(first);
    asked(measure(after(turnUp), first));
    expect(times()).toBe(1);
    expect(asked(measure(after(rename), first))).toBe('Her mic!');
  });
  it('keeps its earlier result where the new one says the same', () => {
    const length = pass(
      'length',
      (measured) => [measured.device({ id: 'host-mic' }).name.length],
      ([a], [b]) => a === b,
    );
    const { asked, times } = counted((measured) => length(measured)[0]);
    const first = measure(rig);
    asked(first);
    asked(measure(after({ ...rename, name: 'Hers too' }), first));
    expect(times()).toBe(1);
  });
  it('sees that a device is added to a rig it looked through', () => {
    const { asked } = counted((measured) => measured.devices().size);
    const first = measure(rig);
    const before = asked(first);
    const more = after({
      type: 'removeDevice',
      deviceId: 'kiln-fan' in rig.devices ? 'kiln-fan' : 'host-mic',
    });
    expect(asked(measure(more, first))).toBe(before - 1);
  });
  it('sees a change of a part of the document that it read', () => {
    const { asked } = counted((measured) => measured.rig.houseRules.minimumSnrDb);
    const first = measure(rig);
    asked(first);
    const strict = apply(rig, { type: 'setHouseRules', rules: { minimumSnrDb: 71 } });
    expect(asked(measure(strict, first))).toBe(71);
  });
  it('that failed once is tried again, and tells the same', () => {
    const failing = pass('failing', (measured) => measured.device({ id: 'nobody' }).name);
    const measured = measure(rig);
    expect(() => failing(measured)).toThrow('The rig has no device “nobody”');
    expect(() => failing(measured)).toThrow('The rig has no device “nobody”');
  });
  it('may not ask for itself', () => {
    const round: (measured: Measured) => number = pass('round', (measured) => round(measured) + 1);
    expect(() => round(measure(rig))).toThrow('The pass “round” asks for itself');
  });
});

describe('a pass by source', () => {
  it('looks only at the sources of its signal, in their order', () => {
    const sources = passBySource('sources', 'picture', ({ traced }, { from }) => [
      traced.stages[from]?.at.device.id,
    ]);
    const measured = measure(rig);
    expect(sources(measured)).toEqual(
      measured.traced.walks
        .filter(({ signal }) => signal === 'picture')
        .map(({ from }) => measured.traced.stages[from]?.at.device.id),
    );
  });
  it('works out again only the sources an edit met', () => {
    const met: string[] = [];
    const names = passBySource('names', 'sound', (measured, { from }) => {
      const source = measured.traced.stages[from];
      const name = source ? measured.device(source.at.device).name : '';
      met.push(name);
      return [name];
    });
    const first = measure(rig);
    names(first);
    const all = met.splice(0);
    expect(names(measure(after(rename), first))).toEqual(
      all.map((name) => (name === 'Host mic' ? 'Her mic' : name)),
    );
    expect(met).toEqual(['Her mic']);
  });
  it('may not ask for what rests on every source', () => {
    const greedy = passBySource('greedy', 'sound', ({ sound }) => [sound.length]);
    expect(() => greedy(measure(rig))).toThrow('asks for what rests on every source');
  });
});

describe('a pass by key', () => {
  it('works out again only what an edit met', () => {
    const met: string[] = [];
    const nameOf = passFor('name of', (measured, id: string) => {
      met.push(id);
      return measured.device({ id }).name;
    });
    const both = pass('both', (measured) =>
      ['host-mic', 'interface'].map((id) => nameOf(measured, id)),
    );
    const first = measure(rig);
    both(first);
    met.length = 0;
    expect(both(measure(after(rename), first))[0]).toBe('Her mic');
    expect(met).toEqual(['host-mic']);
  });
  it('keeps its earlier result where the new one says the same', () => {
    const lengthOf = passFor(
      'length of',
      (measured, id: string) => [measured.device({ id }).name.length],
      ([a], [b]) => a === b,
    );
    const { asked, times } = counted((measured) => lengthOf(measured, 'host-mic')[0]);
    const first = measure(rig);
    asked(first);
    asked(measure(after({ ...rename, name: 'Hers too' }), first));
    expect(times()).toBe(1);
    expect(asked(measure(after(rename), first))).toBe('Her mic'.length);
  });
});

describe('an earlier analysis', () => {
  it('says after a later one what it said before', () => {
    const first = analyse(rig);
    const said = saidBy(first);
    for (const command of [turnUp, rename]) reanalyse(first, after(command));
    expect(saidBy(first)).toBe(said);
  });
  it('is not told apart by what is tried from it: two trials do not hear of each other', () => {
    const first = analyse(rig);
    const [a, b] = [turnUp, rename].map((command) => reanalyse(first, after(command)));
    expect(a && saidBy(a)).toBe(saidBy(analyse(after(turnUp))));
    expect(b && saidBy(b)).toBe(saidBy(analyse(after(rename))));
  });
  it('may lie several edits back', () => {
    const first = analyse(rig);
    const later = after(rename, after(turnUp));
    expect(saidBy(reanalyse(first, later))).toBe(saidBy(analyse(later)));
  });
  it('may be of another rig altogether', () => {
    const other = demoRig('night-tide');
    expect(saidBy(reanalyse(analyse(rig), other))).toBe(saidBy(analyse(other)));
  });
});
