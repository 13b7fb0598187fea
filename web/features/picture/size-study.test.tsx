/** @jest-environment jsdom */
import { analyse, studySize, verdictText } from '@echo-loom/core';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useRig } from '@/features/rig/open-rig';
import { demo, drawWithRig } from '@/features/rig/rig-for-tests';
import { SizeStudyPanel } from './SizeStudyPanel';

const rig = demo('second-firing');
const Panel = () => <SizeStudyPanel analysis={useRig((state) => state.analysis)} />;
const WAIT = { timeout: 10_000 };

describe('everything at another size', () => {
  it('says what would break, and what would then be left', async () => {
    const study = studySize(analyse(rig), 2160);
    if (!study) throw new Error('the demo stands at a smaller size');
    drawWithRig(rig, <Panel />);
    await userEvent.click(screen.getByRole('button', { name: 'Try 2160p throughout' }));
    const words = await screen.findByText(/break/, {}, WAIT);
    expect(words.textContent).toBe(
      `${study.breaks.length} places break at 2160p. Then: ${verdictText(study.after).toLowerCase()}.`,
    );
    for (const { says } of study.breaks) expect(screen.getAllByText(says).length).toBe(1);
  });
  it('sets everything as one edit, and forgets what it had tried', async () => {
    const { session } = drawWithRig(rig, <Panel />);
    await userEvent.click(screen.getByRole('button', { name: 'Try 2160p throughout' }));
    await userEvent.click(
      await screen.findByRole('button', { name: 'Set everything to 2160p' }, WAIT),
    );
    expect(session.store.getState().history.at(-1)?.says).toContain('Set everything to 2160p');
    expect(screen.queryByText(/places break/)).toBeNull();
  });
  it('says that nothing is to be done where all stands at the size already', async () => {
    const { session } = drawWithRig(rig, <Panel />);
    const commands = studySize(analyse(rig), 2160)?.commands ?? [];
    session.run({ type: 'batch', label: 'All', commands: [...commands] });
    await userEvent.click(screen.getByRole('button', { name: 'Try 2160p throughout' }));
    expect(
      await screen.findByText('Everything that can stands at 2160p already.', {}, WAIT),
    ).toBeTruthy();
  });
});
