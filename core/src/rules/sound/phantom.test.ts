import { phantomLeftV } from './phantom-overload';
import { ruleCases } from '../judge-for-cases';
import { voice, voiceThrough } from '../rigs-for-cases';

const condenser = (phantom: boolean) =>
  voice({
    microphone: 'mic-condenser-large',
    distance: 0.2,
    settings: { 'gain-1': 46, 'phantom-1': phantom },
  });
const behindBooster = voiceThrough(
  'mic-condenser-large',
  'booster-inline',
  { in: 'in', out: 'out' },
  { 'gain-1': 30, 'phantom-1': true },
  {},
  0.2,
);

ruleCases('sound.phantom-missing', {
  valid: {
    'a condenser with phantom power on': condenser(true).build(),
    'a dynamic without it': voice().build(),
    'a condenser through a pad that lets it pass': voiceThrough(
      'mic-condenser-large',
      'pad-inline',
      { in: 'in', out: 'out' },
      { 'phantom-1': true },
    ).build(),
  },
  invalid: {
    'a condenser with phantom power off': {
      rig: condenser(false).build(),
      level: 'stop',
      says: /has it switched off/,
      fixes: ['Switch phantom power on at Interface, Input 1'],
    },
    'a booster with phantom power off': {
      rig: voiceThrough(
        'mic-dynamic-quiet',
        'booster-inline',
        { in: 'in', out: 'out' },
        { 'gain-1': 41 },
      ).build(),
      level: 'stop',
      says: /Through gives no sound/,
    },
  },
});

/** A condenser into a splitter of which one leg goes on. */
const onLeg = (out: 'direct' | 'isolated') =>
  voiceThrough(
    'mic-condenser-large',
    'splitter-sound',
    { in: 'in', out },
    { 'phantom-1': true, 'gain-1': 40 },
  ).build();

ruleCases('sound.phantom-blocked', {
  valid: {
    'a dynamic behind a booster': voiceThrough(
      'mic-dynamic-quiet',
      'booster-inline',
      { in: 'in', out: 'out' },
      { 'phantom-1': true },
    ).build(),
    'a condenser on the direct leg of a splitter': onLeg('direct'),
  },
  invalid: {
    'a condenser on the isolated leg alone': {
      rig: onLeg('isolated'),
      level: 'stop',
      says: /gives no sound: Through lets no phantom power through/,
      fixes: [
        'Plug into Direct of Through and switch phantom power on',
        'Remove Through and switch phantom power on',
      ],
    },
    'a condenser behind a booster': {
      rig: behindBooster.build(),
      level: 'stop',
      says: /lets no phantom power through/,
      fixes: ['Remove Through and switch phantom power on'],
    },
  },
});

ruleCases('sound.phantom-harms', {
  valid: { 'a ribbon with phantom power off': voice({ microphone: 'mic-ribbon' }).build() },
  invalid: {
    'a ribbon with phantom power on': {
      rig: voice({
        microphone: 'mic-ribbon',
        settings: { 'gain-1': 65, 'phantom-1': true },
      }).build(),
      level: 'stop',
      says: /is on at Interface, Input 1 and can damage Mic/,
      fixes: ['Switch phantom power off at Interface, Input 1'],
    },
  },
});

ruleCases('sound.phantom-overload', {
  valid: { 'a condenser of 3 mA': condenser(true).build() },
  invalid: {
    'a capsule that draws 14 mA': {
      rig: condenser(true)
        .do({ type: 'setFigure', deviceId: 'mic', path: 'ports.out.phantomNeedMa', value: 14 })
        .build(),
      level: 'warn',
      says: /draw 14 mA and Interface gives 10 mA/,
      sum: 14,
    },
  },
});

it.each([
  [0, 48],
  [10, 14],
  [20, 0],
])('%s mA leave %s V of phantom power at the microphone', (currentMa, leftV) =>
  expect(phantomLeftV(currentMa)).toBeCloseTo(leftV, 9),
);
