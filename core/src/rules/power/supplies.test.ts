import { RigDraft } from '../../catalogue/draft';
import type { Rig } from '../../rig';
import { ruleCases } from '../judge-for-cases';
import { all, circuit, display, feed, house, load, many, onA, strip, ups } from './house-for-cases';

const large =
  (count: number) =>
  (draft: RigDraft): RigDraft =>
    Array.from({ length: count }).reduce<RigDraft>(
      (rig, _, index) =>
        rig.device(`computer-${index}`, 'computer-desktop', { name: `Computer ${index}` }),
      draft,
    );

ruleCases('power.inrush', {
  valid: {
    'two computers': house([onA], large(2), { 'computer-0': 'strip', 'computer-1': 'strip' }),
  },
  invalid: {
    'three computers on one circuit': {
      rig: house([onA], large(3), {
        'computer-0': 'strip',
        'computer-1': 'strip',
        'computer-2': 'strip',
      }),
      level: 'note',
      says: /one after another/,
    },
  },
});

const onUps = feed('ups', ups(), { feed: 'outlet-a' });

ruleCases('power.ups-over', {
  valid: { 'a computer of 450 W on 540': house([onUps], large(1), { 'computer-0': 'ups' }) },
  invalid: {
    'two of them': {
      rig: house([onUps], large(2), { 'computer-0': 'ups', 'computer-1': 'ups' }),
      level: 'stop',
      says: /900 W and 947 VA hang on The ups; it gives 540 W and 900 VA/,
      sum: 947.368,
      fixes: [/^Plug Computer 0 into The outlet-b/],
    },
  },
});

ruleCases('power.ups-short', {
  valid: {
    'a computer of 180 W for 81 min': house([onUps], large(1), { 'computer-0': 'ups' }),
    'nothing on it': house([onUps]),
  },
  invalid: {
    'two hours are asked for': {
      rig: house([onUps, { type: 'setPowerRules', powerRules: { lastsMin: 120 } }], large(1), {
        'computer-0': 'ups',
      }),
      level: 'warn',
      says: /lasts 82 min; 120 are asked for/,
      sum: 81.6,
      fixes: [/^Plug Computer 0 into The outlet-b/, /^Use one that holds 424 Wh/],
    },
  },
});

ruleCases('power.not-lasting', {
  valid: {
    'there is none': house([onA], many(1), all(1)),
    'it is on it': house([onUps], many(1), { 'switcher-0': 'ups' }),
    'a display need not be': house([onUps, onA], display, { display: 'strip' }),
  },
  invalid: {
    'the switcher is on the strip beside it': {
      rig: house([onUps, onA], many(1), all(1)),
      level: 'note',
      fixes: [/^Plug Switcher 0 into The ups/],
    },
  },
});

ruleCases('power.unplugged', {
  valid: {
    'all are plugged in': house([onA], display, { display: 'strip' }),
    'no strip is planned': display(new RigDraft('Case')).build(),
    'a microphone needs none': house([], (draft) => draft.device('mic', 'mic-dynamic-stage')),
  },
  invalid: {
    'a display without a socket': { rig: house([], display), level: 'note', says: /^Display has/ },
  },
});

ruleCases('power.mains-unknown', {
  valid: { 'no circuits': new RigDraft('Case').build(), 'it is known': house([]) },
  invalid: {
    'circuits, and nobody knows the volts': {
      rig: new RigDraft('Case').do(circuit('a')).build(),
      level: 'note',
      fixes: [/^It is 230 V/, /^It is 120 V/],
    },
  },
});

const hub =
  (classId: string) =>
  (draft: RigDraft): RigDraft =>
    draft
      .device('computer', 'computer-laptop', { name: 'Computer' })
      .device('hub', classId, { name: 'Hub' })
      .device('capture-1', 'capture-5g', { name: 'Capture 1' })
      .device('capture-2', 'capture-5g', { name: 'Capture 2' })
      .link('hub.up', 'computer.usb-1', 1)
      .link('capture-1.usb', 'hub.usb-1', 1)
      .link('capture-2.usb', 'hub.usb-2', 1);

ruleCases('power.usb-under', {
  valid: { 'two captures on a hub with its own supply': house([], hub('hub-5g')) },
  invalid: {
    'two captures through one socket of a computer': {
      rig: house([], hub('hub-usb-2')),
      level: 'stop',
      says: /^Hub, Capture 1, Capture 2 draw 8\.5 W from Computer/,
    },
  },
});

const network =
  (classId: string, count: number) =>
  (draft: RigDraft): RigDraft =>
    Array.from({ length: count }).reduce<RigDraft>(
      (rig, _, index) =>
        rig
          .device(`personal-${index}`, 'personal-mixer', { name: `Mixer ${index}` })
          .link(`switch.port-${index + 1}`, `personal-${index}.network`, 5),
      draft.device('switch', classId, { name: 'Switch' }),
    );

ruleCases('power.network-over', {
  valid: { 'seven of 9 W, counted 15.4: 107.8 of 120': house([], network('network-switch-8', 7)) },
  invalid: {
    'eight of them: 123.2 of 120': {
      rig: house([], network('network-switch-8', 8)),
      level: 'stop',
      says: /8 devices count 123 W on Switch, which gives 120 W/,
      sum: 123.2,
    },
  },
});

const unbalanced = (draft: RigDraft): RigDraft =>
  draft
    .device('player', 'player-sound', { name: 'Player' })
    .device('interface', 'interface-4', { name: 'Interface' })
    .link('player.out', 'interface.line-3', 3, 'unbalanced');

ruleCases('power.hum', {
  valid: {
    'on one circuit': house([onA], unbalanced, { player: 'strip', interface: 'outlet-a' }),
    'nobody knows where one is plugged in': house([onA], unbalanced, { player: 'strip' }),
  },
  invalid: {
    'on two circuits': {
      rig: house([onA, feed('other', strip(), { feed: 'outlet-b' })], unbalanced, {
        player: 'strip',
        interface: 'other',
      }),
      level: 'warn',
      says: /Never lift the protective earth/,
      fixes: [/^Plug Player into/, /^Plug Interface into/],
    },
  },
});

const warm = (airChanges: number): Rig =>
  house([
    { type: 'setRoom', room: { volumeM3: 100 } },
    { type: 'setPowerRules', powerRules: { airChanges } },
    load(330, 'outlet-a'),
  ]);

ruleCases('power.warms', {
  valid: {
    '330 W, aired twice an hour: 5 K': warm(2),
    'nobody knows how it is aired': house([load(2000, 'outlet-a')]),
  },
  invalid: {
    '330 W in 100 m³, one change an hour: 10 K': {
      rig: warm(1),
      level: 'warn',
      says: /make the room 10 K warmer/,
      sum: 10,
    },
  },
});
