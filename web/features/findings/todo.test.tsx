/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { demo, drawWithRig } from '@/features/rig/rig-for-tests';
import { FindingsView } from './FindingsView';

const SLOW = 40_000;

describe('findings by what to do', () => {
  it('stand under what they ask for, and the chosen ones are done as one edit', async () => {
    const { session } = drawWithRig(demo('night-tide'), <FindingsView rigId="a-rig" />);
    const before = session.store.getState();
    await userEvent.selectOptions(screen.getByLabelText('Findings by'), 'By what to do');
    await waitFor(() => expect(screen.queryByText(/to go …$/)).toBeNull(), { timeout: SLOW });
    const buy = screen.getByRole('region', { name: 'Buy or fetch something' });
    expect(within(buy).getByRole('heading').textContent).toMatch(/^Buy or fetch something: \d+, €/);
    const boxes = screen.getAllByRole('checkbox');
    expect(boxes.length).toBeGreaterThan(3);
    await userEvent.click(boxes[0] ?? document.body);
    await userEvent.click(boxes[1] ?? document.body);
    const bar = await screen.findByRole('region', { name: 'The chosen remedies together' });
    await waitFor(() => expect(bar.textContent).toMatch(/2 chosen\. Together: /), {
      timeout: SLOW,
    });
    await userEvent.click(within(bar).getByRole('button', { name: 'Do all 2' }));
    const after = session.store.getState();
    expect(after.history).toHaveLength(before.history.length + 1);
    expect(bar.textContent).not.toContain('undefined');
    const all = ({ stops, warns, notes }: typeof after.analysis.verdict) => stops + warns + notes;
    expect(all(after.analysis.verdict)).toBeLessThan(all(before.analysis.verdict));
    session.undo();
    expect(session.store.getState().rig).toEqual(before.rig);
  });
});
