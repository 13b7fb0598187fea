/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useRef, useState } from 'react';
import { ChoiceField } from './ChoiceField';
import { draw } from './in-browser-for-tests';
import { PickList, type PickGroup } from './PickList';

describe('a choice', () => {
  const options = [
    { value: 'one', label: 'One in four' },
    { value: 'exact', label: 'Exactly enough' },
  ];
  it('shows what is chosen and hands on another', async () => {
    const chosen: string[] = [];
    draw(
      <ChoiceField
        label="Spare inputs"
        value="one"
        options={options}
        onChoose={(value) => chosen.push(value)}
      />,
    );
    const list = screen.getByLabelText<HTMLSelectElement>('Spare inputs');
    expect(list.selectedOptions[0]?.textContent).toBe('One in four');
    await userEvent.selectOptions(list, 'Exactly enough');
    expect(chosen).toEqual(['exact']);
  });
});

const GROUPS: readonly PickGroup[] = [
  {
    heading: 'Microphones',
    items: [
      { key: 'stage', label: 'Stage dynamic, hand-held', words: 'mic voice' },
      { key: 'ribbon', label: 'Ribbon', words: 'mic voice', disabled: true },
    ],
  },
  { heading: 'Cameras', items: [{ key: 'webcam', label: 'Webcam', about: 'Small and simple' }] },
];

const Picking = ({ onPick }: { readonly onPick: (key: string) => void }) => {
  const [query, setQuery] = useState('');
  const input = useRef<HTMLInputElement>(null);
  return (
    <PickList
      label="Add a device"
      placeholder="Search"
      groups={GROUPS}
      empty="Nothing is called that."
      query={query}
      onQuery={setQuery}
      onPick={onPick}
      inputRef={input}
    />
  );
};

describe('a list to pick from', () => {
  const pick = () => {
    const picked: string[] = [];
    draw(<Picking onPick={(key) => picked.push(key)} />);
    return picked;
  };
  const shown = () => screen.queryAllByRole('option').map(({ textContent }) => textContent);

  it('finds a thing by what people call it, by what is said of it, and by several words', async () => {
    pick();
    await userEvent.type(screen.getByPlaceholderText('Search'), 'MIC hand');
    expect(shown()).toEqual([expect.stringContaining('Stage dynamic')]);
    await userEvent.clear(screen.getByPlaceholderText('Search'));
    await userEvent.type(screen.getByPlaceholderText('Search'), 'simple');
    expect(shown()).toEqual([expect.stringContaining('Webcam')]);
  });
  it('says so where nothing is called that', async () => {
    pick();
    await userEvent.type(screen.getByPlaceholderText('Search'), 'trombone');
    expect(shown()).toEqual([]);
    expect(screen.getByText('Nothing is called that.')).toBeTruthy();
  });
  it('is picked from with the keyboard alone, and passes over what cannot be picked', async () => {
    const picked = pick();
    await userEvent.click(screen.getByPlaceholderText('Search'));
    await userEvent.keyboard('{ArrowDown}{Enter}');
    expect(picked).toEqual(['webcam']);
  });
  it('is picked from with the pointer, what can be', async () => {
    const picked = pick();
    await userEvent.click(screen.getByText('Ribbon'));
    await userEvent.click(screen.getByText('Webcam'));
    expect(picked).toEqual(['webcam']);
  });
});
