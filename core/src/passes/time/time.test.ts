import { analyse, type Analysis } from '../../analyse';
import type { Rig } from '../../rig';
import { camera, voice } from '../../rules/rigs-for-cases';
import { frameMs, rate } from '../../units';

const arrival = (rig: Rig, deviceId: string) => {
  const analysis: Analysis = analyse(rig);
  const thread = analysis.traced.threads.find(({ end }) => end.device.id === deviceId);
  return thread && analysis.delay[thread.last.index];
};

describe('delay', () => {
  it.each([
    [25, 1, 40],
    [30000, 1001, 33.37],
    [60, 1, 16.67],
  ])('a frame at %s/%s lasts %s ms', (num, den, ms) =>
    expect(frameMs(rate(num, den))).toBeCloseTo(ms, 2),
  );
  it('a voice reaches its file after converter and driver: 6.3 + 10.7 ms', () =>
    expect(arrival(voice().build(), 'tracks')).toEqual({ knownMs: 17, unknown: 0 }));
  it('a picture at 60 waits two frames in the capture device and one in the computer: 50 ms', () =>
    expect(arrival(camera().build(), 'pictures')?.knownMs).toBeCloseTo(50, 6));
  it('the same path at 25 frames a second takes 120 ms', () =>
    expect(arrival(camera({ format: '1920x1080p25' }).build(), 'pictures')?.knownMs).toBeCloseTo(
      120,
      6,
    ));
  it('a slow capture device waits four frames', () =>
    expect(
      arrival(
        camera({
          capture: 'capture-usb-2',
          usb: 'usb-2',
          captureSettings: { 'capture-format': '1920x1080p30' },
        }).build(),
        'pictures',
      )?.knownMs,
    ).toBeCloseTo(4 * 16.667 + 33.333, 2));
  it('grows along a thread and never shrinks', () => {
    const analysis = analyse(camera().build());
    for (const stage of analysis.traced.stages)
      if (stage.parent)
        expect(analysis.delay[stage.index]?.knownMs).toBeGreaterThanOrEqual(
          analysis.delay[stage.parent.index]?.knownMs ?? NaN,
        );
  });
  it('counts what it does not know and does not guess it', () => {
    const rig = camera({ camera: 'player-slides', socket: 'usb-2' })
      .device('tracks', 'recording-tracks')
      .link('computer.tracks', 'tracks.in')
      .build();
    const analysis = analyse(rig);
    const sound = analysis.traced.threads.find(
      ({ signal, end }) => signal === 'sound' && end.device.id === 'tracks',
    );
    expect(sound && analysis.delay[sound.last.index]?.unknown).toBe(1);
  });
});
