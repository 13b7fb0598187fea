import { RigDraft } from '../../catalogue/draft';
import { ruleCases } from '../judge-for-cases';
import { boom, having, heavy, roomWithHost } from '../plan-for-cases';

const armed = (usual: string, mic = 'mic-dynamic-quiet'): RigDraft =>
  roomWithHost()
    .support('desk', 'Desk, 1.4 m', [3, 1.55, 0])
    .support('arm', usual, [3.4, 1.4, 0], { onId: 'desk' })
    .device('mic', mic, { name: 'Mic', person: 'host' })
    .device('booster', 'booster-inline', { name: 'Booster' })
    .stand('mic', 'arm')
    .stand('booster', 'arm');

ruleCases('stands.tips', {
  valid: {
    'the handbook’s boom with a bag of 1.5 kg': boom(1.9, { ballastKg: 1.5 }).build(),
    'a tripod with a camera on its column': new RigDraft('Case')
      .support('tripod', 'Tripod, light', [1, 1, 0])
      .device('camera', 'camera-mirrorless')
      .stand('camera', 'tripod')
      .build(),
  },
  invalid: {
    'the handbook’s boom: 1.02': {
      rig: boom().build(),
      level: 'warn',
      says: /is 1\.02 times what tips it: .*Put at least 1\.24 kg/,
      sum: 1.239,
      fixes: [/^Put a bag of 1\.5 kg more on the foot opposite$/],
    },
    'a heavier head: it goes over by itself': {
      rig: boom(3).build(),
      level: 'stop',
      says: /reach beyond the 0\.42 m/,
      fixes: [/^Put a bag of/],
    },
    'a counterweight that tips it once the head is off': {
      rig: boom(1.9, { counterKg: 12, counterAtM: 0.9 }).build(),
      level: 'stop',
      says: /once its load is taken off/,
      fixes: [/counterweight off/],
    },
  },
});

ruleCases('stands.arm-weak', {
  valid: {
    '0.97 kg on an arm of 0.7 to 1.2 kg': armed('Arm, middle').build(),
    'an arm with nothing on it': new RigDraft('Case')
      .support('arm', 'Arm, light', [1, 1, 0])
      .build(),
  },
  invalid: {
    '0.97 kg on an arm that holds 0.9': {
      rig: armed('Arm, light').build(),
      level: 'warn',
      says: /0\.97 kg hang on Arm, light, .* sinks/,
      sum: 0.97,
      fixes: [/^Use a usual one: arm, middle$/],
    },
    '0.97 kg on an arm that wants 1.0': {
      rig: armed('Arm, heavy').build(),
      level: 'warn',
      says: /does not stay down/,
      fixes: [/^Use a usual one: arm, middle$/],
    },
  },
});

ruleCases('stands.arm-short', {
  valid: { 'a clamp beside the mouth': armed('Arm, middle').build() },
  invalid: {
    'a clamp at the far end of a long table': {
      rig: having(armed('Arm, middle'), {
        type: 'changeSupport',
        supportId: 'arm',
        support: { at: { xM: 4.3, yM: 1.6, facingDeg: 0 } },
      }),
      level: 'warn',
      says: /^From its clamp to the microphone it is 1\.\d\d m/,
    },
  },
});

ruleCases('stands.clamp-misfit', {
  valid: { 'an edge of 25 mm': armed('Arm, middle').build() },
  invalid: {
    'a table of 80 mm': {
      rig: having(armed('Arm, middle'), {
        type: 'changeSupport',
        supportId: 'desk',
        support: {
          figures: {
            is: 'desk',
            widthM: 1.4,
            depthM: 0.7,
            topM: 0.73,
            lowestM: 0.73,
            highestM: 0.73,
            edgeMm: 80,
            bearsKg: 60,
            rolls: false,
          },
        },
      }),
      level: 'stop',
      says: /takes edges of 10 to 55 mm; the desk is 80 mm/,
      fixes: ['Screw a foot for it to the top'],
    },
  },
});

const onDesk = (...places: readonly (readonly [id: string, of: string, x: number, y: number])[]) =>
  places.reduce(
    (draft, [id, of, x, y]) => draft.device(id, of, { name: id }).stand(id, 'desk', x, y),
    new RigDraft('Case').support('desk', 'Desk, 1.4 m', [3, 2, 30]),
  );

ruleCases('stands.overlap', {
  valid: {
    'two things side by side': onDesk(
      ['Mixer', 'mixer-8', -0.3, 0],
      ['Laptop', 'computer-laptop', 0.3, 0],
    ).build(),
  },
  invalid: {
    'two things in one another': {
      rig: onDesk(['Mixer', 'mixer-8', 0, 0], ['Laptop', 'computer-laptop', 0.2, 0]).build(),
      level: 'warn',
      says: /overlap by 1\d cm/,
      fixes: [/^Move Laptop to the nearest/, /^Move Mixer to the nearest/],
    },
  },
});

ruleCases('stands.overhang', {
  valid: { 'a thing in the middle': onDesk(['Mixer', 'mixer-8', 0, 0]).build() },
  invalid: {
    'a thing over the edge': {
      rig: onDesk(['Mixer', 'mixer-8', 0.6, 0]).build(),
      level: 'warn',
      says: /hangs 7 cm over the edge/,
      fixes: [/^Move Mixer/],
    },
    'a thing whose middle is not on the desk': {
      rig: onDesk(['Mixer', 'mixer-8', 0.75, 0]).build(),
      level: 'stop',
    },
  },
});

ruleCases('stands.shakes', {
  valid: {
    'a computer a metre from the microphone': onDesk(
      ['Laptop', 'computer-laptop', 0.5, 0],
      ['Mic', 'mic-boundary', -0.6, 0],
    ).build(),
  },
  invalid: {
    'a computer beside a microphone that stands on the desk': {
      rig: onDesk(['Laptop', 'computer-laptop', 0.2, 0], ['Mic', 'mic-boundary', -0.1, 0]).build(),
      level: 'note',
      fixes: [/^Take Laptop off the desk/],
    },
  },
});

ruleCases('stands.overloaded', {
  valid: {
    'a camera on a studio tripod': heavy('t', 'Tripod, studio', 'camera-studio', 1).build(),
  },
  invalid: {
    'a studio camera on a light tripod': {
      rig: heavy('t', 'Tripod, light', 'camera-studio', 1).build(),
      level: 'stop',
      says: /carries 4\.50 kg and bears 4\.00 kg/,
      fixes: ['Take Thing 1 (4.5 kg) off it'],
    },
  },
});

ruleCases('stands.unfixed', {
  valid: {
    'a grid with second fixings': heavy('g', 'Grid, 3 m by 2 m', 'camera-ptz', 1).build(),
  },
  invalid: {
    'a grid without': {
      rig: new RigDraft('Case')
        .support('g', 'Grid, 3 m by 2 m', [1, 1, 0], { figures: { hasSecondFixing: false } })
        .device('c', 'camera-ptz')
        .stand('c', 'g')
        .build(),
      level: 'stop',
      says: /competent person/,
      fixes: ['Add a second, rated fixing to everything on it'],
    },
  },
});

ruleCases('stands.over-people', {
  valid: {
    'a microphone on a stand before a mouth': roomWithHost()
      .support('s', 'Microphone stand, boom', [3.75, 1.1, 270], { figures: { heightM: 1.1 } })
      .device('m', 'mic-dynamic-stage', { person: 'host' })
      .stand('m', 's', 0, 0, 270)
      .build(),
  },
  invalid: {
    'a camera on a boom over a head': {
      rig: roomWithHost()
        .support('b', 'Boom stand', [3, 2.4, 180], { figures: { heightM: 2, ballastKg: 4 } })
        .device('c', 'camera-ptz')
        .stand('c', 'b')
        .build(),
      level: 'note',
      says: /let nobody stand under it/,
    },
  },
});

ruleCases('stands.desk-height', {
  valid: {
    'a desk at the elbow of 1.87 m': having(armed('Arm, middle'), {
      type: 'changePerson',
      personId: 'host',
      person: { statureM: 1.87 },
    }),
    'somebody whose stature is not known': armed('Arm, middle').build(),
  },
  invalid: {
    'a fixed desk of 0.73 m for 1.58 m: 0.62 m is right': {
      rig: having(armed('Arm, middle'), {
        type: 'changePerson',
        personId: 'host',
        person: { statureM: 1.58 },
      }),
      level: 'note',
      sum: 0.616,
      fixes: [],
    },
    'a sit-stand desk that only has to be set': {
      rig: having(roomWithHost().support('desk', 'Sit-stand desk, 1.6 m', [3, 1.6, 0]), {
        type: 'changePerson',
        personId: 'host',
        person: { statureM: 1.58 },
      }),
      level: 'note',
      fixes: [/^Set Sit-stand desk, 1.6 m to 0\.62 m$/],
    },
  },
});

ruleCases('stands.unplaced', {
  valid: {
    'an empty tripod that stands nowhere': new RigDraft('Case')
      .support('t', 'Tripod, light', null)
      .build(),
  },
  invalid: {
    'a tripod with a camera that stands nowhere': {
      rig: new RigDraft('Case')
        .support('t', 'Tripod, light', null)
        .device('c', 'camera-ptz', { name: 'Camera' })
        .stand('c', 't')
        .build(),
      level: 'note',
      says: /carries Camera and has no place/,
    },
  },
});
