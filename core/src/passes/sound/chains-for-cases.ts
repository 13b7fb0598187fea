import fc from 'fast-check';
import { RigDraft } from '../../catalogue/draft';
import type { Rig } from '../../rig';

/** The same chains computed a second way: volts and watts, no decibels, no code of the engine. */

export const ZERO_DBU = Math.sqrt(0.6);

const thermalVolts = (ohms: number): number => Math.sqrt(4 * 1.380649e-23 * 293.15 * ohms * 20_000);

export const volts = (dbu: number): number => ZERO_DBU * Math.pow(10, dbu / 20);

interface Chain {
  readonly mvPerPa: number;
  readonly ohms: number;
  readonly spl: number;
  readonly distanceM: number;
  readonly boosted: boolean;
  readonly gainDb: number;
  readonly einDbu: number;
}

export const chain: fc.Arbitrary<Chain> = fc.record({
  mvPerPa: fc.double({ min: 0.5, max: 5, noNaN: true }),
  ohms: fc.integer({ min: 50, max: 600 }),
  spl: fc.integer({ min: 50, max: 80 }),
  distanceM: fc.integer({ min: 3, max: 100 }).map((cm) => cm / 100),
  boosted: fc.boolean(),
  gainDb: fc.integer({ min: 0, max: 54 }),
  einDbu: fc.double({ min: -130, max: -110, noNaN: true }),
});

export const rigOf = ({ mvPerPa, ohms, spl, distanceM, boosted, gainDb, einDbu }: Chain): Rig => {
  const draft = new RigDraft('Chain')
    .person('voice', 'Voice', { speechDbSpl: spl })
    .device('mic', 'mic-dynamic-quiet', { person: 'voice', settings: { distance: distanceM } })
    .device('interface', 'interface-2', { settings: { 'gain-1': gainDb, 'phantom-1': true } })
    .device('computer', 'computer-laptop')
    .device('file', 'recording-tracks')
    .link('interface.usb', 'computer.usb-3', 2, 'usb-2')
    .link('computer.tracks', 'file.in');
  if (boosted)
    draft
      .device('booster', 'booster-inline')
      .link('mic.out', 'booster.in')
      .link('booster.out', 'interface.mic-1');
  else draft.link('mic.out', 'interface.mic-1');
  return draft
    .do({
      type: 'setFigure',
      deviceId: 'mic',
      path: 'ports.out.emits.sound.sensitivityMvPerPa',
      value: mvPerPa,
    })
    .do({ type: 'setFigure', deviceId: 'mic', path: 'ports.out.sourceOhms', value: ohms })
    .do({
      type: 'setFigure',
      deviceId: 'interface',
      path: 'routes.mic-1.sound.ein.0.dbu',
      value: einDbu,
    })
    .build();
};

/** Signal and noise at the converter's input as fractions of full scale. */
export const linear = ({
  mvPerPa,
  ohms,
  spl,
  distanceM,
  boosted,
  gainDb,
  einDbu,
}: Chain): { signal: number; noise: number } => {
  // 94 dB SPL is taken as 1 Pa, as the field does; pressure falls with distance.
  const pascals = Math.pow(10, (spl - 94) / 20) / distanceM;
  let signal = (mvPerPa / 1000) * pascals;
  let watts = thermalVolts(ohms) ** 2;
  const pass = (factor: number) => {
    signal *= factor;
    watts *= factor * factor;
  };
  let source = ohms;
  if (boosted) {
    pass(3000 / (3000 + source));
    watts += volts(-129.5) ** 2;
    pass(Math.pow(10, 25 / 20));
    source = 150;
  }
  pass(3000 / (3000 + source));
  watts += Math.max(0, volts(einDbu) ** 2 - thermalVolts(150) ** 2);
  pass(Math.pow(10, gainDb / 20) / volts(10));
  // A dynamic range of 110 dB(A), which white noise passes by 2 dB unweighted.
  watts += Math.pow(10, -108 / 20) ** 2;
  return { signal, noise: Math.sqrt(watts) };
};

/** A longer chain: microphone, pad barrel or not, strip with a pad, line joint, interface; every stage in volts. */
interface Longer extends Pick<Chain, 'mvPerPa' | 'ohms' | 'spl' | 'distanceM'> {
  readonly barrel: boolean;
  readonly radio: boolean;
  readonly stripGainDb: number;
  readonly stripPad: boolean;
}

export const longer: fc.Arbitrary<Longer> = fc.record({
  mvPerPa: fc.double({ min: 0.5, max: 5, noNaN: true }),
  ohms: fc.integer({ min: 50, max: 600 }),
  spl: fc.integer({ min: 50, max: 80 }),
  distanceM: fc.integer({ min: 3, max: 100 }).map((cm) => cm / 100),
  barrel: fc.boolean(),
  radio: fc.boolean(),
  stripGainDb: fc.integer({ min: 0, max: 60 }),
  stripPad: fc.boolean(),
});

export const longerRig = ({
  mvPerPa,
  ohms,
  spl,
  distanceM,
  barrel,
  radio,
  stripGainDb,
  stripPad,
}: Longer): Rig => {
  const draft = new RigDraft('Longer')
    .person('voice', 'Voice', { speechDbSpl: spl })
    .device('mic', 'mic-dynamic-quiet', { person: 'voice', settings: { distance: distanceM } })
    .device('strip', 'channel-processor', { settings: { gain: stripGainDb, pad: stripPad } })
    .device('interface', 'interface-2')
    .device('computer', 'computer-laptop')
    .device('file', 'recording-tracks')
    .link('interface.usb', 'computer.usb-3', 2, 'usb-2')
    .link('computer.tracks', 'file.in')
    .link('strip.out', 'interface.line-1');
  let from = 'mic.out';
  if (barrel) {
    draft.device('barrel', 'pad-inline').link(from, 'barrel.in');
    from = 'barrel.out';
  }
  if (radio) {
    draft
      .device('pack', 'wireless-transmitter', { settings: { gain: 30 } })
      .device('receiver', 'wireless-receiver', { settings: { gain: -10 } })
      .link(from, 'pack.in')
      .link('pack.radio', 'receiver.radio');
    from = 'receiver.out';
  }
  return draft
    .link(from, 'strip.in')
    .do({
      type: 'setFigure',
      deviceId: 'mic',
      path: 'ports.out.emits.sound.sensitivityMvPerPa',
      value: mvPerPa,
    })
    .do({ type: 'setFigure', deviceId: 'mic', path: 'ports.out.sourceOhms', value: ohms })
    .build();
};

/**
 * Level and noise where the strip ends, loaded by the line input, in volts. The engine's own
 * figures of the classes are written here once more, by hand.
 */
export const longerVolts = ({
  mvPerPa,
  ohms,
  spl,
  distanceM,
  barrel,
  radio,
  stripGainDb,
  stripPad,
}: Longer): { signal: number; noise: number } => {
  let signal = ((mvPerPa / 1000) * Math.pow(10, (spl - 94) / 20)) / distanceM;
  let watts = thermalVolts(ohms) ** 2;
  let source = ohms;
  const pass = (factor: number) => {
    signal *= factor;
    watts *= factor * factor;
  };
  const into = (input: number) => pass(input / (input + source));
  if (barrel) {
    into(1200);
    pass(0.1);
    source = 150;
    watts += thermalVolts(150) ** 2;
  }
  if (radio) {
    into(3000);
    watts += volts(-122) ** 2 - thermalVolts(150) ** 2;
    pass(Math.pow(10, 30 / 20));
    watts += volts(-100) ** 2 + volts(-110) ** 2;
    pass(Math.pow(10, -10 / 20));
    source = 200;
  }
  into(2400);
  if (stripPad) pass(0.1);
  watts += volts(-125) ** 2 - thermalVolts(150) ** 2;
  pass(Math.pow(10, stripGainDb / 20));
  watts += volts(-86) ** 2;
  return { signal, noise: Math.sqrt(watts) };
};
