import { sourceOf, type Stage, stagesOf } from '../../graph';
import { type Device, entry, numberSetting, type SoundRoute, switchSetting } from '../../rig';
import { powerSumDb } from '../../units';
import type { Measured } from '../measured';
import { pass } from '../pass';
import { microphonesInRoom } from '../room';
import {
  addNoise,
  compressedDb,
  curveOf,
  gainOf,
  ownNoise,
  padOf,
  shiftNoise,
  SINE_CREST_DB,
  type SoundFigures,
  type StaticCurve,
} from '../sound';
import { voices } from '../sound/ladder';

/**
 * Compressors and gates that voices pass, with the voice and what lies under it where they act.
 * @source handbook 2-sound, the chain
 */

/** The voice as it comes to a processor, after the gain before it. Levels RMS in the processor's own unit. */
export interface VoiceIn {
  readonly unit: SoundFigures['unit'];
  readonly averageDb: number;
  /** Where a peak meter has its peaks, which push a compressor farthest: average + crest − 3.01 */
  readonly peakDb: number;
  /** The average of its quietest and loudest usual speech */
  readonly quietestDb: number;
  readonly loudestDb: number;
  /** Electrical noise, and the room with other voices as this microphone hears them; null where neither is known */
  readonly underneathDb: number | null;
}

interface Placed {
  /** The stage it ends at */
  readonly stage: Stage;
  /** The voice where it first becomes digital */
  readonly voice: Stage;
  readonly deviceId: string;
  readonly name: string;
  readonly inSwitch: string;
  readonly isIn: boolean;
  readonly thresholdControl: string;
  readonly thresholdDb: number;
  readonly voiceIn: VoiceIn;
}

export interface Compressor extends Placed {
  readonly does: 'compress';
  readonly curve: StaticCurve;
}
export interface Gate extends Placed {
  readonly does: 'gate';
  /** How far it closes. @unit dB, above 0 */
  readonly rangeDb: number;
}
export type Processor = Compressor | Gate;

/**
 * What a microphone hears besides its voice, against the voice: room, noises, and the loudest of
 * the others. @unit dB, below 0
 */
const besideVoiceDb = (measured: Measured, voice: Stage): number | null => {
  const microphone = microphonesInRoom(measured).find(({ node }) => node === sourceOf(voice).at);
  if (!microphone || microphone.ownSpl === null) return null;
  const parts = [
    ...(microphone.noiseSpl === null ? [] : [microphone.noiseSpl]),
    ...microphone.bleed
      .map(({ spl }) => spl)
      .sort((a, b) => b - a)
      .slice(0, 1),
  ];
  return parts.length ? powerSumDb(...parts) - microphone.ownSpl : null;
};

const voiceInto = (
  measured: Measured,
  voice: Stage,
  stage: Stage,
  sound: SoundRoute,
): VoiceIn | null => {
  const before = stage.parent && measured.sound[stage.parent.index];
  if (!before || before.levelDb === null) return null;
  const device = measured.device(stage.at.device);
  const padDb = padOf(device, sound);
  const byDb = padDb + gainOf(device, sound).gainDb;
  const noise =
    before.noise &&
    shiftNoise(addNoise(shiftNoise(before.noise, padDb), ownNoise(device, sound)), byDb - padDb);
  const averageDb = before.levelDb + byDb;
  const { personId } = measured.device(sourceOf(voice).at.device);
  const spreadDb =
    (personId === null ? undefined : entry(measured.rig.people, personId)?.spreadDb) ?? 0;
  const beside = besideVoiceDb(measured, voice);
  const parts = [
    ...(noise ? [noise.unweightedDb] : []),
    ...(beside === null ? [] : [averageDb + beside]),
  ];
  return {
    unit: before.unit,
    averageDb,
    peakDb: averageDb + before.crestDb - SINE_CREST_DB,
    quietestDb: averageDb - spreadDb,
    loudestDb: averageDb + spreadDb,
    underneathDb: parts.length ? powerSumDb(...parts) : null,
  };
};

const amountOf = (device: Device, control: string): number => numberSetting(device, control) ?? 0;

const processorsAt = (measured: Measured, voice: Stage, stage: Stage): Processor[] => {
  const sound = stage.via.by === 'route' ? stage.via.route.route.sound : undefined;
  if (!sound?.compressor && !sound?.gate) return [];
  const device = measured.device(stage.at.device);
  const deviceId = stage.at.device.id;
  const voiceIn = voiceInto(measured, voice, stage, sound);
  if (!voiceIn) return [];
  const placed = { stage, voice, deviceId, name: device.name, voiceIn };
  const { gate, compressor } = sound;
  return [
    ...(gate
      ? [
          {
            ...placed,
            does: 'gate' as const,
            inSwitch: gate.inSwitch,
            isIn: switchSetting(device, gate.inSwitch),
            thresholdControl: gate.thresholdControl,
            thresholdDb: amountOf(device, gate.thresholdControl),
            rangeDb: amountOf(device, gate.rangeControl),
          },
        ]
      : []),
    ...(compressor
      ? [
          {
            ...placed,
            does: 'compress' as const,
            inSwitch: compressor.inSwitch,
            isIn: curveOf(device, sound) !== null,
            thresholdControl: compressor.thresholdControl,
            thresholdDb: amountOf(device, compressor.thresholdControl),
            curve: {
              thresholdDb: amountOf(device, compressor.thresholdControl),
              ratio: amountOf(device, compressor.ratioControl),
              makeUpDb: amountOf(device, compressor.makeUpControl),
            },
          },
        ]
      : []),
  ];
};

/** Every compressor and gate on the way of a voice, in the order it meets them, whether switched in or not. */
export const processors = pass('processors', (measured): readonly Processor[] =>
  voices(measured).flatMap((voice) =>
    stagesOf(voice).flatMap((stage) => processorsAt(measured, voice, stage)),
  ),
);

/** An equaliser or de-esser on the way of a voice, and what its peaks may gain by it. */
export interface Shaping {
  readonly stage: Stage;
  readonly voice: Stage;
  readonly deviceId: string;
  readonly name: string;
  readonly does: 'equalise' | 'de-ess';
  readonly inSwitch: string;
  readonly isIn: boolean;
  readonly controls: readonly string[];
  /** The largest lift of a band while it is in; 0 for a de-esser. @unit dB, 0 or above */
  readonly liftDb: number;
}

const shapingAt = (measured: Measured, voice: Stage, stage: Stage): Shaping[] => {
  const sound = stage.via.by === 'route' ? stage.via.route.route.sound : undefined;
  const device = measured.device(stage.at.device);
  const deviceId = stage.at.device.id;
  const { deEsser, equaliser } = sound ?? {};
  const placed = { stage, voice, deviceId, name: device.name };
  return [
    ...(deEsser
      ? [
          {
            ...placed,
            does: 'de-ess' as const,
            inSwitch: deEsser.inSwitch,
            isIn: switchSetting(device, deEsser.inSwitch),
            controls: [deEsser.rangeControl],
            liftDb: 0,
          },
        ]
      : []),
    ...(equaliser
      ? [equaliser].map(({ inSwitch, bands }) => {
          const isIn = switchSetting(device, inSwitch);
          return {
            ...placed,
            does: 'equalise' as const,
            inSwitch,
            isIn,
            controls: bands.map(({ control }) => control),
            liftDb: isIn
              ? Math.max(0, ...bands.map(({ control }) => amountOf(device, control)))
              : 0,
          };
        })
      : []),
  ];
};

/** Every equaliser and de-esser on the way of a voice, in the order it meets them. */
export const shapings = pass('shapings', (measured): readonly Shaping[] =>
  voices(measured).flatMap((voice) =>
    stagesOf(voice).flatMap((stage) => shapingAt(measured, voice, stage)),
  ),
);

/** What leaves a compressor of a voice's average and of its peaks. @unit that of the processor */
export const pressedTo = ({
  curve,
  voiceIn,
}: Compressor): { readonly averageDb: number; readonly peakDb: number } => ({
  averageDb: compressedDb(voiceIn.averageDb, curve),
  peakDb: compressedDb(voiceIn.peakDb, curve),
});

/** How several compressors press where all of them act: the product of their ratios. @returns 1 for none */
export const ratioTogether = (ratios: readonly number[]): number =>
  ratios.reduce((product, ratio) => product * ratio, 1);

/**
 * The static curve as points, from well under the voice to its peaks. @returns levels in and out,
 * the unit of the processor
 */
export const curvePoints = ({
  curve,
  voiceIn,
}: Compressor): readonly { readonly inDb: number; readonly outDb: number }[] => {
  const from = Math.floor(Math.min(curve.thresholdDb, voiceIn.quietestDb) / 6 - 1) * 6;
  const to = Math.ceil(Math.max(curve.thresholdDb, voiceIn.peakDb) / 6 + 1) * 6;
  return Array.from({ length: Math.round((to - from) / 2) + 1 }, (_, step) => ({
    inDb: from + step * 2,
    outDb: compressedDb(from + step * 2, curve),
  }));
};
