import { useCallback } from 'react';
import { useRigSession } from '@/features/rig/RigProvider';
import { type Item, itemOf, sameItem, useLoomView } from '@/features/chosen/view';

/** Steps from one marked place of the loom to the next, worst first and round again. */
export const useFindingSteps = (go: (item: Item) => void): ((by: 1 | -1) => void) => {
  const { store } = useRigSession();
  return useCallback(
    (by) => {
      const { analysis } = store.getState();
      const items = analysis.findings
        .map((finding) => itemOf(analysis, finding))
        .filter((item): item is Item => item !== null);
      const distinct = items.filter(
        (item, index) => items.findIndex((other) => sameItem(item, other)) === index,
      );
      const { selected } = useLoomView.getState();
      const here = distinct.findIndex((item) => sameItem(item, selected));
      const first = by === 1 ? 0 : distinct.length - 1;
      const next = distinct[here < 0 ? first : (here + by + distinct.length) % distinct.length];
      if (next) go(next);
    },
    [go, store],
  );
};
