import { RigDraft } from '../../catalogue/draft';
import { BEST_THAT_FITS, type ControlValue, FIRST_CONNECTED } from '../../rig';
import { ruleCases } from '../judge-for-cases';
import { camera, show } from '../rigs-for-cases';

const best = (
  lengthM: number,
  chosen = '3840x2160p30',
  settings: Record<string, ControlValue> = {},
) =>
  camera({
    capture: 'capture-10g',
    camera: 'camera-studio',
    format: BEST_THAT_FITS,
    socket: 'usb-1',
    usb: 'usb-10g',
    lengthM,
    cameraSettings: settings,
  })
    .do({ type: 'setHouseRules', rules: { chosenFormat: chosen } })
    .build();

ruleCases('picture.stepped-down', {
  valid: {
    '2160p30 over 5 m, as wanted': best(5),
    'a cable too long for 2160p where 1080p60 is wanted': best(10, '1920x1080p60'),
    'a source that is told what to send': camera({ lengthM: 10 }).build(),
  },
  invalid: {
    '2160p30 wanted over 10 m of passive cable': {
      rig: best(10),
      level: 'warn',
      says: /sends 1080p30 4:2:2: the HDMI cable, passive .* reaches 7\.5 m at 7\.128 Gb\/s/,
      sum: 25,
      fixes: ['Use HDMI cable, active optical'],
    },
  },
});

/** A camera at a rate into a switcher that makes 1080p60 of everything. */
const at = (format: string) =>
  show()
    .do({ type: 'setControl', deviceId: 'host-camera', control: 'format', value: format })
    .do({ type: 'setControl', deviceId: 'mix', control: 'usb-format', value: '1920x1080p60' })
    .build();

ruleCases('picture.rate-mismatch', {
  valid: {
    '60 into 60': at('1920x1080p60'),
    '30 into 60, every frame twice': at('1920x1080p30'),
    '59.94 into 60, which another rule judges': at('1920x1080p60000/1001'),
  },
  invalid: {
    '50 into 60': {
      rig: at('1920x1080p50'),
      level: 'warn',
      says: /at 50 a second and leaves at 60/,
      sum: 10,
      fixes: ['Set Host camera to 1080p60'],
    },
    '25 into 60': {
      rig: at('1920x1080p25'),
      level: 'warn',
      sum: 10,
      fixes: ['Set Host camera to 1080p60'],
    },
  },
});

ruleCases('picture.upscaled', {
  valid: { '1080 lines throughout': at('1920x1080p60') },
  invalid: {
    '720 lines made 1080': {
      rig: at('1280x720p60'),
      level: 'note',
      says: /sends 720p60 and Switcher makes 1080p60/,
      sum: 1.5,
      fixes: ['Set Host camera to 1080p60'],
    },
  },
});

const range = (sent: string, read: string) =>
  camera({
    camera: 'player-slides',
    cameraSettings: { coding: sent },
    captureSettings: { range: read },
  }).build();
ruleCases('picture.range', {
  valid: {
    'full range read as signalled': range('rgb 8 full', 'as signalled'),
    'limited read as limited': range('rgb 8 limited', 'limited'),
    'full read as full': range('rgb 8 full', 'full'),
  },
  invalid: {
    'full range read as limited': {
      rig: range('rgb 8 full', 'limited'),
      level: 'warn',
      says: /shadows and highlights are cut off/,
      sum: 14.118,
      fixes: ['Let Capture read what is signalled'],
    },
    'limited range read as full': {
      rig: range('rgb 8 limited', 'full'),
      level: 'warn',
      says: /blacks turn grey/,
      sum: 85.882,
      fixes: ['Let Capture read what is signalled'],
    },
  },
});

const follows = (house: string) =>
  show().do({ type: 'setControl', deviceId: 'mix', control: 'house-format', value: house }).build();
ruleCases('picture.first-decides', {
  valid: {
    'a switcher with a format of its own': follows('1920x1080p60'),
    'one source alone': camera()
      .device('mix', 'switcher-4', { settings: { 'house-format': FIRST_CONNECTED } })
      .build(),
  },
  invalid: {
    'three inputs, and the first decides': {
      rig: follows(FIRST_CONNECTED),
      level: 'warn',
      says: /Switcher, Input 1 sets the format of Switcher, 1080p60 now, for 2 other inputs/,
      fixes: ['Set Switcher to 1080p60'],
    },
  },
});

const colour = (coding: string) =>
  camera({ camera: 'camera-studio', cameraSettings: { coding } }).build();
ruleCases('picture.less-colour', {
  valid: {
    '4:2:2 of ten bits': colour('422 10 limited'),
    'the best that fits, which is 4:2:2 here': colour(BEST_THAT_FITS),
  },
  invalid: {
    'a quarter of the colour': {
      rig: colour('420 8 limited'),
      level: 'note',
      says: /sends 4:2:0\. Fine for a talking head, ragged for a key/,
      fixes: ['Send 4:2:2, 10 bits, limited range from Camera'],
    },
  },
});

const row = (boxes: number) => {
  const draft = new RigDraft('Case')
    .device('camera', 'camera-ptz', { name: 'Camera' })
    .device('screen', 'display-2160', { name: 'Screen' });
  const chain = [
    'splitter-hdmi-2',
    'converter-hdmi-sdi',
    'converter-sdi-hdmi',
    'converter-scan',
  ].slice(0, boxes);
  const ports: Record<string, [string, string]> = {
    'splitter-hdmi-2': ['in', 'out-1'],
    'converter-hdmi-sdi': ['in', 'out'],
    'converter-sdi-hdmi': ['in', 'out'],
    'converter-scan': ['in', 'out'],
  };
  let from = 'camera.hdmi';
  for (const id of chain) {
    draft.device(id, id, { name: id }).link(from, `${id}.${ports[id]?.[0] ?? ''}`, 1);
    from = `${id}.${ports[id]?.[1] ?? ''}`;
  }
  return draft.link(from, 'screen.in', 1).build();
};
ruleCases('picture.many-boxes', {
  valid: { 'a splitter alone': row(1), 'none at all': camera().build() },
  invalid: {
    'a splitter and two converters': {
      rig: row(3),
      level: 'warn',
      sum: 6,
      says: /3 supplies and 6 plugs/,
    },
    'four boxes': { rig: row(4), level: 'warn', sum: 8 },
  },
});

const powered = (supply: boolean) =>
  new RigDraft('Case')
    .device('camera', 'camera-camcorder')
    .device('convert', 'converter-hdmi-sdi', { name: 'Converter', settings: { supply } })
    .device('screen', 'display-sdi')
    .link('camera.hdmi', 'convert.in')
    .link('convert.out', 'screen.in', 30)
    .build();
ruleCases('picture.no-supply', {
  valid: {
    'a converter with its supply': powered(true),
    'a converter in a drawer': camera()
      .device('convert', 'converter-hdmi-sdi', { settings: { supply: false } })
      .build(),
  },
  invalid: {
    'a converter without': {
      rig: powered(false),
      level: 'stop',
      says: /passes nothing on/,
      fixes: ['Plug in the supply of Converter'],
    },
  },
});
