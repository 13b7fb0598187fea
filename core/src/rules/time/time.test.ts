import type { Rig } from '../../rig';
import { ruleCases } from '../judge-for-cases';
import { done, inSync, known, set, sure, workedTime, workedTimeDraft } from './time-for-cases';

const worked = workedTime();

ruleCases('time.sound-early', {
  valid: {
    'both places are set as worked D says': inSync,
    '39 ms early are let be': done(inSync, set('switcher', 'sound-1', 62)),
  },
  invalid: {
    'worked D before anything is set: the recorder and the stream': {
      rig: sure,
      level: 'warn',
      times: 2,
      says: /^Microphone comes 143\.8 ms before the picture of Camera/,
      sum: -143.77,
      fixes: ['Delay sound at Computer by 99.6 and 143.8 ms'],
    },
    'typical figures that might still be right': {
      rig: done(
        inSync,
        { type: 'removeKnownDelay', knownDelayId: 'a' },
        set('switcher', 'sound-1', 55),
      ),
      level: 'note',
      times: 2,
      says: /Measure it, then delay/,
    },
    'a house that asks for more': {
      rig: done(inSync, set('switcher', 'sound-1', 80), {
        type: 'setTimeRules',
        timeRules: { earlyMs: 5, lateMs: 15 },
      }),
      level: 'warn',
      times: 2,
      fixes: ['Delay sound at Computer by 19.6 ms', 'Delay sound at Switcher by 100 ms'],
    },
  },
});

ruleCases('time.sound-late', {
  valid: { '60 ms late are let be': done(inSync, set('switcher', 'sound-1', 159)) },
  invalid: {
    'somebody set it twice over': {
      rig: done(inSync, set('switcher', 'sound-1', 200)),
      level: 'warn',
      times: 2,
      says: /^Microphone comes 100\.4 ms after the picture of Camera/,
      fixes: ['Delay sound at Switcher by 100 ms'],
    },
  },
});

/** A second camera straight into the computer, as fast as it is said to be. */
const second = (ms: number): Rig =>
  done(
    done(
      workedTimeDraft()
        .device('camera-2', 'camera-camcorder', {
          name: 'Second camera',
          settings: { format: '1920x1080p30000/1001' },
        })
        .device('capture-2', 'capture-5g', { name: 'Second capture' })
        .link('camera-2.hdmi', 'capture-2.in')
        .link('capture-2.usb', 'computer.usb-3')
        .build(),
      known('a', 'camera', null, 66.73),
      known('b', 'switcher', 'picture', 33.37),
      known('c', 'interface', 'direct-1', 0.5),
    ),
    known('e', 'camera-2', null, 66.73),
    known('f', 'capture-2', 'picture', ms),
    set('switcher', 'sound-1', 100),
    set('computer', 'usb-2', 140),
  );

ruleCases('time.cameras-apart', {
  valid: { 'the second is as slow as the first': second(83.37) },
  invalid: {
    'one direct at 116.73, one through the switcher at 150.10: a frame': {
      rig: second(50),
      level: 'warn',
      says: /^Second camera arrives 33\.4 ms before Camera: at every cut/,
      sum: 150.1,
      fixes: [
        'Delay Second camera by 33 ms at Computer',
        'Plug Second camera into Switcher, Input 2',
      ],
    },
  },
});

ruleCases('time.one-for-two', {
  valid: { 'one microphone': inSync },
  invalid: {
    'a wireless one of 150 ms beside it, through the same input': {
      rig: done(
        workedTimeDraft()
          .device('far', 'mic-dynamic-stage', { name: 'Far microphone', person: 'host' })
          .link('far.out', 'interface.mic-2')
          .build(),
        known('a', 'far', null, 150),
        known('b', 'interface', 'mic-2', 6.33),
      ),
      level: 'warn',
      times: 2,
      says: /^Microphone and Far microphone arrive 150\.0 ms apart through the same sockets/,
    },
  },
});

ruleCases('time.comes-twice', {
  valid: {
    'one way to each place': done(inSync, {
      type: 'disconnect',
      linkId: 'interface-out-1-to-switcher',
    }),
  },
  invalid: {
    'into the switcher and into the computer, both in sync: 1 ms colours': {
      rig: done(inSync, set('computer', 'usb-1', 43, 'sound')),
      level: 'warn',
      says: /by two ways, 43\.\d ms apart: it echoes/,
    },
    'in sync they are a moment apart': {
      rig: inSync,
      level: 'warn',
      says: /by two ways, 0\.4 ms apart: it is coloured, the first dip at 1\d{3} Hz/,
      fixes: [
        'Turn off “USB 1 is heard in the programme” at Computer',
        'Turn off “USB 2 is heard in the programme” at Computer',
      ],
    },
    'one of them nobody knows': {
      rig: worked,
      level: 'note',
      says: /one of which takes nobody knows how long/,
    },
  },
});

ruleCases('time.out-of-range', {
  valid: { 'as far as it goes': done(sure, set('switcher', 'sound-1', 500)) },
  invalid: {
    'more than a switcher holds back': {
      rig: done(sure, set('switcher', 'sound-1', 620)),
      level: 'warn',
      says: /^620\.0 ms are to be held back at .* of Switcher, which holds back 500\.0 ms at most/,
      sum: 120,
      fixes: ['Set it to 500.0 ms'],
    },
    'where nothing can be set': {
      rig: done(sure, set('interface', 'mic-1', 20)),
      level: 'warn',
      says: /have no such setting/,
      fixes: ['Take it off'],
    },
  },
});

ruleCases('time.off-step', {
  valid: { 'a tenth in a computer': done(sure, set('computer', 'usb-2', 143.8)) },
  invalid: {
    'a tenth in a switcher of whole milliseconds': {
      rig: done(sure, set('switcher', 'sound-1', 99.6)),
      level: 'note',
      says: /in steps of 1 ms; 99\.6 ms lie between/,
      sum: 99.6,
      fixes: ['Set it to 100 ms'],
    },
  },
});

ruleCases('time.delay-idle', {
  valid: { 'where the microphone comes in': done(sure, set('switcher', 'sound-1', 100)) },
  invalid: {
    'at the input beside it': {
      rig: done(sure, set('switcher', 'sound-2', 100)),
      level: 'note',
      says: /holds sound back by 100\.0 ms, and no sound goes through it/,
      fixes: ['Take it off'],
    },
  },
});

ruleCases('time.both-held', {
  valid: { 'sound alone': inSync },
  invalid: {
    'the picture at the computer too': {
      rig: done(inSync, set('computer', 'usb-1', 50, 'picture')),
      level: 'note',
      says: /50\.0 ms of both do nothing but come later/,
      sum: 50,
    },
  },
});
