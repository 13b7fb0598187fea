/** What each field of a model is, in words: its name, its unit, and where a data sheet states it. */

import { figure, plain, type Words } from './word';
import { WHOLE_WORDS } from './words-whole';

export type { Words };

/** By the last word of a path; a word that means different things in two places stands with its parent. */
const WORDS: Readonly<Record<string, Words>> = {
  name: plain('Name'),
  kind: plain('Kind', 'What it is searched by.'),
  step: plain('Step of the chain', 'The column of the loom it stands in.'),
  about: plain('About', 'One sentence: what it is for.'),
  typicalPrice: {
    label: 'Price',
    says: 'What one costs, in the studio’s currency.',
    sheet: 'The shop',
  },
  ports: plain(
    'Sockets',
    'Everything a cable or a radio link goes into, and every way into a program.',
  ),
  routes: plain('Inner ways', 'Which socket leads to which inside, and what happens on the way.'),
  controls: plain('Controls', 'What a person can turn, switch or choose on it.'),
  direction: plain('Direction'),
  connector: plain('Connector'),
  socket: plain(
    'Shares its hole with',
    'Sockets of the same word are one hole: only one of them holds a plug.',
  ),
  family: plain('Carries', 'What kind of signal.'),
  emits: plain('What begins here', 'A picture or a sound that has its source in this socket.'),
  ends: plain('What ends here', 'Something that is seen, heard or used up here.'),
  records: plain('Makes a file', 'What ends here is written on its own card or drive.'),
  nominal: plain('Made for', 'The level the socket is made for.'),
  balanced: plain('Balanced'),
  sourceOhms: figure('Source resistance', 'Ω', 'What an output has in series.', 'Output impedance'),
  maxOutDbu: figure(
    'Maximum output',
    'dBu',
    'The level at which the output clips.',
    'Maximum output level',
  ),
  inputOhms: figure(
    'Input resistance',
    'Ω',
    'What an input puts across the line.',
    'Input impedance',
  ),
  maxInDbu: figure(
    'Maximum input',
    'dBu',
    'Gain at its least and pad off; at a converter it reads 0 dBFS.',
    'Maximum input level',
  ),
  phantomNeedMa: figure(
    'Phantom current',
    'mA',
    'What it draws from phantom power; left out where it needs none.',
    'Power requirements',
  ),
  earDbPerMw: figure('At the ear for 1 mW', 'dB SPL', 'How loud headphones are.', 'Sensitivity'),
  splAt0Dbu: figure(
    'At 1 m for 0 dBu',
    'dB SPL',
    'How loud a loudspeaker is, its volume at 0.',
    'Sensitivity',
  ),
  phantomHarms: plain('Phantom power harms it'),
  phantomSupply: plain('Gives phantom power', 'Its switch, and the current it can give.'),
  maxMa: figure('Phantom power gives', 'mA', 'At most, on this socket.', 'Phantom power'),
  channels: figure('Channels', '', 'Of digital sound.', 'Digital inputs and outputs'),
  rateHz: figure('Sample rate', 'Hz', 'Of digital sound.', 'Sample rates'),
  standard: plain('Standard'),
  maxPayloadGbps: figure(
    'Highest load',
    'Gb/s',
    'The fastest picture the socket carries.',
    'Supported resolutions, or the version of HDMI or SDI',
  ),
  accepts: plain('Formats taken', 'Left out, it takes whatever its load carries.'),
  carriesSound: plain('Sound travels along'),
  role: plain('Side', 'host is the computer’s side, device what is plugged into it.'),
  gbps: figure('Rate', 'Gb/s', 'Signalling rate.', 'Interface'),
  controller: plain('Shares its rate with', 'Sockets of the same word share one controller.'),
  soundChannels: figure(
    'Channels of sound',
    '',
    'Most it sends or takes over the network.',
    'Network audio',
  ),
  sensitivityMvPerPa: figure(
    'Sensitivity',
    'mV/Pa',
    'At 1 kHz, into an open circuit.',
    'Sensitivity',
  ),
  selfNoiseDbaSpl: figure(
    'Self-noise',
    'dB(A) SPL',
    'Of an active capsule; unknown for a passive one.',
    'Equivalent noise level',
  ),
  maxSpl: figure(
    'Maximum sound pressure',
    'dB SPL',
    'At which the capsule distorts.',
    'Maximum SPL',
  ),
  pattern: plain('Pattern', 'From which sides it hears.'),
  levelDbu: figure('Level', 'dBu', 'RMS at the output.', 'Output level'),
  levelDbfs: figure('Level', 'dBFS', 'RMS of what begins here.', 'Output level'),
  crestDb: figure(
    'Peaks over average',
    'dB',
    'How far peaks stand over the average.',
    'Rarely stated; 14 is usual for speech',
  ),
  noiseDbu: figure('Noise', 'dBu', 'At the output.', 'Noise'),
  noiseDbfs: figure('Noise', 'dBFS', 'Of what begins here.', 'Dynamic range'),
  from: plain('From'),
  to: plain('To'),
  sound: plain('Sound'),
  picture: plain('Picture'),
  gain: plain('Gain', 'Fixed, or by a control.'),
  db: figure('By', 'dB', 'Above 0 louder.', 'Gain'),
  pad: plain('Pad', 'An attenuator before the gain.'),
  ein: plain('Input noise', 'Equivalent input noise with 150 Ω, at one gain or several.'),
  gainDb: figure('At a gain of', 'dB', '', 'Equivalent input noise'),
  dbu: figure(
    'Equivalent input noise',
    'dBu',
    'With 150 Ω; A-weighted figures are better by 2 dB or so.',
    'Equivalent input noise',
  ),
  ownNoiseDbu: figure(
    'Own noise',
    'dBu',
    'Referred to the input, without that of the source.',
    'Noise',
  ),
  outputNoiseDbu: figure('Output noise', 'dBu', 'Whatever the gain.', 'Output noise'),
  toDigital: plain('Turns into numbers'),
  toAnalogue: plain('Turns into voltage'),
  dynamicRangeDba: figure('Dynamic range', 'dB(A)', 'Below full scale.', 'Dynamic range'),
  fullScaleDbu: figure(
    '0 dBFS leaves as',
    'dBu',
    'Level of full scale at the output.',
    'Maximum output level',
  ),
  compressor: plain('Compressor'),
  gate: plain('Gate'),
  deEsser: plain('De-esser'),
  equaliser: plain('Equaliser'),
  bands: plain('Bands'),
  hz: figure('Around', 'Hz', '', 'Equaliser'),
  keepsApart: plain('Keeps its ways apart', 'Writes a file for each, as a recorder does.'),
  passesPhantom: plain('Lets phantom power through'),
  delay: plain('Delay', 'In ms, in frames of its picture, or as a control says.'),
  ms: figure('Delay', 'ms', 'From socket to socket.', 'Latency'),
  frames: figure('Delay', 'frames', 'Of the picture it handles.', 'Latency'),
  exceptSource: plain('Mix-minus', 'What it carries never goes back to where it came from.'),
  when: plain('Open only while', 'A control has a value.'),
  does: plain(
    'Does',
    'pass: hands it on. house format: all leaves in one format. capture: picture to USB.',
  ),
  scaler: plain('Has a scaler', 'Without one nothing but its format may enter.'),
  clean: plain('Clean output', 'Without menus and figures over the picture.'),
  copyProtected: plain('Copy-protected'),
  type: plain('Is'),
  label: plain('Name on the device'),
  minDb: figure('Least', 'dB', '', 'Gain range'),
  maxDb: figure('Most', 'dB', '', 'Gain range'),
  stepDb: figure('Step', 'dB', '', 'Gain range'),
  initial: plain('As it comes'),
  options: plain('Choices'),
  value: plain('Value', 'For pictures a format such as 1920x1080p50.'),
  unit: plain('Unit'),
  min: plain('Least'),
  max: plain('Most'),
  ...WHOLE_WORDS,
};

/** The steps of an amount are no step of the chain. */
const AFTER: Readonly<Record<string, Words>> = {
  'controls step': plain('Step', 'It goes in steps of this.'),
  'camera mount': plain('Lens mount', 'Left out, its lens is built in.'),
  'body mount': plain('How it is held'),
  'light widthM': figure('Face, width', 'm', 'Of what gives light.', 'Dimensions'),
  'light heightM': figure('Face, height', 'm', 'Of what gives light.', 'Dimensions'),
};

/** A word nobody has explained, as it can be read: `formatControl` is “format: control”. */
const spelt = (key: string): Words => {
  const words = key
    .replace(/Control$/, ': control')
    .replace(/Switch$/, ': switch')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase();
  return plain(words.charAt(0).toUpperCase() + words.slice(1));
};

/** What the field at a path is. @param path from the model down */
export const wordsFor = (path: readonly (string | number)[]): Words => {
  const key = String(path.at(-1) ?? '');
  const root = String(path[0] ?? '');
  if (path.length > 1 && Object.hasOwn(AFTER, `${root} ${key}`))
    return AFTER[`${root} ${key}`] ?? spelt(key);
  return (Object.hasOwn(WORDS, key) ? WORDS[key] : undefined) ?? spelt(key);
};
