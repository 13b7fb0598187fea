import { RigDraft } from '../../catalogue/draft';
import type { SimpleCommand } from '../../rig';
import { ruleCases } from '../judge-for-cases';
import { having, ROOM, roomWithHost } from '../plan-for-cases';

const door = (opens: 'in' | 'out' | 'no'): SimpleCommand => ({
  type: 'addOpening',
  openingId: 'door',
  opening: {
    name: 'Door',
    what: 'door',
    wall: 0,
    alongM: 4,
    widthM: 1.2,
    bottomM: 0,
    heightM: 2,
    opens,
  },
});
const room = (): RigDraft => new RigDraft('Case').do(ROOM);

ruleCases('place.door-blocked', {
  valid: {
    'a table beside the swing': having(room().support('t', 'Side table', [2, 0.5, 0]), door('in')),
    'a table a metre before a door that opens out': having(
      room().support('t', 'Side table', [4, 1.3, 0]),
      door('out'),
    ),
    'a grid over the door': having(
      room().support('g', 'Grid, 3 m by 2 m', [4, 1, 0], { figures: { heightM: 2.4 } }),
      door('in'),
    ),
  },
  invalid: {
    'a table in the swing': {
      rig: having(room().support('t', 'Side table', [4, 0.6, 0]), door('in')),
      level: 'warn',
      says: /into the floor that Door needs to swing/,
      fixes: [
        /^Move Side table .* out of the way$/,
        /^Move Side table .* out of the way$/,
        /^Move Side table .* out of the way$/,
      ],
    },
    'a table a metre before a door that swings in 1.2 m': {
      rig: having(room().support('t', 'Side table', [4, 1.3, 0]), door('in')),
      level: 'warn',
    },
  },
});

const way = (xM: number): SimpleCommand => ({
  type: 'addWalkway',
  walkwayId: 'way',
  walkway: { name: 'Way out', from: { xM, yM: 0.5 }, to: { xM, yM: 4.5 }, widthM: 1 },
});

ruleCases('place.way-blocked', {
  valid: {
    'a table beside the way': having(room().support('t', 'Side table', [2, 2, 0]), way(4)),
    'somebody who stands on it': having(roomWithHost(4, 2), way(4)),
  },
  invalid: {
    'a tripod’s feet on the way': {
      rig: having(room().support('t', 'Tripod, light', [3.3, 2, 0]), way(4)),
      level: 'warn',
      says: /25 cm into Way out/,
    },
  },
});

ruleCases('place.ceiling', {
  valid: {
    'a stand of 2.2 m under 2.6 m': room().support('s', 'Stand, heavy', [2, 2, 0]).build(),
    'a grid fixed to the ceiling': room()
      .support('g', 'Grid, 3 m by 2 m', [3, 2, 0], { figures: { heightM: 2.55 } })
      .build(),
  },
  invalid: {
    'a stand of 2.8 m': {
      rig: room()
        .support('s', 'Stand, heavy', [2, 2, 0], { figures: { heightM: 2.8 } })
        .build(),
      level: 'warn',
      says: /at 2\.80 m and the ceiling at 2\.60 m/,
      fixes: [/^Lower Stand, heavy to 2\.50 m$/],
    },
  },
});

const beam = (heightM: number): RigDraft =>
  roomWithHost(3, 2).support('b', 'Grid, 3 m by 2 m', [3, 2, 0], {
    name: 'Beam',
    figures: { heightM, depthM: 0.2 },
  });

ruleCases('place.head-low', {
  valid: { 'a beam at 2.2 m': beam(2.2).build() },
  invalid: {
    'a beam at 1.7 m over somebody who sits': {
      rig: beam(1.7).build(),
      level: 'note',
      says: /when they get up/,
      fixes: [/^Move Host/],
    },
    'a beam at 1.2 m': { rig: beam(1.2).build(), level: 'warn' },
  },
});

ruleCases('place.crowded', {
  valid: {
    'two tables side by side': room()
      .support('a', 'Desk, 1.4 m', [1, 2, 0])
      .support('b', 'Desk, 1.4 m', [2.4, 2, 0])
      .build(),
    'a tripod’s feet under a table': room()
      .support('a', 'Desk, 1.4 m', [2, 2, 0])
      .support('b', 'Tripod, light', [2, 2.5, 0])
      .build(),
  },
  invalid: {
    'two tables in one another': {
      rig: room()
        .support('a', 'Desk, 1.4 m', [2, 2, 0])
        .support('b', 'Desk, 1.4 m', [3, 2, 0])
        .build(),
      level: 'warn',
      says: /overlap by 40 cm/,
      fixes: [/^Move Desk, 1.4 m 0\.64 m away$/, /^Move Desk, 1.4 m 0\.64 m away$/],
    },
  },
});

const seated = (classId: string, xM: number, yM: number): RigDraft =>
  roomWithHost(3, 1)
    .support('t', 'Table, 2.2 m', [3, 1.8, 0])
    .device('thing', classId, { name: 'Thing', person: 'host' })
    .stand('thing', 't', xM, yM);

ruleCases('place.out-of-reach', {
  valid: { 'a switcher before the seat': seated('switcher-4', 0, -0.3).build() },
  invalid: {
    'a switcher at the far end of the table': {
      rig: seated('switcher-4', 0.9, 0.2).build(),
      level: 'warn',
      says: /0\.7 m is stretched/,
      fixes: [/^Put Thing 0\.62 m before Host$/],
    },
  },
});

ruleCases('place.screen-far', {
  valid: { 'a screen at 0.9 m': seated('display-monitor', 0, 0.1).build() },
  invalid: {
    'a small screen at the far edge': {
      rig: seated('display-sdi', 0, 0.4).build(),
      level: 'note',
      says: /reads Thing from 1\.2\d m/,
      fixes: [/^Put Thing 0\.75 m before Host$/],
    },
  },
});

ruleCases('place.screen-aside', {
  valid: { 'a screen straight ahead': seated('display-monitor', 0, 0.1).build() },
  invalid: {
    'a screen at the end of the table': {
      rig: seated('display-monitor', 0.8, -0.1).build(),
      level: 'note',
      says: /must turn 49°/,
    },
  },
});

ruleCases('place.outside', {
  valid: {
    'a desk flush with the wall': room().support('d', 'Desk, 1.4 m', [0.7, 0.35, 0]).build(),
  },
  invalid: {
    'a desk that sticks out through the wall': {
      rig: room().support('d', 'Desk, 1.4 m', [0.5, 2, 0]).build(),
      level: 'warn',
    },
  },
});
