import { analyse, sumsOf } from '../../analyse';
import { pauseSnrDb, snrDb } from '../../passes/sound';
import { voices } from '../../passes/sound/ladder';
import type { ControlValue, Rig } from '../../rig';
import { voice, voiceThrough } from '../rigs-for-cases';

/** Ratios of compressed voices, and of what is heard before it is recorded. */

const strip = (through: Readonly<Record<string, ControlValue>>): Rig =>
  voiceThrough(
    'mic-dynamic-quiet',
    'channel-processor',
    { in: 'in', out: 'out', into: 'line-1' },
    {},
    through,
  ).build();

const atConverter = (rig: Rig) => {
  const analysis = analyse(rig);
  return voices(analysis).map(({ index }) => analysis.sound[index]);
};

describe('two ratios', () => {
  it('a compressor that is out presses nothing, and a peak is never below its average', () => {
    const [out] = atConverter(strip({ gain: 50, threshold: -40, ratio: 20 }));
    expect(out && pauseSnrDb(out)).toBe(out && snrDb(out));
    const [flat] = atConverter(strip({ gain: 58, compress: true, threshold: -60, ratio: 20 }));
    expect(flat?.crestDb).toBeGreaterThanOrEqual(10 * Math.log10(2));
  });
  it('says threshold, ratio and make-up in the sum', () => {
    const analysis = analyse(
      strip({ gain: 58, compress: true, threshold: -40, ratio: 8, 'make-up': 24 }),
    );
    const finding = analysis.findings.find(({ code }) => code === 'sound.gain-short');
    const names = finding
      ? sumsOf(analysis, finding).flatMap(({ inputs }) => inputs.map(({ name }) => name))
      : [];
    expect(names).toEqual(expect.arrayContaining(['threshold', 'ratio', 'make-up']));
  });
});

describe('a preamp is heard in direct monitoring as it is recorded', () => {
  it('the way to the headphones has the noise of the way to the converter', () => {
    const rig = voice({ microphone: 'mic-dynamic-quiet' })
      .device('ears', 'headphones-closed', { person: 'host' })
      .link('interface.phones-1', 'ears.in')
      .do({
        type: 'setFigure',
        deviceId: 'interface',
        path: 'routes.mic-1.sound.ein.0.dbu',
        value: -110,
      })
      .build();
    const analysis = analyse(rig);
    const ratios = analysis.traced.threads
      .filter(({ signal, end }) => signal === 'sound' && end.device.id === 'ears')
      .map(({ last }) => analysis.sound[last.index])
      .flatMap((figures) => (figures ? (snrDb(figures) ?? []) : []));
    expect(Math.max(...ratios)).toBeLessThan(43);
  });
});
