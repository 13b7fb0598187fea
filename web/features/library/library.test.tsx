/** @jest-environment jsdom */
import { type Model, type ModelDraft, RigDraft } from '@echo-loom/core';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { serverThat } from '@/features/shelf/server-for-tests';
import { field } from '@/ui/in-browser-for-tests';
import { drawWithRouter } from '@/ui/router-for-tests';
import { LibraryList } from './LibraryList';
import { ModelEditor } from './ModelEditor';
import { ALL, type Entry, narrowed } from './search';

/** What the library lists, what its editor takes and refuses, and what it says when the server does not keep it. */

const booster = new RigDraft('Case').device('one', 'booster-inline', {}).build().devices[
  'one'
]?.model;
if (!booster) throw new Error('it is in the catalogue');
const own = { id: 'ours', version: 3, model: { ...booster, name: 'Booster of ours' } };

const keep = () => screen.getByRole('button', { name: 'Keep it' });
const name = () =>
  within(screen.getByRole('region', { name: 'What it is' })).getByLabelText<HTMLInputElement>(
    'Name',
  );
const typeName = async (text: string): Promise<void> => {
  await userEvent.clear(name());
  await userEvent.type(name(), text);
  await userEvent.tab();
};

describe('the editor', () => {
  const edit = (start: ModelDraft = own.model) =>
    drawWithRouter(<ModelEditor own={own} start={start} />);
  it('keeps nothing that is not changed, and what is under the version it was made from', async () => {
    const sent = serverThat(200, { models: [{ id: 'ours', version: 4 }] });
    edit();
    expect(keep().hasAttribute('disabled')).toBe(true);
    await typeName('Booster, longer');
    await userEvent.click(keep());
    expect(sent.map(({ where }) => where)).toEqual(['/api/library']);
    expect(sent[0]?.body).toEqual({
      does: 'save',
      id: 'ours',
      from: 3,
      model: { ...own.model, name: 'Booster, longer' },
    });
    expect(screen.getByText('version 4')).toBeTruthy();
    expect(keep().hasAttribute('disabled')).toBe(true);
  });
  it('takes back and does again, and a further change ends what could be done again', async () => {
    edit();
    const [undo, redo] = ['Undo', 'Redo'].map((label) =>
      screen.getByRole('button', { name: label }),
    );
    if (!undo || !redo) throw new Error('both are there');
    await typeName('One');
    await typeName('Two');
    await userEvent.click(undo);
    expect(name().value).toBe('One');
    await userEvent.click(redo);
    expect(name().value).toBe('Two');
    await userEvent.click(undo);
    await typeName('Three');
    expect(redo.hasAttribute('disabled')).toBe(true);
    expect(name().value).toBe('Three');
  });
  it('says what is missing and where, and cannot be kept until it is there', async () => {
    const wrong = { ...own.model, ports: {} };
    edit(wrong);
    const missing = screen.getByRole('region', { name: 'What is missing' });
    expect(within(missing).getAllByRole('listitem').length).toBeGreaterThan(0);
    await typeName('Still without sockets');
    expect(keep().hasAttribute('disabled')).toBe(true);
  });
  it('keeps what was typed where somebody else saved meanwhile, and offers it as a new one', async () => {
    const sent = serverThat(409, { says: 'Somebody else saved version 4 of “ours” meanwhile.' });
    edit();
    await typeName('Mine');
    await userEvent.click(keep());
    expect(name().value).toBe('Mine');
    expect(screen.getByText(/^version 3/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Keep as a new one' }));
    expect(sent.at(-1)?.body).toMatchObject({ id: null, from: 0 });
  });
  it('marks what is typed as of the data sheet, and can be told that it is not', async () => {
    edit();
    const price = within(screen.getByRole('region', { name: 'What it is' }));
    expect(price.getByText(/^typical/)).toBeTruthy();
    await userEvent.clear(field('Price'));
    await userEvent.type(field('Price'), '99');
    await userEvent.tab();
    expect(price.getByText(/^from the data sheet/)).toBeTruthy();
    await userEvent.click(price.getByRole('checkbox'));
    expect(price.getByText(/^typical/)).toBeTruthy();
  });
});

describe('the list', () => {
  const dear: Model = { ...booster, kind: 'preamp', typicalPrice: 900 };
  const entries: readonly Entry[] = [
    { key: 'a', model: own.model, own, isThere: false },
    { key: 'b', model: dear, own: null, isThere: true },
    { key: 'c', model: { ...dear, typicalPrice: null }, own: null, isThere: false },
  ];
  const keys = (by: Partial<typeof ALL>) =>
    narrowed(entries, { ...ALL, ...by }).map(({ key }) => key);
  it('is narrowed by words, whose, kind, connector and price together', () => {
    expect(keys({})).toEqual(['a', 'b', 'c']);
    expect(keys({ query: 'OURS booster' })).toEqual(['a']);
    expect(keys({ whose: 'ours' })).toEqual(['a']);
    expect(keys({ whose: 'catalogue', kind: 'preamp' })).toEqual(['b', 'c']);
    expect(keys({ whose: 'there' })).toEqual(['b']);
    // Without a price nobody knows whether it is under it.
    expect(keys({ mostPrice: 900 })).toEqual(['a', 'b']);
    expect(keys({ mostPrice: 10 })).toEqual([]);
    expect(keys({ connector: 'xlr' })).toEqual(['a', 'b', 'c']);
    expect(keys({ connector: 'hdmi' })).toEqual([]);
  });
  it('says so where nothing fits, and shows everything again', async () => {
    drawWithRouter(<LibraryList models={[own]} there={[]} currency="EUR" />);
    const count = () => screen.getByRole('status').textContent;
    const all = count();
    await userEvent.type(screen.getByLabelText('Search models'), 'no such thing');
    expect(screen.getByText('Nothing fits all of that.')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Show everything' }));
    expect(count()).toBe(all);
    expect(screen.getByRole('link', { name: 'Booster of ours' }).getAttribute('href')).toBe(
      '/library/ours',
    );
  });
  it('takes a model out and says how to have it back', async () => {
    const sent = serverThat(200, {});
    const going = drawWithRouter(<LibraryList models={[own]} there={[]} currency="EUR" />);
    await userEvent.click(
      screen.getByRole('button', { name: 'Take Booster of ours out of the library' }),
    );
    expect(sent.map(({ body }) => body)).toEqual([{ does: 'remove', id: 'ours' }]);
    expect(going.refreshes).toBe(1);
  });
});
