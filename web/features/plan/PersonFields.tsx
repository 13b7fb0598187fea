'use client';

import { type Analysis, entry, eyesAtM } from '@echo-loom/core';
import { useRigSession } from '@/features/rig/RigProvider';
import { NumberField } from '@/ui/NumberField';

/** How tall somebody is, and how high their eyes. */
export const PersonFields = ({
  analysis,
  id,
}: {
  readonly analysis: Analysis;
  readonly id: string;
}) => {
  const { run } = useRigSession();
  const person = entry(analysis.rig.people, id);
  if (!person) return null;
  return (
    <>
      <NumberField
        label="Tall"
        unit="m"
        step={0.01}
        min={0.5}
        max={2.6}
        mayBeUnknown
        value={person.statureM}
        onCommit={(statureM) => run({ type: 'changePerson', personId: id, person: { statureM } })}
      />
      <NumberField
        label="Eyes over the floor"
        unit="m"
        step={0.05}
        min={0.3}
        max={3}
        mayBeUnknown
        whenEmpty={eyesAtM(person).toFixed(2)}
        value={person.eyeM}
        onCommit={(eyeM) => run({ type: 'changePerson', personId: id, person: { eyeM } })}
      />
    </>
  );
};
