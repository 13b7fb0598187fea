/** @jest-environment jsdom */
import { type Analysis, loaded, type Rig } from '@echo-loom/core';
import { screen } from '@testing-library/react';
import user from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { demo, drawWithRig } from '@/features/rig/rig-for-tests';
import { useRig } from '@/features/rig/RigProvider';
import { field } from '@/ui/in-browser-for-tests';
import { DeskTop } from './DeskTop';
import { RackFront } from './RackFront';

/** Whether something lies over a field is not asked: nothing is laid out. */
const userEvent = user.setup({ pointerEventsCheck: 0 });

/** A part of the view, with the rig as it is at the moment. */
const Part = ({ of }: { readonly of: (analysis: Analysis) => ReactNode }) =>
  of(useRig((state) => state.analysis));
const opened = (rig: Rig, of: (analysis: Analysis) => ReactNode) => {
  const { session } = drawWithRig(rig, <Part of={of} />);
  return { rig: () => session.store.getState().rig };
};

describe('desks and racks', () => {
  const support = (analysis: Analysis, id: string) => loaded(analysis).find((one) => one.id === id);
  it('a desk is set to another height and arranged', async () => {
    const { rig } = opened(demo('night-tide'), (analysis) => {
      const desk = support(analysis, 'table');
      return desk && <DeskTop analysis={analysis} desk={desk} />;
    });
    const top = screen.getByLabelText(/^Top of Reading desk/);
    await userEvent.clear(top);
    await userEvent.type(top, '0.7{Enter}');
    expect(rig().supports['table']?.figures).toMatchObject({ topM: 0.7 });
    await userEvent.click(screen.getByRole('button', { name: 'Arrange it for me' }));
    expect(await screen.findByText(/Reach, reading and noise cost|it stays as it is/)).toBeTruthy();
  });
  it('a thing in a rack is moved to another unit', async () => {
    const { rig } = opened(demo('second-firing'), (analysis) => {
      const rack = support(analysis, 'rack');
      return rack && <RackFront analysis={analysis} rack={rack} />;
    });
    const unit = field('Lowest unit of Strip 2');
    await userEvent.clear(unit);
    await userEvent.type(unit, '5{Enter}');
    expect(rig().devices['strip-2']?.on?.upM).toBeCloseTo(4 * 0.04445, 5);
  });
});
