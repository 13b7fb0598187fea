import { analyse } from '../../analyse';
import { RigDraft } from '../../catalogue/draft';
import type { Rig } from '../../rig';
import { ruleCases } from '../judge-for-cases';
import { camera, show } from '../rigs-for-cases';
import { withScene } from '../scenes-for-cases';

/** Rigs judged as a careful engineer would: handbook 3, "Judging pictures rightly". */

ruleCases('picture.scene-odd', {
  valid: {
    'one picture': withScene([['host-camera', 'full']]),
    'one camera full, and itself as an inset': withScene([
      ['host-camera', 'full'],
      ['host-camera', 'inset'],
    ]),
    'two halves': withScene([
      ['host-camera', 'left half'],
      ['guest-camera', 'right half'],
    ]),
  },
  invalid: {
    'no picture': { rig: withScene([]), level: 'warn', says: /the programme is black/ },
    'two that fill the frame': {
      rig: withScene([
        ['host-camera', 'full'],
        ['guest-camera', 'full'],
      ]),
      level: 'warn',
      says: /only the last is seen/,
    },
    'two in one half': {
      rig: withScene([
        ['host-camera', 'left half'],
        ['guest-camera', 'left half'],
      ]),
      level: 'warn',
      says: /2 pictures in its left half/,
    },
    'an inset over nothing': {
      rig: withScene([['host-camera', 'inset']]),
      level: 'warn',
      says: /nothing that fills the frame/,
    },
  },
});

const worked = (multiview: boolean, switchedBy: 'operator' | 'host by panel' = 'operator'): Rig => {
  const draft = show({ switchedBy });
  if (multiview)
    draft
      .device('screen', 'display-monitor', { name: 'Screen' })
      .link('mix.programme', 'screen.in');
  return draft.build();
};
ruleCases('picture.no-multiview', {
  valid: {
    'a screen behind the switcher': worked(true),
    'the host switches by panel': worked(false, 'host by panel'),
  },
  invalid: {
    'an operator without a screen': {
      rig: worked(false),
      level: 'warn',
      says: /has no screen with the cameras on it/,
    },
  },
});

/** A console before a monitor, straight or through something. */
const console = (through: 'nothing' | 'switcher' | 'converter'): Rig => {
  const draft = new RigDraft('Console')
    .device('console', 'player-console', { name: 'Console', settings: { protected: true } })
    .device('screen', 'display-monitor', { name: 'Screen' });
  if (through === 'switcher')
    draft
      .device('mix', 'switcher-4', { name: 'Mix' })
      .link('console.hdmi', 'mix.in-1')
      .link('mix.programme', 'screen.in');
  else if (through === 'converter')
    draft
      .device('scan', 'converter-scan', { name: 'Scan' })
      .link('console.hdmi', 'scan.in')
      .link('scan.out', 'screen.in');
  else draft.link('console.hdmi', 'screen.in');
  return draft.build();
};
describe('copy protection on its way to a screen', () => {
  const found = (rig: Rig) =>
    analyse(rig).findings.flatMap(({ code, level }) =>
      code === 'picture.copy-protection' ? [level] : [],
    );
  it('is nothing where the screen hangs on the console itself', () =>
    expect(found(console('nothing'))).toEqual([]));
  it('is black behind a switcher, and behind a converter', () =>
    expect([found(console('switcher')), found(console('converter'))]).toEqual([
      ['warn'],
      ['warn'],
    ]));
});

describe('rates', () => {
  const near = (format: string, canvas: string) =>
    analyse(
      camera({ format })
        .do({ type: 'setControl', deviceId: 'capture', control: 'capture-format', value: canvas })
        .build(),
    ).findings.flatMap(({ code, title, says }) =>
      code.startsWith('picture.rate') ? [[code, title, /[\d.]+ s\b/.exec(says)?.[0]]] : [],
    );
  it('29.97 into 30 slips a frame every 33.4 s, 59.94 into 30 every 16.7 s', () => {
    expect(near('1920x1080p30000/1001', '1920x1080p30')).toEqual([
      ['picture.rate-near-miss', '29.97 into 30', '33.4 s'],
    ]);
    expect(near('1920x1080p60000/1001', '1920x1080p30')).toEqual([
      ['picture.rate-near-miss', '59.94 into 30', '16.7 s'],
    ]);
  });
  it('50 into 30 is no near miss but a mismatch; 60 into 30 is neither', () => {
    expect(near('1920x1080p50', '1920x1080p30').map(([code]) => code)).toEqual([
      'picture.rate-mismatch',
    ]);
    expect(near('1920x1080p60', '1920x1080p30')).toEqual([]);
  });
});

describe('a stream that is to have 60 frames', () => {
  const undelivered = (format: string) =>
    analyse(
      show()
        .do({ type: 'changeDeliverable', deliverableId: 'stream', deliverable: { format } })
        .build(),
    ).findings.flatMap(({ code, says }) =>
      code === 'brief.partly-delivered' && says.includes('is to be delivered') ? [says] : [],
    );
  it('is not met by 30, and is by what looks alike on a menu', () => {
    expect(undelivered('1920x1080p60')).toEqual([
      expect.stringContaining('gets 1080p30, and 1080p60 is to be delivered'),
    ]);
    expect(undelivered('1920x1080p30000/1001')).toEqual([]);
  });
});

describe('USB 2.0', () => {
  /** So many webcams of 12.4 MB/s on sockets at 480 Mb/s, or behind a fast hub. */
  const webcams = (count: number, hub: boolean): Rig => {
    const draft = new RigDraft('Webcams')
      .device('computer', 'computer-desktop', { name: 'Computer' })
      .device('pictures', 'recording-pictures', { name: 'Pictures' })
      .link('computer.pictures', 'pictures.in');
    if (hub)
      draft.device('hub', 'hub-5g', { name: 'Hub' }).link('hub.up', 'computer.usb-2', 1, 'usb-5g');
    for (let n = 1; n <= count; n++)
      draft
        .device(`cam-${n}`, 'webcam', { name: `Cam ${n}` })
        .link(`cam-${n}.usb`, hub ? `hub.usb-${n}` : `computer.usb-${n}`, 1, 'usb-2');
    return draft.build();
  };
  const stops = (rig: Rig): string[] =>
    analyse(rig).findings.flatMap(({ code, level, title }) =>
      code.startsWith('computer.') && level === 'stop' ? [`${code}: ${title}`] : [],
    );
  it('two webcams behind one hub fit the bus, though not one endpoint', () =>
    expect(stops(webcams(2, true))).toEqual([]));
  it('four behind a faster hub share 40 MB/s, for a hub keeps its slow side apart', () =>
    expect(stops(webcams(4, true))).toEqual([
      expect.stringMatching(/^computer\.controller-full: 49\.\d MB\/s on one controller$/),
    ]));
});
