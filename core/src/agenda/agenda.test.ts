import { RigDraft } from '../catalogue/draft';
import { demoRig } from '../rules/demo-for-cases';
import type { Rig } from '../rig';
import { agendaOf, clashesOf, minuteText, rigDays } from './agenda';

const show = (
  name: string,
  { on = '2026-12-03', beginsAt = '19:30', lengthMin = 90, setUpMin = 60, person = 'Host' } = {},
): { id: string; rig: Rig } => {
  const draft = new RigDraft(name)
    .do({ type: 'writeBrief', brief: { lengthMin, setUpMin } })
    .person('who', person)
    .do({ type: 'addShow', showId: 'show', show: { name, on } });
  if (beginsAt !== '') draft.do({ type: 'setBeginning', beginsAt });
  return { id: name.toLowerCase().replaceAll(' ', '-'), rig: draft.build() };
};

describe('the agenda of all rigs', () => {
  it('is in the order of days and beginnings, with who comes and what must be ready', () => {
    const shows = agendaOf(
      [
        show('Late', { beginsAt: '21:00' }),
        show('Open end', { beginsAt: '' }),
        show('Early', { beginsAt: '09:15' }),
        show('Day before', { on: '2026-12-02' }),
      ].map(rigDays),
    );
    expect(shows.map(({ name, fromMin, untilMin }) => [name, fromMin, untilMin])).toEqual([
      ['Day before', 18 * 60 + 30, 21 * 60],
      ['Early', 8 * 60 + 15, 10 * 60 + 45],
      ['Late', 20 * 60, 22 * 60 + 30],
      ['Open end', null, null],
    ]);
    const [firing] = agendaOf(
      [{ id: 'second-firing', rig: demoRig('second-firing') }].map(rigDays),
    );
    expect(firing?.onSite).toContain('Host');
    expect(firing?.remote.length).toBeGreaterThan(0);
    expect([firing?.fromMin, firing?.beginsMin].map((min) => minuteText(min ?? 0))[1]).toBe(
      '19:30',
    );
  });
  it('says what runs on batteries and what records on cards, and nothing else', () => {
    const rig = demoRig('harbour-hall');
    const [hall] = agendaOf([{ id: 'harbour-hall', rig }].map(rigDays));
    expect(hall?.batteries).toEqual(['Roaming 3']);
    expect(hall?.cards).toEqual(
      expect.arrayContaining(['Roaming 1', 'Roaming 2', 'Roaming 3', 'Chair camera']),
    );
    expect(hall?.cards).toHaveLength(5);
  });
  it('knows no end where the brief is not written', () => {
    const { id, rig } = show('One');
    const [one] = agendaOf([{ id, rig: { ...rig, brief: null } }].map(rigDays));
    expect(one).toMatchObject({ fromMin: 19.5 * 60, untilMin: null });
    expect(
      clashesOf([{ id, rig: { ...rig, brief: null } }, show('Two')].map(rigDays)),
    ).toMatchObject([
      {
        level: 'warn',
        sum: 'One: nobody has said when; Two: 18:30 to 21:00 with set-up',
      },
    ]);
  });
  it('says a person who is wanted twice at once, by how much', () =>
    expect(
      clashesOf([show('One'), show('Two', { beginsAt: '20:30', person: ' host' })].map(rigDays)),
    ).toEqual([
      {
        on: '2026-12-03',
        is: 'person',
        level: 'stop',
        rigIds: ['one', 'two'],
        says: 'Host is wanted in One and in Two at once for 90 min, if it is one person.',
        sum: 'One: 18:30 to 21:00 with set-up; Two: 19:30 to 22:00 with set-up',
      },
    ]));
  it('is a note where they are apart, a warning where nobody has said when, nothing on other days', () => {
    const level = (other: Parameters<typeof show>[1]) =>
      clashesOf([show('One'), show('Two', other)].map(rigDays)).map((clash) => [
        clash.level,
        clash.says,
      ]);
    expect(level({ beginsAt: '23:00' })).toEqual([
      [
        'note',
        'Host is wanted in One and in Two on the same day, 60 min apart, if it is one person.',
      ],
    ]);
    expect(level({ beginsAt: '' })[0]?.[0]).toBe('warn');
    expect(level({ on: '2026-12-04' })).toEqual([]);
    expect(level({ person: 'Guest' })).toEqual([]);
  });
  it('a show that ends after midnight is in the way of the morning', () =>
    expect(
      clashesOf(
        [
          show('Night', { beginsAt: '23:00', lengthMin: 180 }),
          show('Morning', { on: '2026-12-04', beginsAt: '02:00' }),
        ].map(rigDays),
      ).map(({ level, says }) => [level, says]),
    ).toEqual([
      ['stop', 'Host is wanted in Night and in Morning at once for 60 min, if it is one person.'],
    ]));
  it('knows one room by its outline', () => {
    const corners = [
      { xM: 0, yM: 0 },
      { xM: 5, yM: 0 },
      { xM: 5, yM: 4 },
      { xM: 0, yM: 4 },
    ];
    const inRoom = (name: string, person: string): { id: string; rig: Rig } => {
      const { id, rig } = show(name, { person });
      return {
        id,
        rig: { ...rig, shell: { ...demoRig('second-firing').shell, corners } as Rig['shell'] },
      };
    };
    expect(
      clashesOf([inRoom('One', 'A'), inRoom('Two', 'B')].map(rigDays)).map(({ is, says }) => [
        is,
        says,
      ]),
    ).toEqual([
      ['room', 'One and Two are drawn in the same room and want it at once for 150 min.'],
    ]);
    // A name says more than an outline: rooms of one outline and two names are two.
    const named = (name: string, person: string, room: string) => {
      const { id, rig } = inRoom(name, person);
      return { id, rig: { ...rig, room: { ...rig.room, name: room } } };
    };
    expect(clashesOf([named('One', 'A', 'Shed'), named('Two', 'B', 'Loft')].map(rigDays))).toEqual(
      [],
    );
    expect(
      clashesOf([named('One', 'A', 'Shed'), named('Two', 'B', 'shed ')].map(rigDays)).map(
        ({ says }) => says,
      ),
    ).toEqual(['One and Two want Shed at once for 150 min.']);
    expect(clashesOf([named('One', 'A', 'Shed'), inRoom('Two', 'B')].map(rigDays))).toHaveLength(1);
  });
});
