import { ruleCases } from '../judge-for-cases';
import { having, ROOM, roomWithCamera, roomWithHost } from '../plan-for-cases';
import { RigDraft } from '../../catalogue/draft';
import type { SimpleCommand } from '../../rig';

/** The handbook's stand: 2.6 m ahead of the lens and 1.2 m aside of it. */
const stand = (asideM: number, usual = 'Stand, light'): RigDraft =>
  roomWithCamera().support('lamp', usual, [3 - asideM, 4.6 - 2.6, 0], { name: 'Lamp stand' });

ruleCases('place.in-frame', {
  valid: {
    'a stand 1.36 m aside: out of 1.32 m by its column': stand(1.36).build(),
    'a stand behind the camera': roomWithCamera(2.6)
      .support('lamp', 'Stand, light', [3, 4.6, 0])
      .build(),
    'the microphone before the mouth': roomWithCamera()
      .device('mic', 'mic-dynamic-stage', { person: 'host' })
      .build(),
    'a laptop on the table of the set': roomWithCamera()
      .support('desk', 'Desk, 1.4 m', [3, 1.7, 0])
      .device('laptop', 'computer-laptop')
      .stand('laptop', 'desk')
      .build(),
  },
  invalid: {
    'the handbook’s stand: 24.8° of 27.0°': {
      rig: stand(1.2).build(),
      level: 'warn',
      says: /2\.60 m ahead of Camera and 1\.20 m to the right of its middle, 24\.8° of 27\.0°/,
      fixes: [/^Move Lamp stand 0\.1\d m to the right/],
    },
    'a screen on the desk that shows its back': {
      rig: roomWithCamera()
        .support('desk', 'Desk, 1.4 m', [3, 1.9, 0])
        .device('screen', 'display-monitor', { name: 'Screen' })
        .stand('screen', 'desk', 0, 0)
        .build(),
      level: 'warn',
    },
  },
});

ruleCases('place.hides', {
  valid: {
    'a stand beside the line of sight': stand(0.6).build(),
    'a table lower than the eyes': roomWithCamera()
      .support('desk', 'Desk, 1.4 m', [3, 2, 0])
      .build(),
  },
  invalid: {
    'a shelf between the lens and the eyes': {
      rig: roomWithCamera().support('shelf', 'Shelf, 1 m', [3, 2.4, 0]).build(),
      level: 'warn',
      says: /Shelf, 1 m stands between Camera and the eyes of Host/,
      fixes: [/^Move Shelf, 1 m 1\.03 m to the right/, /^Move Shelf, 1 m 1\.03 m to the left/],
    },
  },
});

const typed = (shot: Extract<SimpleCommand, { type: 'changeShot' }>['shot']): SimpleCommand => ({
  type: 'changeShot',
  shotId: 'camera',
  shot,
});

ruleCases('place.shot-differs', {
  valid: {
    'nothing typed: the plan says it': roomWithCamera(3.6).build(),
    'typed within a tenth': having(roomWithCamera(3), typed({ distanceM: 3.2 })),
  },
  invalid: {
    'typed 2 m, 3 m on the plan': {
      rig: having(roomWithCamera(3), typed({ distanceM: 2 })),
      level: 'note',
      says: /typed as 2\.00 m; on the plan it is 3\.00 m/,
      sum: 3,
      fixes: ['Let the plan say it: 3.00 m'],
    },
  },
});

ruleCases('place.background-differs', {
  valid: { 'a metre to the wall, as typed': having(roomWithCamera(), typed({ backgroundM: 1 })) },
  invalid: {
    'a metre to the wall, 3 m typed': {
      rig: having(roomWithCamera(), typed({ backgroundM: 3 })),
      level: 'note',
      sum: 1,
      fixes: ['Let the plan say it: 1.00 m'],
    },
    'shelves stand before the wall': {
      rig: having(
        roomWithCamera().support('shelf', 'Shelf, 1 m', [3, 0.4, 0]),
        typed({ backgroundM: 1 }),
      ),
      level: 'note',
      sum: 0.425,
    },
  },
});

const two = (apartM: number, seatSpacingM: number | null): RigDraft =>
  roomWithHost(2)
    .person('guest', 'Guest', { at: { xM: 2 + apartM, yM: 1, facingDeg: 0 } })
    .do({ type: 'writeBrief', brief: {} })
    .do({
      type: 'addSight',
      sightId: 'both',
      sight: {
        name: 'Both',
        what: 'people together',
        shot: 'two-shot',
        at: null,
        people: ['host', 'guest'],
      },
    })
    .device('camera', 'camera-full-frame', { name: 'Camera', sight: 'both' })
    .do({
      type: 'placeDevice',
      deviceId: 'camera',
      at: { xM: 2.5, yM: 4, facingDeg: 180 },
      aim: null,
    })
    .shot('camera', { sightId: 'both', wanted: 'two-shot', seatSpacingM });

ruleCases('place.seats-differ', {
  valid: { 'seats a metre apart, as typed': two(1, 1).build(), 'not typed': two(1, null).build() },
  invalid: {
    'seats 1.4 m apart, 0.8 m typed': {
      rig: two(1.4, 0.8).build(),
      level: 'note',
      sum: 1.4,
      fixes: ['Let the plan say it: 1.40 m'],
    },
  },
});

ruleCases('place.subject-unplaced', {
  valid: { 'a subject on the plan': roomWithCamera().build() },
  invalid: {
    'a subject nobody has placed': {
      rig: having(roomWithCamera(), {
        type: 'changePerson',
        personId: 'host',
        person: { at: null },
      }),
      level: 'note',
      says: /Host does not/,
    },
  },
});

ruleCases('place.turned-away', {
  valid: {
    'a camera in front': roomWithCamera().build(),
    'one 55° aside': having(roomWithCamera(), {
      type: 'changePerson',
      personId: 'host',
      person: { at: { xM: 3, yM: 1, facingDeg: 55 } },
    }),
  },
  invalid: {
    'a profile': {
      rig: having(roomWithCamera(), {
        type: 'changePerson',
        personId: 'host',
        person: { at: { xM: 3, yM: 1, facingDeg: 90 } },
      }),
      level: 'note',
      sum: 90,
      fixes: ['Turn Host to the camera'],
    },
    'the back of a head': {
      rig: having(roomWithCamera(), {
        type: 'changePerson',
        personId: 'host',
        person: { at: { xM: 3, yM: 1, facingDeg: 180 } },
      }),
      level: 'warn',
      says: /the back of the head/,
      fixes: ['Turn Host to the camera'],
    },
  },
});

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
      fixes: [/^Move Side table .* out of the way$/, /^Move Side table .* out of the way$/],
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
      fixes: [/^Put Thing 0\.50 m before Host$/],
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
