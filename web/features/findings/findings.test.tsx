/** @jest-environment jsdom */
import { analyse, apply, blankRig, findingKey, fixesOf, type Rig } from '@echo-loom/core';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { demo, drawWithRig, engineHere } from '@/features/rig/rig-for-tests';
import { EngineQueue } from '@/workers/queue';
import { FindingCard } from './FindingCard';
import { FindingsView } from './FindingsView';

const SLOW = 90_000;
const rig = demo('second-firing');

/** A rig with one finding of a code, its card, and what it would do. */
const card = (from: Rig, code: string) => {
  const analysis = analyse(from);
  const finding = analysis.findings.find((other) => other.code === code);
  if (!finding) throw new Error(`nothing is found of ${code}`);
  return {
    finding,
    open: drawWithRig(from, <FindingCard analysis={analysis} finding={finding} />),
    article: () => screen.getByRole('article', { name: finding.title }),
  };
};
const tried = (article: () => HTMLElement) =>
  waitFor(() => expect(article().getAttribute('aria-busy')).toBe('false'), { timeout: SLOW });

describe('a finding', () => {
  it('says what happens, its sums, its code, and the house rule it was judged by', async () => {
    const { finding, article } = card(rig, 'sound.gain-low');
    expect(article().textContent).toContain(finding.says);
    expect(within(article()).getByText('The sums')).toBeTruthy();
    expect(within(article()).getByText('sound.gain-low')).toBeTruthy();
    const rule = within(article()).getByRole('link');
    expect(rule.getAttribute('href')).toBe('/rigs/a-rig/rules#recordingLevel');
    await tried(article);
  });
  it('tries its fixes, and says what each would change', async () => {
    const { article } = card(rig, 'sound.phantom-missing');
    expect(within(article()).getByText(/^Trying what would help/)).toBeTruthy();
    await tried(article);
    const fix = within(article()).getByRole('button', { name: /^Switch phantom/ });
    expect(fix.textContent).toContain('Switch phantom power on at Strip 2, Microphone input');
    expect(fix.textContent).toContain('Cures this. Then: 8 stops, 35 warnings, 14 notes.');
    expect(fix.textContent).toContain('Brings: ');
  });
  it('applies a fix as one edit', async () => {
    const { article, open, finding } = card(rig, 'sound.phantom-missing');
    await tried(article);
    await userEvent.click(within(article()).getByRole('button', { name: /^Switch phantom/ }));
    const { analysis, history } = open.session.store.getState();
    expect(history).toHaveLength(1);
    expect(analysis.findings.map(findingKey)).not.toContain(findingKey(finding));
  });
  it('stands there without fixes where nothing would help', async () => {
    const analysis = analyse(rig);
    const hopeless = analysis.findings.find(
      (finding) => fixesOf(analysis, finding).length === 0,
    )?.code;
    const { article } = card(rig, hopeless ?? '');
    await tried(article);
    expect(within(article()).queryByText(/^Trying/)).toBeNull();
    const real = within(article())
      .getAllByRole('button')
      .filter(({ tagName }) => tagName === 'BUTTON');
    expect(real.map(({ textContent }) => textContent)).toEqual(['Put aside…']);
  });
  it('says why nothing could be tried where the engine fails', async () => {
    const failing = jest
      .spyOn(EngineQueue.prototype, 'run')
      .mockRejectedValue(new Error('The engine stopped'));
    const { article } = card(rig, 'sound.gain-low');
    await waitFor(() =>
      expect(
        within(article()).getByText('What would help could not be tried: The engine stopped'),
      ).toBeTruthy(),
    );
    failing.mockRestore();
  });
});

describe('all that is free', () => {
  const look = () =>
    userEvent.click(screen.getByRole('button', { name: 'Look at all that is free' }));
  const region = () => screen.findByRole('region', { name: 'All that is free' }, { timeout: SLOW });
  it('is looked at, without what is not wanted, and done as one edit that is taken back at once', async () => {
    const { session } = drawWithRig(demo('night-tide'), <FindingsView rigId="a-rig" />);
    const before = session.store.getState();
    await look();
    const first = within(await region()).getAllByRole('checkbox').length;
    await userEvent.click(within(await region()).getAllByRole('checkbox')[0] ?? document.body);
    const shown = await region();
    expect(within(shown).getAllByRole('checkbox', { checked: false })).toHaveLength(1);
    expect(first).toBeGreaterThan(2);
    await userEvent.click(within(shown).getByRole('button', { name: /^Do all/ }));
    const { verdict } = session.store.getState().analysis;
    expect(verdict.warns).toBeLessThan(before.analysis.verdict.warns);
    session.undo();
    expect(session.store.getState().rig).toEqual(before.rig);
  });
  it('can be left alone', async () => {
    drawWithRig(demo('night-tide'), <FindingsView rigId="a-rig" />);
    await look();
    await userEvent.click(within(await region()).getByRole('button', { name: 'Not now' }));
    expect(screen.getByRole('button', { name: 'Look at all that is free' })).toBeTruthy();
  });
});

describe('the findings', () => {
  const count = () => screen.queryAllByRole('article').length;
  const all = (number: number) => waitFor(() => expect(count()).toBe(number), { timeout: SLOW });

  it('say that all is well with an empty rig', () => {
    drawWithRig(blankRig('Empty'), <FindingsView rigId="a-rig" />);
    expect(screen.getByText('Nothing found. The rig does what it says.')).toBeTruthy();
  });
  it('come a few at a time, the worst first, until all are there', async () => {
    const { session } = drawWithRig(rig, <FindingsView rigId="a-rig" />);
    const { causes, findings } = session.store.getState().analysis;
    // One cause is one card, however many places it shows in.
    expect(causes.length).toBeLessThan(findings.length);
    expect(count()).toBeLessThan(causes.length);
    await all(causes.length);
    expect(screen.getAllByRole('heading', { level: 3 }).map((item) => item.textContent)).toEqual(
      causes.map(({ title }) => title),
    );
    expect(
      screen.getByRole('article', { name: '2 voices stand under the house level' }).textContent,
    ).toContain('In: Host mic, Co-host mic');
  }, 120_000);
  it('are chosen by level and by area', async () => {
    const { session } = drawWithRig(rig, <FindingsView rigId="a-rig" />);
    const { causes } = session.store.getState().analysis;
    await userEvent.selectOptions(screen.getByLabelText('Level'), 'Stops');
    const stops = causes.filter(({ finding }) => finding.level === 'stop');
    expect(screen.getByText(`${stops.length} of ${causes.length}`)).toBeTruthy();
    await userEvent.selectOptions(screen.getByLabelText('Area'), 'picture');
    await all(stops.filter(({ finding }) => finding.area === 'picture').length);
  });
  it('say so where none is of the kind that was chosen', async () => {
    const quiet = apply(blankRig('One'), {
      type: 'addPlace',
      placeId: 'shed',
      place: { name: 'Shed' },
    });
    drawWithRig(quiet, <FindingsView rigId="a-rig" />);
    await userEvent.selectOptions(screen.getByLabelText('Level'), 'Stops');
    expect(screen.getByText('Nothing found. The rig does what it says.')).toBeTruthy();
  });
  it('lead to their place on the loom', async () => {
    const { visited } = drawWithRig(rig, <FindingsView rigId="a-rig" />);
    const [first] = await screen.findAllByRole('button', { name: 'Show on the loom' });
    if (first) await userEvent.click(first);
    expect(visited).toEqual(['/rigs/a-rig']);
  });
});

describe('findings put aside', () => {
  const CODE = 'sound.phantom-missing';
  const put = async (reason: string) => {
    const { open, article, finding } = card(rig, CODE);
    await userEvent.click(within(article()).getByRole('button', { name: 'Put aside…' }));
    if (reason !== '') await userEvent.type(within(article()).getByRole('textbox'), reason);
    return { open, article, finding };
  };
  it('want a reason', async () => {
    const { article, open } = await put('');
    const button = within(article()).getByRole('button', { name: 'Put aside' });
    expect(button.hasAttribute('disabled')).toBe(true);
    await userEvent.keyboard('{Escape}');
    expect(within(article()).queryByRole('textbox')).toBeNull();
    expect(open.session.store.getState().history).toHaveLength(0);
  });
  it('press no more, and are listed with the reason until they are taken up again', async () => {
    const { open, finding } = await put('The headset has its own battery.');
    await userEvent.keyboard('{Enter}');
    const { session } = open;
    const key = findingKey(finding);
    const keys = () => session.store.getState().analysis.findings.map(findingKey);
    expect(keys()).not.toContain(key);
    cleanup();
    drawWithRig(session.store.getState().rig, <FindingsView rigId="a-rig" />);
    const list = screen.getByRole('region', { name: 'Put aside' });
    expect(list.textContent).toContain('The headset has its own battery.');
    expect(list.textContent).toContain('No phantom power');
    await userEvent.click(within(list).getByRole('button', { name: /^Take up again/ }));
    await waitFor(() => expect(screen.queryByRole('region', { name: 'Put aside' })).toBeNull());
  });
});

describe('the engine of the tests', () => {
  it('refuses tasks before it has a rig, as the worker does', () =>
    expect(() => engineHere().tasks.remedies(0)).toThrow('before it was given a rig'));
});
