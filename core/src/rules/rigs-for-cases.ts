import { classById } from '../catalogue';
import { RigDraft } from '../catalogue/draft';
import type { ControlValue } from '../rig';
import { type Brief, type Lens, type ShotPlan, USUAL_DELIVERABLES } from '../rig';

/** Small rigs that rule cases share: one voice, or one camera, on its way to a recording. */

type SwitchedBy = Brief['switchedBy'];

interface Voice {
  readonly microphone?: string;
  readonly interface?: string;
  readonly distance?: number;
  readonly settings?: Readonly<Record<string, ControlValue>>;
}

/**
 * One voice at 62 dB SPL into an interface, a laptop and its track file. The gain is set so that
 * nothing is wrong unless the case says so.
 */
export const voice = ({
  microphone = 'mic-dynamic-stage',
  interface: interfaceClass = 'interface-4',
  distance = 0.08,
  settings = { 'gain-1': 60 },
}: Voice = {}): RigDraft =>
  onward(withMicrophone(microphone, interfaceClass, distance, settings)).link(
    'mic.out',
    'interface.mic-1',
    3,
  );

const withMicrophone = (
  microphone: string,
  interfaceClass: string,
  distance: number,
  settings: Readonly<Record<string, ControlValue>>,
): RigDraft =>
  new RigDraft('Case')
    .person('host', 'Host')
    .device('mic', microphone, { name: 'Mic', person: 'host', settings: { distance } })
    .device('interface', interfaceClass, { name: 'Interface', settings });

const onward = (draft: RigDraft): RigDraft =>
  draft
    .device('computer', 'computer-laptop', { name: 'Computer' })
    .device('tracks', 'recording-tracks', { name: 'Tracks' })
    .link('interface.usb', 'computer.usb-3', 2, 'usb-2')
    .link('computer.tracks', 'tracks.in');

/** One voice whose microphone goes through another device before the interface. */
export const voiceThrough = (
  microphone: string,
  classId: string,
  way: { in: string; out: string; into?: string },
  settings: Voice['settings'] = { 'gain-1': 40 },
  through: Voice['settings'] = {},
  distance = 0.08,
): RigDraft =>
  onward(withMicrophone(microphone, 'interface-4', distance, settings ?? {}))
    .device('through', classId, { name: 'Through', settings: through })
    .link('mic.out', `through.${way.in}`, 2)
    .link(`through.${way.out}`, `interface.${way.into ?? 'mic-1'}`, 2);

interface Camera {
  readonly camera?: string;
  readonly port?: string;
  readonly format?: string;
  readonly capture?: string;
  readonly socket?: string;
  readonly cameraSettings?: Readonly<Record<string, ControlValue>>;
  readonly captureSettings?: Readonly<Record<string, ControlValue>>;
  readonly lengthM?: number;
  readonly usb?: 'usb-2' | 'usb-5g' | 'usb-10g';
}

/** One camera through a capture device to a picture file. */
export const camera = ({
  camera: cameraClass = 'camera-camcorder',
  port = 'hdmi',
  format,
  capture = 'capture-5g',
  socket = 'usb-2',
  cameraSettings = {},
  captureSettings = {},
  lengthM = 2,
  usb = 'usb-5g',
}: Camera = {}): RigDraft =>
  new RigDraft('Case')
    .device('camera', cameraClass, {
      name: 'Camera',
      settings: { ...(format ? { format } : {}), ...cameraSettings },
    })
    .device('capture', capture, { name: 'Capture', settings: captureSettings })
    .device('computer', 'computer-laptop', { name: 'Computer' })
    .device('pictures', 'recording-pictures', { name: 'Pictures' })
    .link(`camera.${port}`, 'capture.in', lengthM)
    .link('capture.usb', `computer.${socket}`, 1, usb)
    .link('computer.pictures', 'pictures.in');

/** Two capture devices on one hub, each with its own camera. */
export const twoOnAHub = (
  formats: readonly [string, string] = ['1920x1080p60', '1920x1080p60'],
): RigDraft => {
  const draft = new RigDraft('Case')
    .device('hub', 'hub-5g', { name: 'Hub' })
    .device('computer', 'computer-desktop', { name: 'Computer' })
    .device('pictures', 'recording-pictures', { name: 'Pictures' });
  formats.forEach((format, index) => {
    const n = index + 1;
    draft
      .device(`camera-${n}`, 'camera-camcorder', { name: `Camera ${n}`, settings: { format } })
      .device(`capture-${n}`, 'capture-5g', { name: `Capture ${n}` });
    draft
      .link(`camera-${n}.hdmi`, `capture-${n}.in`)
      .link(`capture-${n}.usb`, `hub.usb-${n}`, 1, 'usb-5g');
  });
  return draft
    .link('hub.up', 'computer.usb-2', 1, 'usb-5g')
    .link('computer.pictures', 'pictures.in');
};

interface ShotCase {
  readonly camera?: string;
  readonly settings?: Readonly<Record<string, ControlValue>>;
  readonly shot?: Partial<Omit<ShotPlan, 'deviceId' | 'order'>>;
  readonly lengthMin?: number;
  /** The lens on a body that takes lenses; null = none is said */
  readonly lens?: Partial<Omit<Lens, 'order'>> | null;
}

/** A zoom that does everything, so that nothing is wrong with a lens unless the case says so. */
const CASE_LENS: Omit<Lens, 'order'> = {
  name: 'Zoom',
  focal: { shortestMm: 8, longestMm: 600 },
  widest: 1.4,
  massKg: 0.35,
  nearestM: 0.1,
  mount: 'Mirrorless',
  price: null,
  ownership: 'owned',
};

/**
 * One camera with a planned shot of one person, into a 2160p monitor, in a show of an hour. The
 * shot is right unless the case says otherwise.
 */
export const shotOf = ({
  camera: cameraClass = 'camera-studio',
  settings = {},
  shot = {},
  lengthMin = 60,
  lens = {},
}: ShotCase = {}): RigDraft => {
  const draft = new RigDraft('Case')
    .person('host', 'Host')
    .do({ type: 'writeBrief', brief: { lengthMin } })
    .do({
      type: 'addDeliverable',
      deliverableId: 'programme',
      deliverable: USUAL_DELIVERABLES['programme recording'],
    })
    .device('camera', cameraClass, {
      name: 'Camera',
      person: 'host',
      settings: { 'focal-length': 35, iso: 800, ...settings },
    })
    .device('screen', 'display-2160', { name: 'Screen' })
    .link('camera.hdmi', 'screen.in', 2)
    .shot('camera', { personId: 'host', distanceM: 1.72, ...shot });
  return lens && classById(cameraClass).camera?.mount !== undefined
    ? draft
        .do({ type: 'addLens', lensId: 'zoom', lens: { ...CASE_LENS, ...lens } })
        .do({ type: 'mountLens', deviceId: 'camera', lensId: 'zoom' })
    : draft;
};

/**
 * Two cameras and a slides computer into a switcher, on by USB to a computer that streams;
 * everyone's voice by an interface.
 */
export const show = ({
  switcher = 'switcher-4',
  switchedBy = 'host by panel' as SwitchedBy,
  uplinkMbps = 20 as number | null,
  lengthMin = 60,
} = {}): RigDraft => {
  const draft = new RigDraft('Case')
    .person('host', 'Host')
    .person('guest', 'Guest')
    .do({ type: 'writeBrief', brief: { lengthMin, switchedBy, uplinkMbps } })
    .do({
      type: 'addDeliverable',
      deliverableId: 'stream',
      deliverable: USUAL_DELIVERABLES['stream'],
    })
    .do({
      type: 'addDeliverable',
      deliverableId: 'programme',
      deliverable: USUAL_DELIVERABLES['programme recording'],
    });
  draft
    .device('host-camera', 'camera-camcorder', { name: 'Host camera', person: 'host' })
    .device('guest-camera', 'camera-camcorder', { name: 'Guest camera', person: 'guest' })
    .device('slides', 'player-slides', { name: 'Slides' });
  draft
    .device('mix', switcher, { name: 'Switcher' })
    .device('computer', 'computer-laptop', { name: 'Computer' })
    .device('stream', 'stream', { name: 'Stream' })
    .device('file', 'recording-programme', { name: 'File' });
  draft
    .device('host-mic', 'mic-dynamic-stage', { name: 'Host mic', person: 'host' })
    .device('guest-mic', 'mic-dynamic-stage', { name: 'Guest mic', person: 'guest' })
    .device('interface', 'interface-4', { name: 'Interface' });
  draft
    .link('host-camera.hdmi', 'mix.in-1')
    .link('guest-camera.hdmi', 'mix.in-2')
    .link('slides.hdmi', 'mix.in-3');
  draft
    .link('mix.usb', 'computer.usb-2', 1, 'usb-5g')
    .link('interface.usb', 'computer.usb-3', 1, 'usb-2')
    .link('computer.programme', 'stream.in')
    .link('computer.programme', 'file.in');
  return draft.link('host-mic.out', 'interface.mic-1').link('guest-mic.out', 'interface.mic-2');
};
