import { analyse, apply } from '@echo-loom/core';
import { harbourHall } from '../../../demo/harbour-hall';
import { nightTide, secondFiring } from '../../../demo/rigs';
import { findingsOfEars, listenerRows, timeText } from './rows';

describe('who hears what', () => {
  it('Night Tide: the host hears both, the second reader nothing', () => expect(listenerRows(analyse(nightTide())).map(({ name, hears }) => [name, hears])).toEqual([['Host', 'Host, Second reader'], ['Second reader', 'nothing']]));
  it('Second Firing: a remote historian is sent what their call is fed, themself included by mistake', () => {
    const historian = listenerRows(analyse(secondFiring())).find(({ name }) => name === 'Historian');
    expect(historian?.isRemote).toBe(true);
    expect(historian?.hears.split(', ')).toContain('Historian');
  });
  it('Harbour Hall: volunteers hear each other on the intercom', () => expect(listenerRows(analyse(harbourHall())).find(({ name }) => name === 'Director')?.hears).toBe('Sound desk, Roaming camera 1, Roaming camera 2, Roaming camera 3, Floor'));
  it('gathers what is wrong with it', () => expect(findingsOfEars(analyse(secondFiring())).map(({ code }) => code)).toEqual(['sound.mix-minus', 'brief.cannot-hear', 'brief.cannot-hear']));
  it('follows the volume: 20 dB more at the socket are 20 dB more at the ear', () => {
    const spl = (rig = nightTide()) => listenerRows(analyse(rig))[0]?.ears[0]?.spl ?? NaN;
    expect(spl(apply(nightTide(), { type: 'setControl', deviceId: 'host-phones', control: 'volume', value: 0 })) - spl()).toBeCloseTo(20, 9);
  });
});

it.each([[null, 'not known'], [40, 'all day'], [2.5, '2.5 h'], [0.25, '15 min']])('%s h are %s', (hours, text) => expect(timeText(hours)).toBe(text));
