import { analyse } from '../analyse';
import type { Command, Offset, Rig } from '../rig';
import { measuredOffset } from '../rules/time/measured-for-cases';
import { done, workedTime } from '../rules/time/time-for-cases';
import { calibrationNames, calibrations, predictionError } from './calibrations';

const rig = workedTime();
const measured = (of: Rig, offsetId: string, offsetMs: number): Command =>
  measuredOffset(of, offsetMs, {
    offsetId,
    file: { name: 'clap.mov', sha256: '0'.repeat(64) },
  });
const delayed = (ms: number | null): Command => ({
  type: 'setDelay',
  deviceId: 'switcher',
  portId: 'sound-1',
  signal: 'sound',
  ms,
});
const of = (now: Rig) => calibrations(analyse(now));

describe('what was measured beside what is predicted', () => {
  const once = done(rig, measured(rig, 'first', -120));
  it('120 ms measured where −99.60 were predicted are −20.40 off', () => {
    const [only] = of(once);
    expect(only).toMatchObject({
      is: 'used',
      measuredMs: -120,
      on: '2026-11-20',
      file: 'clap.mov',
    });
    expect(only?.offMs).toBeCloseTo(-20.4, 2);
    expect(only && calibrationNames(analyse(once), only)).toEqual({
      what: 'Microphone and Camera',
      where: 'Recorder',
    });
  });
  it('a delay that was set when it was measured is in both, set later in neither', () => {
    const set = done(rig, delayed(100));
    for (const now of [
      done(set, measured(set, 'first', -20)),
      done(set, measured(set, 'first', -20), delayed(null)),
    ]) {
      const [only] = of(now);
      expect(only?.predictedMs).toBeCloseTo(0.4, 2);
      expect(only?.offMs).toBeCloseTo(-20.4, 2);
    }
  });
  it('the latest stands first and is used; the one before is older', () => {
    const twice = done(once, measured(once, 'second', -101));
    expect(of(twice).map(({ id, is }) => [id, is])).toEqual([
      ['second', 'used'],
      ['first', 'older'],
    ]);
    const error = predictionError(of(twice));
    expect(error?.count).toBe(1);
    expect(error?.worstMs).toBeCloseTo(-1.4, 2);
  });
  it('is stale where something is set otherwise, and counts for no error', () => {
    const other = done(once, {
      type: 'setControl',
      deviceId: 'camera',
      control: 'format',
      value: '1920x1080p25',
    });
    expect(of(other)[0]?.is).toBe('stale');
    expect(predictionError(of(other))).toBeNull();
  });
  it('holds whatever a device on the way is called, and no longer once it is another', () => {
    const named = done(once, { type: 'renameDevice', deviceId: 'switcher', name: 'Vision desk' });
    expect(of(named)[0]?.is).toBe('used');
    // What was kept before had the way in words alone, which are other words now.
    const [, kept] = Object.entries(named.offsets)[0] ?? [];
    if (!kept) throw new Error('nothing kept');
    const old: Offset = { ...kept };
    delete old.heldBy;
    expect(of({ ...named, offsets: { first: old } })[0]?.is).toBe('stale');
    const model = once.devices['switcher']?.model;
    if (!model) throw new Error('no switcher');
    const other = done(once, {
      type: 'replaceModel',
      deviceId: 'switcher',
      model: { ...model, classId: 'switcher-of-ours' },
    });
    expect(of(other)[0]?.is).toBe('stale');
  });
  it('is gone where nothing meets any more', () => {
    const [link] = Object.entries(once.links).filter(([, { to }]) => to.deviceId === 'recorder');
    if (!link) throw new Error('no link');
    expect(of(done(once, { type: 'disconnect', linkId: link[0] }))[0]).toMatchObject({
      is: 'gone',
      offMs: null,
    });
  });
});
