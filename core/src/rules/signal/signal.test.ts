import { RigDraft } from '../../catalogue/draft';
import { ruleCases } from '../judge-for-cases';
import { camera, voice } from '../rigs-for-cases';

ruleCases('signal.destination-empty', {
  valid: {
    'a file that gets its picture': camera().build(),
    'a stream nobody has connected yet': voice().device('stream', 'stream').build(),
  },
  invalid: {
    'a stream with sound and no picture': {
      rig: voice()
        .device('stream', 'stream', { name: 'Stream' })
        .link('computer.programme', 'stream.in')
        .build(),
      level: 'stop',
      says: /Stream gets no picture/,
    },
  },
});

ruleCases('signal.source-lost', {
  valid: { 'a microphone that is recorded': voice().build() },
  invalid: {
    'a camera into a capture device that goes nowhere': {
      rig: new RigDraft('Case')
        .device('camera', 'camera-camcorder', { name: 'Camera' })
        .device('capture', 'capture-5g')
        .link('camera.hdmi', 'capture.in')
        .build(),
      level: 'warn',
      says: /picture of Camera reaches no/,
    },
  },
});

ruleCases('signal.unconnected', {
  valid: { 'everything plugged': voice().build() },
  invalid: {
    'a webcam just added': {
      rig: voice().device('webcam', 'webcam', { name: 'Webcam' }).build(),
      level: 'note',
      says: /Webcam is connected to nothing/,
      fixes: ['Remove Webcam'],
    },
  },
});

/** A ladder of splitters: after three steps one source arrives eight ways. */
const ladder = () => {
  const draft = new RigDraft('Case').device('camera', 'camera-camcorder');
  for (let n = 1; n <= 3; n++)
    draft.device(`split-${n}`, 'splitter-hdmi-2').device(`mix-${n}`, 'switcher-4');
  return draft
    .link('camera.hdmi', 'split-1.in')
    .link('split-1.out-1', 'mix-1.in-1')
    .link('split-1.out-2', 'mix-1.in-2')
    .link('mix-1.programme', 'split-2.in')
    .link('split-2.out-1', 'mix-2.in-1')
    .link('split-2.out-2', 'mix-2.in-2')
    .link('mix-2.programme', 'split-3.in')
    .link('split-3.out-1', 'mix-3.in-1')
    .link('split-3.out-2', 'mix-3.in-2')
    .build();
};

ruleCases('signal.ways-cut', {
  valid: { 'one way to each place': camera().build() },
  invalid: {
    'eight ways to one port': {
      rig: ladder(),
      level: 'note',
      says: /more than four ways/,
      times: 2,
    },
  },
});
