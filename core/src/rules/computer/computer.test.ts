import { RigDraft } from '../../catalogue/draft';
import { ruleCases } from '../judge-for-cases';
import { camera, twoOnAHub } from '../rigs-for-cases';

ruleCases('computer.branch-full', {
  valid: {
    '1080p60 uncompressed on a 5 Gb/s port': camera().build(),
    'a capture device alone on a hub': new RigDraft('Case')
      .device('camera', 'camera-camcorder')
      .device('capture', 'capture-5g')
      .device('hub', 'hub-5g')
      .device('computer', 'computer-desktop')
      .device('pictures', 'recording-pictures')
      .link('camera.hdmi', 'capture.in')
      .link('capture.usb', 'hub.usb-1', 1, 'usb-5g')
      .link('hub.up', 'computer.usb-2', 1, 'usb-5g')
      .link('computer.pictures', 'pictures.in')
      .build(),
    'two capture devices on a hub at 1080p30': twoOnAHub(['1920x1080p30', '1920x1080p30']).build(),
  },
  invalid: {
    '1080p60 on a USB 2.0 port': {
      rig: camera({ socket: 'usb-3' }).build(),
      level: 'stop',
      says: /sends 248\.8 MB\/s and its port, Computer, USB 3, carries 24\.576 MB\/s/,
      sum: 248.832,
      fixes: ['Move Capture to Computer, USB 2 (5 Gb/s)', 'Capture 1080p30 compressed on Capture'],
    },
    '1080p60 on a slow cable': {
      rig: camera({ usb: 'usb-2' }).build(),
      level: 'stop',
      says: /its cable carries 24\.576/,
      fixes: ['Use a USB cable, 5 Gb/s', /^Move/, /^Capture 1080p30 compressed/],
    },
    'two capture devices that together exceed their hub': {
      rig: twoOnAHub().build(),
      level: 'stop',
      says: /Capture 1 and Capture 2 together send 497\.\d MB\/s/,
      sum: 497.664,
      fixes: [
        'Move Capture 1 to Computer, USB 4 (5 Gb/s)',
        'Move Capture 1 to Computer, USB 1 (10 Gb/s)',
        'Capture 1080p30 on Capture 1',
        // The other socket of the same controller is no way out, and says so.
        /^Move Capture 1 to Computer, USB 3 .*\(brings a stop: 497\.7 MB\/s on one controller\)$/,
      ],
    },
  },
});

const sideBySide = (second: string) => {
  const draft = new RigDraft('Case')
    .device('computer', 'computer-desktop', { name: 'Computer' })
    .device('pictures', 'recording-pictures')
    .link('computer.pictures', 'pictures.in');
  ['usb-2', second].forEach((socket, n) =>
    draft
      .device(`camera-${n}`, 'camera-camcorder')
      .device(`capture-${n}`, 'capture-5g')
      .link(`camera-${n}.hdmi`, `capture-${n}.in`)
      .link(`capture-${n}.usb`, `computer.${socket}`, 1, 'usb-5g'),
  );
  return draft.build();
};

ruleCases('computer.controller-full', {
  valid: { 'two capture devices on two controllers': sideBySide('usb-4') },
  invalid: {
    'two capture devices on ports that share a controller': {
      rig: sideBySide('usb-3'),
      level: 'stop',
      says: /carry 400 MB\/s together/,
      sum: 497.664,
    },
  },
});

ruleCases('computer.capture-on-hub', {
  valid: { 'a capture device straight in the computer': camera().build() },
  invalid: {
    'capture devices on a hub': {
      rig: twoOnAHub(['1920x1080p30', '1920x1080p30']).build(),
      level: 'warn',
      says: /Capture 1 reaches the computer through Hub/,
      times: 2,
      fixes: [/^Move it to Computer/],
    },
  },
});

ruleCases('computer.reach', {
  valid: { '1 m at 5 Gb/s': camera().build() },
  invalid: {
    '4 m at 5 Gb/s': {
      rig: camera()
        .do({
          type: 'setCable',
          linkId: 'capture-usb-to-computer',
          cable: { kind: 'usb-5g', lengthM: 4 },
        })
        .build(),
      level: 'stop',
      says: /is 4 m and its reach here is 3 m/,
      sum: 133.333,
      fixes: ['Use USB cable, active, 5 Gb/s'],
    },
  },
});
