'use client';

import { type Analysis, entry } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { NumberField } from '@/ui/NumberField';

/** How high a noise is; left open it counts as level with whatever hears it. */
export const NoiseHeight = ({
  analysis,
  id,
}: {
  readonly analysis: Analysis;
  readonly id: string;
}) => {
  const { run } = useRigSession();
  const noise = entry(analysis.rig.noises, id);
  return (
    noise && (
      <NumberField
        label="Over the floor"
        unit="m"
        step={0.1}
        min={0}
        max={100}
        mayBeUnknown
        value={noise.heightM}
        onCommit={(heightM) => run({ type: 'changeNoise', noiseId: id, noise: { heightM } })}
      />
    )
  );
};

/** How high the middle of what is shown is. */
export const SightHeight = ({
  analysis,
  id,
}: {
  readonly analysis: Analysis;
  readonly id: string;
}) => {
  const { run } = useRigSession();
  const at = entry(analysis.rig.brief?.sights ?? {}, id)?.at;
  return (
    at && (
      <NumberField
        label="Over the floor"
        unit="m"
        step={0.05}
        min={0}
        max={100}
        value={at.zM}
        onCommit={(zM) =>
          zM !== null && run({ type: 'changeSight', sightId: id, sight: { at: { ...at, zM } } })
        }
      />
    )
  );
};
