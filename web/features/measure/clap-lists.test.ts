import type { Alignment } from '@echo-loom/core/signal';
import type { ClapFound } from '@/workers/measuring/tasks';
import { editList, startsCsv, startsOf, timecode, trimsOf } from './clap-lists';

const shifted = (name: string, offsetMs: number, more: Partial<Alignment> = {}) => ({
  name,
  lengthS: 100,
  isSure: true,
  offsetMs,
  offsetSamples: offsetMs * 48,
  spreadMs: 0.1,
  driftPpm: null,
  driftSpreadPpm: null,
  events: [],
  picture: [],
  ...more,
});
const found: ClapFound = {
  first: { name: 'camera.mp4', lengthS: 90 },
  rest: [
    shifted('recorder.wav', 2500, { driftPpm: 20 }),
    shifted('phone.m4a', -1200.04),
    shifted('other.wav', 3, { isSure: false, driftPpm: 4 }),
  ],
};

describe('when recordings begin', () => {
  it('the earliest is at 0; what is heard later begins earlier; what is not sure has no time', () => {
    const starts = startsOf(found).map(({ startS }) => startS);
    // The recorder hears all 2.5 s later: it began 2.5 s before the camera.
    expect(starts[0]).toBeCloseTo(2.5, 9);
    expect(starts[1]).toBe(0);
    expect(starts[2]).toBeCloseTo(3.70004, 9);
    expect(starts[3]).toBeNull();
  });
  it('all begin together with the latest once their beginnings are cut off', () => {
    const trims = trimsOf(startsOf(found));
    expect(trims[0]).toBeCloseTo(1.20004, 9);
    expect(trims[1]).toBeCloseTo(3.70004, 9);
    expect(trims.slice(2)).toEqual([0, null]);
  });
  it('are a table, empty where nothing is sure', () => {
    const [head, , recorder, , other] = startsCsv(found).split(/\r?\n/);
    expect(head).toContain('Begins s');
    expect(recorder).toBe('recorder.wav,0,3.70004,100,20');
    expect(other).toBe('other.wav,,,100,');
  });
  it('are an edit list of those that are sure, by frames', () => {
    const lines = editList(found, 'Show', 25).split('\n');
    expect(lines[0]).toBe('TITLE: Show');
    expect(lines.filter((line) => line.startsWith('* FROM'))).toEqual([
      '* FROM CLIP NAME: camera.mp4',
      '* FROM CLIP NAME: recorder.wav',
      '* FROM CLIP NAME: phone.m4a',
    ]);
    // 3.70004 s are 92.5 frames: the next whole one is 3 s and 18 frames.
    expect(lines[4]).toMatch(/^002 .*00:00:03:18 00:01:40:00 00:00:00:00 00:01:36:07$/);
  });
});

describe('timecode', () => {
  it.each([
    [0, 25, '00:00:00:00'],
    [3661.48, 25, '01:01:01:12'],
    [59.999, 25, '00:01:00:00'],
    [7200, 30, '02:00:00:00'],
  ])('%d s at %i is %s', (seconds, rate, text) => expect(timecode(seconds, rate)).toBe(text));
});
