import { analyse } from '../analyse';
import { atSize } from '../passes/picture/size';
import { apply } from '../rig';
import type { Finding } from '../rules';
import { demoRig as demo } from '../rules/demo-for-cases';
import { studySize } from './size-study';

/** What breaks at 2160p throughout, as `code place`; the place is a cable, or the device where there is none. */
const breaks = (name: string): string[] => (studied(name)?.breaks ?? []).map(place).sort();

const studied = (name: string) => studySize(analyse(demo(name)), 2160);

const place = ({ code, about }: Finding): string =>
  `${code} ${about.linkId ?? about.shotId ?? about.deviceId ?? ''}`.trim();

/** What stands behind what breaks, in the same way. */
const behind = (name: string): string[] => (studied(name)?.behind ?? []).map(place).sort();

describe('2160p throughout: what breaks, written by hand', () => {
  it('Night Tide: the phone has no more than 1080p; 12 × 4 Mb/s of clips fit its drive, and nothing is streamed', () =>
    expect(breaks('night-tide')).toEqual([
      'brief.capture-size phone',
      // What it sends is made larger in the computer.
      'picture.upscaled phone-usb-to-computer',
    ]));
  it('Night Tide, behind that: 49.8 MB/s of a larger picture do not go through 480 Mb/s, nor into the laptop', () =>
    expect(behind('night-tide')).toEqual([
      'computer.branch-full phone-usb-to-computer',
      'computer.work computer',
    ]));
  it(
    'Second Firing: every input of the switcher and the slides capture, two long cables, ' +
      'two hot cameras, and the line',
    () =>
      expect(breaks('second-firing')).toEqual([
        // The overhead gives 1080p60 and no more.
        'brief.capture-size overhead',
        // Stream 24 Mb/s and a call 3 on a line of 20.
        'computer.uplink',
        // All inputs of the switcher and of the capture device take 1080p at most.
        'picture.format-refused cohost-camera-hdmi-to-switcher',
        'picture.format-refused host-camera-hdmi-to-switcher',
        'picture.format-refused kiln-camera-hdmi-to-switcher',
        'picture.format-refused potter-camera-hdmi-to-switcher',
        'picture.format-refused slides-splitter-out-1-to-switcher',
        'picture.format-refused slides-splitter-out-2-to-capture',
        // The two mirrorless cameras get hot after 40 min of 90.
        'picture.heat host-camera',
        'picture.heat potter-camera',
        // At 2160p it crops by 1.24: it would have to stand 2.12 m away, and the wall is at 2.00.
        'picture.no-room host-camera',
        // 7.5 m is the reach at 7.128 Gb/s: the kiln stands at it, the potter beyond with 10.
        'picture.reach kiln-camera-hdmi-to-switcher',
        'picture.reach potter-camera-hdmi-to-switcher',
        'picture.shot-missed host-camera',
        // What the caller and the switcher send is made larger in the computer.
        'picture.upscaled historian-call-receive-to-computer',
        'picture.upscaled switcher-usb-to-computer',
      ]),
  );
  it('Second Firing, behind that: the switcher makes less, its outputs and the overhead’s cable are too slow', () => {
    expect(studied('second-firing')?.makesLess).toEqual([
      'Historian call makes 720p30 and has nothing of 2160 lines.',
      'Switcher makes 1080p60 and has nothing of 2160 lines.',
      'Switcher makes 1080p30 and has nothing of 2160 lines.',
    ]);
    expect(behind('second-firing')).toEqual([
      // 18 pictures and more of 1080p30 become four times as much work each.
      'computer.work computer',
      // 14.256 Gb/s out of sockets of 8.16, over cables that go 3 m with it.
      'picture.link-overload overhead-hdmi-to-switcher',
      'picture.link-overload switcher-aux-1-to-confidence',
      'picture.link-overload switcher-multiview-to-multiview',
      'picture.reach overhead-hdmi-to-switcher',
      'picture.reach switcher-aux-1-to-confidence',
      'picture.reach switcher-multiview-to-multiview',
    ]);
  });
  it('Harbour Hall, behind that: 3840 · 2160 · 30 · 2 bytes are 497.7 MB/s into a port of 400', () => {
    const found = studied('harbour-hall')?.behind.find(
      ({ code }) => code === 'computer.branch-full',
    );
    expect([found?.level, found?.title]).toEqual(['stop', '497.8 MB/s into 400 MB/s']);
    expect(behind('harbour-hall')).toContain(
      'picture.link-overload slides-converter-out-to-switcher',
    );
  });
  it('Harbour Hall: graphics, converters, monitors, encoder, the long coax, the recorder’s drive and the line', () =>
    expect(breaks('harbour-hall')).toEqual(
      [
        // 1,000 Mb/s, the most the recorder can, are 125 MB/s on a drive of 90, and full after 67 min of 120.
        'computer.drive-full recorder',
        'computer.drive-slow recorder',
        // Stream 24 Mb/s of the 21 that may be used of 30.
        'computer.uplink',
        'picture.format-refused fixed-chair-hdmi-to-chair-converter',
        'picture.format-refused fixed-wide-hdmi-to-wide-converter',
        // The graphics machine’s card gives 1080p, and the switcher has no scaler.
        'picture.format-refused graphics-sdi-1-to-switcher',
        'picture.format-refused graphics-sdi-2-to-switcher',
        'picture.format-refused graphics-sdi-3-to-switcher',
        'picture.format-refused slides-hdmi-to-slides-converter',
        // Everything made for 2.97 Gb/s behind the switcher’s 11.88.
        'picture.link-overload distribution-out-1-to-encoder',
        'picture.link-overload distribution-out-3-to-capture-converter',
        'picture.link-overload recorder-loop-to-programme-monitor',
        'picture.link-overload switcher-aux-1-to-projector-converter',
        'picture.link-overload switcher-aux-2-to-chair-monitor-converter',
        'picture.link-overload switcher-aux-3-to-gallery-monitor',
        'picture.link-overload switcher-multiview-to-multiview',
        // 60 m is the reach at 11.88 Gb/s: beyond are 95, 75, 70 and 75 m, near it 60 and 55.
        'picture.reach roaming-1-sdi-to-switcher',
        'picture.reach roaming-2-sdi-to-switcher',
        'picture.reach roaming-3-sdi-to-switcher',
        'picture.reach switcher-aux-1-to-projector-converter',
        'picture.reach switcher-aux-2-to-chair-monitor-converter',
        'picture.reach switcher-aux-3-to-gallery-monitor',
      ].sort(),
    ));
  it('stands still where everything is at the size already', () => {
    const rig = demo('second-firing');
    expect(
      studySize(
        analyse(apply(rig, { type: 'batch', label: 'All', commands: atSize(rig, 2160) })),
        2160,
      ),
    ).toBeNull();
  });
  it('keeps the bits of each pixel: four times the bitrate for four times the pixels', () =>
    expect(
      atSize(demo('second-firing'), 2160).find(
        (command) => command.type === 'changeDeliverable' && command.deliverableId === 'stream',
      ),
    ).toMatchObject({ deliverable: { format: '3840x2160p30', bitrateMbps: 24 } }));
});

describe('Harbour Hall’s longest run at all four rates', () => {
  // 95 m of good 75 Ω coax, of which 150, 100, 80 and 60 m carry the four rates.
  it.each<[string, string | undefined]>([
    ['1920x1080p30', undefined],
    ['1920x1080p60', 'warn'],
    ['3840x2160p30', 'stop'],
    ['3840x2160p60', 'stop'],
  ])('at %s', (format, level) => {
    const rig = apply(demo('harbour-hall'), {
      type: 'setControl',
      deviceId: 'roaming-1',
      control: 'format',
      value: format,
    });
    expect(
      analyse(rig).findings.find(
        ({ code, about }) =>
          code === 'picture.reach' && about.linkId === 'roaming-1-sdi-to-switcher',
      )?.level,
    ).toBe(level);
  });
  it.each<[string, string | undefined]>([
    ['1920x1080p30', undefined],
    ['1920x1080p60', undefined],
    ['3840x2160p30', 'warn'],
    ['3840x2160p60', 'stop'],
  ])('75 m at %s', (format, level) => {
    const rig = apply(demo('harbour-hall'), {
      type: 'setControl',
      deviceId: 'roaming-2',
      control: 'format',
      value: format,
    });
    expect(
      analyse(rig).findings.find(
        ({ code, about }) =>
          code === 'picture.reach' && about.linkId === 'roaming-2-sdi-to-switcher',
      )?.level,
    ).toBe(level);
  });
  it('has at least sixty devices', () =>
    expect(Object.keys(demo('harbour-hall').devices).length).toBeGreaterThanOrEqual(60));
});
