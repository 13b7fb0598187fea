import { RigDraft } from '../../catalogue/draft';
import { type Rig, USUAL_DELIVERABLES } from '../../rig';
import { ruleCases } from '../judge-for-cases';
import { measuredOffset } from './measured-for-cases';
import { done, workedTime } from './time-for-cases';

/** A camera into a recorder, and a voice onto tracks of a computer. */
const twoMachines = (lengthMin: number): RigDraft =>
  new RigDraft('Two machines')
    .person('host', 'Host')
    .do({ type: 'writeBrief', brief: { lengthMin } })
    .do({
      type: 'addDeliverable',
      deliverableId: 'voices',
      deliverable: USUAL_DELIVERABLES['voice tracks'],
    })
    .device('camera', 'camera-camcorder', { name: 'Camera' })
    .device('recorder', 'recorder-picture', { name: 'Recorder' })
    .device('mic', 'mic-dynamic-stage', { name: 'Microphone', person: 'host' })
    .device('interface', 'interface-2', { name: 'Interface', settings: { direct: true } })
    .device('computer', 'computer-desktop', { name: 'Computer' })
    .device('tracks', 'recording-tracks', { name: 'Tracks' })
    .link('camera.hdmi', 'recorder.in')
    .link('mic.out', 'interface.mic-1')
    .link('interface.usb', 'computer.usb-1', 2, 'usb-2')
    .link('computer.tracks', 'tracks.in');

const alone = (): Rig =>
  new RigDraft('One machine', twoMachines(90).build())
    .do({ type: 'removeDevice', deviceId: 'recorder' })
    .build();

ruleCases('time.clocks-drift', {
  valid: {
    'half an hour: 36 ms': twoMachines(30).build(),
    'one machine alone': alone(),
  },
  invalid: {
    'worked figure: 20 ppm are 108 ms over 90 minutes': {
      rig: twoMachines(90).build(),
      level: 'note',
      says: /Recorder and Computer each keep time by themselves: 20 ppm, which is usual, are 108\.0 ms over 90 min/,
      sum: 108,
      fixes: [],
    },
  },
});

ruleCases('time.silent-recording', {
  valid: {
    'one machine alone': alone(),
    'the recorder hears the room': new RigDraft('Heard', twoMachines(90).build())
      .device('switcher', 'switcher-8', { name: 'Switcher' })
      .do({ type: 'disconnect', linkId: 'camera-hdmi-to-recorder' })
      .link('camera.hdmi', 'switcher.in-1')
      .link('switcher.aux-1', 'recorder.in')
      .link('interface.out-1', 'switcher.sound-1')
      .build(),
  },
  invalid: {
    'a recorder that hears nothing': {
      rig: twoMachines(90).build(),
      level: 'note',
      says: /Recorder records pictures without sound, and the voices are recorded by Computer/,
      fixes: [],
      sum: 8.333,
    },
  },
});

/** Measured at the recorder, so sure. */
const measured = (spreadMs: number): Rig => {
  const rig = workedTime();
  return done(rig, measuredOffset(rig, -100, { spreadMs }));
};

ruleCases('time.measured-rough', {
  valid: { '± 20 ms is a fifth of what is let be': measured(20), '± 2 ms': measured(2) },
  invalid: {
    'one flash at 25 frames: ± 25 ms': {
      rig: measured(25),
      level: 'note',
      says: /was measured to ± 25\.0 ms; 20\.0 ms would do/,
      sum: 5,
      fixes: ['Forget that measurement'],
    },
  },
});
