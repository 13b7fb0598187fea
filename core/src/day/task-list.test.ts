import { personMinutes, scheduleFor } from './schedule';
import { readTaskList } from './task-list';

/** Worked H of the handbook, as somebody would type it. */
const WORKED_H = `Task,Minutes,People,After
Table,2,2
Camera,1.5,1,Table
Key light,2,1
Panels,3,1
Microphone arm,1,1,table
Cables,2:30,1,Camera + Microphone arm
Laptop,1.5,1,Table
Check,2,2,Cables + Laptop + Key light + Panels`;

describe('a list of tasks of one’s own', () => {
  it('worked H: 19.5 person-minutes, 10.0 min with two, 8.0 with three', () => {
    const { tasks, faults } = readTaskList(WORKED_H);
    expect(faults).toEqual([]);
    expect(personMinutes(tasks)).toBe(19.5);
    expect(scheduleFor(tasks, 2)).toMatchObject({ minutes: 10, isBest: true });
    expect(scheduleFor(tasks, 3)).toMatchObject({ minutes: 8, isBest: true });
  });
  it('needs no header, and takes a semicolon or a tab between cells', () => {
    const plain = readTaskList('Table;2;2;\nCamera;1,5;1;Table');
    expect(plain).toEqual({
      tasks: [
        { id: 'Table', minutes: 2, people: 2, after: [] },
        { id: 'Camera', minutes: 1.5, people: 1, after: ['Table'] },
      ],
      faults: [],
    });
    expect(readTaskList('Table\t2\t2\nCamera\t1.5\t1\tTable').tasks).toEqual(plain.tasks);
  });
  it('says each fault by its line, and takes the rest', () => {
    const { tasks, faults } = readTaskList(
      'Task,Minutes,People,After\nTable,2,2\n,3,1\nCamera,soon,1\nLamp,1,none\nArm,1,1,Tabel\n' +
        'table,4,1\nCheck,2,1,Camera + Table',
    );
    expect(faults).toEqual([
      { line: 3, says: 'it has no name' },
      { line: 4, says: '“soon” is no time such as 2, 1.5 or 1:30' },
      { line: 5, says: '“none” is no number of people' },
      { line: 6, says: '“Tabel” is no task of this list' },
      { line: 7, says: '“table” is there already' },
    ]);
    // What waits for a line that is left out waits for nothing.
    expect(tasks.map(({ id, after }) => [id, after])).toEqual([
      ['Table', []],
      ['Check', ['Table']],
    ]);
  });
  it('what goes in a circle is said by the schedule', () => {
    const { tasks } = readTaskList('A,1,1,B\nB,1,1,A');
    expect(scheduleFor(tasks, 2)).toMatchObject({ ok: false });
  });
});
