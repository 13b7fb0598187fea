import { entry, type Model, type Port, type SetDelay } from '../rig';
import { typicalOf } from './typical-figures';

/** Typical delays of kinds of devices that their models do not say: sources, spreads, and what can be set. */

/** Least, typical and most, in frames of what it sends. @source handbook 4, worked D: a camera takes two */
type Frames = readonly [least: number, typical: number, most: number];

const SOURCE_FRAMES: Readonly<Record<string, Frames>> = {
  camera: [1, 2, 3],
  webcam: [2, 3, 5],
  phone: [2, 4, 7],
};

/** Frames from what happens before a source to its socket; null where it makes its picture itself. */
export const sourceFrames = ({ kind }: Pick<Model, 'kind'>): Frames | null =>
  entry(SOURCE_FRAMES, kind) ?? null;

/** How far a typical figure is off in a device of a kind: times so much at least and at most. */
type Times = readonly [least: number, most: number];

const USUALLY: Times = [0.7, 1.5];
const TIMES: Readonly<Record<string, Times>> = {
  switcher: [0.5, 2],
  capture: [0.5, 2],
  computer: [0.5, 2],
  encoder: [0.4, 2],
  mixer: [0.7, 1.5],
};

/** How much shorter and longer a device takes than its class says. */
export const delayTimes = ({ kind }: Pick<Model, 'kind'>): Times => entry(TIMES, kind) ?? USUALLY;

/** What a device can delay at a socket. @unit ms */
export interface DelayRange {
  readonly mostMs: number;
  readonly stepMs: number;
}

const SOUND_IN: Readonly<Record<string, DelayRange>> = {
  switcher: { mostMs: 500, stepMs: 1 },
  encoder: { mostMs: 1000, stepMs: 1 },
  recorder: { mostMs: 500, stepMs: 1 },
};

const MIX_OUT: DelayRange = { mostMs: 500, stepMs: 0.1 };
const EMBEDDER: DelayRange = { mostMs: 340, stepMs: 1 };
const COMPUTER: Readonly<Record<SetDelay['signal'], DelayRange>> = {
  sound: { mostMs: 2000, stepMs: 0.1 },
  picture: { mostMs: 500, stepMs: 1 },
};

/**
 * What can be set at a socket of a device, as is typical of its class: sound at the inputs of switchers,
 * encoders, recorders of pictures and embedders, either at the inputs of a computer, sound at the outputs
 * of mixers that compute.
 */
export const delayRange = (
  { kind, classId }: Pick<Model, 'kind' | 'classId'>,
  port: Pick<Port, 'family' | 'direction'> & { readonly role?: string },
  signal: SetDelay['signal'],
): DelayRange | null => {
  if (kind === 'computer') {
    const isUsb = port.family === 'usb' && port.role === 'host';
    return isUsb || (port.family === 'network' && signal === 'sound') ? COMPUTER[signal] : null;
  }
  if (signal === 'picture') return null;
  const delays = typicalOf(classId)?.delays;
  if (delays === 'mixes out')
    return port.direction === 'out' && port.family === 'analogue' ? MIX_OUT : null;
  if (port.direction !== 'in' || port.family !== 'analogue') return null;
  if (delays === 'sound into picture') return EMBEDDER;
  // A recorder of sound alone has nothing to hold it back for.
  if (kind === 'recorder' && delays !== 'sound in') return null;
  return entry(SOUND_IN, kind) ?? null;
};
