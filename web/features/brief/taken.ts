import { useRig } from '@/features/rig/RigProvider';
import type { Brief } from '@echo-loom/core';

/** Ids that something in the rig or its brief has already. */
export const useTaken = (brief: Brief): Readonly<Record<string, unknown>> => {
  const rig = useRig((state) => state.rig);
  return {
    ...rig.people,
    ...rig.places,
    ...rig.devices,
    ...brief.sights,
    ...brief.deliverables,
  };
};
