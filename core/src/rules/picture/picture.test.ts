import { RigDraft } from '../../catalogue/draft';
import { apply } from '../../rig';
import { ruleCases } from '../judge-for-cases';
import { camera } from '../rigs-for-cases';

/** A camera into a four-input switcher at 1080p60 and on by USB. */
const switched = (settings: Record<string, string>) =>
  new RigDraft('Case')
    .device('camera', 'camera-camcorder', { name: 'Camera', settings })
    .device('switcher', 'switcher-4', { name: 'Switcher' })
    .device('computer', 'computer-laptop', { name: 'Computer' })
    .device('stream', 'recording-pictures', { name: 'File' })
    .link('camera.hdmi', 'switcher.in-1')
    .link('switcher.usb', 'computer.usb-2', 1, 'usb-5g')
    .link('computer.pictures', 'stream.in');

ruleCases('picture.reach', {
  valid: {
    '1080p60 over 10 m': camera({ lengthM: 10 }).build(),
    '1080p60 over 12 m, four fifths of 15': camera({ lengthM: 12 }).build(),
  },
  invalid: {
    '1080p60 over 15 m': {
      rig: camera({ lengthM: 15 }).build(),
      level: 'warn',
      sum: 100,
      fixes: ['Use HDMI cable, active optical'],
    },
    '1080p60 over 20 m': {
      rig: camera({ lengthM: 20 }).build(),
      level: 'stop',
      fixes: ['Use HDMI cable, active optical'],
    },
    '2160p30 over 10 m, where 1080p60 would do': {
      rig: camera({
        capture: 'capture-10g',
        format: '3840x2160p30',
        socket: 'usb-1',
        usb: 'usb-10g',
        lengthM: 10,
      }).build(),
      level: 'stop',
      says: /reach here is 7\.5 m/,
    },
  },
});

ruleCases('picture.link-overload', {
  valid: {
    '2160p30 on an 8.16 Gb/s output': camera({
      capture: 'capture-10g',
      format: '3840x2160p30',
      socket: 'usb-1',
      usb: 'usb-10g',
    }).build(),
  },
  invalid: {
    '2160p60 into a capture device of 8.16 Gb/s': {
      rig: camera({ camera: 'camera-studio', format: '3840x2160p60' }).build(),
      level: 'stop',
      says: /carries 8\.16 Gb\/s and 2160p60 loads it with 14\.256 Gb\/s/,
      sum: 14.256,
      fixes: [/^Set Camera to/],
    },
  },
});

ruleCases('picture.format-refused', {
  valid: { '1080p60 into an input that takes it': camera().build() },
  invalid: {
    '2160p30 into a 1080p capture device': {
      rig: camera({ format: '3840x2160p30' }).build(),
      level: 'stop',
      says: /does not take 2160p30/,
      sum: 7.128,
      fixes: ['Set Camera to 1080p60', /^Put a scan converter before Capture/],
    },
  },
});

ruleCases('picture.rate-near-miss', {
  valid: { '60 into 60': switched({ format: '1920x1080p60' }).build() },
  invalid: {
    '29.97 into a 30 chain': {
      rig: switched({ format: '1920x1080p30000/1001' })
        .do({
          type: 'setControl',
          deviceId: 'switcher',
          control: 'usb-format',
          value: '1920x1080p30',
        })
        .build(),
      level: 'warn',
      says: /1080p29\.97 and leaves as 1080p30/,
      sum: 33.367,
      fixes: ['Set Camera to 1080p30'],
    },
  },
});

ruleCases('picture.interlaced', {
  valid: { 'progressive into progressive': switched({ format: '1920x1080p60' }).build() },
  invalid: {
    '1080i50 into 1080p30': {
      rig: switched({ format: '1920x1080i50' }).build(),
      level: 'warn',
      says: /Camera sends 1080i50 and Switcher makes 1080p30 of it/,
      fixes: [/^Set Camera to 1080p/],
    },
  },
});

ruleCases('picture.overlays', {
  valid: {
    'a mirrorless camera set to clean output': camera({
      camera: 'camera-mirrorless',
      cameraSettings: { 'overlays-off': true },
    }).build(),
  },
  invalid: {
    'a mirrorless camera as it comes': {
      rig: camera({ camera: 'camera-mirrorless' }).build(),
      level: 'stop',
      fixes: ['Switch Camera to clean output'],
    },
  },
});

/** Overlays on their way to a screen, to a caller, and to the stream: the stream is named. */
const overlaid = new RigDraft('Case')
  .device('camera', 'camera-mirrorless', { name: 'Camera' })
  .device('split', 'splitter-hdmi-2')
  .device('screen', 'display-monitor', { name: 'Screen' })
  .device('capture', 'capture-5g')
  .device('computer', 'computer-laptop')
  .device('caller', 'call', { name: 'Caller' })
  .device('stream', 'stream', { name: 'Stream' })
  .link('camera.hdmi', 'split.in')
  .link('split.out-1', 'screen.in')
  .link('split.out-2', 'capture.in')
  .link('capture.usb', 'computer.usb-2', 1, 'usb-5g')
  .link('computer.call-out', 'caller.send')
  .link('computer.programme', 'stream.in');
ruleCases('picture.overlays', {
  valid: {
    'the same, switched to clean output': apply(overlaid.build(), {
      type: 'setControl',
      deviceId: 'camera',
      control: 'overlays-off',
      value: true,
    }),
  },
  invalid: {
    'the audience is named before the caller and the screen': {
      rig: overlaid.build(),
      level: 'stop',
      says: /they reach Stream/,
    },
  },
});

ruleCases('picture.copy-protection', {
  valid: {
    'a console with protection off': camera({
      camera: 'player-console',
      cameraSettings: { protected: false },
    }).build(),
  },
  invalid: {
    'a console as it comes': {
      rig: camera({ camera: 'player-console' }).build(),
      level: 'stop',
      says: /gets black/,
      fixes: ['Switch protection off on Camera'],
    },
  },
});

ruleCases('picture.compressed', {
  valid: { 'an uncompressed capture': camera().build() },
  invalid: {
    '1080p30 over USB 2.0': {
      rig: camera({
        capture: 'capture-usb-2',
        format: '1920x1080p30',
        socket: 'usb-3',
        usb: 'usb-2',
      }).build(),
      level: 'note',
      says: /fits a slow port and costs some sharpness and delay/,
      sum: 12.442,
    },
  },
});

ruleCases('picture.small-socket', {
  valid: {
    'a full-size socket': camera().build(),
    'a clamp that holds it': camera({
      camera: 'camera-mirrorless',
      cameraSettings: { 'overlays-off': true, clamp: true },
    }).build(),
  },
  invalid: {
    'a micro HDMI socket': {
      rig: camera({
        camera: 'camera-mirrorless',
        cameraSettings: { 'overlays-off': true },
      }).build(),
      level: 'note',
      says: /Clamp the cable/,
      fixes: ['Clamp the cable of Camera'],
    },
  },
});
