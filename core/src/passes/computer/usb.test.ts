import { analyse, type Analysis } from '../../analyse';
import { RigDraft } from '../../catalogue/draft';
import { camera, show, twoOnAHub, voice } from '../../rules/rigs-for-cases';
import { usableMBps } from '.';

/** What a rig puts on its USB. Streams of handbook 3-picture: width × height × frames × bits ÷ 8. */

const loadOf = (analysis: Analysis, linkId: string) => {
  const branch = analysis.usb.links.get(linkId);
  return branch && { load: Number(branch.loadMBps.toFixed(3)), limit: branch.limitMBps };
};

describe('what a socket really carries', () => {
  it.each([
    [0.48, 24.576],
    [5, 400],
    [10, 1000],
    [20, 1000],
  ])('%s Gb/s: %s MB/s', (gbps, mBps) => expect(usableMBps(gbps)).toBe(mBps));
});

describe('a picture on the USB', () => {
  it.each([
    ['1080p60, 16 bits', '1920x1080p60', 248.832],
    ['1080p30, 16 bits', '1920x1080p30', 124.416],
    ['1080p59.94, a thousandth less', '1920x1080p60000/1001', 248.583],
  ])('%s', (_name, format, mBps) =>
    expect(
      loadOf(analyse(camera({ format }).build()), 'capture-usb-to-computer')?.load,
    ).toBeCloseTo(
      mBps,
      // A camcorder’s picture carries its own sound along: one channel of 0.144 MB/s.
      0,
    ),
  );
  it('is sent once, however many cameras a switcher puts into it', () => {
    const { usb } = analyse(show().build());
    const branch = usb.links.get('mix-usb-to-computer');
    expect(branch?.streams.filter(({ label }) => label.endsWith('picture'))).toHaveLength(1);
  });
  it('is less than a fifth of it compressed', () => {
    const rig = camera({ captureSettings: { encoding: 'compressed' } }).build();
    const [known, less] = [analyse(camera().build()), analyse(rig)];
    const heavy = loadOf(known, 'capture-usb-to-computer')?.load ?? NaN;
    const light = loadOf(less, 'capture-usb-to-computer')?.load ?? NaN;
    expect(light).toBeLessThan(heavy / 5);
  });
});

describe('what holds a link to its speed', () => {
  const slowest = (rig: ReturnType<RigDraft['build']>, linkId = 'capture-usb-to-computer') =>
    analyse(rig).usb.links.get(linkId)?.slowest;
  it('the socket, where it is a slow one', () =>
    expect(slowest(camera({ socket: 'usb-3' }).build())).toBe('socket'));
  it('the cable, where it is a slow one', () =>
    expect(slowest(camera({ usb: 'usb-2' }).build())).toBe('cable'));
  it('the device, where socket and cable could do more', () =>
    expect(
      slowest(camera({ capture: 'capture-5g', socket: 'usb-1', usb: 'usb-10g' }).build()),
    ).toBe('device'));
});

describe('sound on the USB', () => {
  it('is 0.144 MB/s a channel', () =>
    expect(loadOf(analyse(voice().build()), 'interface-usb-to-computer')).toEqual({
      load: 0.144,
      limit: 24.576,
    }));
  it('is a channel for every input in use', () => {
    const rig = voice()
      .person('guest', 'Guest')
      .device('second', 'mic-dynamic-stage', { person: 'guest' })
      .link('second.out', 'interface.mic-2')
      .build();
    expect(loadOf(analyse(rig), 'interface-usb-to-computer')?.load).toBe(0.288);
  });
});

describe('a hub', () => {
  const { usb } = analyse(twoOnAHub().build());
  it('sends up the sum of what it takes in', () => {
    const [one, two, up] = [
      'capture-1-usb-to-hub',
      'capture-2-usb-to-hub',
      'hub-up-to-computer',
    ].map((id) => usb.links.get(id)?.loadMBps ?? NaN);
    expect(up).toBeCloseTo((one ?? NaN) + (two ?? NaN), 9);
  });
  it('names each stream by the device that makes it, not by itself', () =>
    expect(
      usb.links
        .get('hub-up-to-computer')
        ?.streams.map(({ from }) => from.device.id)
        .filter((id, at, all) => all.indexOf(id) === at),
    ).toEqual(['capture-1', 'capture-2']));
});

describe('a controller', () => {
  const onSockets = (...sockets: readonly string[]) => {
    const draft = new RigDraft('Case')
      .device('computer', 'computer-desktop')
      .device('pictures', 'recording-pictures')
      .link('computer.pictures', 'pictures.in');
    sockets.forEach((socket, n) =>
      draft
        .device(`camera-${n}`, 'camera-camcorder', { settings: { format: '1920x1080p60' } })
        .device(`capture-${n}`, 'capture-5g')
        .link(`camera-${n}.hdmi`, `capture-${n}.in`)
        .link(`capture-${n}.usb`, `computer.${socket}`, 1, 'usb-5g'),
    );
    return analyse(draft.build()).usb.controllers.map(({ loadMBps, limitMBps }) => ({
      pictures: Math.floor(loadMBps / 248.832),
      limitMBps,
    }));
  };
  it('adds up what comes by its sockets', () =>
    expect(onSockets('usb-2', 'usb-3')[0]?.pictures).toBe(2));
  it('is not there where nothing is plugged into it', () => expect(onSockets()).toEqual([]));
});
