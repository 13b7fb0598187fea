import { analyse } from '../../analyse';
import { classById } from '../../catalogue';
import { show } from '../../rules/rigs-for-cases';
import { apply, applyTracked } from '../apply';
import type { SimpleCommand } from '../commands';
import { rigToJson } from '../files/export';
import { revertOf } from '../history';
import { sentence } from '../sentences';
import { USUAL_SHOT } from './schema';

const planned = show()
  .shot('host-camera', { personId: 'host', distanceM: 2 })
  .scene(
    'wide',
    'Wide',
    [
      ['host-camera', 'full'],
      ['slides', 'inset'],
    ],
    ['host', 'guest'],
  )
  .do({
    type: 'addButton',
    buttonId: 'mute',
    button: {
      label: 'Mute guest',
      does: { type: 'mute', personId: 'guest' },
      guard: 'none',
      handId: null,
    },
  })
  .build();

const after = (...commands: SimpleCommand[]) =>
  commands.reduce((rig, command) => apply(rig, command), planned);

describe('shots, scenes and the panel', () => {
  it('a camera that leaves takes its shots along and leaves its scenes', () => {
    const rig = after({ type: 'removeDevice', deviceId: 'host-camera' });
    expect(rig.shots).toEqual({});
    expect(rig.scenes['wide']?.layers).toEqual([{ deviceId: 'slides', box: 'inset' }]);
  });
  it('a person who leaves is taken out of shots, scenes and buttons', () => {
    const rig = after(
      { type: 'removePerson', personId: 'host' },
      { type: 'removePerson', personId: 'guest' },
    );
    expect([
      rig.shots['host-camera']?.personId,
      rig.scenes['wide']?.heard,
      rig.panel.buttons['mute'],
    ]).toEqual([null, [], undefined]);
  });
  it('a sight that leaves is taken out of shots', () => {
    const rig = after(
      {
        type: 'addSight',
        sightId: 'vase',
        sight: { name: 'Vase', what: 'table', shot: 'close', at: null, people: [] },
      },
      { type: 'changeShot', shotId: 'host-camera', shot: { sightId: 'vase' } },
      { type: 'removeSight', sightId: 'vase' },
    );
    expect(rig.shots['host-camera']?.sightId).toBeNull();
  });
  it('a scene that leaves takes its buttons along', () =>
    expect(Object.keys(after({ type: 'removeScene', sceneId: 'wide' }).panel.buttons)).toEqual([
      'mute',
    ]));
  it.each<[string, SimpleCommand, RegExp]>([
    [
      'a shot of a device that is not there',
      { type: 'addShot', shotId: 'a', shot: { ...USUAL_SHOT, deviceId: 'nobody' } },
      /no device "nobody"/,
    ],
    [
      'a shot twice',
      { type: 'addShot', shotId: 'host-camera', shot: { ...USUAL_SHOT, deviceId: 'slides' } },
      /already in this rig/,
    ],
    [
      'a shot of somebody unknown',
      { type: 'changeShot', shotId: 'host-camera', shot: { personId: 'nobody' } },
      /no person "nobody"/,
    ],
    [
      'a shot of an unknown sight',
      { type: 'changeShot', shotId: 'host-camera', shot: { sightId: 'nothing' } },
      /no sight "nothing"/,
    ],
    ['a shot that is not there', { type: 'removeShot', shotId: 'none' }, /no shot "none"/],
    [
      'a scene with an unknown picture',
      {
        type: 'changeScene',
        sceneId: 'wide',
        scene: { layers: [{ deviceId: 'nobody', box: 'full' }] },
      },
      /no device "nobody"/,
    ],
    ['a scene that is not there', { type: 'removeScene', sceneId: 'none' }, /no scene "none"/],
    [
      'a button for an unknown scene',
      {
        type: 'changeButton',
        buttonId: 'mute',
        button: { does: { type: 'scene', sceneId: 'none' } },
      },
      /no scene "none"/,
    ],
    ['a button that is not there', { type: 'removeButton', buttonId: 'none' }, /no button "none"/],
  ])('%s is refused', (_what, command, why) => expect(() => apply(planned, command)).toThrow(why));
  it('every change reads as a sentence and can be taken back to the byte', () => {
    const commands: [SimpleCommand, string][] = [
      [
        { type: 'addShot', shotId: 'second', shot: { ...USUAL_SHOT, deviceId: 'guest-camera' } },
        'Planned a shot for Guest camera.',
      ],
      [
        { type: 'changeShot', shotId: 'host-camera', shot: { distanceM: 3 } },
        'Changed the shot of Host camera.',
      ],
      [{ type: 'removeShot', shotId: 'host-camera' }, 'Removed a shot of Host camera.'],
      [
        {
          type: 'addScene',
          sceneId: 'two',
          scene: { name: 'Two', layers: [], heard: null, selects: [] },
        },
        'Added the scene Two.',
      ],
      [
        { type: 'changeScene', sceneId: 'wide', scene: { name: 'Near' } },
        'Renamed the scene Wide to Near.',
      ],
      [{ type: 'changeScene', sceneId: 'wide', scene: { layers: [] } }, 'Changed the scene Wide.'],
      [{ type: 'removeScene', sceneId: 'wide' }, 'Removed the scene Wide.'],
      [{ type: 'setPanel', columns: 6 }, 'Laid the panel out in 6 columns.'],
      [
        {
          type: 'addButton',
          buttonId: 'black',
          button: { label: 'Black', does: { type: 'black' }, guard: 'hold', handId: null },
        },
        'Put Black on the panel.',
      ],
      [
        { type: 'changeButton', buttonId: 'mute', button: { guard: 'hold', handId: null } },
        'Changed the button Mute guest.',
      ],
      [{ type: 'removeButton', buttonId: 'mute' }, 'Took Mute guest off the panel.'],
      [
        { type: 'replaceModel', deviceId: 'mix', model: classById('switcher-8') },
        'Made Switcher a Switcher, eight HDMI inputs.',
      ],
    ];
    for (const [command, says] of commands) {
      expect(sentence(planned, command)).toBe(says);
      const { rig, changes } = applyTracked(planned, command);
      expect(rigToJson(rig)).not.toBe(rigToJson(planned));
      expect(rigToJson(apply(rig, revertOf({ id: 'a', changes, says }, 'undo')))).toBe(
        rigToJson(planned),
      );
    }
  });
});

describe('another model in a device’s place', () => {
  it('keeps cables and the settings the new one knows', () => {
    const rig = apply(
      apply(planned, {
        type: 'setControl',
        deviceId: 'mix',
        control: 'usb-format',
        value: '1920x1080p60',
      }),
      { type: 'replaceModel', deviceId: 'mix', model: classById('switcher-8') },
    );
    expect(rig.links).toEqual(planned.links);
    expect(rig.devices['mix']?.settings).toEqual({ 'usb-format': '1920x1080p60' });
    expect(analyse(rig).findings.filter(({ code }) => code === 'picture.format-refused')).toEqual(
      [],
    );
  });
  it('forgets settings the new one does not have', () => {
    const set = apply(planned, {
      type: 'setControl',
      deviceId: 'host-camera',
      control: 'focal-length',
      value: 100,
    });
    expect(
      apply(set, { type: 'replaceModel', deviceId: 'host-camera', model: classById('camera-ptz') })
        .devices['host-camera']?.settings,
    ).toEqual({});
  });
  it('is refused where a cable would hang loose, and where it would no longer fit', () => {
    expect(() =>
      apply(planned, {
        type: 'replaceModel',
        deviceId: 'mix',
        model: classById('selector-hdmi-4'),
      }),
    ).toThrow(/has no port "usb", and a cable is in it/);
    expect(() =>
      apply(planned, {
        type: 'replaceModel',
        deviceId: 'slides',
        model: classById('player-sound'),
      }),
    ).toThrow(/cannot be replaced/);
  });
});
