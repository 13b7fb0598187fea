import { analyse, fixesOf, predict } from '../../analyse';
import { classById } from '../../catalogue';
import { sceneMade } from '../../programme/scenes';
import { apply, type Box, type Does, type Guard, type Rig } from '../../rig';
import { ruleCases } from '../cases';
import { demoRig } from '../demo-for-cases';
import { show } from '../rigs-for-cases';

type Layers = readonly (readonly [string, Box])[];
const withScene = (
  layers: Layers,
  switcher = 'switcher-4',
  heard: readonly string[] | null = null,
): Rig => show({ switcher }).scene('scene', 'Scene', layers, heard).build();
const TWO_INSETS: Layers = [
  ['slides', 'full'],
  ['host-camera', 'inset'],
  ['guest-camera', 'inset'],
];

ruleCases('picture.scene-impossible', {
  valid: {
    'one inset on one keyer': withScene([
      ['slides', 'full'],
      ['host-camera', 'inset'],
    ]),
    'two insets on a larger switcher': withScene(TWO_INSETS, 'switcher-8'),
    'one source alone': withScene([['host-camera', 'full']]),
  },
  invalid: {
    'two insets on a switcher with one keyer': {
      rig: withScene(TWO_INSETS),
      level: 'stop',
      says: /^Switcher can make one picture smaller at once and this scene needs 2/,
      fixes: ['Use switcher, eight HDMI inputs', 'Leave Guest camera out of Scene'],
    },
    'an inset and graphics on one keyer': {
      rig: withScene([
        ['host-camera', 'full'],
        ['guest-camera', 'inset'],
        ['slides', 'over'],
      ]),
      level: 'stop',
      says: /has 1 keyer and this scene needs 2: 1 for small pictures, 1 for graphics/,
      fixes: ['Use switcher, eight HDMI inputs', 'Leave Slides out of Scene'],
    },
  },
});

describe('where a scene is put together', () => {
  const madeAt = (rig: Rig): string[] => {
    const analysis = analyse(rig);
    const scene = rig.scenes['scene'];
    return scene ? sceneMade(analysis, 'scene', scene).madeAt.map(({ id }) => id) : [];
  };
  it('at the switcher, where both pictures enter it', () =>
    expect(
      madeAt(
        withScene([
          ['slides', 'full'],
          ['host-camera', 'inset'],
        ]),
      ),
    ).toEqual(['mix']));
  it('at the computer, where a caller comes in beside the switcher’s picture', () => {
    const rig = show()
      .person('far', 'Far', { where: 'remote' })
      .device('call', 'call', { name: 'Call', person: 'far' })
      .link('call.receive', 'computer.call-in')
      .scene('scene', 'Scene', [
        ['host-camera', 'full'],
        ['call', 'inset'],
      ])
      .build();
    expect(madeAt(rig)).toEqual(['computer']);
  });
  it('at both, where two cameras of the switcher stand beside a caller', () => {
    const rig = show()
      .person('far', 'Far', { where: 'remote' })
      .device('call', 'call', { name: 'Call', person: 'far' })
      .link('call.receive', 'computer.call-in')
      .scene('scene', 'Scene', [
        ['host-camera', 'full'],
        ['guest-camera', 'inset'],
        ['call', 'inset'],
      ])
      .build();
    expect(madeAt(rig)).toEqual(['computer', 'mix']);
  });
  it('nowhere, where two small pictures would have to come through the switcher’s one output', () => {
    const rig = show()
      .person('far', 'Far', { where: 'remote' })
      .device('call', 'call', { name: 'Call', person: 'far' })
      .link('call.receive', 'computer.call-in')
      .scene('scene', 'Scene', [
        ['call', 'full'],
        ['host-camera', 'inset'],
        ['guest-camera', 'inset'],
      ])
      .build();
    expect(
      analyse(rig)
        .findings.filter(({ code }) => code === 'picture.scene-impossible')
        .map(({ says }) => says)[0],
    ).toMatch(/through one input, and one picture fits through it/);
  });
  it('through a selector one picture at a time', () => {
    const rig = show()
      .do({ type: 'disconnect', linkId: 'host-camera-hdmi-to-mix' })
      .do({ type: 'disconnect', linkId: 'guest-camera-hdmi-to-mix' })
      .device('select', 'selector-hdmi-2', { name: 'Selector' })
      .link('host-camera.hdmi', 'select.in-1')
      .link('guest-camera.hdmi', 'select.in-2')
      .link('select.out', 'mix.in-1')
      .scene('scene', 'Scene', [
        ['host-camera', 'left half'],
        ['guest-camera', 'right half'],
      ])
      .build();
    expect(analyse(rig).findings.find(({ code }) => code === 'picture.scene-dark')?.says).toMatch(
      /^Guest camera does not reach/,
    );
  });
});

ruleCases('picture.scene-dark', {
  valid: { 'a camera that is on air': withScene([['host-camera', 'full']]) },
  invalid: {
    'a camera that is unplugged': {
      rig: apply(withScene([['host-camera', 'full']]), {
        type: 'disconnect',
        linkId: 'host-camera-hdmi-to-mix',
      }),
      level: 'stop',
      says: /^Host camera does not reach Stream/,
      fixes: ['Take Host camera out of Scene'],
    },
    'a rig without a programme': {
      rig: apply(
        apply(withScene([['host-camera', 'full']]), { type: 'removeDevice', deviceId: 'stream' }),
        { type: 'removeDevice', deviceId: 'file' },
      ),
      level: 'stop',
      says: /No picture reaches a stream/,
    },
  },
});

ruleCases('picture.scene-silent', {
  valid: {
    'everyone heard': withScene([['host-camera', 'full']]),
    'the guest not asked for': apply(withScene([['host-camera', 'full']], 'switcher-4', ['host']), {
      type: 'removeDevice',
      deviceId: 'guest-mic',
    }),
  },
  invalid: {
    'a guest without a microphone': {
      rig: apply(withScene([['host-camera', 'full']]), {
        type: 'removeDevice',
        deviceId: 'guest-mic',
      }),
      level: 'warn',
      says: /^Guest is to be heard and does not reach Stream/,
    },
  },
});

const button = (does: Does, guard: Guard): Rig =>
  show()
    .do({ type: 'addButton', buttonId: 'button', button: { label: 'End', does, guard } })
    .build();
ruleCases('picture.unguarded', {
  valid: {
    'a held press ends the stream': button({ type: 'stream', turn: 'end' }, 'hold'),
    'a bare press shows a scene': withScene([['host-camera', 'full']]),
    'a bare press mutes somebody': button({ type: 'mute', personId: 'host' }, 'none'),
  },
  invalid: {
    'a bare press ends the stream': {
      rig: button({ type: 'stream', turn: 'end' }, 'none'),
      level: 'stop',
      says: /ends the stream at a single press/,
      fixes: ['Make End a held press'],
    },
    'a bare press starts the recording': {
      rig: button({ type: 'recording', turn: 'start' }, 'none'),
      level: 'warn',
      fixes: ['Make End a held press'],
    },
  },
});

const sceneOnly = (switchedBy: 'operator' | 'automatic') =>
  show({ switchedBy })
    .do({
      type: 'addScene',
      sceneId: 'scene',
      scene: { name: 'Scene', layers: [{ deviceId: 'host-camera', box: 'full' }], heard: null },
    })
    .build();
ruleCases('picture.scene-off-panel', {
  valid: {
    'a scene with a button': withScene([['host-camera', 'full']]),
    'a show that switches itself': sceneOnly('automatic'),
  },
  invalid: {
    'a scene without a button': {
      rig: sceneOnly('operator'),
      level: 'warn',
      fixes: ['Put Scene on the panel'],
    },
  },
});

ruleCases('picture.label-twice', {
  valid: {
    'two labels': show()
      .scene('a', 'One', [['host-camera', 'full']])
      .scene('b', 'Two', [['guest-camera', 'full']])
      .build(),
  },
  invalid: {
    'the same label twice': {
      rig: show()
        .scene('a', 'Close', [['host-camera', 'full']])
        .scene('b', 'close ', [['guest-camera', 'full']])
        .build(),
      level: 'warn',
      says: /Two buttons are called close/,
    },
  },
});

const many = (count: number, switchedBy: 'host by pedal' | 'nobody' | 'operator') => {
  const draft = show({ switchedBy });
  for (let n = 1; n <= count; n++)
    draft.scene(`scene-${n}`, `Scene ${n}`, [['host-camera', 'full']]);
  return draft.build();
};
ruleCases('picture.too-many-for-hand', {
  valid: {
    'three scenes for a pedal': many(3, 'host by pedal'),
    'five for an operator': many(5, 'operator'),
    'one for nobody': many(1, 'nobody'),
  },
  invalid: {
    'four for a pedal': {
      rig: many(4, 'host by pedal'),
      level: 'warn',
      says: /3 switches for 4 scenes/,
      fixes: ['Let the host switch by a panel'],
    },
    'two for nobody': {
      rig: many(2, 'nobody'),
      level: 'warn',
      fixes: ['Let the host switch by a panel'],
    },
  },
});

/** A fourth and a fifth picture for a switcher with four inputs. */
const full = show()
  .device('fourth', 'camera-camcorder', { name: 'Fourth' })
  .link('fourth.hdmi', 'mix.in-4')
  .device('fifth', 'camera-camcorder', { name: 'Fifth' })
  .build();
ruleCases('picture.inputs-short', {
  valid: {
    'an input left': show().device('fourth', 'camera-camcorder').build(),
    'a rig without a switcher': show().do({ type: 'removeDevice', deviceId: 'mix' }).build(),
  },
  invalid: {
    'five pictures for four inputs': {
      rig: full,
      level: 'stop',
      sum: -1,
      says: /all 4 inputs of Switcher are taken/,
      fixes: [
        'Share Input 3 with Slides by a selector',
        'Use a larger switcher: Switcher, six HDMI inputs',
      ],
    },
  },
});

describe('Second Firing with a second guest', () => {
  const guest = apply(demoRig('second-firing'), {
    type: 'batch',
    label: 'A second guest',
    commands: [
      {
        type: 'addDevice',
        deviceId: 'guest-2-camera',
        name: 'Second guest camera',
        model: classById('camera-camcorder'),
        settings: {},
        personId: null,
        placeId: 'bench',
      },
    ],
  });
  const analysis = analyse(guest);
  const finding = analysis.findings.find(({ code }) => code === 'picture.inputs-short');
  const fixes = finding ? fixesOf(analysis, finding) : [];
  const sourcesOnAir = (rig: Rig): string[] => [
    ...new Set(
      analyse(rig)
        .traced.threads.filter(
          ({ signal, end }) => signal === 'picture' && end.device.id === 'stream',
        )
        .map(({ source }) => source.device.id),
    ),
  ];

  it('is one input short, by name', () =>
    expect(finding?.says).toMatch(
      /^Second guest camera has nowhere to go: all 6 inputs of Switcher are taken/,
    ));
  it('offers a selector, a larger switcher, and slides from the computer', () =>
    expect(fixes.map(({ label }) => label)).toEqual([
      'Share Input 5 with Slides splitter by a selector',
      'Use a larger switcher: Switcher, eight HDMI inputs',
      'Give Input 5 to Second guest camera and put Slides in from the computer',
    ]));
  it('each applies, cures, and puts the second guest on air', () => {
    if (!finding) throw new Error('not found');
    for (const fix of fixes) {
      expect([fix.label, predict(analysis, finding, fix).cures]).toEqual([fix.label, true]);
      expect([
        fix.label,
        sourcesOnAir(apply(guest, fix.command)).includes('guest-2-camera'),
      ]).toEqual([fix.label, true]);
    }
  });
  it('slides stay on air by the computer once their input is given away, and leave the switcher', () => {
    const fix = fixes.at(-1);
    const after = fix ? apply(guest, fix.command) : guest;
    expect(sourcesOnAir(after)).toContain('slides');
    expect(
      Object.values(after.links).filter(
        ({ from, to }) => from.deviceId === 'slides-splitter' && to.deviceId === 'switcher',
      ),
    ).toEqual([]);
  });
  it('the larger switcher keeps every cable where it is', () => {
    const fix = fixes[1];
    const after = fix ? apply(guest, fix.command) : guest;
    expect(after.devices['switcher']?.model.classId).toBe('switcher-8');
    for (const [id, link] of Object.entries(guest.links)) expect(after.links[id]).toEqual(link);
  });
});

describe('a switcher described before keyers were', () => {
  const old = (() => {
    const rig = withScene([
      ['slides', 'full'],
      ['host-camera', 'inset'],
    ]);
    const mix = rig.devices['mix'];
    if (!mix) throw new Error('no switcher');
    const model = { ...mix.model };
    delete model.mixes;
    return { ...rig, devices: { ...rig.devices, mix: { ...mix, model } } };
  })();
  it('is asked for, not guessed', () =>
    expect(
      analyse(old).findings.find(({ code }) => code === 'picture.scene-impossible')?.says,
    ).toMatch(/^It is not known how many pictures Switcher puts together/));
  it('is cured by the figures of its own class', () => {
    const analysis = analyse(old);
    const finding = analysis.findings.find(({ code }) => code === 'picture.scene-impossible');
    const [fix] = finding ? fixesOf(analysis, finding) : [];
    expect(fix?.label).toBe('Use switcher, four HDMI inputs');
    expect(finding && fix && predict(analysis, finding, fix).cures).toBe(true);
  });
});
