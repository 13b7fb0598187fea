import type { CameraFigures, Mixes, Storage, Work } from '../rig/devices/device-figures';
import type { Control, Model, Route } from '../rig/devices/model';
import type { AnaloguePort, PicturePort, Port, UsbPort } from '../rig/devices/ports';
import type { SoundRoute } from '../rig/devices/sound-model';
import { type ClassId, TYPICAL } from './typical-figures';

/**
 * Shorthand for writing device classes as data. Each function returns one port, control or route
 * with the class's usual figures.
 */

type Named<T> = Record<string, T>;

/** What differs from class to class; the rest of a model is filled in by `deviceClass`. */
export interface ClassDraft extends Pick<Model, 'name' | 'kind' | 'step' | 'about' | 'ports'> {
  readonly routes?: Model['routes'];
  readonly controls?: Model['controls'];
  readonly spread?: Model['spread'];
  readonly camera?: CameraFigures | undefined;
  readonly mixes?: Mixes | undefined;
  readonly storage?: Storage | undefined;
  readonly work?: Work | undefined;
  /** How long its own battery lasts. @unit min */
  readonly batteryMin?: number;
  /** Does nothing without its own power supply */
  readonly needsSupply?: true;
  /** Has a small socket that a cable can be clamped to */
  readonly smallSocket?: true;
}

export const deviceClass = (id: ClassId, draft: ClassDraft): Model => ({
  classId: id,
  typicalPrice: TYPICAL[id].price,
  name: draft.name,
  kind: draft.kind,
  step: draft.step,
  about: draft.about,
  ports: draft.ports,
  routes: draft.routes ?? {},
  controls: {
    ...draft.controls,
    ...(draft.needsSupply ? { supply: toggle('Own power supply plugged in', true) } : {}),
    ...(draft.smallSocket ? { clamp: toggle('Cable clamped to the camera') } : {}),
  },
  ...(draft.camera ? { camera: draft.camera } : {}),
  ...(draft.mixes ? { mixes: draft.mixes } : {}),
  ...(draft.storage ? { storage: draft.storage } : {}),
  ...(draft.work ? { work: draft.work } : {}),
  ...(draft.batteryMin === undefined ? {} : { battery: { lastsMin: draft.batteryMin } }),
  ...(draft.needsSupply ? { supplyControl: 'supply' } : {}),
  ...(draft.smallSocket ? { clampControl: 'clamp' } : {}),
  stated: [],
  spread: draft.spread ?? {},
});

/** Repeats a part for channels 1 to n; the part's key is `stem-1`, `stem-2` … */
export const each = <T>(count: number, stem: string, part: (n: number) => T): Named<T> =>
  Object.fromEntries(
    Array.from({ length: count }, (_, index) => [`${stem}-${index + 1}`, part(index + 1)]),
  );

export const idsOf = (count: number, stem: string): string[] =>
  Array.from({ length: count }, (_, index) => `${stem}-${index + 1}`);

export const gain = (
  label: string,
  minDb: number,
  maxDb: number,
  initial: number,
  stepDb = 1,
): Control => ({ type: 'gain', label, minDb, maxDb, initial, stepDb });

export const toggle = (label: string, initial = false): Control => ({
  type: 'switch',
  label,
  initial,
});

export const amount = (
  label: string,
  unit: string,
  min: number,
  max: number,
  initial: number,
  step: number,
): Control => ({ type: 'amount', label, unit, min, max, initial, step });

export const choice = (
  label: string,
  options: readonly (readonly [string, string])[],
  initial: string,
): Control => ({
  type: 'choice',
  label,
  options: options.map(([value, text]) => ({ value, label: text })),
  initial,
});

/** How far a microphone stands from the mouth. @unit m */
export const mouthDistance = (initial: number): Control =>
  amount('Distance from the mouth', 'm', 0.01, 20, initial, 0.01);

const port = <F extends Port['family']>(
  family: F,
  direction: Port['direction'],
  name: string,
  connector: Port['connector'],
) => ({ family, direction, name, connector }) as const;

export const micIn = (
  name: string,
  inputOhms: number,
  maxInDbu: number,
  phantomControl?: string,
  maxMa = 10,
): AnaloguePort => ({
  ...port('analogue', 'in', name, 'combo'),
  nominal: 'microphone',
  balanced: true,
  inputOhms,
  maxInDbu,
  ...(phantomControl ? { phantomSupply: { control: phantomControl, maxMa } } : {}),
});

export const lineIn = (
  name: string,
  maxInDbu = 22,
  connector: Port['connector'] = 'jack',
): AnaloguePort => ({
  ...port('analogue', 'in', name, connector),
  nominal: 'line',
  balanced: true,
  inputOhms: 20_000,
  maxInDbu,
});

export const consumerIn = (
  name: string,
  maxInDbu = 8,
  connector: Port['connector'] = 'phono',
): AnaloguePort => ({
  ...port('analogue', 'in', name, connector),
  nominal: 'consumer line',
  balanced: false,
  inputOhms: 10_000,
  maxInDbu,
});

export const lineOut = (
  name: string,
  maxOutDbu = 20,
  connector: Port['connector'] = 'jack',
  sourceOhms = 150,
): AnaloguePort => ({
  ...port('analogue', 'out', name, connector),
  nominal: 'line',
  balanced: true,
  sourceOhms,
  maxOutDbu,
});

export const phonesOut = (name: string, maxOutDbu = 12): AnaloguePort => ({
  ...port('analogue', 'out', name, 'jack'),
  nominal: 'headphone',
  balanced: false,
  sourceOhms: 10,
  maxOutDbu,
});

export const hdmi = (
  direction: 'in' | 'out',
  name: string,
  maxPayloadGbps: number,
  connector: Port['connector'] = 'hdmi',
): PicturePort => ({
  ...port('picture', direction, name, connector),
  standard: 'hdmi',
  maxPayloadGbps,
  carriesSound: true,
});

export const sdi = (direction: 'in' | 'out', name: string, maxPayloadGbps = 2.97): PicturePort => ({
  ...port('picture', direction, name, 'bnc'),
  standard: 'sdi',
  maxPayloadGbps,
  carriesSound: true,
});

export const usbDevice = (
  gbps: UsbPort['gbps'],
  connector: Port['connector'] = 'usb-c',
  name = 'USB',
): UsbPort => ({ ...port('usb', 'both', name, connector), role: 'device', gbps });

export const usbHost = (
  name: string,
  gbps: UsbPort['gbps'],
  controller?: string,
  connector: Port['connector'] = 'usb-a',
): UsbPort => ({
  ...port('usb', 'both', name, connector),
  role: 'host',
  gbps,
  ...(controller ? { controller } : {}),
});

export const software = (
  direction: 'in' | 'out',
  name: string,
  more: Partial<Pick<Port, 'emits' | 'ends' | 'records'>> = {},
): Port => ({ ...port('software', direction, name, 'software'), ...more });

/** An inner route. Delay `null` is unknown. */
export const route = (
  from: string | readonly string[],
  to: string | readonly string[],
  delay: Route['delay'],
  carries: Pick<Route, 'sound' | 'picture' | 'when' | 'exceptSource'>,
): Route => ({
  from: [from].flat(),
  to: [to].flat(),
  delay,
  ...carries,
});

export const AT_ONCE = { ms: 0 } as const;

/** A microphone preamp into a converter: gain control, EIN, dynamic range. */
export const preampToDigital = (
  gainControl: string,
  einDbu: number,
  maxGainDb: number,
  dynamicRangeDba: number,
  pad?: string,
): SoundRoute => ({
  gain: { control: gainControl },
  ein: [{ gainDb: maxGainDb, dbu: einDbu }],
  toDigital: { dynamicRangeDba },
  ...(pad ? { pad: { control: pad, db: -20 } } : {}),
});
