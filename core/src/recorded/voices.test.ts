import { analyse } from '../analyse';
import { apply } from '../rig';
import { demoRig } from '../rules/demo-for-cases';
import { oneVoice } from './voice-for-cases';
import { compareVoice, type MeasuredVoice, predictedVoices } from './voices';

const only = (of = oneVoice) => {
  const analysis = analyse(of);
  const [voice] = predictedVoices(analysis);
  if (!voice) throw new Error('no voice');
  return { analysis, voice };
};
const { analysis, voice } = only();
const level = voice.levelDbfs ?? NaN;
const peak = voice.peakDbfs ?? NaN;
const noise = voice.noiseDbfsA ?? NaN;
const found = (byDb: number, noiseByDb: number): MeasuredVoice => ({
  levelDbfs: level + byDb,
  peakDbfs: peak + byDb,
  noiseDbfsA: noise + noiseByDb,
});

describe('a voice that was recorded, beside what the rig makes of it', () => {
  it('is told where it becomes digital, by name', () => {
    expect(voice.label).toBe('Microphone, at Interface, Input 1');
    // Its peak lies a crest of 14 dB less the sine’s own 3.01 over its average.
    expect(peak - level).toBeCloseTo(10.99, 2);
  });
  it('as predicted, nothing is to do', () =>
    expect(compareVoice(analysis, voice, found(1.4, 5))).toMatchObject({
      fixes: [],
      says: 'The voice is as the rig predicts it.',
    }));
  it('as predicted in pauses 20 dB louder: that is the room', () =>
    expect(compareVoice(analysis, voice, found(1.4, 20)).says).toContain('that is the room'));
  it('voice and noise 6 dB up: the gain stands 6 dB higher, and then the rig says what was measured', () => {
    const { fixes, says, levelOffDb } = compareVoice(analysis, voice, found(6, 5));
    expect(levelOffDb).toBeCloseTo(6, 6);
    expect(says).toContain('most likely a gain');
    expect(fixes.map(({ label }) => label)).toEqual([
      expect.stringMatching(/^Interface, .* stands at 46 dB$/),
      'Host speaks at 68 dB SPL',
    ]);
    for (const { command } of fixes)
      expect(only(apply(oneVoice, command)).voice.levelDbfs).toBeCloseTo(level + 6, 1);
  });
  it('the voice alone 8 dB down: the talker', () => {
    const { fixes, says } = compareVoice(analysis, voice, found(-8, 2));
    expect(says).toContain('8.0 dB quieter, the noise is not');
    expect(fixes[0]?.label).toBe('Host speaks at 54 dB SPL');
  });
  it('what no gain and no talker reaches is not offered', () => {
    const { fixes } = compareVoice(analysis, voice, found(60, 60));
    expect(fixes).toEqual([]);
  });
  it('every voice of the demos stands once', () => {
    for (const name of ['night-tide', 'second-firing', 'harbour-hall']) {
      const keys = predictedVoices(analyse(demoRig(name))).map(({ key }) => key);
      expect(keys.length).toBeGreaterThan(1);
      expect(new Set(keys).size).toBe(keys.length);
    }
  });
});
