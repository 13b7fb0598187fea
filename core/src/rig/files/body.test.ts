import { analyse } from '../../analyse';
import { oldFile, read } from './files-for-cases';

/** What a shot and a microphone were typed to, and where they stood. */
const typedIn = (text: string): readonly unknown[] => {
  const {
    shots = {},
    devices = {},
    people = {},
  } = JSON.parse(text) as Record<string, Record<string, Record<string, unknown>>>;
  return [
    Object.entries(shots).map(([id, shot]) => [id, shot['distanceM'], shot['backgroundM']]),
    Object.entries(devices).map(([id, device]) => [id, device['settings'], device['at']]),
    Object.entries(people).map(([id, person]) => [id, person['at']]),
  ];
};

describe.each(['second-firing', 'night-tide', 'harbour-hall'])('%s of version 6', (name) => {
  const text = oldFile(name, 6);
  const opened = read(text);
  if (!opened.ok) throw new Error(opened.problems[0]?.says);
  const { rig } = opened;
  it('opens with nothing that carries, no doors and no sets', () =>
    expect([rig.supports, rig.openings, rig.walkways, rig.sets]).toEqual([{}, {}, {}, {}]));
  it('keeps every distance and every place that was typed', () =>
    expect(typedIn(JSON.stringify(rig))).toEqual(typedIn(text)));
  it('is judged as before: nothing new is found of stands, and of the plan only what was known', () => {
    const known = ['place.rings-long', 'place.boomy'];
    expect(
      analyse(rig).findings.filter(
        ({ area, code }) => area === 'stands' || (area === 'place' && !known.includes(code)),
      ),
    ).toEqual([]);
  });
});

describe.each(['second-firing', 'night-tide', 'harbour-hall'])('%s of version 10', (name) => {
  const opened = read(oldFile(name, 10));
  if (!opened.ok) throw new Error(opened.problems[0]?.says);
  const { rig } = opened;
  it('opens with cables along the walls, no ways, no circuits and nothing plugged in', () => {
    expect(rig.laying).toEqual({ alongWalls: true, openFloor: false, dressing: 'reopenable' });
    expect([rig.cableWays, rig.ownCables, rig.circuits, rig.feeds, rig.loads, rig.plugs]).toEqual(
      Array.from({ length: 6 }, () => ({})),
    );
    expect(Object.values(rig.links).every(({ lay }) => lay === undefined)).toBe(true);
  });
  it('keeps what was put aside, by the same keys', () => {
    const keys = (text: string): string[] =>
      Object.values((JSON.parse(text) as { aside: Record<string, { key: string }> }).aside).map(
        ({ key }) => key,
      );
    expect(Object.values(rig.aside).map(({ key }) => key)).toEqual(keys(oldFile(name, 10)));
    expect(analyse(rig).aside).toHaveLength(Object.keys(rig.aside).length);
  });
});
