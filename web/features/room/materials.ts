import { MATERIALS } from '@echo-loom/core';

/** Materials as choices, with the one that is set although no list has it. */
export const choices = (is: 'built' | 'put in', also: string | null) => {
  const names: string[] = MATERIALS.filter((material) => material.is === is).map(
    ({ name }) => name,
  );
  return (also === null || names.includes(also) ? names : [also, ...names]).map((name) => ({
    value: name,
    label: name,
  }));
};
