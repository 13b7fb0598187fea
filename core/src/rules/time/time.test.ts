import { analyse } from '../../analyse';
import { meetings } from '../../passes/time';
import type { Command, Rig } from '../../rig';
import { ruleCases } from '../judge-for-cases';
import { done, workedTime, workedTimeDraft } from './time-for-cases';

const set = (
  deviceId: string,
  portId: string,
  ms: number | null,
  signal: 'sound' | 'picture' = 'sound',
): Command => ({ type: 'setDelay', deviceId, portId, signal, ms });

const known = (
  id: string,
  deviceId: string,
  routeId: string | null,
  ms: number,
  spreadMs = 0,
): Command => ({
  type: 'addKnownDelay',
  knownDelayId: id,
  knownDelay: { deviceId, routeId, ms, spreadMs, by: 'measured', on: null, heldWhile: '' },
});

const worked = workedTime();
/** As handbook 4 has it, with nothing left to guess. */
const sure = done(
  worked,
  known('a', 'camera', null, 66.73),
  known('b', 'switcher', 'picture', 33.37),
  known('c', 'interface', 'direct-1', 0.5),
  known('d', 'capture', 'sound', 50),
);
const inSync = done(sure, set('switcher', 'sound-1', 100), set('computer', 'usb-2', 143.8));

const measuredAt = (rig: Rig, offsetMs: number): Rig => {
  const pair = meetings(analyse(rig)).find(({ placeId }) => placeId === 'recorder')?.pairs[0];
  if (!pair) throw new Error('nothing meets there');
  return done(rig, {
    type: 'addOffset',
    offsetId: 'clap',
    offset: {
      soundId: 'mic',
      pictureId: 'camera',
      placeId: 'recorder',
      offsetMs,
      spreadMs: 2,
      setMs: pair.setMs,
      on: '2026-11-20',
      heldWhile: pair.heldWhile,
      file: null,
    },
  });
};

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

ruleCases('time.stale', {
  valid: { 'as it was measured': measuredAt(sure, -120) },
  invalid: {
    'the camera was set to 25 since': {
      rig: done(measuredAt(worked, -120), {
        type: 'setControl',
        deviceId: 'camera',
        control: 'format',
        value: '1920x1080p25',
      }),
      level: 'warn',
      says: /were measured on 2026-11-20 while the way was .*66\.73.*; now it is .*80\.00/,
      fixes: ['Forget that measurement'],
    },
  },
});

ruleCases('time.disagrees', {
  valid: {
    'within 20 ms and its own spread': measuredAt(sure, -120),
    'nothing was measured': sure,
  },
  invalid: {
    '40 ms off': {
      rig: measuredAt(sure, -139.6),
      level: 'note',
      says: /was measured −139\.6 ms from Camera; the figures of the devices come to −99\.6 ms/,
    },
  },
});

ruleCases('time.unknown', {
  valid: { 'every delay is known': sure },
  invalid: {
    'the sound of the capture device is not': {
      rig: worked,
      level: 'note',
      says: /^Nobody knows how long Capture takes for sound or picture on the way to Stream/,
    },
  },
});

ruleCases('time.spread-wide', {
  valid: {
    'all is known': inSync,
    'it is out anyway': worked,
  },
  invalid: {
    'in sync by typical figures': {
      rig: done(
        worked,
        known('d', 'capture', 'sound', 50),
        set('switcher', 'sound-1', 100),
        set('computer', 'usb-2', 143.8),
      ),
      level: 'note',
      times: 2,
      says: /Measure it once/,
    },
  },
});

ruleCases('time.known-idle', {
  valid: { 'each for a way there is': sure },
  invalid: {
    'for a way there is not': {
      rig: done(sure, known('z', 'switcher', 'nowhere', 12)),
      level: 'note',
      says: /^12\.0 ms are noted for a way through Switcher that it does not have/,
      fixes: ['Forget it'],
    },
    twice: {
      rig: done(sure, known('z', 'camera', null, 70)),
      level: 'note',
    },
  },
});

ruleCases('time.limits-wide', {
  valid: { 'as R 37 has it': worked },
  invalid: {
    '200 ms late are let be': {
      rig: done(worked, { type: 'setTimeRules', timeRules: { lateMs: 200 } }),
      level: 'note',
      sum: 75,
      fixes: ['Ask for 40 ms early and 60 ms late'],
    },
  },
});
