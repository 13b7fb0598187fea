import type { PortNode } from '../../graph';
import type { Devices } from '../measured';
import { numberSetting, type SetDevice, type SoundRoute, switchSetting } from '../../rig';
import { preampOwnNoiseDbu, thermalNoiseDbu } from '../../units';
import { compressedDb, type StaticCurve } from './dynamics';
import {
  addNoise,
  atBest,
  aWeightedNoise,
  missingFigure,
  type Noise,
  shiftNoise,
  SINE_CREST_DB,
  soundAfter,
  type SoundFigures,
  unweightedNoise,
} from '../figures/sound';

/** The gain a route stands at and the range it could. A fixed gain has a range of one. */
export interface GainSetting {
  readonly gainDb: number;
  readonly minDb: number;
  readonly maxDb: number;
  readonly stepDb: number;
  /** Control to turn; null for a fixed gain */
  readonly control: string | null;
}

const UNITY: GainSetting = { gainDb: 0, minDb: 0, maxDb: 0, stepDb: 1, control: null };

export const gainOf = (device: SetDevice, sound: SoundRoute): GainSetting => {
  if (!sound.gain) return UNITY;
  if ('db' in sound.gain)
    return {
      gainDb: sound.gain.db,
      minDb: sound.gain.db,
      maxDb: sound.gain.db,
      stepDb: 1,
      control: null,
    };
  const control = device.model.controls[sound.gain.control];
  if (control?.type !== 'gain') return UNITY;
  const gainDb = numberSetting(device, sound.gain.control) ?? control.initial;
  return {
    gainDb,
    minDb: control.minDb,
    maxDb: control.maxDb,
    stepDb: control.stepDb,
    control: sound.gain.control,
  };
};

/** Attenuation switched in. @returns dB, 0 or below */
export const padOf = (device: SetDevice, sound: SoundRoute): number =>
  sound.pad && switchSetting(device, sound.pad.control) ? sound.pad.db : 0;

type Ein = NonNullable<SoundRoute['ein']>;

/** The gains an EIN is stated at, the least first. Models are immutable, so each list is sorted once. */
const sortedEin = new WeakMap<Ein, Ein>();
const byGain = (ein: Ein): Ein => {
  const known = sortedEin.get(ein);
  if (known) return known;
  const sorted = [...ein].sort((a, b) => a.gainDb - b.gainDb);
  sortedEin.set(ein, sorted);
  return sorted;
};

/**
 * EIN at a gain, interpolated in dB between the gains it is stated at and held beyond them.
 * @returns dBu; null when none is stated
 */
export const einAt = (ein: Ein, gainDb: number): number | null => {
  const rows = byGain(ein);
  const above = rows.find((row) => row.gainDb >= gainDb);
  const below = rows.findLast((row) => row.gainDb <= gainDb);
  if (!above || !below) return (above ?? below)?.dbu ?? null;
  if (above.gainDb === below.gainDb) return above.dbu;
  return (
    below.dbu + ((above.dbu - below.dbu) * (gainDb - below.gainDb)) / (above.gainDb - below.gainDb)
  );
};

/**
 * The EIN of the preamp a route goes through. One knob is one preamp: a way to the headphones that says
 * nothing of its noise has that of the way to the converter.
 */
const preampOf = ({ model }: SetDevice, sound: SoundRoute): Ein | undefined => {
  if (sound.ein || !sound.gain || 'db' in sound.gain) return sound.ein;
  const known = shared.get(sound);
  if (known !== undefined) return known ?? undefined;
  const { control } = sound.gain;
  const found = Object.values(model.routes).find(
    (route) =>
      route.sound?.ein &&
      route.sound.gain &&
      'control' in route.sound.gain &&
      route.sound.gain.control === control,
  )?.sound?.ein;
  shared.set(sound, found ?? null);
  return found;
};
/** Models are immutable, so each route's preamp is looked for once. */
const shared = new WeakMap<SoundRoute, Ein | null>();

/** Noise a route adds, referred to its input after the pad. @returns null when it is not known or none */
export const ownNoise = (device: SetDevice, sound: SoundRoute): Noise | null => {
  if (sound.ownNoiseDbu !== undefined && sound.ownNoiseDbu !== null)
    return unweightedNoise(sound.ownNoiseDbu);
  const stated = preampOf(device, sound);
  const ein = stated && einAt(stated, gainOf(device, sound).gainDb);
  if (ein === undefined || ein === null) return null;
  // At or under what 150 Ω alone make, the sheet cannot say how much is the preamp's own.
  const own = preampOwnNoiseDbu(ein);
  return Number.isFinite(own) ? unweightedNoise(own) : atBest(unweightedNoise(NOTHING_DBU));
};

/** So little that it adds nothing. @unit dBu */
const NOTHING_DBU = -300;

/** Whether a route surely makes noise of its own and does not say how much: an amplifier, or a stated unknown. */
const hidesNoise = (device: SetDevice, sound: SoundRoute): boolean =>
  sound.ownNoiseDbu === null ||
  (ownNoise(device, sound) === null &&
    sound.gain !== undefined &&
    gainOf(device, sound).gainDb > 0);

/** The compressor's curve, if it is switched in. */
export const curveOf = (device: SetDevice, sound: SoundRoute): StaticCurve | null => {
  const { compressor } = sound;
  if (!compressor || !switchSetting(device, compressor.inSwitch)) return null;
  const thresholdDb = numberSetting(device, compressor.thresholdControl);
  const ratio = numberSetting(device, compressor.ratioControl);
  const makeUpDb = numberSetting(device, compressor.makeUpControl);
  return thresholdDb === undefined || ratio === undefined || makeUpDb === undefined
    ? null
    : { thresholdDb, ratio, makeUpDb };
};

/** Whether every way out of a route states the most it gives, so that its input need not answer for its gain. */
const hasOutputLimits = (node: PortNode, to: readonly string[]): boolean =>
  to.every((id) => {
    const port = node.device.ports.get(id)?.port;
    return port?.family === 'analogue' && port.maxOutDbu !== undefined && port.maxOutDbu !== null;
  });

/**
 * Highest level an input takes, the lowest of the ways on from it. At a converter it is what reads
 * 0 dBFS: `maxIn − pad − (gain − least gain)`. An analogue stage has two limits that are kept apart:
 * its input's, `maxIn − pad`, and its output's, which stands at the output. Where the output's is not
 * stated, gain above 0 dB counts against the input, which is then the safe side.
 * @returns dBu; null when unknown @source handbook 2-sound, ceilings
 */
export const inputCeilingDbu = (measured: Devices, node: PortNode): number | null => {
  if (
    node.port.family !== 'analogue' ||
    node.port.maxInDbu === undefined ||
    node.port.maxInDbu === null
  )
    return null;
  const device = measured.device(node.device);
  let least = Infinity;
  for (const { route } of node.routes) {
    if (!route.sound) continue;
    const gain = gainOf(device, route.sound);
    // A volume control that only takes away spares the input stage; at a converter the reading is
    // full scale wherever the knob began.
    const from = route.sound.toDigital ? gain.minDb : Math.max(gain.minDb, 0);
    const isApart = !route.sound.toDigital && hasOutputLimits(node, route.to);
    least = Math.min(
      least,
      node.port.maxInDbu -
        padOf(device, route.sound) -
        (isApart ? 0 : Math.max(0, gain.gainDb - from)),
    );
  }
  return least === Infinity ? node.port.maxInDbu : least;
};

/** A converter's own noise added; one that nobody has stated leaves the sum at best. */
const withConverter = (noise: Noise, dynamicRangeDba: number | null): Noise =>
  dynamicRangeDba === null ? atBest(noise) : addNoise(noise, aWeightedNoise(-dynamicRangeDba));

/** Thermal noise that a passive network adds at its output: a pad, a splitter with build-out. */
const passiveNoise = (sound: SoundRoute, { port }: PortNode): Noise | null =>
  sound.gain &&
  'db' in sound.gain &&
  sound.gain.db < 0 &&
  port.family === 'analogue' &&
  port.sourceOhms
    ? unweightedNoise(thermalNoiseDbu(port.sourceOhms))
    : null;

/** What an amplifying or attenuating route does to level, crest and noise, the unit staying the same. */
const amplify = (
  before: SoundFigures,
  device: SetDevice,
  sound: SoundRoute,
  byDb: number,
): SoundFigures => {
  const pad = padOf(device, sound);
  const added =
    before.noise &&
    shiftNoise(addNoise(shiftNoise(before.noise, pad), ownNoise(device, sound)), byDb);
  const noise = added && before.unit === 'dBu' && hidesNoise(device, sound) ? atBest(added) : added;
  const levelDb = before.levelDb === null ? null : before.levelDb + pad + byDb;
  const curve = curveOf(device, sound);
  if (!curve || levelDb === null) return soundAfter(before, { levelDb, noise, ceilingDb: null });
  const out = compressedDb(levelDb, curve);
  const reduced = out - levelDb;
  // The peaks go through the curve where a peak meter has them, and come out no lower than the average.
  const peak = levelDb + before.crestDb - SINE_CREST_DB;
  return soundAfter(before, {
    levelDb: out,
    crestDb: compressedDb(peak, curve) - out + SINE_CREST_DB,
    pressedDb: before.pressedDb + Math.max(0, curve.makeUpDb - reduced),
    noise: noise && shiftNoise(noise, reduced),
    ceilingDb: null,
  });
};

/**
 * Figures at the end of an inner route.
 * @param from the in-port the route begins at @param to the out-port it ends at
 */
export const throughRoute = (
  measured: Devices,
  before: SoundFigures,
  from: PortNode,
  to: PortNode,
  sound: SoundRoute,
): SoundFigures => {
  const device = measured.device(from.device);
  const gain = gainOf(device, sound);
  if (sound.toDigital && before.unit === 'dBu') {
    const maxInDbu = from.port.family === 'analogue' ? (from.port.maxInDbu ?? null) : null;
    if (maxInDbu === null)
      return soundAfter(before, {
        unit: 'dBFS',
        levelDb: null,
        noise: null,
        ceilingDb: 0,
        unknown:
          before.unknown ?? missingFigure(`the maximum level of ${device.name}, ${from.port.name}`),
      });
    const digital = amplify(before, device, sound, gain.gainDb - gain.minDb - maxInDbu);
    const { dynamicRangeDba } = sound.toDigital;
    return soundAfter(digital, {
      unit: 'dBFS',
      ceilingDb: 0,
      noise: digital.noise && withConverter(digital.noise, dynamicRangeDba),
    });
  }
  if (sound.toAnalogue && before.unit === 'dBFS') {
    const { fullScaleDbu, dynamicRangeDba } = sound.toAnalogue;
    if (fullScaleDbu === null)
      return soundAfter(before, {
        unit: 'dBu',
        levelDb: null,
        noise: null,
        ceilingDb: null,
        unknown: before.unknown ?? missingFigure(`the output level of ${device.name}`),
      });
    const noisy = before.noise && withConverter(before.noise, dynamicRangeDba);
    const analogue = amplify(
      soundAfter(before, { noise: noisy }),
      device,
      sound,
      fullScaleDbu + gain.gainDb,
    );
    const maxOutDbu = to.port.family === 'analogue' ? (to.port.maxOutDbu ?? null) : null;
    return soundAfter(analogue, {
      unit: 'dBu',
      ceilingDb: Math.min(fullScaleDbu + gain.gainDb, maxOutDbu ?? Infinity),
    });
  }
  const after = amplify(before, device, sound, gain.gainDb);
  if (after.unit === 'dBFS') return soundAfter(after, { ceilingDb: 0 });
  const outputNoise =
    sound.outputNoiseDbu === undefined || sound.outputNoiseDbu === null
      ? null
      : unweightedNoise(sound.outputNoiseDbu);
  return soundAfter(after, {
    noise: after.noise && addNoise(addNoise(after.noise, outputNoise), passiveNoise(sound, to)),
    ceilingDb: to.port.family === 'analogue' ? (to.port.maxOutDbu ?? null) : null,
  });
};
