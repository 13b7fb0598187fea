import {
  type Analysis,
  checklist,
  type RunClock,
  type RunPlan,
  timedRundown,
} from '@echo-loom/core';

/** What a run keeps of the rig as it stands when it begins. */
export const planOf = (
  analysis: Analysis,
  revision: number,
  by: string,
  people: number,
  clock: RunClock,
): RunPlan => {
  const { rig } = analysis;
  return {
    name: rig.name,
    revision,
    by,
    people,
    clock,
    beginsAt: rig.beginsAt,
    lengthMin: rig.brief?.lengthMin ?? null,
    lines: checklist(analysis).map(({ id, phase, what, figure, isMust }) => ({
      id,
      phase,
      what,
      figure,
      isMust,
    })),
    segments: timedRundown(rig).segments.map(({ id, segment: { title, lengthS } }) => ({
      id,
      title,
      lengthS,
    })),
  };
};
