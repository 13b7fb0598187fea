import { analyse, type Analysis, fixesOf, reanalyse, sumsOf } from '../analyse';
import { apply, type Command } from '../rig';
import { demoRig } from '../rules/demo-for-cases';
import { keepRoom, keepVoice, type KeptReading, readFrom, readings } from './readings';
import { oneVoice } from './voice-for-cases';
import { compareVoice, type MeasuredVoice, predictedVoices } from './voices';

const FROM = { on: '2026-11-28', file: { name: 'host.wav', sha256: 'a'.repeat(64) } };

const voiceOf = (analysis: Analysis) => {
  const [voice] = predictedVoices(analysis);
  if (!voice) throw new Error('no voice');
  return voice;
};
const start = analyse(oneVoice);
const predicted = voiceOf(start).levelDbfs ?? NaN;
const heard = (byDb: number, noiseByDb = byDb): MeasuredVoice => ({
  levelDbfs: predicted + byDb,
  peakDbfs: predicted + byDb + 11,
  noiseDbfsA: (voiceOf(start).noiseDbfsA ?? NaN) + noiseByDb,
});
const after = (analysis: Analysis, command: Command): Analysis =>
  reanalyse(analysis, apply(analysis.rig, command));
/** Keeps a recording, with the likelier edit or none. */
const keeping = (found: MeasuredVoice, isTakenOver: boolean): Analysis => {
  const [fix = null] = isTakenOver ? compareVoice(start, voiceOf(start), found).fixes : [];
  return after(start, keepVoice(start, voiceOf(start), found, FROM, fix));
};
const only = (analysis: Analysis): KeptReading => {
  const [kept] = readings(analysis);
  if (!kept) throw new Error('nothing kept');
  return kept;
};
const gain = (value: number): Command => ({
  type: 'setControl',
  deviceId: 'interface',
  control: 'gain-1',
  value,
});
const codes = ({ findings }: Analysis): string[] => findings.map(({ code }) => code);

describe('a level that was measured and is kept', () => {
  it('6 dB quieter while the noise is not: the talker, which is then said to be measured', () => {
    const kept = keeping(heard(-6, 0), true);
    expect(only(kept)).toMatchObject({ is: 'used', unit: 'dBFS', off: expect.closeTo(-6, 6) });
    expect(voiceOf(kept).levelDbfs).toBeCloseTo(predicted - 6, 1);
    expect(readFrom(kept, { personId: 'host' })?.reading.file?.name).toBe('host.wav');
    expect(readFrom(start, { personId: 'host' })).toBeNull();
  });
  it('6 dB louder with its noise: the gain, and the way is what it is with that gain', () => {
    const kept = keeping(heard(6), true);
    expect(kept.rig.devices['interface']?.settings['gain-1']).toBe(46);
    expect(only(kept).is).toBe('used');
  });
  it('kept without an edit the rig says otherwise, and nobody is told that it was measured', () => {
    const kept = keeping(heard(-6, 0), false);
    expect(only(kept).is).toBe('apart');
    expect(readFrom(kept, { personId: 'host' })).toBeNull();
    expect(codes(kept)).not.toContain('sound.reading-stale');
  });
  it('as soon as the gain is another it no longer holds; set back, it holds again', () => {
    const kept = keeping(heard(-6, 0), true);
    const turned = after(kept, gain(46));
    expect(only(turned)).toMatchObject({
      is: 'stale',
      since: 'the way from mouth to input makes 6.0 dB more than when it was measured',
    });
    expect(readFrom(turned, { personId: 'host' })).toBeNull();
    expect(only(after(turned, gain(40))).is).toBe('used');
  });
  it('is a finding with its sum once it is stale, which forgetting cures', () => {
    const turned = after(keeping(heard(-6, 0), true), gain(46));
    const finding = turned.findings.find(({ code }) => code === 'sound.reading-stale');
    if (!finding) throw new Error('nothing found');
    expect(finding.says).toMatch(/^−\d+\.\d dBFS were measured on 2026-11-28; since then the way/);
    expect(sumsOf(turned, finding)[0]?.result).toBeCloseTo(6, 6);
    const [fix] = fixesOf(turned, finding);
    expect(fix && codes(after(turned, fix.command))).not.toContain('sound.reading-stale');
  });
  it('what is called otherwise is measured all the same', () => {
    const kept = keeping(heard(-6, 0), true);
    const named = after(kept, { type: 'renameDevice', deviceId: 'interface', name: 'Box' });
    expect(only(named).is).toBe('used');
  });
  it('measured anew, the one before is older; its input gone, nothing is left of either', () => {
    const once = keeping(heard(-6, 0), true);
    const twice = after(once, keepVoice(once, voiceOf(once), heard(-6.4, 0), FROM, null));
    expect(readings(twice).map(({ is }) => is)).toEqual(['used', 'older']);
    const unplugged = after(twice, { type: 'disconnect', linkId: 'mic-out-to-interface' });
    expect(readings(unplugged).map(({ is }) => is)).toEqual(['gone', 'gone']);
    expect(readings(after(twice, { type: 'removeDevice', deviceId: 'interface' }))).toEqual([]);
  });
});

describe('a room that was measured', () => {
  const drawn = analyse(demoRig('night-tide'));
  const clapped = after(drawn, keepRoom(drawn, 0.31, 0.02, FROM));
  const bare = Object.keys(clapped.rig.surfaces).reduce<Analysis>(
    (now, surfaceId) => after(now, { type: 'removeSurface', surfaceId }),
    clapped,
  );
  it('rings as measured, which is told apart from what is typed', () => {
    expect(clapped.rig.room.rt60S).toBe(0.31);
    expect(only(clapped)).toMatchObject({ is: 'used', unit: 's', measured: 0.31 });
    expect(readFrom(clapped, 'room')?.reading.on).toBe('2026-11-28');
    const typed = after(clapped, { type: 'setRoom', room: { rt60S: 0.5 } });
    expect(only(typed).is).toBe('apart');
    expect(readFrom(typed, 'room')).toBeNull();
  });
  it('is another once what hangs in it is taken out: said with its sum, and once only', () => {
    expect(only(bare).is).toBe('stale');
    expect(only(bare).since).toMatch(
      /^by its surfaces the room came to 0\.\d\d s when it was measured/,
    );
    const found = bare.findings.filter(({ code }) =>
      ['place.ring-stale', 'place.time-differs'].includes(code),
    );
    expect(found.map(({ code }) => code)).toEqual(['place.ring-stale']);
    const [finding] = found;
    if (!finding) throw new Error('nothing found');
    expect(sumsOf(bare, finding)[0]?.inputs[0]).toMatchObject({ value: 0.31, unit: 's' });
    // Typed otherwise since, what was measured counts no more.
    const typed = after(bare, { type: 'setRoom', room: { rt60S: 0.5 } });
    expect(codes(typed)).not.toContain('place.ring-stale');
    const [fix] = fixesOf(bare, finding);
    const cured = fix && after(bare, fix.command);
    expect(cured?.rig.room.rt60S).toBeNull();
    expect(cured && codes(cured)).not.toContain('place.ring-stale');
  });
});
