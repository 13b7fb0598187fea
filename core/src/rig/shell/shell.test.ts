import {
  apply,
  applyTracked,
  blankRig,
  readRig,
  type Rig,
  rigToJson,
  type SimpleCommand,
} from '..';
import { finish, MATERIALS } from './materials';
import { rectangle } from './outline';

const room = (widthM: number, depthM: number, heightM = 2.6): SimpleCommand => ({
  type: 'drawRoom',
  room: { corners: rectangle(widthM, depthM), heightM },
});
const panel: SimpleCommand = {
  type: 'addSurface',
  surfaceId: 'panel',
  surface: { ...finish('Foam, 50 mm'), covers: 'walls', areaM2: 4 },
};
const having = (...commands: readonly SimpleCommand[]): Rig =>
  commands.reduce<Rig>((rig, command) => apply(rig, command), blankRig('Shed'));

describe('drawing a room', () => {
  it('begins with usual finishes, and keeps those that were chosen when it is drawn anew', () => {
    const drawn = having(room(5, 4));
    expect(drawn.shell?.walls.name).toBe('Plaster on masonry');
    const brick = apply(drawn, { type: 'finishRoom', of: 'walls', finish: finish('Bare brick') });
    const larger = apply(brick, room(6, 4));
    expect([larger.shell?.walls.name, larger.shell?.corners[1]?.xM]).toEqual(['Bare brick', 6]);
  });
  it('is taken away, and what was put in stays for the next', () => {
    const gone = apply(having(room(5, 4), panel), { type: 'drawRoom', room: null });
    expect([gone.shell, Object.keys(gone.surfaces)]).toEqual([null, ['panel']]);
  });
  it('needs no second breath to be taken back', () => {
    const before = having(room(5, 4));
    const { rig, changes } = applyTracked(before, room(7, 4));
    expect(changes.length).toBeGreaterThan(0);
    expect(rig.shell?.corners[1]?.xM).toBe(7);
    expect(before.shell?.corners[1]?.xM).toBe(5);
  });
  it.each([
    [
      'walls that cross',
      {
        type: 'drawRoom',
        room: {
          corners: [
            { xM: 0, yM: 0 },
            { xM: 4, yM: 3 },
            { xM: 4, yM: 0 },
            { xM: 0, yM: 3 },
          ],
          heightM: 2.5,
        },
      },
      'This is not the outline of a room: the walls from corner 1 and from corner 3 cross.',
    ],
    [
      'a finish before there is a room',
      { type: 'finishRoom', of: 'walls', finish: finish('Bare brick') },
      'The room is not drawn yet; say its corners and its height first.',
    ],
    [
      'a surface that is not there',
      { type: 'removeSurface', surfaceId: 'panel' },
      'There is no surface "panel" in this room; add it first.',
    ],
  ] as const satisfies readonly (readonly [string, SimpleCommand, string])[])(
    'is refused: %s',
    (_name, command, says) => {
      const rig = blankRig('Shed');
      expect(() => apply(rig, command)).toThrow(says);
      expect(rigToJson(rig)).toBe(rigToJson(blankRig('Shed')));
    },
  );
});

describe('a room in a file', () => {
  const written = (change: (document: { shell: { corners: unknown[] } }) => void): unknown => {
    const document = JSON.parse(rigToJson(having(room(5, 4), panel))) as {
      shell: { corners: unknown[] };
    };
    change(document);
    return document;
  };
  it('comes in as it went out', () => {
    const rig = having(room(5, 4), panel);
    const read = readRig(JSON.parse(rigToJson(rig)));
    expect(read.ok && rigToJson(read.rig)).toBe(rigToJson(rig));
  });
  it('is refused with where and why, when its walls cross', () => {
    const read = readRig(
      written(({ shell }) => shell.corners.splice(1, 2, shell.corners[2], shell.corners[1])),
    );
    expect(read.ok ? 'read' : read.problems).toEqual([
      { path: 'shell.corners', says: 'the walls from corner 1 and from corner 3 cross' },
    ]);
  });
  it('is refused with two corners', () => {
    const read = readRig(written(({ shell }) => shell.corners.splice(2)));
    expect(read.ok ? [] : read.problems.map(({ path }) => path)).toEqual(['shell.corners']);
  });
});

describe('the materials', () => {
  it('have names of their own and shares between 0 and 1', () => {
    expect(new Set(MATERIALS.map(({ name }) => name)).size).toBe(MATERIALS.length);
    for (const { absorption } of MATERIALS) {
      expect(absorption).toHaveLength(6);
      for (const share of absorption) expect(share >= 0 && share <= 1).toBe(true);
    }
  });
  it('thin foam takes up little under 500 Hz, thick panels do', () => {
    expect(finish('Foam, 25 mm').absorption[0]).toBeLessThan(0.1);
    expect(finish('Panel of mineral wool, 100 mm').absorption[0]).toBeGreaterThan(0.5);
  });
  it('none is made up', () => expect(() => finish('Hope')).toThrow('there is no material "Hope"'));
});
