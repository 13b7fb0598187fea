import type { Model } from '../rig/devices/model';
import type { Supply } from '../rig/devices/supply';
import { entry } from '../rig/order';
import { bodyOf } from './bodies';

/** What devices of each class run on: typical, as their heat is; a data sheet counts more. */

/** With a mains inlet of their own; the W of those that give more than heat, typical and at most. */
const INLETS: Readonly<Record<string, readonly [typicalW: number, mostW: number] | null>> = {
  'camera-studio': null,
  'player-console': [150, 220],
  'player-console-fast': [190, 350],
  'switcher-12-two-mixes': null,
  'switcher-20': null,
  'channel-processor': null,
  'interface-8': null,
  'mixer-8': null,
  'mixer-16': null,
  'stage-box-8': null,
  'stage-box-16': null,
  'preamp-eight-optical': null,
  'headphone-amplifier-8': null,
  'loudspeaker-active': [35, 120],
  'loudspeaker-processor': null,
  'network-switch-16': [25, 265],
  'desk-network': null,
  'intercom-base': null,
  'computer-desktop': [180, 450],
  'display-monitor': null,
  'display-2160': null,
  'display-2160-fast': null,
  'board-interactive': [180, 280],
  'light-panel-large': null,
  'light-cob-120': [130, 145],
  'light-cob-300': [320, 350],
  'light-spot': null,
  'light-spot-far': [300, 330],
  'light-spot-hot': [650, 650],
  'light-practical': [9, 9],
  'light-house': [36, 40],
};

/** From the computer or hub they are plugged into. @unit W, typical and at most */
const USB: Readonly<Record<string, readonly [typicalW: number, mostW: number]>> = {
  webcam: [2, 2.5],
  'capture-usb-2': [1, 1.5],
  'capture-5g': [3, 4],
  // One lane of USB 3 gives 900 mA to whatever is plugged in, a socket of type A too.
  'capture-10g': [3.5, 4.5],
  'interface-2': [2.3, 2.5],
  'mic-usb': [1, 1.5],
  'hub-usb-2': [0.3, 0.5],
};

/** Over the network from the switch. @unit W at the device */
const NETWORK: Readonly<Record<string, readonly [typicalW: number, mostW: number]>> = {
  'personal-mixer': [6, 9],
  'card-network-sound': [5, 7],
};

/** On their own battery alone. */
const BATTERIES: ReadonlySet<string> = new Set([
  'camera-roaming',
  'camera-action',
  'phone-camera',
  'mic-on-camera',
  'mic-wireless',
  'wireless-transmitter',
  'wireless-transmitter-recording',
  'recorder-hand',
  'recorder-phone',
  'in-ear-pack',
  'intercom-pack',
]);

/** On phantom power, from the socket they are plugged into. */
const PHANTOM: ReadonlySet<string> = new Set(['booster-inline', 'direct-box-active']);

/** Whose adapter covers the socket beside it too. */
const WIDE: ReadonlySet<string> = new Set([
  'switcher-4',
  'switcher-6',
  'splitter-hdmi-8',
  'multiview-4',
  'dock-usb',
  'encoder-hardware',
  'encoder-hardware-sdi',
  'headphone-amplifier-4',
]);

/** What a device gives to others over the network. @unit W */
interface OverNetwork {
  readonly portW: number;
  readonly budgetW: number;
}
const GIVES: Readonly<Record<string, OverNetwork>> = {
  'network-switch-8': { portW: 30, budgetW: 120 },
  'network-switch-16': { portW: 30, budgetW: 240 },
};

/** Beyond this it draws much more in the moment it is switched on. @unit W */
const LARGE_W = 150;
const MEDIUM_W = 30;
/** At most so many times what it draws in use. */
const MOST_TIMES = 1.3;

const supply = (
  is: Supply['is'],
  typicalW: number,
  mostW = Math.round(10 * MOST_TIMES * typicalW) / 10,
  covers = 1,
): Supply => ({
  is,
  typicalW,
  mostW,
  powerFactor: null,
  inrush: mostW >= LARGE_W ? 'large' : mostW >= MEDIUM_W ? 'medium' : 'small',
  covers,
});

const typicalOf = (classId: string, heatW: number): Supply | null => {
  if (PHANTOM.has(classId)) return null;
  if (BATTERIES.has(classId)) return supply('battery', heatW);
  const usb = entry(USB, classId);
  if (usb) return supply('usb', ...usb);
  const network = entry(NETWORK, classId);
  if (network) return supply('network', ...network);
  if (Object.hasOwn(INLETS, classId)) {
    const [typicalW, mostW] = INLETS[classId] ?? [heatW];
    return supply('inlet', typicalW, mostW);
  }
  return heatW > 0 ? supply('adapter', heatW, undefined, WIDE.has(classId) ? 2 : 1) : null;
};

/**
 * What a device runs on: what its model states, or else what is typical of its class.
 * @returns null for what needs nothing: passive things, what runs on phantom power, programs
 */
export const supplyOf = (model: Model): Supply | null => {
  if (model.supply) return model.supply;
  if (model.classId === null) return null;
  const body = bodyOf(model);
  return body ? typicalOf(model.classId, body.heatW) : null;
};

/** What a device of a class gives to others over the network; null where it gives nothing. */
export const overNetworkOf = ({ classId }: Model): OverNetwork | null =>
  classId === null ? null : (entry(GIVES, classId) ?? null);
