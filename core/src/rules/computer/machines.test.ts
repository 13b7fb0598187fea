import { analyse } from '../../analyse';
import { RigDraft } from '../../catalogue/draft';
import { driveLoads } from '../../passes/computer/lines';
import { workloads } from '../../passes/computer/work';
import { gbPerHour, hoursThatFit, writeMBps } from '../../passes/storage';
import { USUAL_DELIVERABLES } from '../../rig';
import { ruleCases } from '../judge-for-cases';
import { camera, show } from '../rigs-for-cases';

describe('recordings on drives', () => {
  it('50 Mb/s fill 22.5 GB an hour', () => expect(gbPerHour(50)).toBe(22.5));
  it('a channel of 24-bit PCM at 48 kHz fills 0.5184 GB an hour', () =>
    expect(gbPerHour(1.152)).toBeCloseTo(0.5184, 9));
  it('500 GB last 22.2 hours at 50 Mb/s', () =>
    expect(hoursThatFit(500, 50)).toBeCloseTo(22.22, 2));
  it('100 Mb/s are 12.5 MB/s', () => expect(writeMBps(100)).toBe(12.5));
});

/** Cameras taken in one by one at 1080p60 and recorded each. */
const recorded = (cameras: number, codec: 'AVC' | 'HEVC' = 'AVC', bitrateMbps = 50) => {
  const draft = new RigDraft('Case')
    .do({ type: 'writeBrief', brief: { lengthMin: 120 } })
    .do({
      type: 'addDeliverable',
      deliverableId: 'cameras',
      deliverable: { ...USUAL_DELIVERABLES['camera recordings'], codec, bitrateMbps },
    })
    .device('computer', 'computer-desktop', { name: 'Computer' })
    .device('files', 'recording-pictures', { name: 'Files' })
    .link('computer.pictures', 'files.in');
  for (let n = 1; n <= cameras; n++)
    draft
      .device(`camera-${n}`, 'camera-camcorder', {
        name: `Camera ${n}`,
        settings: { format: '1920x1080p60' },
      })
      .device(`capture-${n}`, 'capture-5g', { name: `Capture ${n}` })
      .link(`camera-${n}.hdmi`, `capture-${n}.in`)
      .link(`capture-${n}.usb`, `computer.usb-${n}`, 1, 'usb-5g');
  return draft.build();
};

ruleCases('computer.work', {
  // Four captures of 1080p60 are 8, four encodes in hardware 4: 12 of 24.
  valid: {
    'four cameras at 1080p60, all encoded in hardware': recorded(4),
    'one camera': camera().build(),
  },
  // Six captures 12; four in hardware 4, two in software 2 × 2 × 8 = 32: 48 of 24.
  invalid: {
    'six cameras, two of them in HEVC by the processor': {
      rig: recorded(6, 'HEVC'),
      level: 'stop',
      says: /work of 48\.0 pictures of 1080p30 and its budget is 24/,
      sum: 48,
      // AVC throughout would still be too much: what only eases is not offered.
      fixes: [],
    },
  },
});

describe('the work of a computer', () => {
  const items = (rig: Parameters<typeof analyse>[0]) =>
    workloads(analyse(rig))[0]?.items.map(({ what, units }) => `${what} ${units}`);
  it('is what it takes in and what it writes', () =>
    expect(items(recorded(1))).toEqual(['capture 2', 'encode in hardware 1']));
  it('counts a switcher’s compressed picture once, the programme, and an encode for each place it goes', () =>
    expect(items(show().build())).toEqual([
      'capture 1.5',
      'programme 1',
      'encode in hardware 0.5',
      'encode in hardware 0.5',
    ]));
});

ruleCases('computer.encodes', {
  valid: { 'four encodes, four in hardware': recorded(4) },
  invalid: {
    'six encodes, four in hardware': {
      rig: recorded(6),
      level: 'warn',
      sum: 2,
      says: /makes 6 encodes at once and its graphics hardware makes 4/,
    },
  },
});

ruleCases('computer.drive-slow', {
  valid: { 'four files of 50 Mb/s on 450 MB/s': recorded(4) },
  invalid: {
    'four intra-frame files of 1,000 Mb/s': {
      rig: recorded(4, 'AVC', 1000),
      level: 'stop',
      sum: 500,
      says: /has to write 500\.0 MB\/s and its drive keeps up 450/,
      fixes: ['Record at 63 % of the bitrate'],
    },
  },
});

const recorder = (mbps: number, lengthMin: number) =>
  new RigDraft('Case')
    .do({ type: 'writeBrief', brief: { lengthMin } })
    .device('camera', 'camera-camcorder')
    .device('recorder', 'recorder-picture', { name: 'Recorder', settings: { 'record-mbps': mbps } })
    .link('camera.hdmi', 'recorder.in')
    .build();
ruleCases('computer.drive-full', {
  valid: { '256 GB at 100 Mb/s for three hours': recorder(100, 180) },
  // 256 ÷ (300 × 0.45) = 1.896 h
  invalid: {
    '256 GB at 300 Mb/s for three hours': {
      rig: recorder(300, 180),
      level: 'stop',
      sum: 1.896,
      says: /full after 114 min/,
      fixes: ['Record at 180 Mb/s on Recorder'],
    },
  },
});

ruleCases('computer.file-split', {
  valid: { 'a show shorter than a file': recorder(50, 10) },
  // 4 ÷ 45 × 60 = 5.333 min
  invalid: {
    'a new file every five minutes': {
      rig: recorder(100, 60),
      level: 'note',
      says: /a new file every 5 min, since its card holds files of 4 GB/,
      sum: 5.333,
    },
  },
});

ruleCases('computer.uplink', {
  valid: {
    '6 Mb/s on a line of 20': show({ uplinkMbps: 20 }).build(),
    'a line nobody has measured': show({ uplinkMbps: null }).build(),
  },
  invalid: {
    '6 Mb/s on a line of 8: more than 70 %': {
      rig: show({ uplinkMbps: 8 }).build(),
      level: 'warn',
      sum: 75,
      fixes: ['Stream at 5.6 Mb/s', 'Order a line of 10 Mb/s up'],
    },
    '6 Mb/s on a line of 5': {
      rig: show({ uplinkMbps: 5 }).build(),
      level: 'stop',
      sum: 120,
      says: /the house rule lets you use 3\.5/,
      fixes: ['Stream at 3.5 Mb/s', 'Order a line of 10 Mb/s up'],
    },
  },
});
ruleCases('computer.uplink-unknown', {
  valid: { 'a measured line': show().build() },
  invalid: {
    'a line nobody has measured': {
      rig: show({ uplinkMbps: null }).build(),
      level: 'note',
      sum: 8.571,
      says: /at least/,
    },
  },
});

const crowdedSockets = (extra: string) => {
  const draft = new RigDraft('Case')
    .device('computer', 'computer-laptop', { name: 'Computer' })
    .device('interface', 'interface-2', { name: 'Interface' })
    .link('interface.usb', 'computer.usb-3', 1, 'usb-2');
  for (const n of [1, 2])
    draft
      .device(`capture-${n}`, 'capture-5g', { name: `Capture ${n}` })
      .link(`capture-${n}.usb`, `computer.usb-${n}`, 1, 'usb-5g');
  return draft.device('extra', extra, { name: 'Extra' }).build();
};
ruleCases('computer.ports-short', {
  valid: {
    'a socket left': new RigDraft('Case')
      .device('computer', 'computer-laptop')
      .device('interface', 'interface-2')
      .build(),
  },
  invalid: {
    'a USB microphone and no socket left': {
      rig: crowdedSockets('mic-usb'),
      level: 'stop',
      says: /Extra has nowhere to go: every USB socket is taken/,
      sum: 0,
      fixes: ['Put Interface and Extra on a hub'],
    },
    'a third capture device: no hub is offered': {
      rig: crowdedSockets('capture-5g'),
      level: 'stop',
      fixes: [],
    },
  },
});

describe('what a drive has to write', () => {
  it('is nothing where nothing is recorded', () =>
    expect(
      driveLoads(analyse(camera().do({ type: 'removeDevice', deviceId: 'pictures' }).build()))[0],
    ).toMatchObject({ mbps: 0, hours: null }));
  it('is every input of a switcher that records each', () => {
    const rig = show({ switcher: 'switcher-8-recording' }).build();
    expect(driveLoads(analyse(rig)).find(({ node }) => node.id === 'mix')).toMatchObject({
      mbps: 150,
      writeMBps: 18.75,
    });
  });
});
