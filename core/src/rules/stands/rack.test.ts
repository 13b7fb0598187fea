import { RigDraft } from '../../catalogue/draft';
import { ruleCases } from '../judge-for-cases';
import { having, heavy } from '../plan-for-cases';

ruleCases('stands.rack-double', {
  valid: {
    'three stage boxes above one another': heavy('r', 'Rack, 12 units', 'stage-box-16', 3).build(),
  },
  invalid: {
    'two in the same units': {
      rig: having(heavy('r', 'Rack, 12 units', 'stage-box-16', 2), {
        type: 'standDevice',
        deviceId: 'd-1',
        on: { supportId: 'r', xM: 0, yM: 0, turnDeg: 0, upM: 0.0889 },
      }),
      level: 'warn',
      sum: 6,
      fixes: [/^Put everything in from below/],
    },
    'one that sticks out above': {
      rig: having(heavy('r', 'Rack, 6 units', 'stage-box-16', 1), {
        type: 'standDevice',
        deviceId: 'd-0',
        on: { supportId: 'r', xM: 0, yM: 0, turnDeg: 0, upM: 0.222 },
      }),
      level: 'warn',
      says: /beyond the 6 units/,
      fixes: [/^Put everything in from below/],
    },
  },
});

ruleCases('stands.top-heavy', {
  valid: { 'weight below': heavy('r', 'Rack, 12 units', 'stage-box-16', 2).build() },
  invalid: {
    'weight above': {
      rig: [6, 9]
        .reduce(
          (draft, unit) =>
            draft
              .device(`u-${unit}`, 'stage-box-16')
              .stand(`u-${unit}`, 'r', 0, 0, 0, unit * 0.04445),
          new RigDraft('Case').support('r', 'Rack, 12 units', [1, 1, 0]),
        )
        .build(),
      level: 'warn',
      fixes: [/^Put everything in from below/],
    },
  },
});

ruleCases('stands.rack-deep', {
  valid: { 'a shallow thing': heavy('r', 'Rack, 12 units', 'stage-box-16', 1).build() },
  invalid: {
    'a mixing desk in a rack': {
      rig: heavy('r', 'Rack, 12 units', 'desk-network', 1).build(),
      level: 'warn',
      says: /too|plugs/,
    },
  },
});

ruleCases('stands.rack-hot', {
  valid: { 'a cool one': heavy('r', 'Rack, 6 units', 'stage-box-16', 2).build() },
  invalid: {
    'two switchers in six units: 320 W': {
      rig: heavy('r', 'Rack, 6 units', 'switcher-20', 2).build(),
      level: 'warn',
      sum: 320,
    },
  },
});
