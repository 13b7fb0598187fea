import { analyse, apply, type Rig } from '@echo-loom/core';
import { harbourHall } from '../../../demo/harbour-hall';
import { nightTide } from '../../../demo/night-tide';
import { secondFiring } from '../../../demo/second-firing';
import {
  bleedMatrix,
  channelCounts,
  findingsOfRoom,
  inputCounts,
  microphoneRows,
  noiseRows,
  patternRows,
} from './rows';

const rows = (rig: Rig) => microphoneRows(analyse(rig));
const wheel = (rig: Rig) => {
  const analysis = analyse(rig);
  const row = microphoneRows(analysis).find(({ id }) => id === 'wheel-mic');
  if (!row) throw new Error('no wheel mic');
  return { analysis, row };
};
const rounded = (value: number | null): number | null =>
  value === null ? null : Number(value.toFixed(1));

describe('microphones in the room', () => {
  it('Second Firing: one microphone is not well, and why', () => {
    expect(rows(secondFiring()).map(({ name, person, level }) => [name, person, level])).toEqual([
      ['Host mic', 'Host', 'well'],
      ['Co-host mic', 'Co-host', 'well'],
      ['Potter headset', 'Guest potter', 'well'],
      ['Wheel mic', 'Guest potter', 'warn'],
    ]);
    expect(findingsOfRoom(analyse(secondFiring()), 'wheel-mic').map(({ code }) => code)).toEqual([
      'sound.placed-noise',
    ]);
  });
  it('names the loudest other voice', () =>
    expect(
      rows(nightTide()).map(({ worst }) => [worst?.other.name, rounded(worst?.db ?? null)]),
    ).toEqual([
      ['Second reader', -49.9],
      ['Host', -48.6],
    ]));
  it('says what comes back from loudspeakers, and nothing where there is none', () => {
    expect(rows(secondFiring()).every(({ loopDb }) => loopDb === null)).toBe(true);
    expect(rows(harbourHall()).every(({ loopDb }) => loopDb !== null && loopDb < -6)).toBe(true);
  });
});

describe('the kiln fan at the wheel', () => {
  it('is 52.5 dB(A) at the capsule, and 50.5 from 2 m farther', () => {
    const { analysis, row } = wheel(secondFiring());
    expect(
      noiseRows(analysis, row.microphone).map(({ noise, fartherSpl }) => [
        noise.name,
        rounded(noise.spl),
        rounded(fartherSpl),
      ]),
    ).toEqual([
      ['Kiln fan', 52.5, 50.5],
      ['Show computer', 31.4, 31.4],
      ['Switcher', 23.4, 23.4],
    ]);
  });
  it('is heard 3 dB more by an omni', () => {
    const { analysis, row } = wheel(secondFiring());
    expect(
      patternRows(analysis, row.microphone).map(({ pattern, isPresent, overRoomDb }) => [
        pattern,
        isPresent,
        rounded(overRoomDb),
      ]),
    ).toEqual([
      ['omni', false, 14.8],
      ['cardioid', true, 17.9],
      ['supercardioid', false, 18.3],
      ['hypercardioid', false, 18.4],
      ['figure of eight', false, 17.9],
    ]);
  });
  it('moved by an edit, is where it was said to be from 2 m farther', () => {
    const { analysis, row } = wheel(secondFiring());
    const fan = analysis.findings.find(({ code }) => code === 'sound.placed-noise');
    expect(fan?.about.deviceId).toBe('wheel-mic');
    const before = noiseRows(analysis, row.microphone)[0];
    const at = row.microphone.spot;
    const from = analysis.rig.noises['kiln-fan']?.at;
    if (!at || !from || !before) throw new Error('no fan');
    const factor = (before.noise.distanceM + 2) / before.noise.distanceM;
    const moved = wheel(
      apply(secondFiring(), {
        type: 'changeNoise',
        noiseId: 'kiln-fan',
        noise: {
          at: { xM: at.xM + (from.xM - at.xM) * factor, yM: at.yM + (from.yM - at.yM) * factor },
        },
      }),
    );
    expect(rounded(noiseRows(moved.analysis, moved.row.microphone)[0]?.noise.spl ?? null)).toBe(
      50.5,
    );
  });
});

describe('who is heard where', () => {
  it('has a line a microphone and a column a talker on site, the own ones marked', () => {
    const analysis = analyse(secondFiring());
    const { talkers, lines } = bleedMatrix(analysis, microphoneRows(analysis));
    expect(talkers.map(({ name }) => name)).toEqual(['Host', 'Co-host', 'Guest potter']);
    expect(
      lines.map(({ at }) => at.map((db) => (typeof db === 'number' ? rounded(db) : db))),
    ).toEqual([
      ['own', -35.7, -49.8],
      [-31.7, 'own', -37.7],
      [-36.1, -34.6, 'own'],
      [-40.2, -35.1, 'own'],
    ]);
  });
  it('says so where somebody has no place', () => {
    const analysis = analyse(
      apply(secondFiring(), { type: 'changePerson', personId: 'host', person: { at: null } }),
    );
    expect(bleedMatrix(analysis, microphoneRows(analysis)).lines.map(({ at }) => at[0])).toEqual([
      'own',
      null,
      null,
      null,
    ]);
  });
});

describe('inputs and channels', () => {
  it('Harbour Hall: 15 and 9 of 16 inputs, and 24 of 40 channels in a personal mixer', () => {
    expect(
      inputCounts(analyse(harbourHall())).map(({ where, used, most }) => [where, used, most]),
    ).toEqual([
      ['Stage box A', 15, 16],
      ['Stage box B', 9, 16],
    ]);
    const channels = Object.fromEntries(
      channelCounts(analyse(harbourHall())).map(({ where, used, most }) => [where, [used, most]]),
    );
    expect(channels['Stage box A → Sound network']).toEqual([15, 16]);
    expect(channels['Stage box B → Sound network']).toEqual([9, 16]);
    expect(channels['Sound network → Chair personal mixer']).toEqual([24, 40]);
    expect(channels['Sound network → Sound desk']).toEqual([24, 64]);
    expect(channels['Sound network → Recording computer']).toEqual([24, null]);
  });
});
