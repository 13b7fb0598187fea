import { analyse, type Analysis } from '../analyse';
import { RigDraft } from '../catalogue/draft';
import { coverage } from '../passes/coverage';
import { importRig, type Rig, rigToJson, USUAL_DELIVERABLES, USUAL_PERSON } from '../rig';

/** Studios as they are built, from classes of the catalogue alone: none of them is stopped. */

type What = keyof typeof USUAL_DELIVERABLES;

const asked = (name: string, ...deliverables: What[]): RigDraft => {
  const draft = new RigDraft(name).do({
    type: 'writeBrief',
    brief: { lengthMin: 45, switchedBy: 'operator', uplinkMbps: 30 },
  });
  for (const what of deliverables)
    draft.do({
      type: 'addDeliverable',
      deliverableId: what.replaceAll(' ', '-'),
      deliverable: USUAL_DELIVERABLES[what],
    });
  return draft;
};

const unmet = (analysis: Analysis): string[] =>
  coverage(analysis)
    .filter(({ verdict }) => verdict !== 'met')
    .map(({ id, says }) => `${id}: ${says}`);

/** Five cameras that all record in the camera, and a sound recorder apart. */
const fiveCameras = (): Rig => {
  const draft = asked('Cut later', 'camera recordings')
    .do({
      type: 'setHouseRules',
      rules: {
        switching: 'none, cut later',
        soundRecorded: 'stand-alone recorder',
        recordingsOfVoice: 1,
        monitoring: 'loudspeakers muted',
      },
    })
    .person('first', 'First')
    .person('second', 'Second')
    .device('recorder', 'recorder-sound', { settings: { 'gain-1': 50, 'gain-2': 50 } });
  ['first', 'second'].forEach((personId, index) =>
    draft
      .device(`${personId}-mic`, 'mic-dynamic-stage', {
        person: personId,
        settings: { distance: 0.08 },
      })
      .link(`${personId}-mic.out`, `recorder.mic-${index + 1}`, 5),
  );
  (
    [
      ['camera-camcorder', 'first'],
      ['camera-cinema', 'second'],
      ['camera-full-frame', null],
      ['camera-action', null],
      ['phone-camera', null],
    ] as const
  ).forEach(([classId, personId], index) => {
    draft.device(`camera-${index + 1}`, classId, {
      settings: {
        record: true,
        'card-format': '1920x1080p30',
        ...(classId === 'camera-full-frame' ? { 'sleep-timer': false } : {}),
      },
      ...(personId === null ? {} : { person: personId }),
    });
  });
  return draft.build();
};

/** Two cameras into a switcher that records its inputs, cut later. */
const recordingSwitcher = (): Rig =>
  asked('Recorded at the switcher', 'camera recordings')
    .do({
      type: 'setHouseRules',
      rules: {
        switching: 'none, cut later',
        soundRecorded: 'stand-alone recorder',
        recordingsOfVoice: 1,
        monitoring: 'loudspeakers muted',
      },
    })
    .person('host', 'Host')
    .person('guest', 'Guest')
    .device('host-camera', 'camera-camcorder', { person: 'host' })
    .device('guest-camera', 'camera-camcorder', { person: 'guest' })
    .device('switcher', 'switcher-8-recording')
    .device('recorder', 'recorder-sound', { settings: { 'gain-1': 50, 'gain-2': 50 } })
    .device('host-mic', 'mic-dynamic-stage', { person: 'host', settings: { distance: 0.08 } })
    .device('guest-mic', 'mic-dynamic-stage', { person: 'guest', settings: { distance: 0.08 } })
    .link('host-camera.hdmi', 'switcher.in-1', 5)
    .link('guest-camera.hdmi', 'switcher.in-2', 5)
    .link('host-mic.out', 'recorder.mic-1', 5)
    .link('guest-mic.out', 'recorder.mic-2', 5)
    .build();

/** A lecturer whose screen, webcam, two captures and USB microphone are mixed by software. */
const lecturer = (): Rig =>
  asked('Lecturer', 'stream', 'programme recording')
    .do({ type: 'setHouseRules', rules: { switching: 'software', microphones: 'usb' } })
    .do({ type: 'setHouseRules', rules: { recordingsOfVoice: 1 } })
    .person('lecturer', 'Lecturer')
    .device('computer', 'computer-desktop', {
      settings: { 'mix-aloud': true, 'mix-volume': -10 },
    })
    .device('screen', 'program-screen')
    .device('webcam', 'webcam', { person: 'lecturer' })
    .device('bench', 'camera-camcorder')
    .device('board', 'board-interactive')
    .device('capture-1', 'capture-5g', {
      settings: { 'capture-format': '1920x1080p30', encoding: 'raw 16' },
    })
    .device('capture-2', 'capture-5g', {
      settings: { 'capture-format': '1920x1080p30', encoding: 'raw 16' },
    })
    .device('mic', 'mic-usb', { person: 'lecturer' })
    .device('phones', 'headphones-closed', { person: 'lecturer' })
    .device('hall', 'display-2160')
    .device('stream', 'stream')
    .device('file', 'recording-programme')
    .link('computer.programme', 'file.in')
    .link('screen.out', 'computer.programs-in')
    .link('webcam.usb', 'computer.usb-5', 2, 'usb-2')
    .link('bench.hdmi', 'capture-1.in', 3)
    .link('board.out', 'capture-2.in', 3)
    .link('capture-1.usb', 'computer.usb-2', 1, 'usb-5g')
    .link('capture-2.usb', 'computer.usb-4', 1, 'usb-5g')
    .link('mic.usb', 'computer.usb-6', 2, 'usb-2')
    .link('computer.headphones', 'phones.in', 1)
    .link('computer.screen-1', 'hall.in', 2)
    .link('computer.programme', 'stream.in')
    .build();

/** A player's console through a selector and a splitter to a screen and a switcher. */
const player = (): Rig =>
  asked('Player', 'stream', 'programme recording')
    .do({ type: 'setHouseRules', rules: { recordingsOfVoice: 1 } })
    .person('player', 'Player')
    .do({
      type: 'addSight',
      sightId: 'game',
      sight: { name: 'Game', what: 'console', shot: 'whole', people: [], at: null },
    })
    .do({
      type: 'addSight',
      sightId: 'old-game',
      sight: { name: 'Old game', what: 'console', shot: 'whole', people: [], at: null },
    })
    .device('console', 'player-console', { sight: 'game', settings: { protected: false } })
    .device('old-console', 'player-console', {
      sight: 'old-game',
      settings: { protected: false },
    })
    .device('selector', 'selector-hdmi-2')
    .device('splitter', 'splitter-hdmi-2')
    .device('own-screen', 'display-2160')
    .device('camera', 'camera-camcorder', { person: 'player' })
    .device('switcher', 'switcher-8', { settings: { 'usb-encoding': 'raw 16' } })
    .device('multiview', 'display-monitor')
    .device('computer', 'computer-desktop')
    .device('interface', 'interface-4', { settings: { 'gain-1': 57 } })
    .device('mic', 'mic-dynamic-stage', { person: 'player', settings: { distance: 0.08 } })
    .device('phones', 'headphones-closed', { person: 'player' })
    .device('stream', 'stream')
    .device('file', 'recording-programme')
    .link('computer.programme', 'file.in')
    .link('console.hdmi', 'selector.in-1', 2)
    .link('old-console.hdmi', 'selector.in-2', 2)
    .link('selector.out', 'splitter.in', 1)
    .link('splitter.out-1', 'own-screen.in', 2)
    .link('splitter.out-2', 'switcher.in-1', 3)
    .link('camera.hdmi', 'switcher.in-2', 3)
    .link('switcher.usb', 'computer.usb-2', 2, 'usb-5g')
    .link('switcher.multiview', 'multiview.in', 2)
    .link('mic.out', 'interface.mic-1', 3)
    .link('interface.usb', 'computer.usb-5', 2, 'usb-2')
    .link('interface.phones-1', 'phones.in', 2)
    .link('computer.programme', 'stream.in')
    .build();

/** A piano with a stereo pair into an interface whose line output feeds a camera. */
const piano = (): Rig =>
  asked('Piano', 'camera recordings')
    .do({
      type: 'setHouseRules',
      rules: {
        switching: 'none, cut later',
        soundRecorded: 'into the camera',
        recordingsOfVoice: 1,
      },
    })
    .person('piano', 'Piano', {
      is: 'instrument',
      shot: null,
      speechDbSpl: 80,
      crestDb: 18,
      spreadDb: 10,
    })
    .device('pair', 'mic-pair', { person: 'piano', settings: { distance: 0.6 } })
    .device('interface', 'interface-2', {
      settings: { 'phantom-1': true, 'gain-1': 12, 'gain-2': 12, direct: true },
    })
    .device('pad', 'pad-inline')
    .device('camera', 'camera-cinema', {
      settings: { record: true, 'card-format': '1920x1080p30', 'mic-gain': 37 },
    })
    .link('pair.left', 'interface.mic-1', 5)
    .link('pair.right', 'interface.mic-2', 5)
    .link('interface.out-1', 'pad.in', 2)
    .link('pad.out', 'camera.mic', 2)
    .build();

/** A room that mixes the network's sound in software and sends it back. */
const broadcastRoom = (): Rig => {
  const draft = asked('Broadcast room', 'stream', 'voice tracks')
    .do({
      type: 'setHouseRules',
      rules: { recordingsOfVoice: 1, monitoring: 'in-ear', spareInputs: 'exact' },
    })
    .device('box', 'stage-box-8')
    .device('network', 'network-switch-8')
    .device('computer', 'computer-desktop', { settings: { 'mix-aloud': true } })
    .device('camera', 'camera-camcorder')
    .device('capture', 'capture-5g', { settings: { 'capture-format': '1920x1080p30' } })
    .device('stream', 'stream')
    .device('tracks', 'recording-tracks')
    .link('box.network', 'network.port-1', 20)
    .link('network.port-2', 'computer.network', 10)
    .link('camera.hdmi', 'capture.in', 3)
    .link('capture.usb', 'computer.usb-2', 1, 'usb-5g')
    .link('computer.programme', 'stream.in')
    .link('computer.tracks', 'tracks.in');
  ['anchor', 'guest'].forEach((personId, index) =>
    draft
      .person(personId, personId, { ...USUAL_PERSON, shot: null })
      .device(`${personId}-mic`, 'mic-dynamic-stage', {
        person: personId,
        settings: { distance: 0.08 },
      })
      .device(`${personId}-ears`, 'personal-mixer', { settings: { level: -30 } })
      .device(`${personId}-phones`, 'headphones-closed', { person: personId })
      .do({ type: 'setControl', deviceId: 'box', control: `gain-${index + 1}`, value: 57 })
      .link(`${personId}-mic.out`, `box.mic-${index + 1}`, 5)
      .link(`network.port-${index + 3}`, `${personId}-ears.network`, 10)
      .link(`${personId}-ears.phones`, `${personId}-phones.in`, 2),
  );
  return draft.build();
};

/** A talking head: a tube microphone into a strip, a scratch microphone on the camera, a phone. */
const talkingHead = (): Rig =>
  asked('Talking head', 'camera recordings', 'voice tracks')
    .do({
      type: 'setHouseRules',
      rules: {
        switching: 'none, cut later',
        processing: 'on the way in',
        recordingsOfVoice: 1,
        monitoring: 'loudspeakers muted',
      },
    })
    .person('head', 'Head')
    .device('tube', 'mic-tube', { person: 'head', settings: { distance: 0.25 } })
    .device('strip', 'channel-processor', { settings: { gain: 57 } })
    .device('interface', 'interface-2')
    .device('computer', 'computer-laptop')
    .device('tracks', 'recording-tracks')
    .device('camera', 'camera-mirrorless', {
      person: 'head',
      settings: {
        record: true,
        'card-format': '1920x1080p30',
        'sleep-timer': false,
        'mic-gain': 20,
      },
    })
    .do({ type: 'writeBrief', brief: { lengthMin: 20 } })
    .device('scratch', 'mic-on-camera')
    .device('phone', 'phone-camera', { person: 'head', settings: { record: true } })
    .link('tube.out', 'strip.in', 3)
    .link('strip.out', 'interface.line-1', 1)
    .link('interface.usb', 'computer.usb-3', 2, 'usb-2')
    .link('computer.tracks', 'tracks.in')
    .link('scratch.out', 'camera.mic', 0.3)
    .build();

describe.each([
  ['five cameras that record, and a recorder', fiveCameras],
  ['a switcher that records its inputs', recordingSwitcher],
  ['a lecturer mixed in software', lecturer],
  ['a player between two consoles', player],
  ['a piano into a camera', piano],
  ['a room that mixes the network', broadcastRoom],
  ['a talking head', talkingHead],
])('%s', (_name, make) => {
  const rig = make();
  const analysis = analyse(rig);
  it('is not stopped', () =>
    expect(
      analysis.findings.filter(({ level }) => level === 'stop').map(({ says }) => says),
    ).toEqual([]));
  it('covers what its brief asks for', () => expect(unmet(analysis)).toEqual([]));
  it('is written out and read again', () => {
    const read = importRig(new TextEncoder().encode(rigToJson(rig)));
    expect(read.ok && rigToJson(read.rig)).toBe(rigToJson(rig));
  });
});
