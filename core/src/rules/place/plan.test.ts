import { analyse } from '../../analyse';
import { views } from '../../passes/view';
import { ruleCases } from '../judge-for-cases';
import { having, roomWithCamera, roomWithHost } from '../plan-for-cases';
import type { RigDraft } from '../../catalogue/draft';
import type { Rig, SimpleCommand } from '../../rig';

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
      fixes: [/^Move Lamp stand 0\.1\d m to the right/, /^Move Lamp stand 2\.\d\d m to the left/],
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
      fixes: ['Let the plan say it: 3.00 m', 'Move the camera to 2.00 m from its subject'],
    },
    'typed farther than the room is deep: the camera stays': {
      rig: having(roomWithCamera(3), typed({ distanceM: 6 })),
      level: 'note',
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

ruleCases('place.camera-height', {
  valid: { 'a lens 1.2 m up': roomWithCamera().build() },
  invalid: {
    'nobody has said how high': {
      rig: having(roomWithCamera(), { type: 'raiseDevice', deviceId: 'camera', heightM: null }),
      level: 'note',
      says: /level with what it looks at, 1\.\d\d m up/,
      fixes: [/^It is level with its subject: 1\.\d\d m$/],
    },
  },
});

/** A guest beside the host, seen by the host's close camera of 50 mm. */
const closeWithGuest = (asideM: number, wanted: 'head and shoulders' | 'whole'): Rig =>
  having(
    roomWithCamera(1.62).person('guest', 'Guest', {
      at: { xM: 3 + asideM, yM: 1, facingDeg: 0 },
    }),
    { type: 'changeShot', shotId: 'camera', shot: { wanted } },
  );

ruleCases('place.person-in-frame', {
  valid: {
    'a guest two metres aside': closeWithGuest(2, 'head and shoulders'),
    'a wide picture in which both belong': closeWithGuest(0.7, 'whole'),
  },
  invalid: {
    'a shoulder at the edge': {
      rig: closeWithGuest(0.7, 'head and shoulders'),
      level: 'note',
      says: /Camera shows Host, and Guest takes up to \d\d % of the picture’s width/,
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

const ofHands = (at: { xM: number; yM: number; zM: number } | null): RigDraft =>
  roomWithHost()
    .do({ type: 'writeBrief', brief: {} })
    .do({
      type: 'addSight',
      sightId: 'hands',
      sight: { name: 'Hands', what: 'hands', shot: 'close', at, people: ['host'] },
    })
    .device('above', 'camera-ptz', { name: 'Above', sight: 'hands' })
    .support('boom', 'Boom stand', [3, 3, 180], { figures: { heightM: 2.2, ballastKg: 3 } })
    .stand('above', 'boom')
    .shot('above', { sightId: 'hands', wanted: 'close' });

describe('a shot of hands', () => {
  it('looks at where the hands are, and hides nobody’s eyes', () => {
    const [view] = views(analyse(ofHands({ xM: 3, yM: 1.5, zM: 0.75 }).build()));
    expect(view?.onPlan.subject).toEqual({ xM: 3, yM: 1.5, zM: 0.75 });
    expect(view?.hidden).toEqual([]);
  });
  it('is not taken to look into the eyes where nobody has said where the hands are', () => {
    const { findings } = analyse(ofHands(null).build());
    expect(findings.map(({ code }) => code)).toContain('place.subject-unplaced');
  });
});
