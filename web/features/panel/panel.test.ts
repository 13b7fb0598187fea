import { secondFiring } from '../../../demo/second-firing';
import { doesOptions, doesText, doesValue, guardText } from './words';

describe('what a button can do', () => {
  const rig = secondFiring();
  const options = doesOptions(rig);
  it('is to show each scene, mute each voice, go black, and start or end stream and recording', () =>
    expect(options.map(({ label }) => label)).toEqual([
      'Show Both at the bench',
      'Show At the wheel',
      'Show Wheel from above',
      'Show Slides',
      'Show With the historian',
      'Show Kiln',
      'Mute Host',
      'Mute Co-host',
      'Mute Guest potter',
      'Mute Historian',
      'Black',
      'Start the stream',
      'End the stream',
      'Start the recording',
      'End the recording',
    ]));
  it('has a value of its own for each', () =>
    expect(new Set(options.map(({ value }) => value)).size).toBe(options.length));
  it('finds the action of every button again by its value', () => {
    for (const { does } of Object.values(rig.panel.buttons))
      expect(options.find(({ value }) => value === doesValue(does))?.does).toEqual(does);
  });
  it('is written on the map', () =>
    expect([
      doesText(rig, { type: 'scene', sceneId: 'kiln' }),
      doesText(rig, { type: 'mute', personId: 'host' }),
      doesText(rig, { type: 'black' }),
      doesText(rig, { type: 'stream', turn: 'end' }),
      doesText(rig, { type: 'recording', turn: 'start' }),
    ]).toEqual(['Kiln', 'mutes Host', 'black', 'ends the stream', 'starts the recording']));
  it('names its guard, and nothing for a single press', () =>
    expect([guardText('none'), guardText('hold'), guardText('under a cover')]).toEqual([
      '',
      'hold for a second',
      'under a cover',
    ]));
});
