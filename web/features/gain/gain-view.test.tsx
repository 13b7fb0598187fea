/** @jest-environment jsdom */
import {
  analyse,
  apply,
  blankRig,
  type Rig,
  setForAll,
  setForVoice,
  voices,
} from '@echo-loom/core';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { demo, drawWithRig } from '@/features/rig/rig-for-tests';
import { EngineQueue } from '@/workers/queue';
import { GainView } from './GainView';

/** jsdom paints nothing; the ladder's words and its table stand beside the chart. */
jest.mock('react-chartjs-2', () => ({ Chart: () => null, Line: () => null }));

const rig = demo('night-tide');
const WAIT = { timeout: 20_000 };

/** The engine takes for ever, and says now and then how far it is. */
const slowly = () => {
  const signals: AbortSignal[] = [];
  const running = jest.spyOn(EngineQueue.prototype, 'run').mockImplementation((_, signal) => {
    signals.push(signal);
    return new Promise(() => undefined);
  });
  return { signals, end: () => running.mockRestore() };
};
const gains = (from: Rig) => JSON.stringify(Object.values(from.devices).map((one) => one.settings));

describe('gain', () => {
  it('asks for a voice where the rig has none', () => {
    drawWithRig(blankRig('Empty'), <GainView />);
    expect(screen.getByText('No voice reaches a converter yet.')).toBeTruthy();
  });
  it('lists every voice at its converter', () => {
    const { session } = drawWithRig(rig, <GainView />);
    const { analysis } = session.store.getState();
    const names = voices(analysis).map((stage) => {
      let at = stage;
      while (at.parent) at = at.parent;
      return analysis.device(at.at.device).name;
    });
    for (const name of names) expect(screen.getAllByText(name).length).toBeGreaterThan(0);
  });
  it('shows what it found for a voice and why, and sets nothing before it is wanted', async () => {
    const { session } = drawWithRig(rig, <GainView />);
    await userEvent.click(screen.getByRole('button', { name: 'Set it for me' }));
    await screen.findByText(/settings were tried/, {}, WAIT);
    expect(session.store.getState().history).toHaveLength(0);
    const wanted = voices(session.store.getState().analysis).map((stage) =>
      setForVoice(session.store.getState().analysis, stage),
    );
    const tried = wanted.flatMap((answer) => (answer.can ? [answer.proposal.tried] : []));
    expect(
      tried.some((count) => screen.queryByText(new RegExp(`All ${count.toLocaleString('en')} `))),
    ).toBe(true);
  });
  it('sets every gain as one edit', async () => {
    const { session } = drawWithRig(rig, <GainView />);
    const { commands } = setForAll(session.store.getState().analysis);
    await userEvent.click(screen.getByRole('button', { name: 'Set every gain' }));
    await waitFor(() => expect(session.store.getState().history).toHaveLength(1), WAIT);
    expect(gains(session.store.getState().rig)).toBe(
      gains(apply(rig, { type: 'batch', label: 'All', commands: [...commands] })),
    );
  });
  it('can be called off while it searches, and nothing is set', async () => {
    const engine = slowly();
    const { session } = drawWithRig(rig, <GainView />);
    await userEvent.click(screen.getByRole('button', { name: 'Set every gain' }));
    const status = await screen.findByText(/^Setting one voice after the other/);
    const bar = status.parentElement;
    if (bar) await userEvent.click(within(bar).getByRole('button', { name: 'Cancel' }));
    expect(engine.signals.at(-1)?.aborted).toBe(true);
    expect(screen.queryByText(/^Setting one voice/)).toBeNull();
    expect(session.store.getState().history).toHaveLength(0);
    engine.end();
  });
  it('calls its search off when the rig changes under it', async () => {
    const engine = slowly();
    const { session } = drawWithRig(rig, <GainView />);
    await userEvent.click(screen.getByRole('button', { name: 'Set it for me' }));
    await screen.findByText(/^Trying every setting/);
    session.run({ type: 'renameRig', name: 'Another name' });
    await waitFor(() => expect(engine.signals.at(-1)?.aborted).toBe(true));
    expect(screen.queryByText(/^Trying every setting/)).toBeNull();
    engine.end();
  });
  it('says that a search failed, and can be tried again', async () => {
    const failing = jest
      .spyOn(EngineQueue.prototype, 'run')
      .mockRejectedValue(new Error('out of memory'));
    drawWithRig(rig, <GainView />);
    await userEvent.click(screen.getByRole('button', { name: 'Set it for me' }));
    expect(await screen.findByText('The search failed: out of memory. Try again.')).toBeTruthy();
    failing.mockRestore();
    await userEvent.click(screen.getByRole('button', { name: 'Set it for me' }));
    expect(await screen.findByText(/settings were tried/, {}, WAIT)).toBeTruthy();
  });
  it('compares what could be bought, the best first', async () => {
    drawWithRig(rig, <GainView />);
    await userEvent.click(screen.getByRole('button', { name: 'Try everything and compare' }));
    const table = await screen.findByRole('table', { name: /^Remedies for/ }, WAIT);
    const buttons = within(table).getAllByRole('button', { name: /^Do it: / });
    expect(buttons.length).toBeGreaterThan(2);
  });
  it('does a remedy as one edit', async () => {
    const { session } = drawWithRig(rig, <GainView />);
    await userEvent.click(screen.getByRole('button', { name: 'Try everything and compare' }));
    const table = await screen.findByRole('table', { name: /^Remedies for/ }, WAIT);
    const [first] = within(table).getAllByRole('button', { name: /^Do it: / });
    const label = first?.getAttribute('aria-label')?.replace('Do it: ', '') ?? '';
    if (first) await userEvent.click(first);
    expect(session.store.getState().history.at(-1)?.says).toContain(label);
  });
  it('gives a sheet for whoever stands at the knobs', () => {
    drawWithRig(rig, <GainView />);
    const sheet = screen.getByRole('table', { name: 'Gains to set by hand' });
    const lines = within(sheet).getAllByRole('row').slice(1);
    expect(lines.length).toBe(analyse(rig) && voices(analyse(rig)).length);
  });
});
