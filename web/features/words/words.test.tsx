/** @jest-environment jsdom */
import { analyse } from '@echo-loom/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { harbourHall } from '../../../demo/harbour-hall';
import { secondFiring } from '../../../demo/second-firing';
import { draw } from '@/ui/in-browser-for-tests';
import { Explained } from './Explained';
import { GLOSSARY } from './glossary';
import { piecesOf } from './pieces';
import { WordsSheet } from './WordsSheet';

const terms = (text: string): string[] =>
  piecesOf(text).flatMap(({ word }) => (word ? [word.term] : []));

describe('the glossary', () => {
  it('lists each word once, in order, explained in a few plain sentences', () => {
    const names = GLOSSARY.map(({ term }) => term.toLowerCase());
    expect(new Set(names).size).toBe(names.length);
    expect([...names].sort((a, b) => a.localeCompare(b, 'en'))).toEqual(names);
    for (const { term, says } of GLOSSARY) {
      expect([term, says.length > 30 && says.length < 180]).toEqual([term, true]);
      expect(says).toMatch(/[.]$/);
    }
  });
  it('finds whole words only, the longest first, whatever their case', () => {
    expect(terms('Phantom power is off.')).toEqual(['phantom power']);
    expect(terms('Set the gain.')).toEqual(['gain']);
    expect(terms('Take it again.')).toEqual([]);
    expect(terms('The signal-to-noise ratio is even.')).toEqual(['signal to noise']);
    expect(terms('Unbalanced, not balanced.')).toEqual(['unbalanced', 'balanced']);
  });
  it('explains a word where it first stands, and leaves the sentence as it was', () => {
    expect(terms('Gain, and more gain.')).toEqual(['gain']);
    for (const rig of [secondFiring(), harbourHall()])
      for (const { says } of analyse(rig).findings)
        expect(
          piecesOf(says)
            .map(({ text }) => text)
            .join(''),
        ).toBe(says);
  });
});

describe('a word in a sentence', () => {
  it('says what it means on focus, on a click, and no more after Escape', async () => {
    draw(<Explained text="It needs phantom power." />);
    const word = screen.getByRole('button', { name: 'phantom power: what is that?' });
    await userEvent.tab();
    expect(document.activeElement).toBe(word);
    expect((await screen.findByRole('tooltip')).textContent).toContain('48 V');
    await userEvent.keyboard('{Escape}');
    await waitFor(() => expect(screen.queryByRole('tooltip')).toBeNull());
    await userEvent.click(word);
    expect((await screen.findByRole('tooltip')).textContent).toContain('48 V');
  });
  it('is found in the list of all', async () => {
    draw(<WordsSheet onClose={() => undefined} />);
    await userEvent.type(screen.getByLabelText('Search the words'), 'caller');
    expect(screen.getByText('mix-minus')).toBeTruthy();
    expect(screen.queryByText('headroom')).toBeNull();
    await userEvent.type(screen.getByLabelText('Search the words'), 'zzz');
    expect(screen.getByText('No word matches.')).toBeTruthy();
  });
});
