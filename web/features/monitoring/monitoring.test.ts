import { analyse, apply } from '@echo-loom/core';
import { harbourHall } from '../../../demo/harbour-hall';
import { nightTide } from '../../../demo/night-tide';
import { secondFiring } from '../../../demo/second-firing';
import { findingsOfEars, listenerRows, loudspeakerRows, talkbackRows, timeText } from './rows';

describe('who hears what', () => {
  it('Night Tide: the host hears both, the second reader nothing', () =>
    expect(listenerRows(analyse(nightTide())).map(({ name, hears }) => [name, hears])).toEqual([
      ['Host', 'Host, Second reader'],
      ['Second reader', 'nothing'],
    ]));
  it('Second Firing: a remote historian is sent what their call is fed, themself included by mistake', () => {
    const historian = listenerRows(analyse(secondFiring())).find(
      ({ name }) => name === 'Historian',
    );
    expect(historian?.isRemote).toBe(true);
    expect(historian?.hears.split(', ')).toContain('Historian');
  });
  it('Harbour Hall: volunteers hear each other on the intercom', () =>
    expect(
      listenerRows(analyse(harbourHall())).find(({ name }) => name === 'Director')?.hears,
    ).toBe('Sound desk, Roaming camera 1, Roaming camera 2, Roaming camera 3, Floor'));
  it('gathers what is wrong with it', () =>
    expect(findingsOfEars(analyse(secondFiring())).map(({ code }) => code)).toEqual([
      'sound.mix-minus',
      'brief.cannot-hear',
      'brief.cannot-hear',
      'sound.outputs-short',
    ]));
  it('follows the volume: 20 dB more at the socket are 20 dB more at the ear', () => {
    const spl = (rig = nightTide()) => listenerRows(analyse(rig))[0]?.ears[0]?.spl ?? NaN;
    expect(
      spl(
        apply(nightTide(), {
          type: 'setControl',
          deviceId: 'host-phones',
          control: 'volume',
          value: 0,
        }),
      ) - spl(),
    ).toBeCloseTo(20, 9);
  });
});

describe('beside headphones', () => {
  it('Harbour Hall: the director is heard by everybody on the intercom but themself', () =>
    expect(
      talkbackRows(analyse(harbourHall())).find(({ person }) => person === 'Director')?.reaches,
    ).toEqual(['Sound desk', 'Roaming camera 1', 'Roaming camera 2', 'Roaming camera 3', 'Floor']));
  it('Night Tide: nobody speaks off air', () =>
    expect(talkbackRows(analyse(nightTide()))).toEqual([]));
  it('Harbour Hall: two loudspeakers, open until they are muted', () => {
    const speakers = (rig = harbourHall()) =>
      loudspeakerRows(analyse(rig)).map(({ name, isMuted }) => [name, isMuted]);
    expect(speakers()).toEqual([
      ['Loudspeaker left front', false],
      ['Loudspeaker right front', false],
    ]);
    expect(
      speakers(
        apply(harbourHall(), {
          type: 'setControl',
          deviceId: 'loudspeaker-1',
          control: 'mute',
          value: true,
        }),
      ),
    ).toEqual([
      ['Loudspeaker left front', true],
      ['Loudspeaker right front', false],
    ]);
  });
  it('personal mixers on one network are mixes of their own, headphones on one interface are not', () => {
    const shares = (rig = harbourHall()) =>
      Object.fromEntries(
        listenerRows(analyse(rig)).map(({ name, sharesWith }) => [name, sharesWith]),
      );
    expect(shares()['Chair']).toEqual([]);
    expect(shares(secondFiring())['Host']).toEqual(['Co-host']);
  });
});

it.each([
  [null, 'not known'],
  [40, 'all day'],
  [2.5, '2.5 h'],
  [0.25, '15 min'],
])('%s h are %s', (hours, text) => expect(timeText(hours)).toBe(text));
