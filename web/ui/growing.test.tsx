/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { draw } from './in-browser-for-tests';
import { SearchProgress } from './Searching';
import { useGrowing } from './useGrowing';

/** A list that is drawn three at a time; every length it was drawn with is put down. */
const drawn: number[] = [];
const List = ({ of, items }: { readonly of: string; readonly items: readonly string[] }) => {
  const count = useGrowing(items.length, 3, of);
  drawn.push(count);
  return (
    <ul>
      {items.slice(0, count).map((item) => (
        <li key={item}>{item}</li>
      ))}
    </ul>
  );
};
const items = (count: number, of: string) =>
  Array.from({ length: count }, (_, index) => `${of} ${index + 1}`);
const count = () => screen.queryAllByRole('listitem').length;

describe('a list that grows', () => {
  beforeEach(() => {
    drawn.length = 0;
  });
  it('begins with a few and comes to its end, never by more than a few at once', async () => {
    draw(<List of="pots" items={items(11, 'Pot')} />);
    expect(drawn[0]).toBe(3);
    await waitFor(() => expect(count()).toBe(11));
    drawn.forEach((length, index) => {
      expect(length - (drawn[index - 1] ?? 0)).toBeLessThanOrEqual(3);
    });
  });
  it('draws a short list at once', () => {
    draw(<List of="pots" items={items(2, 'Pot')} />);
    expect(count()).toBe(2);
  });
  it('draws nothing of an empty one', () => {
    draw(<List of="pots" items={[]} />);
    expect(count()).toBe(0);
  });
  it('begins anew with another list', async () => {
    const Switch = () => {
      const [of, setOf] = useState('Pot');
      return (
        <>
          <button onClick={() => setOf('Jug')}>Jugs</button>
          <List of={of} items={items(9, of)} />
        </>
      );
    };
    draw(<Switch />);
    await waitFor(() => expect(count()).toBe(9));
    drawn.length = 0;
    await userEvent.click(screen.getByRole('button', { name: 'Jugs' }));
    expect(drawn[0]).toBe(3);
    await waitFor(() => expect(count()).toBe(9));
    expect(screen.getByText('Jug 9')).toBeTruthy();
  });
});

describe('a search under way', () => {
  it('says how far it is, in figures that can be read', () => {
    draw(
      <SearchProgress
        label="Trying every setting"
        at={{ state: 'working', tried: 20_000, of: 372_100 }}
        onCancel={() => undefined}
      />,
    );
    expect(screen.getByText('Trying every setting: 20,000 of 372,100 …')).toBeTruthy();
    expect(screen.getByRole('progressbar').getAttribute('aria-valuenow')).toBe('5.374899220639613');
  });
  it('says only what it does while it is not known how far it is', () => {
    draw(
      <SearchProgress
        label="Trying everything"
        at={{ state: 'working', tried: 0, of: 0 }}
        onCancel={() => undefined}
      />,
    );
    expect(screen.getByText('Trying everything …')).toBeTruthy();
  });
  it('can be called off', async () => {
    let isOff = false;
    draw(
      <SearchProgress
        label="Trying everything"
        at={{ state: 'working', tried: 1, of: 9 }}
        onCancel={() => {
          isOff = true;
        }}
      />,
    );
    await userEvent.click(screen.getByRole('button', { name: 'Cancel' }));
    expect(isOff).toBe(true);
  });
  it('says why it came to nothing, as an alarm', () => {
    draw(
      <SearchProgress
        label="Trying everything"
        at={{ state: 'failed', says: 'out of memory' }}
        onCancel={() => undefined}
      />,
    );
    expect(screen.getByRole('alert').textContent).toBe(
      'The search failed: out of memory. Try again.',
    );
  });
  it('says nothing before it is begun, and leaves the answer to whoever asked', () => {
    for (const state of ['idle', 'done'] as const) {
      draw(<SearchProgress label="Trying everything" at={{ state }} onCancel={() => undefined} />);
      expect(screen.queryByText(/Trying/)).toBeNull();
    }
  });
});
