import { RigDraft } from '../../catalogue/draft';
import { apply, type Command, type Rig } from '../../rig';

type Known = readonly [deviceId: string, routeId: string | null, ms: number];

/** What the worked figures say of each device, in ms. */
const KNOWN: readonly Known[] = [
  ['mic', null, 0],
  ['capture', 'picture', 50],
  ['interface', 'mic-1', 6.33],
  ['switcher', 'analogue', 0],
  ['computer', 'programme-picture', 0],
  ['computer', 'programme-sound-usb-1', 0],
  ['computer', 'programme-sound-usb-2', 0],
];

/**
 * The worked figures of time as one rig, for tests: a camera of two frames at 29.97 through a switcher of
 * one and a capture device of 50 ms; its sound by an interface into the computer, and direct into the
 * switcher, which a recorder keeps.
 */
export const workedTime = (): Rig => workedTimeDraft().build();

export const workedTimeDraft = (): RigDraft => {
  const draft = new RigDraft('Worked time')
    .person('host', 'Host')
    .device('camera', 'camera-camcorder', {
      name: 'Camera',
      settings: { format: '1920x1080p30000/1001' },
    })
    .device('switcher', 'switcher-8', { name: 'Switcher' })
    .device('recorder', 'recorder-picture', { name: 'Recorder' })
    .device('capture', 'capture-5g', { name: 'Capture' })
    .device('mic', 'mic-dynamic-stage', { name: 'Microphone', person: 'host' })
    .device('interface', 'interface-2', { name: 'Interface', settings: { direct: true } })
    .device('computer', 'computer-laptop', { name: 'Computer' })
    .device('stream', 'stream', { name: 'Stream' })
    .link('camera.hdmi', 'switcher.in-1')
    .link('switcher.programme', 'capture.in')
    .link('switcher.aux-1', 'recorder.in')
    .link('capture.usb', 'computer.usb-1')
    .link('mic.out', 'interface.mic-1')
    .link('interface.out-1', 'switcher.sound-1')
    .link('interface.usb', 'computer.usb-2', 2, 'usb-2')
    .link('computer.programme', 'stream.in');
  KNOWN.forEach(([deviceId, routeId, ms], index) =>
    draft.do({
      type: 'addKnownDelay',
      knownDelayId: `known-${index + 1}`,
      knownDelay: { deviceId, routeId, ms, spreadMs: 0, by: 'data sheet', on: null, heldWhile: '' },
    }),
  );
  return draft;
};

/** A rig after edits. */
export const done = (rig: Rig, ...commands: readonly Command[]): Rig =>
  commands.reduce<Rig>((now, command) => apply(now, command), rig);

/** Sets a delay. */
export const set = (
  deviceId: string,
  portId: string,
  ms: number | null,
  signal: 'sound' | 'picture' = 'sound',
): Command => ({ type: 'setDelay', deviceId, portId, signal, ms });

/** Notes what a device takes. */
export const known = (
  id: string,
  deviceId: string,
  routeId: string | null,
  ms: number,
  spreadMs = 0,
): Command => ({
  type: 'addKnownDelay',
  knownDelayId: id,
  knownDelay: { deviceId, routeId, ms, spreadMs, by: 'measured', on: null, heldWhile: '' },
});

/** As handbook 4 has it, with nothing left to guess. */
export const sure = done(
  workedTime(),
  known('a', 'camera', null, 66.73),
  known('b', 'switcher', 'picture', 33.37),
  known('c', 'interface', 'direct-1', 0.5),
  known('d', 'capture', 'sound', 50),
);
/** Set as it says. */
export const inSync = done(sure, set('switcher', 'sound-1', 100), set('computer', 'usb-2', 143.8));
