/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { draw, field } from './in-browser-for-tests';
import { NameField } from './NameField';
import { NumberField } from './NumberField';

const number = (more: Partial<Parameters<typeof NumberField>[0]> = {}) => {
  const committed: (number | null)[] = [];
  draw(
    <NumberField
      label="Gain"
      unit="dB"
      value={54}
      min={-10}
      max={70}
      onCommit={(value) => committed.push(value)}
      {...more}
    />,
  );
  return committed;
};
const type = async (label: string, text: string) => {
  await userEvent.clear(field(label));
  await userEvent.type(field(label), text);
};

describe('a number', () => {
  it('takes effect on Enter, and only once', async () => {
    const committed = number();
    await type('Gain', '60');
    expect(committed).toEqual([]);
    await userEvent.keyboard('{Enter}');
    await userEvent.tab();
    expect(committed).toEqual([60]);
  });
  it('takes effect when the field is left', async () => {
    const committed = number();
    await type('Gain', '12.5');
    await userEvent.tab();
    expect(committed).toEqual([12.5]);
  });
  it.each([
    ['12,5', 12.5],
    ['−3', -3],
    ['+7', 7],
    ['1e1', 10],
    ['.5', 0.5],
  ])('reads %s as people write it', async (text, value) => {
    const committed = number();
    await type('Gain', `${text}{Enter}`);
    expect(committed).toEqual([value]);
  });
  it.each([
    ['loud', 'This is not a number.'],
    ['70.1', 'At most 70 dB.'],
    ['-11', 'At least −10 dB.'],
    [' ', 'A number is needed here.'],
  ])('%s is refused in words, and nothing is lost', async (text, why) => {
    const committed = number();
    await type('Gain', `${text}{Enter}`);
    expect(screen.getByText(why)).toBeTruthy();
    expect(field('Gain').getAttribute('aria-invalid')).toBe('true');
    expect(committed).toEqual([]);
    await userEvent.tab();
    expect(field('Gain').value).toBe('54');
  });
  it('that must be whole refuses a fraction', async () => {
    const committed = number({ isWhole: true });
    await type('Gain', '2.3{Enter}');
    expect(screen.getByText('A whole number is needed here.')).toBeTruthy();
    expect(committed).toEqual([]);
  });
  it('that may be unknown is unknown when it is left empty', async () => {
    const committed = number({ mayBeUnknown: true });
    await userEvent.clear(field('Gain'));
    await userEvent.keyboard('{Enter}');
    expect(committed).toEqual([null]);
  });
  it('steps with the arrows, and stops at its ends', async () => {
    const committed = number({ value: 69.5, step: 0.5 });
    await userEvent.click(field('Gain'));
    await userEvent.keyboard('{ArrowUp}');
    await userEvent.keyboard('{ArrowDown}');
    expect(committed).toEqual([70, 69]);
  });
  it('puts back what was there on Escape', async () => {
    const committed = number();
    await type('Gain', '3{Escape}');
    expect(field('Gain').value).toBe('54');
    await userEvent.tab();
    expect(committed).toEqual([]);
  });
  it('below zero is written with a minus and not with a hyphen', () => {
    number({ value: -4 });
    expect(field('Gain').value).toBe('−4');
  });
});

describe('a name', () => {
  const name = () => {
    const committed: string[] = [];
    draw(<NameField label="Name" value="Mic" onCommit={(text) => committed.push(text)} />);
    return committed;
  };
  it('takes effect on Enter, without the blanks round it', async () => {
    const committed = name();
    await type('Name', '  Host mic {Enter}');
    expect(committed).toEqual(['Host mic']);
  });
  it('that is empty puts back what was there', async () => {
    const committed = name();
    await userEvent.clear(field('Name'));
    await userEvent.tab();
    expect(committed).toEqual([]);
    expect(field('Name').value).toBe('Mic');
  });
  it('that is the same is no edit', async () => {
    const committed = name();
    await type('Name', 'Mic{Enter}');
    expect(committed).toEqual([]);
  });
  it('pasted from a spreadsheet becomes one line', async () => {
    const committed = name();
    await userEvent.clear(field('Name'));
    await userEvent.click(field('Name'));
    await userEvent.paste('Host\tmic');
    await userEvent.keyboard('{Enter}');
    expect(committed).toEqual(['Host mic']);
  });
});
