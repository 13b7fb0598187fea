import { RigDraft } from '../../catalogue/draft';
import { apply, rectangle, type Rig } from '../../rig';
import { ruleCases } from '../judge-for-cases';
import { room, way } from './room-for-cases';

ruleCases('cables.too-short', {
  valid: {
    'as long as its way asks: 5 m of way, 0.6 of slack': room({ lengthM: 5.6 }),
    'a room without ways, and ends far apart': new RigDraft('Bare')
      .device('switcher', 'switcher-4')
      .device('display', 'display-monitor')
      .link('switcher.programme', 'display.in', 1)
      .build(),
  },
  invalid: {
    'shorter than the way, though not than the straight line': {
      rig: room({ lengthM: 5 }),
      level: 'warn',
      says: /Its way is 5\.00 m; with 0\.60 m of slack it asks 5\.60 m\. The next length that is sold is 7\.5 m/,
      sum: 5.6,
      fixes: [/^Make it 7\.5 m/],
    },
    'shorter than the straight line: nothing makes it reach': {
      rig: room({ lengthM: 3 }),
      level: 'stop',
      fixes: [/^Make it 7\.5 m/],
    },
    'shorter by what a desk travels': {
      rig: room({ desk: true, lengthM: 6 }),
      level: 'warn',
      says: /0\.50 m that the desk travels/,
    },
  },
});

ruleCases('cables.coiled', {
  valid: { 'a little long': room({ lengthM: 10 }) },
  invalid: {
    'three times as long': {
      rig: room({ lengthM: 25 }),
      level: 'note',
      says: /so 7\.5 m would do/,
      fixes: [/^Make it 7\.5 m/],
    },
  },
});

const longWay = (): Rig => {
  const rig = room({
    lengthM: 75,
    kind: 'hdmi-optical',
    ways: [
      way([
        [5, 0, 0],
        [5, 60, 0],
        [1, 60, 0],
        [1, 0, 0],
      ]),
    ],
  });
  return { ...rig, laying: { ...rig.laying, alongWalls: false } };
};

ruleCases('cables.joined', {
  valid: { 'one length does': room() },
  invalid: {
    'a way of 125 m: two whole lengths and a last': {
      rig: longWay(),
      level: 'warn',
      says: /needs 137\.50 m; that is 50 \+ 50 \+ 50 m joined/,
    },
  },
});

ruleCases('cables.no-way', {
  valid: { 'both ends at the wall': room() },
  invalid: {
    'a display in the middle of the room': {
      rig: room({ displayAt: [5, 2.5] }),
      level: 'note',
      fixes: [/open floor/],
    },
  },
});

ruleCases('cables.unplaced', {
  valid: { 'both ends on the plan': room() },
  invalid: {
    'one end that stands nowhere': {
      rig: new RigDraft('Case')
        .do({ type: 'drawRoom', room: { corners: rectangle(8, 5), heightM: 2.6 } })
        .support('one', 'Wall bracket', [1, 0, 0])
        .support('two', 'Wall bracket', [3, 0, 0])
        .device('splitter', 'splitter-hdmi-2', { name: 'Splitter' })
        .device('display', 'display-monitor', { name: 'Display' })
        .device('other', 'display-monitor', { name: 'Other display' })
        .stand('splitter', 'one')
        .stand('display', 'two')
        .link('splitter.out-1', 'display.in', 5)
        .link('splitter.out-2', 'other.in', 5)
        .build(),
      level: 'note',
      says: /^Other display stands nowhere on the plan, so one cable cannot be measured/,
    },
  },
});

/** The display plugged into an outlet beyond the door. */
const withLead = (rig: Rig): Rig =>
  [
    {
      type: 'addFeed',
      feedId: 'outlet',
      feed: {
        name: 'Outlet',
        figures: { is: 'outlet', sockets: 2, mostA: 16 },
        from: null,
        at: { xM: 1, yM: 0 },
      },
    } as const,
    { type: 'plugIn', deviceId: 'display', feedId: 'outlet' } as const,
  ].reduce<Rig>((now, command) => apply(now, command), rig);

ruleCases('cables.trip', {
  valid: {
    'no door and no walkway': room(),
    'a door, and the cable in a cover': room({
      door: true,
      ways: [
        way(
          [
            [2, 0, 0],
            [4, 0, 0],
          ],
          { is: 'cover' },
        ),
      ],
    }),
    'a door, and the cable led round': room({
      door: true,
      lengthM: 30,
      lay: { dressing: null, keepsOff: true },
    }),
  },
  invalid: {
    'along the wall before a door: three cures, each tried': {
      rig: room({ door: true }),
      level: 'warn',
      says: /bare on the floor of Door/,
      fixes: [
        /^Lay 0\.90 m of cable cover/,
        /^Lead one cable over it, 2\.20 m up/,
        /^Lead one cable round it: 5\.6 → /,
      ],
    },
    'a mains lead that lies there too': {
      rig: withLead(room({ door: true })),
      level: 'warn',
      says: /^A cable and a mains lead lie bare on the floor of Door/,
      fixes: [/^Lay 0\.90 m of cable cover/],
    },
    'across an aisle along the wall': { rig: room({ walkway: true }), level: 'warn' },
  },
});
