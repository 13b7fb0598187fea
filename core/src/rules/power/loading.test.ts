import { ruleCases } from '../judge-for-cases';
import { all, display, feed, house, load, many, onA, outlet, strip, ups } from './house-for-cases';

ruleCases('power.circuit-over', {
  valid: {
    'a heater of 2,900 W on 2,944': house([load(2900, 'outlet-a')]),
    'more, of which half is off': house([
      { ...load(4000, 'outlet-a') },
      { type: 'changeLoad', loadId: 'heater', load: { runs: false } },
    ]),
  },
  invalid: {
    'a display beside a heater: the display goes elsewhere, the heater stays': {
      rig: house([load(2930, 'outlet-a'), onA], display, { display: 'strip' }),
      level: 'stop',
      says: /12\.8 A for hours \(2944 W at a power factor of 1\).*licensed.*never lift the protective earth/,
      sum: 12.888,
      fixes: [/^Plug The strip into The outlet-b/, /^Plug Display into The outlet-b/],
    },
    'beyond its breaker': {
      rig: house([load(4000, 'outlet-a')]),
      level: 'stop',
      says: /It trips\./,
    },
  },
});

ruleCases('power.strip-over', {
  valid: { 'a heater of 2,000 W on 10 A': house([onA, load(2000, 'strip')]) },
  invalid: {
    'a heater of 2,500 W on a strip of 10 A': {
      rig: house([onA, load(2500, 'strip')]),
      level: 'stop',
      says: /10\.9 A are drawn through The strip, which bears 10\.0 A/,
      sum: 10.87,
    },
    'a heater and a display: the display goes elsewhere': {
      rig: house([onA, load(2270, 'strip')], display, { display: 'strip' }),
      level: 'stop',
      fixes: [/^Plug Display into The outlet-b/],
    },
  },
});

ruleCases('power.sockets-short', {
  valid: { 'three wide adapters in six sockets': house([onA], many(3), all(3)) },
  invalid: {
    'four wide adapters in six sockets': {
      rig: house([onA], many(4), all(4)),
      level: 'stop',
      says: /4 plugs take 8 sockets of The strip.*it has 6/,
      sum: 8,
      fixes: [/^Use a strip with 8 sockets/],
    },
  },
});

ruleCases('power.strip-in-strip', {
  valid: {
    'a strip in an outlet': house([onA]),
    'a supply that lasts in a strip': house([onA, feed('ups', ups(), { feed: 'strip' })]),
  },
  invalid: {
    'a strip in a strip': {
      rig: house([onA, feed('second', strip(), { feed: 'strip' })]),
      level: 'warn',
      says: /never lift the protective earth/,
      fixes: [/^Plug The second into The outlet-a/, /^Plug The second into The outlet-b/],
    },
  },
});

ruleCases('power.unfed', {
  valid: { 'an empty strip in the box': house([feed('strip', strip(), null)]) },
  invalid: {
    'a strip with a display on it that is plugged in nowhere': {
      rig: house([feed('strip', strip(), null)], display, { display: 'strip' }),
      level: 'warn',
    },
    'an outlet of which nobody knows the circuit': {
      rig: house([feed('third', outlet(), null)], display, { display: 'third' }),
      level: 'warn',
      fixes: [/^It is on Circuit a/, /^It is on Circuit b/],
    },
  },
});
