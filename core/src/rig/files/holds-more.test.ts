import { analyse } from '../../analyse';
import { oldFile, read } from './files-for-cases';

/**
 * Stops, warnings and notes of rigs of version 7, a cause counted once. The hall's 24 open microphones
 * come back together 2.1 dB louder than they went in, which no single loop says, and
 * a camera's battery lasts the show but not the set-up before it; 59.94 slips in 30 as in 60. Of
 * cables and mains: what a socket of USB 2 gives, a cable across the main doors, and what no way leads to.
 * Of time: sound that comes before its picture, what nobody knows of it, and a voice by two ways.
 */
const JUDGED = {
  'second-firing': [8, 19, 11],
  'night-tide': [1, 7, 6],
  'harbour-hall': [1, 8, 14],
} as const;

describe.each(Object.entries(JUDGED))('%s of version 7', (name, judged) => {
  const opened = read(oldFile(name, 7));
  if (!opened.ok) throw new Error(opened.problems[0]?.says);
  const { rig } = opened;
  it('opens without lenses, hands, mains and settings to repeat', () => {
    expect([rig.lenses, rig.hands, rig.reminders, rig.mains]).toEqual([{}, {}, {}, null]);
    expect(Object.values(rig.devices).filter(({ lensId }) => lensId !== null)).toEqual([]);
    expect(Object.values(rig.people).map(({ is }) => is)).toEqual(
      Object.values(rig.people).map(() => 'person'),
    );
    expect(Object.values(rig.scenes).every(({ selects }) => selects.length === 0)).toBe(true);
    expect(Object.values(rig.panel.buttons).every(({ handId }) => handId === null)).toBe(true);
  });
  it('is judged as its figures are', () => {
    const { stops, warns, notes } = analyse(rig).verdict;
    expect([stops, warns, notes]).toEqual(judged);
  });
  it('records where it did: cards inside recorders, always', () => {
    const cards = Object.values(rig.devices).flatMap(({ model }) =>
      Object.values(model.ports).filter(({ records }) => records),
    );
    expect(cards.map(({ records }) => records)).toEqual(cards.map(() => ({ control: null })));
  });
});
