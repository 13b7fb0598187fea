import { analyse } from '../../analyse';
import { RigDraft } from '../../catalogue/draft';
import { apply, type Rig } from '../../rig';
import { camera } from '../../rules/rigs-for-cases';
import { formatName } from '../../units';

/** The name of the format at every stage of the camera's way, `none` where there is no picture. */
const way = (rig: Rig, source = 'camera'): string[] => {
  const analysis = analyse(rig);
  return analysis.traced.stages
    .filter(
      (stage) =>
        stage.signal === 'picture' &&
        analysis.traced.stages.find((root) => root === stage || root.parent === null)?.at.device
          .id === source,
    )
    .map((stage) => {
      const format = analysis.picture[stage.index]?.format;
      return `${stage.at.device.id}.${stage.at.id} ${format ? formatName(format) : 'none'}`;
    });
};
const at = (rig: Rig, deviceId: string, portId: string) => {
  const analysis = analyse(rig);
  const stage = analysis.traced.stages.find(
    (candidate) =>
      candidate.signal === 'picture' &&
      candidate.at.device.id === deviceId &&
      candidate.at.id === portId,
  );
  return stage && analysis.picture[stage.index];
};

describe('a picture on its way', () => {
  it('keeps its format through cable, capture and program', () =>
    expect(way(camera().build())).toEqual([
      'camera.hdmi 1080p60',
      'capture.in 1080p60',
      'capture.usb 1080p60',
      'computer.usb-2 1080p60',
      'computer.pictures 1080p60',
      'pictures.in 1080p60',
      'camera.sdi 1080p60',
    ]));
  it('takes the format of the capture device where that is set', () =>
    expect(
      at(
        camera({ captureSettings: { 'capture-format': '1920x1080p30' } }).build(),
        'capture',
        'usb',
      )?.format,
    ).toMatchObject({ width: 1920, rate: { num: 30, den: 1 } }));
  it('loads the cable with 3.564 Gb/s and the USB with 248.832 MB/s', () => {
    expect(at(camera().build(), 'capture', 'in')?.payloadGbps).toBeCloseTo(3.564, 9);
    expect(at(camera().build(), 'capture', 'usb')?.streamMBps).toBeCloseTo(248.832, 9);
  });
  it('is stopped by an input that does not take its size, and says which', () => {
    const rig = camera({ camera: 'camera-studio', format: '3840x2160p60' }).build();
    expect(at(rig, 'capture', 'in')?.stop?.says).toBe(
      'Capture, HDMI in carries 8.16 Gb/s and 2160p60 loads it with 14.256 Gb/s',
    );
    expect(at(rig, 'capture', 'usb')?.format).toBeNull();
  });
  it('is taken by the same device once it is lighter', () => {
    const rig = apply(camera({ camera: 'camera-studio', format: '3840x2160p60' }).build(), {
      type: 'setControl',
      deviceId: 'camera',
      control: 'format',
      value: '1920x1080p60',
    });
    expect(at(rig, 'capture', 'usb')?.stop).toBeNull();
  });
  it('leaves a switcher with scalers in its house format whatever came', () => {
    const rig = new RigDraft('Case')
      .device('camera', 'camera-camcorder', { settings: { format: '1920x1080i50' } })
      .device('mix', 'switcher-4')
      .device('screen', 'display-monitor')
      .link('camera.hdmi', 'mix.in-1')
      .link('mix.programme', 'screen.in')
      .build();
    expect(at(rig, 'screen', 'in')?.format).toMatchObject({ scan: 'p', rate: { num: 60, den: 1 } });
  });
  it('does not get through a switcher without scalers at another rate', () => {
    const rig = (format: string) =>
      new RigDraft('Case')
        .device('camera', 'camera-studio', { settings: { format } })
        .device('mix', 'switcher-20')
        .device('down', 'converter-sdi-hdmi')
        .device('screen', 'display-monitor')
        .link('camera.sdi', 'mix.in-1', 10)
        .link('mix.programme', 'down.in', 2)
        .link('down.out', 'screen.in')
        .build();
    expect(at(rig('1920x1080p60'), 'screen', 'in')?.stop).toBeNull();
    expect(at(rig('1920x1080p60000/1001'), 'mix', 'programme')?.stop).toMatchObject({
      by: 'no scaler',
    });
  });
  it('carries overlays on until they are switched off', () => {
    const shown = (off: boolean) =>
      at(
        camera({ camera: 'camera-mirrorless', cameraSettings: { 'overlays-off': off } }).build(),
        'pictures',
        'in',
      )?.clean;
    expect([shown(false), shown(true)]).toEqual([false, true]);
  });
  it('a webcam sends its own stream: compressed 1080p30 at 12.4 MB/s', () => {
    const rig = new RigDraft('Case')
      .device('camera', 'webcam')
      .device('computer', 'computer-laptop')
      .device('file', 'recording-pictures')
      .link('camera.usb', 'computer.usb-3')
      .link('computer.pictures', 'file.in')
      .build();
    expect(at(rig, 'camera', 'usb')?.streamMBps).toBeCloseTo(12.4416, 6);
  });
});

describe('the USB tree', () => {
  const usb = (rig: Rig) => analyse(rig).usb;
  it('counts a switcher of many cameras as the one stream it sends', () => {
    const draft = new RigDraft('Case')
      .device('mix', 'switcher-4')
      .device('computer', 'computer-laptop')
      .device('file', 'recording-pictures')
      .link('mix.usb', 'computer.usb-2', 2, 'usb-5g')
      .link('computer.pictures', 'file.in');
    for (const n of [1, 2, 3])
      draft.device(`camera-${n}`, 'camera-camcorder').link(`camera-${n}.hdmi`, `mix.in-${n}`);
    expect(
      usb(draft.build())
        .links.get('mix-usb-to-computer')
        ?.streams.filter(({ label }) => label.endsWith('picture')),
    ).toHaveLength(1);
  });
  it('counts every channel of an interface', () => {
    const draft = new RigDraft('Case')
      .person('host', 'Host')
      .device('interface', 'interface-8')
      .device('computer', 'computer-laptop')
      .device('file', 'recording-tracks')
      .link('interface.usb', 'computer.usb-3', 2, 'usb-2')
      .link('computer.tracks', 'file.in');
    for (let n = 1; n <= 8; n++)
      draft
        .device(`mic-${n}`, 'mic-dynamic-stage', { person: 'host' })
        .link(`mic-${n}.out`, `interface.mic-${n}`);
    expect(usb(draft.build()).links.get('interface-usb-to-computer')?.loadMBps).toBeCloseTo(
      8 * 0.144,
      9,
    );
  });
  it('a slow cable between fast ports is what holds the link back', () =>
    expect(
      usb(camera({ usb: 'usb-2' }).build()).links.get('capture-usb-to-computer'),
    ).toMatchObject({ gbps: 0.48, slowest: 'cable', limitMBps: 24.576 }));
  it('a slow socket is named before the cable', () =>
    expect(
      usb(camera({ socket: 'usb-3' }).build()).links.get('capture-usb-to-computer')?.slowest,
    ).toBe('socket'));
  it('sums two devices of one controller', () => {
    const rig = camera({ socket: 'usb-1' })
      .device('second', 'camera-camcorder')
      .device('grab', 'capture-5g')
      .link('second.hdmi', 'grab.in')
      .link('grab.usb', 'computer.usb-2', 1, 'usb-5g')
      .build();
    expect(usb(rig).controllers.find(({ controller }) => controller === 'a')?.loadMBps).toBeCloseTo(
      2 * 248.832,
      6,
    );
  });
});
