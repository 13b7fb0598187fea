import {
  apply,
  blankRig,
  readRig,
  type Rig,
  rigToJson,
  type SimpleCommand,
  USUAL_PERSON,
} from '..';

const host: SimpleCommand = {
  type: 'addPerson',
  personId: 'host',
  person: { name: 'Host', ...USUAL_PERSON },
};
const potter: SimpleCommand = {
  type: 'addPerson',
  personId: 'potter',
  person: { name: 'Potter', ...USUAL_PERSON },
};
const sight = (people: readonly string[]): SimpleCommand => ({
  type: 'addSight',
  sightId: 'wheel',
  sight: {
    name: 'Hands at the wheel',
    what: 'hands',
    shot: 'close',
    at: null,
    people: [...people],
  },
});

const briefed = (...commands: readonly SimpleCommand[]): Rig =>
  [{ type: 'writeBrief', brief: {} } as const, host, potter, ...commands].reduce<Rig>(
    (rig, command) => apply(rig, command),
    blankRig('Second Firing'),
  );

describe('what there is to see', () => {
  it('names who is in it', () =>
    expect(briefed(sight(['host', 'potter'])).brief?.sights['wheel']?.people).toEqual([
      'host',
      'potter',
    ]));
  it('cannot name somebody who is not there', () => {
    const rig = briefed();
    const before = rigToJson(rig);
    expect(() => apply(rig, sight(['ghost']))).toThrow(/ghost/);
    expect(rigToJson(rig)).toBe(before);
  });
  it('cannot come to name somebody who is not there', () =>
    expect(() =>
      apply(briefed(sight(['host'])), {
        type: 'changeSight',
        sightId: 'wheel',
        sight: { people: ['host', 'ghost'] },
      }),
    ).toThrow(/ghost/));
  it('forgets a person who leaves, and keeps the others', () => {
    const rig = briefed(sight(['host', 'potter']));
    expect(
      apply(rig, { type: 'removePerson', personId: 'host' }).brief?.sights['wheel']?.people,
    ).toEqual(['potter']);
  });
  it('stays in sight when the last of its people leaves', () => {
    const rig = apply(briefed(sight(['host'])), { type: 'removePerson', personId: 'host' });
    expect(rig.brief?.sights['wheel']).toMatchObject({ name: 'Hands at the wheel', people: [] });
  });
  it('is refused at the door where its people are not there, with where and why', () => {
    const written = JSON.parse(rigToJson(briefed(sight(['host'])))) as {
      brief: { sights: { wheel: { people: string[] } } };
    };
    written.brief.sights.wheel.people = ['host', 'ghost'];
    const read = readRig(written);
    expect(read.ok ? 'read' : read.problems).toEqual([
      {
        path: expect.stringMatching(/^brief\.sights\.wheel\.people/) as string,
        says: expect.stringContaining('ghost') as string,
      },
    ]);
  });
});
