import fc from 'fast-check';
import { headroomDb, type SoundFigures } from '.';
import { analyse } from '../../analyse';
import { RigDraft } from '../../catalogue/draft';
import type { ControlValue, Rig } from '../../rig';
import { voice, voiceThrough } from '../../rules/rigs-for-cases';
import { compressedDb } from './dynamics';
import { einAt } from './route';

const at = (rig: Rig, deviceId: string, portId: string): SoundFigures => {
  const analysis = analyse(rig);
  const stage = analysis.traced.stages.find(
    (candidate) =>
      candidate.signal === 'sound' &&
      candidate.at.device.id === deviceId &&
      candidate.at.id === portId,
  );
  const figures = stage && analysis.sound[stage.index];
  if (!figures) throw new Error(`no sound at ${deviceId}.${portId}`);
  return figures;
};

describe('equivalent input noise at a gain', () => {
  const rows = [
    { gainDb: 60, dbu: -128 },
    { gainDb: 20, dbu: -110 },
    { gainDb: 40, dbu: -122 },
  ];
  it.each([
    [60, -128],
    [40, -122],
    [50, -125],
    [30, -116],
    [70, -128],
    [0, -110],
  ])('at %s dB it is %s dBu', (gainDb, dbu) => expect(einAt(rows, gainDb)).toBeCloseTo(dbu, 9));
  it('is unknown where none is stated', () => expect(einAt([], 40)).toBeNull());
});

describe('preamp and converter', () => {
  it('a pad takes 20 dB off the level and adds them to the ceiling', () => {
    const [open, padded] = [
      voice({ settings: { 'gain-1': 40 } }).build(),
      voice({ settings: { 'gain-1': 40, 'pad-1': true } }).build(),
    ];
    expect(
      (at(open, 'interface', 'usb').levelDb ?? NaN) -
        (at(padded, 'interface', 'usb').levelDb ?? NaN),
    ).toBeCloseTo(20, 9);
    expect(
      (at(padded, 'interface', 'mic-1').ceilingDb ?? NaN) -
        (at(open, 'interface', 'mic-1').ceilingDb ?? NaN),
    ).toBeCloseTo(20, 9);
  });
  it('a decibel of gain is a decibel of level and takes a decibel of headroom', () => {
    const figures = (gain: number) =>
      at(voice({ settings: { 'gain-1': gain } }).build(), 'interface', 'usb');
    expect((figures(51).levelDb ?? NaN) - (figures(50).levelDb ?? NaN)).toBeCloseTo(1, 9);
    expect((headroomDb(figures(50)) ?? NaN) - (headroomDb(figures(51)) ?? NaN)).toBeCloseTo(1, 9);
  });
  it('an unknown full scale leaves the digital level unknown and says whose it is', () => {
    const rig = voice()
      .do({ type: 'setFigure', deviceId: 'interface', path: 'ports.mic-1.maxInDbu', value: null })
      .build();
    expect(at(rig, 'interface', 'usb')).toMatchObject({
      unit: 'dBFS',
      levelDb: null,
      unknown: { what: 'figure', says: 'the maximum level of Interface, Input 1' },
    });
  });
  it('an unknown resistance leaves the level unknown and says whose it is', () => {
    const rig = voice()
      .do({ type: 'setFigure', deviceId: 'mic', path: 'ports.out.sourceOhms', value: null })
      .build();
    expect(at(rig, 'interface', 'mic-1').unknown).toEqual({
      what: 'figure',
      says: 'the resistance of Mic, Output',
    });
  });
});

describe('channel processor', () => {
  const strip = (through: Readonly<Record<string, ControlValue>>): SoundFigures =>
    at(
      voiceThrough(
        'mic-dynamic-stage',
        'channel-processor',
        { in: 'in', out: 'out', into: 'line-1' },
        {},
        { gain: 50, ...through },
      ).build(),
      'through',
      'out',
    );
  it('passes level and crest on unchanged while the compressor is out', () =>
    expect(strip({}).crestDb).toBe(14));
  it('takes 3 : 1 off what is above the threshold, and the crest with it', () => {
    const open = strip({});
    const pressed = strip({ compress: true, threshold: -20, ratio: 3 });
    const over = (open.levelDb ?? NaN) + 20;
    expect(over).toBeGreaterThan(0);
    expect(pressed.levelDb).toBeCloseTo(-20 + over / 3, 9);
    // Peaks lie 10.99 dB over the average on a peak meter, and a third of that afterwards.
    expect(pressed.crestDb).toBeCloseTo((14 - 3.0103) / 3 + 3.0103, 4);
  });
  it('leaves a voice below its threshold alone but for its peaks', () => {
    const open = strip({});
    const pressed = strip({ compress: true, threshold: -5, ratio: 4 });
    expect(pressed.levelDb).toBeCloseTo(open.levelDb ?? NaN, 9);
    expect(pressed.crestDb).toBeLessThan(14);
  });
  it('the static curve never turns a louder voice into a quieter one', () => {
    const db = fc.double({ min: -60, max: 20, noNaN: true });
    fc.assert(
      fc.property(
        db,
        fc.double({ min: 0, max: 30, noNaN: true }),
        db,
        fc.double({ min: 1, max: 20, noNaN: true }),
        (level, more, thresholdDb, ratio) => {
          const curve = { thresholdDb, ratio, makeUpDb: 3 };
          expect(compressedDb(level + more, curve)).toBeGreaterThanOrEqual(
            compressedDb(level, curve) - 1e-9,
          );
          expect(
            compressedDb(level + more, curve) - compressedDb(level, curve),
          ).toBeLessThanOrEqual(more + 1e-9);
        },
      ),
    );
  });
});

describe('back to analogue', () => {
  const listening = (listen: number): SoundFigures =>
    at(
      new RigDraft('Case')
        .device('guest', 'call')
        .device('computer', 'computer-laptop')
        .device('interface', 'interface-4', { settings: { listen } })
        .device('phones', 'headphones-closed')
        .link('guest.receive', 'computer.call-in')
        .link('interface.usb', 'computer.usb-3', 2, 'usb-2')
        .link('interface.phones-1', 'phones.in')
        .build(),
      'interface',
      'phones-1',
    );
  it('0 dBFS leaves at the stated level: a caller at −20 dBFS through +16 dBu and −20 dB is −24 dBu', () =>
    expect(listening(-20).levelDb).toBeCloseTo(-24, 9));
  it('the knob moves it dB for dB', () =>
    expect((listening(-10).levelDb ?? NaN) - (listening(-20).levelDb ?? NaN)).toBeCloseTo(10, 9));
});

describe('phantom', () => {
  it('a condenser without it gives neither level nor noise', () => {
    const figures = at(
      voice({ microphone: 'mic-condenser-large', settings: { 'gain-1': 40 } }).build(),
      'mic',
      'out',
    );
    expect(figures).toMatchObject({
      levelDb: null,
      noise: null,
      unknown: { what: 'power', says: 'phantom power for Mic' },
    });
  });
  it('passes through a pad and not through a booster', () => {
    const through = (classId: string) =>
      at(
        voiceThrough(
          'mic-condenser-large',
          classId,
          { in: 'in', out: 'out' },
          { 'gain-1': 30, 'phantom-1': true },
        ).build(),
        'mic',
        'out',
      ).levelDb;
    expect(through('pad-inline')).not.toBeNull();
    expect(through('booster-inline')).toBeNull();
  });
});
