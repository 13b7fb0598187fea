import { causesOf } from './causes';
import type { Finding } from './rule';

const finding = (code: string, title: string, more: Partial<Finding> = {}): Finding => ({
  code,
  area: 'sound',
  level: 'warn',
  about: { kind: 'rig' },
  title,
  says: title,
  ...more,
});

describe('causes', () => {
  it('put places of one fault together, where the first of them stood', () => {
    const [hum, short, again] = [
      finding('sound.hum', 'Hum'),
      finding('sound.gain-short', '5.8 dB short'),
      finding('sound.hum', 'Hum', { about: { kind: 'device', deviceId: 'mic' } }),
    ];
    const causes = causesOf([hum, short, again]);
    expect(causes.map(({ title }) => title)).toEqual(['Hum, in 2 places', '5.8 dB short']);
    expect(causes[0]?.places).toEqual([hum, again]);
    expect(causes[0]?.finding).toBe(hum);
    expect(causes[1]?.places).toEqual([short]);
  });
  it('keep apart what is of another level, another rule or another headline', () => {
    const apart = [
      finding('sound.hum', 'Hum'),
      finding('sound.hum', 'Hum', { level: 'note' }),
      finding('sound.buzz', 'Hum'),
      finding('sound.hum', 'Hum of the fan'),
    ];
    expect(causesOf(apart).map(({ places }) => places)).toEqual(apart.map((one) => [one]));
  });
  it('are called together as their rule says, whatever each is called; one alone keeps its own name', () => {
    const voices = ['Host stands low', 'Guest stands low', 'Potter stands low'].map((title) =>
      finding('sound.gain-low', title),
    );
    expect(causesOf(voices).map(({ title, places }) => [title, places.length])).toEqual([
      ['3 voices stand under the house level', 3],
    ]);
    expect(causesOf(voices.slice(0, 1))[0]?.title).toBe('Host stands low');
  });
  it('are none of no findings', () => expect(causesOf([])).toEqual([]));
});
