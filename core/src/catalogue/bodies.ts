import type { Body } from '../rig/devices/body';
import type { Model } from '../rig/devices/model';
import { entry } from '../rig/order';

/**
 * Sizes, masses, heat and noise that are typical of each device class: a microphone with its mount, a
 * camera with its lens. What only runs on a computer has no body.
 */

const MOUNT = {
  S: 'on a surface',
  R: 'in a rack',
  T: 'on a thread',
  W: 'worn',
  F: 'on the floor',
} as const satisfies Record<string, Body['mount']>;

/** @param noiseDba dB(A) at 1 m; null where it makes none */
const body = (
  widthM: number,
  depthM: number,
  heightM: number,
  massKg: number,
  heatW: number,
  noiseDba: number | null,
  mount: keyof typeof MOUNT,
): Body => ({ widthM, depthM, heightM, massKg, heatW, noiseDba, mount: MOUNT[mount] });

const TYPICAL: Readonly<Record<string, Body>> = {
  'camera-mirrorless': body(0.13, 0.18, 0.1, 1, 5, null, 'T'),
  'camera-full-frame': body(0.14, 0.2, 0.11, 1.4, 6, null, 'T'),
  'camera-camcorder': body(0.14, 0.3, 0.17, 1.6, 8, null, 'T'),
  'camera-ptz': body(0.16, 0.17, 0.19, 1.6, 12, null, 'T'),
  'camera-studio': body(0.16, 0.38, 0.22, 4.5, 25, 30, 'T'),
  'camera-roaming': body(0.1, 0.08, 0.1, 0.4, 4, null, 'T'),
  webcam: body(0.1, 0.05, 0.06, 0.16, 2, null, 'S'),
  'phone-camera': body(0.08, 0.03, 0.16, 0.28, 3, null, 'T'),
  'player-slides': body(0.33, 0.23, 0.25, 1.5, 25, 32, 'S'),
  'player-graphics': body(0.33, 0.23, 0.25, 1.6, 35, 34, 'S'),
  'player-console': body(0.39, 0.26, 0.11, 4.2, 150, 38, 'S'),
  'splitter-hdmi-2': body(0.1, 0.06, 0.03, 0.2, 3, null, 'S'),
  'splitter-sdi-4': body(0.13, 0.08, 0.03, 0.4, 5, null, 'S'),
  'selector-hdmi-4': body(0.18, 0.08, 0.03, 0.4, 3, null, 'S'),
  'selector-hdmi-2': body(0.1, 0.06, 0.03, 0.2, 2, null, 'S'),
  'converter-hdmi-sdi': body(0.1, 0.08, 0.03, 0.25, 4, null, 'S'),
  'converter-sdi-hdmi': body(0.1, 0.08, 0.03, 0.25, 4, null, 'S'),
  'converter-scan': body(0.15, 0.1, 0.04, 0.5, 8, null, 'S'),
  'converter-sdi-12g': body(0.12, 0.09, 0.03, 0.4, 8, null, 'S'),
  'switcher-4': body(0.24, 0.11, 0.05, 0.6, 18, 28, 'S'),
  'switcher-6': body(0.3, 0.18, 0.06, 1.2, 24, 30, 'S'),
  'switcher-8': body(0.38, 0.19, 0.08, 1.9, 36, 34, 'S'),
  'switcher-8-recording': body(0.38, 0.19, 0.08, 2.1, 45, 36, 'S'),
  'switcher-20': body(0.48, 0.45, 0.089, 8.5, 160, 44, 'R'),
  'capture-usb-2': body(0.07, 0.03, 0.015, 0.04, 1, null, 'S'),
  'capture-5g': body(0.11, 0.06, 0.02, 0.15, 3, null, 'S'),
  'capture-10g': body(0.12, 0.08, 0.02, 0.2, 5, null, 'S'),
  'mic-dynamic-quiet': body(0.1, 0.07, 0.19, 0.75, 0, null, 'T'),
  'mic-dynamic-stage': body(0.05, 0.05, 0.17, 0.33, 0, null, 'T'),
  'mic-condenser-large': body(0.06, 0.06, 0.19, 0.6, 0, null, 'T'),
  'mic-condenser-small': body(0.03, 0.03, 0.15, 0.2, 0, null, 'T'),
  'mic-shotgun': body(0.03, 0.25, 0.03, 0.18, 0, null, 'T'),
  'mic-ribbon': body(0.06, 0.05, 0.17, 0.6, 0, null, 'T'),
  'mic-lavalier': body(0.02, 0.02, 0.03, 0.03, 0, null, 'W'),
  'mic-boundary': body(0.07, 0.09, 0.02, 0.25, 0, null, 'S'),
  'mic-headset': body(0.16, 0.2, 0.2, 0.06, 0, null, 'W'),
  'mic-wireless': body(0.05, 0.05, 0.26, 0.35, 1, null, 'T'),
  'wireless-transmitter': body(0.07, 0.03, 0.1, 0.1, 1, null, 'W'),
  'wireless-transmitter-recording': body(0.07, 0.03, 0.1, 0.13, 1, null, 'W'),
  'wireless-receiver': body(0.21, 0.16, 0.044, 0.9, 6, null, 'S'),
  'mic-usb': body(0.12, 0.12, 0.25, 0.9, 2, null, 'S'),
  'booster-inline': body(0.03, 0.03, 0.12, 0.12, 1, null, 'S'),
  'preamp-one': body(0.14, 0.16, 0.05, 1.1, 8, null, 'S'),
  'direct-box-active': body(0.11, 0.13, 0.05, 0.6, 1, null, 'S'),
  'direct-box-passive': body(0.11, 0.13, 0.05, 0.6, 0, null, 'S'),
  'pad-inline': body(0.02, 0.02, 0.1, 0.08, 0, null, 'S'),
  'splitter-sound': body(0.12, 0.14, 0.05, 0.8, 0, null, 'S'),
  'channel-processor': body(0.48, 0.22, 0.044, 3.2, 20, null, 'R'),
  'interface-2': body(0.19, 0.11, 0.05, 0.7, 5, null, 'S'),
  'interface-4': body(0.22, 0.15, 0.05, 1.1, 8, null, 'S'),
  'interface-8': body(0.48, 0.26, 0.044, 2.8, 20, null, 'R'),
  'mixer-4': body(0.21, 0.24, 0.08, 1.6, 12, null, 'S'),
  'mixer-8': body(0.34, 0.37, 0.1, 3.4, 25, null, 'S'),
  'mixer-16': body(0.46, 0.46, 0.14, 7.5, 50, 32, 'S'),
  'stage-box-8': body(0.48, 0.21, 0.089, 3.5, 30, 30, 'R'),
  'stage-box-16': body(0.48, 0.24, 0.133, 5.6, 45, 32, 'R'),
  'preamp-eight-optical': body(0.48, 0.24, 0.044, 2.6, 18, null, 'R'),
  'headphone-amplifier-4': body(0.16, 0.09, 0.05, 0.5, 6, null, 'S'),
  'headphone-amplifier-8': body(0.48, 0.16, 0.044, 2.2, 12, null, 'R'),
  'headphones-closed': body(0.19, 0.09, 0.21, 0.28, 0, null, 'W'),
  'loudspeaker-active': body(0.19, 0.24, 0.3, 6.2, 25, null, 'S'),
  'recorder-sound': body(0.09, 0.16, 0.05, 0.5, 4, null, 'S'),
  'instrument-keyboard': body(1.3, 0.3, 0.1, 11, 12, null, 'S'),
  'player-sound': body(0.16, 0.16, 0.05, 0.6, 5, null, 'S'),
  'network-switch-8': body(0.24, 0.12, 0.044, 1, 10, null, 'S'),
  'network-switch-16': body(0.44, 0.2, 0.044, 2.6, 25, 36, 'R'),
  'desk-network': body(0.62, 0.55, 0.22, 14, 90, 36, 'S'),
  'personal-mixer': body(0.23, 0.2, 0.06, 1.2, 8, null, 'S'),
  'intercom-base': body(0.48, 0.2, 0.044, 2.4, 18, null, 'R'),
  'intercom-pack': body(0.1, 0.05, 0.13, 0.4, 1, null, 'W'),
  'computer-laptop': body(0.33, 0.23, 0.25, 1.7, 40, 34, 'S'),
  'computer-desktop': body(0.21, 0.45, 0.45, 9.5, 180, 38, 'F'),
  'hub-5g': body(0.11, 0.06, 0.02, 0.15, 4, null, 'S'),
  'hub-usb-2': body(0.1, 0.05, 0.02, 0.1, 2, null, 'S'),
  'display-monitor': body(0.55, 0.2, 0.45, 4.5, 25, null, 'S'),
  'display-2160': body(0.62, 0.22, 0.48, 6.4, 40, null, 'S'),
  prompter: body(0.42, 0.55, 0.42, 4.2, 12, null, 'T'),
  'display-sdi': body(0.2, 0.05, 0.14, 0.8, 12, null, 'S'),
  'encoder-hardware': body(0.16, 0.13, 0.05, 0.8, 15, 30, 'S'),
  'encoder-hardware-sdi': body(0.16, 0.13, 0.05, 0.9, 18, 30, 'S'),
  'recorder-picture-sdi': body(0.21, 0.18, 0.044, 1.4, 20, 34, 'S'),
  'recorder-picture': body(0.21, 0.16, 0.044, 1.2, 16, 32, 'S'),
  'camera-mic-input': body(0.1, 0.1, 0.11, 0.8, 5, null, 'T'),
  'converter-line': body(0.1, 0.08, 0.04, 0.35, 3, null, 'S'),
};

/**
 * The body of a device: the one its model states, or else the one typical of its class.
 * @returns null for what has none, and where nobody has said
 */
export const bodyOf = ({ body: stated, classId }: Model): Body | null =>
  stated ?? (classId === null ? null : (entry(TYPICAL, classId) ?? null));
