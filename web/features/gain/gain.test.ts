import { analyse, apply, type Rig } from '@echo-loom/core';
import { harbourHall } from '../../../demo/harbour-hall';
import { nightTide } from '../../../demo/night-tide';
import { secondFiring } from '../../../demo/second-firing';
import { decibels, sheetLines, sumsOfVoice, voiceRows } from './rows';

const rows = (rig: Rig) => voiceRows(analyse(rig));

describe('voices at their converters', () => {
  it('Night Tide: worked A in a row', () => {
    const [host] = rows(nightTide());
    expect(host).toMatchObject({
      name: 'Host mic',
      person: 'Host',
      converter: 'Interface, Input 1',
      setDb: 54,
      spareDb: 0,
      limiting: 'Interface, Input 1',
    });
    expect(
      [host?.levelDbfs, host?.neededDb, host?.snrDb].map((value) => Number(value?.toFixed(2))),
    ).toEqual([-23.84, 5.84, 58.13]);
    expect(host?.overRoomDb).toBeCloseTo(42.5, 1);
  });
  it('Second Firing: three stages in a row on the guest, and a headset that cannot be told yet', () => {
    const list = rows(secondFiring());
    expect(list.map(({ name }) => name)).toEqual([
      'Host mic',
      'Co-host mic',
      'Potter headset',
      'Wheel mic',
    ]);
    expect(list[3]).toMatchObject({ limiting: 'Interface, Input 4' });
    expect(list[2]).toMatchObject({ levelDbfs: null, neededDb: null, snrDb: null });
  });
  it('Harbour Hall: its 24 microphones, and no voice of the intercom', () =>
    expect(new Set(rows(harbourHall()).map(({ name }) => name)).size).toBe(24));
  it('has the sums behind every figure', () => {
    const analysis = analyse(nightTide());
    const [host] = voiceRows(analysis);
    expect(
      host &&
        sumsOfVoice(analysis, host)
          .map(({ label, result }) => [label, result === null ? null : Number(result.toFixed(1))])
          .slice(0, 2),
    ).toEqual([
      ['House level of this voice', -18],
      ['Gain needed for the house level', 59.8],
    ]);
  });
  it('says what is not known', () =>
    expect([decibels(null), decibels(-3.25, 'dBFS')]).toEqual([
      'not known',
      '−3.3 dBFS'.replace('3.3', (-3.25).toFixed(1).slice(1)),
    ]));
});

describe('the sheet for whoever stands at the knobs', () => {
  const lines = (rig: Rig) =>
    sheetLines(analyse(rig), rows(rig)).map(
      ({ place, voice, setting }) => `${place}: ${voice}: ${setting}`,
    );
  it('has one line an input, with gain, pad and phantom power', () =>
    expect(lines(secondFiring())).toEqual([
      'Interface, Input 1: Host mic: 60 dB, pad out, phantom power off',
      'Interface, Input 2: Co-host mic: 54 dB, pad out, phantom power off',
      'Strip 2, Microphone input: Potter headset: 40 dB, pad out, phantom power off',
      'Strip 1, Microphone input: Wheel mic: 46 dB, pad out, phantom power on',
      'Interface, Input 4: Wheel mic: 0 dB, pad out, phantom power off',
    ]));
  it('follows a gain that is turned', () =>
    expect(
      lines(
        apply(nightTide(), {
          type: 'setControl',
          deviceId: 'interface',
          control: 'gain-2',
          value: 50,
        }),
      ),
    ).toContain('Interface, Input 2: Reader mic: 50 dB, phantom power off'));
});
