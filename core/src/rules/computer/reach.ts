import { reachRule } from '../reach';

export const usbReach = reachRule('computer', 'computer.reach', ['usb'], {
  matters: ['size'],
  looksFor:
    'A USB cable longer than its class goes: 5 m at 480 Mb/s, 3 m at 5 Gb/s, 1 m at 10 Gb/s.',
  why: 'A long USB cable falls back to a lower speed or drops out in the middle of a take.',
  remedy: 'Move the device closer, or use an active cable.',
  source: 'handbook 3-picture, reach defaults',
});
