import { RigDraft } from '../../catalogue/draft';
import { type CableWay, type Lay, rectangle, type Rig } from '../../rig';
import { ruleCases } from '../judge-for-cases';
import { inDuct, reopenable, room, way } from './room-for-cases';

ruleCases('cables.way-low', {
  valid: {
    'over heads': room({
      walkway: true,
      ways: [
        way([
          [1, 0, 2.3],
          [5, 0, 2.3],
        ]),
      ],
    }),
  },
  invalid: {
    'a tray at the chest of whoever walks there': {
      rig: room({
        walkway: true,
        ways: [
          way([
            [1, 1, 1.3],
            [5, 1, 1.3],
          ]),
        ],
      }),
      level: 'warn',
      says: /crosses Aisle 1\.30 m above the floor/,
    },
  },
});

ruleCases('cables.way-full', {
  valid: {
    'a duct of 100 mm² for a cable of 44': inDuct({ insideMm2: 100 }),
    'a duct of which nobody knows the inside': inDuct({}),
  },
  invalid: {
    'one cable of 7.5 mm in 80 mm²: 55 %': {
      rig: inDuct({ insideMm2: 80 }),
      level: 'warn',
      says: /fill 55 % of Way/,
      sum: 55.223,
      fixes: [/^Use one with 100 mm² inside/],
    },
    'more than goes in': { rig: inDuct({ insideMm2: 30 }), level: 'stop', says: /do not go in/ },
  },
});

ruleCases('cables.bent', {
  valid: {
    'fibre of 4.8 mm round 48 mm': inDuct({ bendMm: 48 }, { kind: 'hdmi-optical' }),
    'copper bends more tightly': inDuct({ bendMm: 40 }),
  },
  invalid: {
    'fibre round 40 mm': {
      rig: inDuct({ bendMm: 40 }, { kind: 'hdmi-optical' }),
      level: 'warn',
      says: /10 times 4\.8 mm/,
      sum: 48,
    },
  },
});

ruleCases('cables.way-outside', {
  valid: {
    'along the wall, a little in it': room({
      ways: [
        way([
          [1, -0.1, 0],
          [5, -0.1, 0],
        ]),
      ],
    }),
  },
  invalid: {
    'through the wall': {
      rig: room({
        ways: [
          way([
            [1, 0, 0],
            [1, -3, 0],
          ]),
        ],
      }),
      level: 'warn',
      says: /through a wall/,
    },
    'through the ceiling': {
      rig: room({
        ways: [
          way([
            [1, 1, 0],
            [1, 1, 4],
          ]),
        ],
      }),
      level: 'warn',
      says: /higher than the ceiling, 2\.60 m/,
    },
  },
});

ruleCases('cables.way-alone', {
  valid: {
    'joined to the wall, for another day': room({
      ways: [
        way([
          [6, 0, 0],
          [6, 3, 0],
        ]),
      ],
    }),
  },
  invalid: {
    'ends half a metre short of the wall': {
      rig: room({
        ways: [
          way([
            [4, 2.5, 0],
            [7, 2.5, 0],
          ]),
        ],
      }),
      level: 'note',
    },
  },
});

ruleCases('cables.fixed-on-moving', {
  valid: {
    'fixed where nothing moves': room({ lay: reopenable('fixed') }),
    'held by what opens, on a desk': room({ desk: true, lengthM: 10 }),
  },
  invalid: {
    'fixed to a desk that goes up': {
      rig: room({ desk: true, lengthM: 10, lay: reopenable('fixed') }),
      level: 'warn',
      says: /its desk travels 0\.50 m/,
      fixes: [/opens again/],
    },
  },
});

ruleCases('cables.fixed-borrowed', {
  valid: { 'held by what opens': room({ borrowed: true }) },
  invalid: {
    'fixed to what goes back': {
      rig: room({ borrowed: true, lay: reopenable('fixed') }),
      level: 'note',
      says: /Display goes back/,
      fixes: [/opens again/],
    },
  },
});

const over = (lay: Lay | undefined): Rig => inDuct({ is: 'overhead' }, { ...(lay ? { lay } : {}) });

ruleCases('cables.loose-overhead', {
  valid: { 'tied with what opens': over(undefined) },
  invalid: {
    'laid loose over heads': {
      rig: over(reopenable('loose')),
      level: 'warn',
      fixes: [/^Tie it/],
    },
  },
});

/** A microphone and an interface 6 m apart along the wall, and a mains lead that lies there too. */
const besideMains = (carries: CableWay['carries']): Rig =>
  new RigDraft('Case')
    .do({ type: 'drawRoom', room: { corners: rectangle(9, 5), heightM: 2.6 } })
    .do({ type: 'setLaying', laying: { alongWalls: false } })
    .do({
      type: 'addCableWay',
      cableWayId: 'mains',
      cableWay: way(
        [
          [1, 0.6, 0],
          [8, 0.6, 0],
        ],
        { carries: 'mains' },
      ),
    })
    .do({
      type: 'addCableWay',
      cableWayId: 'way',
      cableWay: way(
        [
          [1, 0.1, 0],
          [8, 0.1, 0],
        ],
        { carries },
      ),
    })
    .support('one', 'Wall bracket', [1, 0, 0], { figures: { heightM: 0.5 } })
    .support('two', 'Wall bracket', [7, 0, 0], { figures: { heightM: 0.5 } })
    .device('mic', 'mic-dynamic-stage', { name: 'Mic' })
    .device('interface', 'interface-4', { name: 'Interface' })
    .stand('mic', 'one')
    .stand('interface', 'two')
    .link('mic.out', 'interface.mic-1', 10)
    .do({
      type: 'addFeed',
      feedId: 'outlet',
      feed: {
        name: 'Outlet',
        figures: { is: 'outlet', sockets: 2, mostA: 16 },
        from: null,
        at: { xM: 2, yM: 0 },
      },
    })
    .do({ type: 'plugIn', deviceId: 'interface', feedId: 'outlet' })
    .build();

ruleCases('cables.beside-mains', {
  valid: { 'mains in a way of its own': besideMains('signal') },
  invalid: {
    'in one way with a mains lead for 5 m': {
      rig: besideMains('both'),
      level: 'note',
      says: /lies 5\.00 m beside mains leads, in Way/,
      sum: 5,
      fixes: [/^Let no mains leads lie in Way/],
    },
  },
});

/** A duct far from the wall that no way joins, beside the one along the wall. */
const farDuct = [
  way([
    [1, 4, 0],
    [3, 4, 0],
  ]),
];

ruleCases('cables.misled', {
  valid: {
    'led round by three walls': room({
      lengthM: 20,
      ways: [
        way([
          [8, 5, 0],
          [0, 5, 0],
        ]),
      ],
      lay: { dressing: null, keepsOff: false, by: ['way-0'] },
    }),
    'a duct that nothing is told to lie in': room({ ways: farDuct }),
  },
  invalid: {
    'told to lie in a duct that it cannot get into': {
      rig: room({ ways: farDuct, lay: { dressing: null, keepsOff: false, by: ['way-0'] } }),
      level: 'warn',
      says: /is told to lie in Way, and does not get there/,
      fixes: [/^Let it find its own way/],
    },
  },
});
