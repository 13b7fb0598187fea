import type { Rig } from '@echo-loom/core';
import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { type Item, useLoomView } from '@/features/chosen/view';
import { demo, drawWithRig } from '@/features/rig/rig-for-tests';
import { useRig } from '@/features/rig/RigProvider';
import { SideSheet } from './SideSheet';

const tide = demo('night-tide');

/** Opens the side sheet of something of Night Tide, or of another rig. */
export const openSheet = (item: Item, rig: Rig = tide) => {
  const connects: (string | null)[] = [];
  let closed = 0;
  const Sheet = () => (
    <SideSheet
      analysis={useRig((state) => state.analysis)}
      item={item}
      opening={1}
      onClose={() => closed++}
      onConnect={(portId) => connects.push(portId)}
    />
  );
  act(() => useLoomView.setState({ selected: item }));
  const { session } = drawWithRig(rig, <Sheet />);
  return {
    session,
    rig: () => session.store.getState().rig,
    last: () => session.store.getState().history.at(-1)?.says,
    connects,
    closed: () => closed,
  };
};
/** Types a figure over another. @param label how its label begins */
export const typeOver = async (label: string, text: string) => {
  const found = screen.getByLabelText(new RegExp(`^${label}`));
  await userEvent.clear(found);
  await userEvent.type(found, `${text}{Enter}`);
};
