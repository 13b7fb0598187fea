import type { Rig } from '../../rig';
import { ruleCases } from '../judge-for-cases';
import { measuredOffset } from './measured-for-cases';
import { done, inSync, known, set, sure, workedTime } from './time-for-cases';

const worked = workedTime();

const measuredAt = (rig: Rig, offsetMs: number): Rig => done(rig, measuredOffset(rig, offsetMs));

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
