import { RigDraft } from '../catalogue/draft';
import { apply, type Rig } from '../rig';
import { demoRig } from '../rules/demo-for-cases';
import { changeOver, type ChangeTask } from './change-over';
import { scheduleFor } from './schedule';

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
  .build();

const at = (rig: Rig, supportId: string, xM: number, yM: number): Rig =>
  apply(rig, {
    type: 'changeSupport',
    supportId,
    support: { at: { xM, yM, facingDeg: 0 } },
  });
const kept = (rig: Rig): Rig => apply(rig, { type: 'keepSet', setId: 'b', name: 'B' });
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
    // 4.5 kg of tripod and 1.6 kg of camera, 4 m: 0.6 + 0.1 + 0.24 = 0.94 min.
    expect(tripod).toMatchObject({
      minutes: 1,
      people: 1,
      sum: '0.6 min + 4 m ÷ 40 m/min + 6.1 kg ÷ 25 kg/min = 0.94 min',
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

describe('from everything put away', () => {
  const tasks = changeOver(start, null, 'a');
  it('the furniture is there; stands, devices and cables are not', () =>
    expect(ids(tasks)).toEqual([
      'support tripod',
      'device camera',
      'device mic',
      'device desk',
      'cables mic',
      'check',
    ]));
  it('a device waits for what it stands on, a cable for both its ends', () => {
    expect(taskOf(tasks, 'device camera').after).toEqual(['support tripod']);
    expect(taskOf(tasks, 'device mic').after).toEqual([]);
    expect([...taskOf(tasks, 'cables mic').after].sort()).toEqual(['device desk', 'device mic']);
  });
  it.each(['second-firing', 'harbour-hall'] as const)(
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
