import { analyse, fixesOf } from '../../analyse';
import { classById } from '../../catalogue';
import { predict } from '../../predict/predict';
import { apply, type Rig } from '../../rig';
import { demoRig } from '../../rules/demo-for-cases';
import { show } from '../../rules/rigs-for-cases';
import { withScene } from '../../rules/scenes-for-cases';
import { sceneMade } from './scenes';

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
