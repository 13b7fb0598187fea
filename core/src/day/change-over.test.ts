import fc from 'fast-check';
import { RigDraft } from '../catalogue/draft';
import { apply, type Rig } from '../rig';
import { demoRig } from '../rules/demo-for-cases';
import { changeOver } from './change-over';
import type { ChangeTask } from './change-task';
import { scheduleFor } from './schedule';
import { alsoInLong, times } from '../runs-for-cases';

const start = new RigDraft('Case')
  .support('table', 'Table, 2.2 m', [1, 1, 0])
  .support('tripod', 'Tripod, studio', [3, 1, 0])
  .device('camera', 'camera-camcorder')
  .device('mic', 'mic-dynamic-stage')
  .device('desk', 'interface-2')
  .stand('camera', 'tripod')
  .stand('mic', 'table', -0.5)
  .stand('desk', 'table', 0.5)
  .link('mic.out', 'desk.mic-1', 5)
  .do({ type: 'keepSet', setId: 'a', name: 'A' })
  .do({ type: 'setTape', setId: 'a', tape: 'white' })
  .build();

const at = (rig: Rig, supportId: string, xM: number, yM: number): Rig =>
  apply(rig, {
    type: 'changeSupport',
    supportId,
    support: { at: { xM, yM, facingDeg: 0 } },
  });
const kept = (rig: Rig): Rig =>
  apply(apply(rig, { type: 'keepSet', setId: 'b', name: 'B' }), {
    type: 'setTape',
    setId: 'b',
    tape: 'red',
  });
const ids = (tasks: readonly ChangeTask[]) => tasks.map(({ id }) => id);
const taskOf = (tasks: readonly ChangeTask[], id: string): ChangeTask => {
  const found = tasks.find((task) => task.id === id);
  if (!found) throw new Error(`${id} is not among ${ids(tasks).join(', ')}`);
  return found;
};

describe('from one set to another', () => {
  it('is nothing where nothing differs', () =>
    expect(changeOver(kept(start), 'a', 'b')).toEqual([]));
  it('carries what moved, with what is on it, and then checks', () => {
    const tasks = changeOver(kept(at(start, 'tripod', 3, 5)), 'a', 'b');
    expect(ids(tasks)).toEqual(['support tripod', 'check']);
    const tripod = taskOf(tasks, 'support tripod');
    // 4.5 kg of tripod and 1.6 kg of camera, 4 m, framed anew: 1.1 + 0.1 + 0.24 = 1.44 min.
    expect(tripod).toMatchObject({
      minutes: 1.5,
      people: 1,
      sum: '1.1 min + 4 m ÷ 40 m/min + 6.1 kg ÷ 25 kg/min = 1.44 min',
    });
    expect(taskOf(tasks, 'check').after).toEqual(['support tripod']);
  });
  it('takes two for a table, and leaves the cable plugged whose ends move with it', () => {
    const tasks = changeOver(kept(at(start, 'table', 1, 4)), 'a', 'b');
    expect(ids(tasks)).toEqual(['support table', 'check']);
    expect(taskOf(tasks, 'support table').people).toBe(2);
  });
  it('plugs a cable anew where one of its ends moved by itself', () => {
    const moved = apply(start, {
      type: 'standDevice',
      deviceId: 'mic',
      on: { supportId: 'table', xM: 0.9, yM: 0, turnDeg: 0, upM: 0 },
    });
    const tasks = changeOver(kept(moved), 'a', 'b');
    expect(ids(tasks)).toEqual(['device mic', 'cables mic', 'check']);
    expect(taskOf(tasks, 'cables mic').after).toEqual(['device mic']);
    // 0.3 for the plug, 5 m at 40 m a minute: 0.425, so half a minute.
    expect(taskOf(tasks, 'cables mic').minutes).toBe(0.5);
  });
  it('counts neither a hair’s breadth nor a turn of a degree', () =>
    expect(changeOver(kept(at(start, 'tripod', 3.04, 1)), 'a', 'b')).toEqual([]));
  it('there and back is the same work', () => {
    const rig = kept(at(at(start, 'tripod', 3, 5), 'table', 2, 3));
    const minutes = (from: string, to: string) =>
      changeOver(rig, from, to).map((task) => task.minutes);
    expect(minutes('a', 'b')).toEqual(minutes('b', 'a'));
  });
});

describe('sets that are set otherwise', () => {
  const keep = (rig: Rig, setId: string): Rig =>
    apply(rig, { type: 'keepSet', setId, name: setId, withSettings: true });
  const turn = (rig: Rig, control: string, value: number | boolean): Rig =>
    apply(rig, { type: 'setControl', deviceId: 'desk', control, value });
  const loud = keep(turn(turn(keep(start, 'a'), 'gain-1', 41), 'phantom-1', true), 'b');
  it('turns each control that differs, and says from what to what', () => {
    const tasks = changeOver(loud, 'a', 'b');
    expect(ids(tasks)).toEqual(['setting desk', 'check']);
    const was = 40;
    expect(taskOf(tasks, 'setting desk')).toMatchObject({
      what: 'Set Interface, two microphones',
      where: `Gain 1 ${was} dB → 41 dB, Phantom power 1–2 off → on`,
      minutes: 0.5,
      sum: '2 × 0.25 min',
    });
    expect(taskOf(changeOver(loud, 'b', 'a'), 'setting desk').where).toContain(`41 dB → ${was} dB`);
  });
  it('counts a set that keeps no settings as set as it is now', () => {
    const bare = apply(loud, { type: 'keepSet', setId: 'c', name: 'C' });
    expect(ids(changeOver(bare, 'c', 'b'))).toEqual([]);
    expect(ids(changeOver(bare, 'c', 'a'))).toEqual(['setting desk', 'check']);
  });
  it('phantom power goes off before a plug is drawn, and on when all are in', () => {
    const stood = (rig: Rig, xM: number): Rig =>
      apply(rig, {
        type: 'standDevice',
        deviceId: 'mic',
        on: { supportId: 'table', xM, yM: 0, turnDeg: 0, upM: 0 },
      });
    const off = keep(stood(start, -0.5), 'a');
    const both = keep(turn(stood(off, 0.9), 'phantom-1', true), 'b');
    const on = taskOf(changeOver(both, 'a', 'b'), 'setting desk');
    expect(on.after).toEqual(['cables mic']);
    expect(taskOf(changeOver(both, 'a', 'b'), 'cables mic').where).toBe('as the patch sheet says');
    const back = changeOver(both, 'b', 'a');
    expect(taskOf(back, 'setting desk').after).toEqual([]);
    expect(taskOf(back, 'cables mic')).toMatchObject({
      where:
        'as the patch sheet says; first phantom power off at Interface, two microphones, and wait ten seconds',
      after: ['device mic', 'setting desk'],
    });
    const plan = scheduleFor(back, 2);
    if (!plan.ok) throw new Error(plan.why);
    const startOf = (id: string) => plan.tasks.find((task) => task.id === id)?.fromMin ?? NaN;
    expect(startOf('cables mic')).toBeGreaterThanOrEqual(startOf('setting desk') + 0.25);
  });
  it('turns what differs and nothing else, whatever the settings', () => {
    const anySettings = fc.record({
      'gain-1': fc.constantFrom(40, 41, 50),
      'gain-2': fc.constantFrom(40, 44),
      'phantom-1': fc.boolean(),
    });
    fc.assert(
      fc.property(anySettings, anySettings, (was, is) => {
        const set = (rig: Rig, settings: Readonly<Record<string, number | boolean>>): Rig =>
          Object.entries(settings).reduce((at1, [key, value]) => turn(at1, key, value), rig);
        const both = keep(set(keep(set(start, was), 'a'), is), 'b');
        const differing = (['gain-1', 'gain-2', 'phantom-1'] as const).filter(
          (key) => was[key] !== is[key],
        );
        const tasks = changeOver(both, 'a', 'b');
        const turned = tasks.find(({ id }) => id === 'setting desk')?.where.split(', ') ?? [];
        expect(turned).toHaveLength(differing.length);
        // Standing as the one and then as the other is what the tasks lead to.
        const stood = apply(apply(both, { type: 'standAsSet', setId: 'a' }), {
          type: 'standAsSet',
          setId: 'b',
        });
        expect(stood.devices['desk']?.settings).toEqual(both.devices['desk']?.settings);
      }),
      { numRuns: times(60) },
    );
  });
  it('is measured as any other task, and comes after what carries it', () => {
    const far = keep(
      apply(loud, {
        type: 'standDevice',
        deviceId: 'desk',
        on: { supportId: 'table', xM: -0.9, yM: 0, turnDeg: 0, upM: 0 },
      }),
      'b',
    );
    // Phantom power comes on with it: everything is plugged first.
    expect(taskOf(changeOver(far, 'a', 'b'), 'setting desk').after).toEqual([
      'device desk',
      'cables mic',
    ]);
    const measured = apply(far, { type: 'measureTask', taskId: 'setting desk', minutes: 3 });
    expect(taskOf(changeOver(measured, 'a', 'b'), 'setting desk').minutes).toBe(3);
  });
});

describe('what was measured and what would save', () => {
  const rig = kept(at(start, 'tripod', 3, 5));
  const measure = (to: Rig, minutes: number): Rig =>
    apply(to, { type: 'measureTask', taskId: 'support tripod', minutes });
  it('counts the middle of the times, and tells them all beside the estimate', () => {
    const often = [2, 3.5, 2.5].reduce(measure, rig);
    expect(taskOf(changeOver(often, 'a', 'b'), 'support tripod')).toMatchObject({
      minutes: 2.5,
      spread: { leastMin: 2, mostMin: 3.5, times: 3 },
      sum: 'measured 3 times: 2, 3.5, 2.5 min; estimated 1.5 min',
    });
    expect(
      taskOf(changeOver(measure(measure(rig, 2), 3), 'a', 'b'), 'support tripod').minutes,
    ).toBe(2.5);
  });
  it('goes back to the estimate when the times are forgotten, and remembers a dozen', () => {
    const dozen = Array.from({ length: 20 }, (_, at1) => at1 + 1).reduce(measure, rig);
    expect(dozen.taskMinutes['support tripod']).toEqual([
      9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20,
    ]);
    const forgotten = apply(dozen, { type: 'forgetTask', taskId: 'support tripod' });
    expect(taskOf(changeOver(forgotten, 'a', 'b'), 'support tripod').minutes).toBe(1.5);
  });
  it('takes longer where no tape says where, and says what a mark would save', () => {
    const bare = apply(rig, { type: 'setTape', setId: 'b', tape: null });
    // 1.1 + 0.75 + 0.1 + 0.244 = 2.19 min, so 2¼.
    expect(taskOf(changeOver(bare, 'a', 'b'), 'support tripod')).toMatchObject({
      minutes: 2.25,
      markSavesMin: 0.75,
    });
  });
  it('a look that differs is a task, a lamp for lamp', () => {
    const lit = apply(new RigDraft('Lit').device('lamp', 'light-panel-small').build(), {
      type: 'keepSet',
      setId: 'a',
      name: 'A',
    });
    const looks = [
      { type: 'keepLook', lookId: 'one', name: 'One', setId: 'a' },
      { type: 'keepSet', setId: 'b', name: 'B' },
      { type: 'setControl', deviceId: 'lamp', control: 'dimmer', value: 20 },
      { type: 'keepLook', lookId: 'two', name: 'Two', setId: 'b' },
    ] as const;
    const both = looks.reduce<Rig>((to, command) => apply(to, command), lit);
    expect(ids(changeOver(both, 'a', 'b'))).toEqual(['lamp lamp', 'check']);
    expect(changeOver(both, 'a', 'a')).toEqual([]);
  });
});

describe('from everything put away', () => {
  const tasks = changeOver(start, null, 'a');
  it('the furniture is there; stands, devices and cables are not', () =>
    expect(ids(tasks)).toEqual([
      'support tripod',
      'device camera',
      'device mic',
      'device desk',
      'cables mic',
      'setting camera',
      'setting desk',
      'check',
    ]));
  it('a device waits for what it stands on, a cable for both its ends', () => {
    expect(taskOf(tasks, 'device camera').after).toEqual(['support tripod']);
    expect(taskOf(tasks, 'device mic').after).toEqual([]);
    expect([...taskOf(tasks, 'cables mic').after].sort()).toEqual(['device desk', 'device mic']);
  });
  it.each(alsoInLong(['second-firing'], ['harbour-hall']))(
    'every task of %s can be scheduled, and more people are never slower',
    (name) => {
      const demo = demoRig(name);
      const rig = apply(demo, { type: 'keepSet', setId: 'now', name: 'Now' });
      const all = changeOver(rig, null, 'now');
      const minutes = [2, 3, 4].map((people) => {
        const schedule = scheduleFor(all, people);
        if (!schedule.ok) throw new Error(schedule.why);
        expect(schedule.tasks).toHaveLength(all.length);
        return schedule.minutes;
      });
      expect(all.length).toBeGreaterThan(20);
      expect(minutes[1]).toBeLessThan(minutes[0] ?? 0);
      expect(minutes[2]).toBeLessThan(minutes[1] ?? 0);
    },
  );
});
