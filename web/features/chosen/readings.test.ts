import { analyse, apply, type Rig } from '@echo-loom/core';
import { nightTide } from '../../../demo/night-tide';
import { secondFiring } from '../../../demo/second-firing';
import { range, type Reading, READINGS, readingText, stagesByLink } from './readings';
import { findingsOn, itemOf } from './view';

const text = (rig: Rig, reading: Reading, linkId: string): string | null => {
  const analysis = analyse(rig);
  return readingText(analysis, reading, linkId, stagesByLink(analysis).get(linkId) ?? []);
};

describe('what stands on a thread', () => {
  const HOST = 'host-mic-out-to-interface';
  it.each([
    ['Format', 'mic'],
    ['Level', '−67.8'],
    ['Cable', '3 m 3%'],
    ['Delay', '0.0'],
  ] as const)('%s on the host’s cable is %s', (reading, expected) =>
    expect(text(nightTide(), reading, HOST)).toBe(expected),
  );
  it('headroom is the ceiling less the peaks: −44 − (−67.84 + 14 − 3.01) = 12.9 dB', () =>
    expect(text(nightTide(), 'Headroom', HOST)).toBe('12.9'));
  it('several sources on one cable show their range', () =>
    expect(text(nightTide(), 'Level', 'interface-usb-to-computer')).toMatch(/^−\d+…−\d+$/));
  it.each([
    [[-20], '−20.0'],
    [[-20.04, -19.96], '−20.0'],
    [[-20.4, -19.6], '−20'],
    [[-24.2, -18.1], '−24…−18'],
    [[], null],
  ])('levels of %p are written %s', (levels, written) => expect(range(levels)).toBe(written));
  it('a picture shows its format by its usual name', () =>
    expect(text(secondFiring(), 'Format', 'cohost-camera-hdmi-to-switcher')).toBe('1080p59.94'));
  it('a level that cannot be told shows as a question', () =>
    expect(
      text(
        apply(nightTide(), {
          type: 'assignDevice',
          deviceId: 'host-mic',
          personId: null,
          placeId: null,
        }),
        'Level',
        HOST,
      ),
    ).toBe('?'));
  it('says what the device before a thread draws, and from where', () => {
    expect(text(secondFiring(), 'Power', 'host-camera-hdmi-to-switcher')).toBe('6.5 W c2');
    expect(text(secondFiring(), 'Power', 'kiln-camera-hdmi-to-switcher')).toBe('10 W bat');
    expect(text(secondFiring(), 'Power', 'capture-usb-to-computer')).toBe('4.0 W USB');
    expect(text(secondFiring(), 'Power', 'host-mic-out-to-interface')).toBeNull();
  });
  it('a picture has no level, and a program has no cable', () => {
    expect(text(secondFiring(), 'Level', 'host-camera-hdmi-to-switcher')).toBeNull();
    expect(text(nightTide(), 'Cable', 'computer-tracks-to-tracks')).toBeNull();
  });
  it('a delay that is not all known says at least', () =>
    expect(text(secondFiring(), 'Delay', 'computer-programme-to-stream')).toMatch(/^≥ /));
  it('every reading of every cable of the demo is a text or nothing, never NaN', () => {
    for (const rig of [nightTide(), secondFiring()]) {
      const analysis = analyse(rig);
      const stages = stagesByLink(analysis);
      for (const reading of READINGS)
        for (const linkId of Object.keys(rig.links))
          expect(
            readingText(analysis, reading, linkId, stages.get(linkId) ?? []) ?? '',
          ).not.toMatch(/NaN|undefined|Infinity/);
    }
  });
});

describe('where a finding is marked', () => {
  const analysis = analyse(nightTide());
  it('on the cable it names', () => {
    const finding = analysis.findings.find(({ title }) => title === '5.84 dB short of gain');
    expect(finding && itemOf(analysis, finding)).toEqual({
      kind: 'link',
      id: 'host-mic-out-to-interface',
    });
  });
  it('is found from the device too', () =>
    expect(
      findingsOn(analysis, { kind: 'device', id: 'interface' }).map(({ code }) => code),
    ).toContain('sound.gain-short'));
  it('every finding of the demo that is about a device or cable is marked somewhere', () => {
    for (const rig of [nightTide(), secondFiring()]) {
      const judged = analyse(rig);
      for (const finding of judged.findings.filter(
        ({ area, about }) => area !== 'brief' && (about.deviceId ?? about.linkId) !== undefined,
      ))
        expect([finding.code, itemOf(judged, finding)]).not.toContain(null);
    }
  });
});
