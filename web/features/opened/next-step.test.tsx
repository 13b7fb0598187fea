/** @jest-environment jsdom */
import { blankRig, findingKey, type NextStep as Step } from '@echo-loom/core';
import { screen } from '@testing-library/react';
import { FindingsView } from '@/features/findings/FindingsView';
import { gainText, NextStep } from './NextStep';
import { demo, drawWithRig } from '@/features/rig/rig-for-tests';

const step = (stopsGone: number, warnsGone: number, cost: number): Step => ({
  key: '',
  fix: { label: 'Do it', command: { type: 'renameRig', name: 'Done' } },
  after: { stops: 0, warns: 0, notes: 0 },
  stopsGone,
  warnsGone,
  cost,
  isFree: cost === 0,
});

describe('what to do next', () => {
  const money = (amount: number) => `€${amount}`;
  it.each([
    [step(2, 0, 180), '2 stops gone, €180'],
    [step(1, 1, 0), '1 stop gone, 1 warning gone, free'],
    [step(0, 3, 20), '3 warnings gone, €20'],
    [{ ...step(1, 0, 0), isFree: false }, '1 stop gone'],
  ])('is told with what comes of it: %#', (given, text) =>
    expect(gainText(given, money)).toBe(text),
  );
  it('is named in the top line, and leads to its finding', async () => {
    const { session } = drawWithRig(demo('night-tide'), <NextStep rigId="a-rig" />);
    const link = await screen.findByRole('link', { name: /^Next: / });
    expect(link.textContent).toContain('1 stop gone');
    const [worst] = session.store.getState().analysis.causes;
    if (!worst) throw new Error('the demo has findings');
    expect(link.getAttribute('href')).toBe(
      `/rigs/a-rig/findings?of=${encodeURIComponent(findingKey(worst.finding))}`,
    );
  });
  it('is nothing in an empty rig', () => {
    drawWithRig(blankRig('Empty'), <NextStep rigId="a-rig" />);
    expect(document.body.textContent).not.toContain('Next');
  });
  it('stands first among the findings', () => {
    const { session } = drawWithRig(demo('night-tide'), <div />);
    const last = session.store.getState().analysis.causes.at(-1);
    if (!last) throw new Error('the demo has findings');
    drawWithRig(
      demo('night-tide'),
      <FindingsView rigId="a-rig" asked={findingKey(last.finding)} />,
    );
    expect(screen.getAllByRole('heading', { level: 3 })[0]?.textContent).toBe(last.title);
  });
});
