import { RigDraft } from './draft';
import type { Rig } from './rig';

/** A working rig to begin from. */
export interface StartingPoint {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly make: (name: string) => Rig;
}

const soloDesk = (name: string): Rig =>
  new RigDraft(name)
    .person('host', 'Host')
    .device('host-mic', 'mic-dynamic-stage', { name: 'Host mic', person: 'host' })
    .device('host-camera', 'webcam', { name: 'Host camera', person: 'host' })
    .device('interface', 'interface-2', { name: 'Interface', settings: { 'gain-1': 50 } })
    .device('computer', 'computer-laptop', { name: 'Computer' })
    .device('stream', 'stream')
    .device('recording', 'recording-programme')
    .device('host-phones', 'headphones-closed', { name: 'Host headphones', person: 'host' })
    .link('host-mic.out', 'interface.mic-1', 3)
    .link('interface.usb', 'computer.usb-2', 2, 'usb-2')
    .link('host-camera.usb', 'computer.usb-3', 2)
    .link('interface.phones-1', 'host-phones.in', 2)
    .link('computer.programme', 'stream.in')
    .link('computer.programme', 'recording.in')
    .build();

const twoVoices = (name: string): Rig =>
  new RigDraft(name)
    .person('first', 'First voice')
    .person('second', 'Second voice')
    .device('first-mic', 'mic-dynamic-stage', { name: 'First mic', person: 'first' })
    .device('second-mic', 'mic-dynamic-stage', { name: 'Second mic', person: 'second' })
    .device('interface', 'interface-4', { name: 'Interface', settings: { 'gain-1': 56, 'gain-2': 56 } })
    .device('computer', 'computer-laptop', { name: 'Computer' })
    .device('tracks', 'recording-tracks')
    .device('programme', 'recording-programme')
    .device('first-phones', 'headphones-closed', { name: 'First headphones', person: 'first' })
    .device('second-phones', 'headphones-closed', { name: 'Second headphones', person: 'second' })
    .link('first-mic.out', 'interface.mic-1', 3)
    .link('second-mic.out', 'interface.mic-2', 3)
    .link('interface.usb', 'computer.usb-2', 2, 'usb-2')
    .link('interface.phones-1', 'first-phones.in', 2)
    .link('interface.phones-2', 'second-phones.in', 2)
    .link('computer.tracks', 'tracks.in')
    .link('computer.programme', 'programme.in')
    .build();

const threeCameras = (name: string): Rig =>
  new RigDraft(name)
    .person('host', 'Host')
    .person('guest', 'Guest')
    .device('host-mic', 'mic-condenser-large', { name: 'Host mic', person: 'host' })
    .device('guest-mic', 'mic-condenser-large', { name: 'Guest mic', person: 'guest' })
    .device('host-camera', 'camera-camcorder', { name: 'Host camera', person: 'host' })
    .device('guest-camera', 'camera-camcorder', { name: 'Guest camera', person: 'guest' })
    .device('wide-camera', 'camera-camcorder', { name: 'Wide camera' })
    .device('switcher', 'switcher-4', { name: 'Switcher' })
    .device('interface', 'interface-4', { name: 'Interface', settings: { 'gain-1': 48, 'gain-2': 48, 'phantom-1': true } })
    .device('computer', 'computer-desktop', { name: 'Computer' })
    .device('stream', 'stream')
    .device('recording', 'recording-programme')
    .device('tracks', 'recording-tracks')
    .link('host-mic.out', 'interface.mic-1', 5)
    .link('guest-mic.out', 'interface.mic-2', 5)
    .link('host-camera.hdmi', 'switcher.in-1', 5)
    .link('guest-camera.hdmi', 'switcher.in-2', 5)
    .link('wide-camera.hdmi', 'switcher.in-3', 10)
    .link('switcher.usb', 'computer.usb-2', 2, 'usb-5g')
    .link('interface.usb', 'computer.usb-5', 2, 'usb-2')
    .link('computer.programme', 'stream.in')
    .link('computer.programme', 'recording.in')
    .link('computer.tracks', 'tracks.in')
    .build();

/** Rigs that work as they stand, to be changed. */
export const STARTING_POINTS: readonly StartingPoint[] = [
  { id: 'solo-desk', name: 'Solo at a desk', about: 'One voice, one camera, one computer: live and recorded.', make: soloDesk },
  { id: 'two-voices', name: 'Two voices', about: 'Two microphones with a track each and headphones for both.', make: twoVoices },
  { id: 'three-cameras', name: 'Two people, three cameras', about: 'A switcher, two condensers, live and recorded with tracks.', make: threeCameras },
];
