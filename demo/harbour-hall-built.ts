import { apply, builtLines, numbering, type Rig } from '@echo-loom/core';

/** Every cable has its number, and a volunteer has been round the control room already: one knob stands elsewhere. */
export const numberedAndTicked = (rig: Rig): Rig => {
  const numbers = numbering(rig);
  const numbered = numbers ? apply(rig, numbers) : rig;
  const by = { by: 'Volunteer, desk', when: '2026-11-26T16:20:00Z' };
  const lines = builtLines(numbered);
  const knob = lines.find(
    ({ part, toTick }) => part === 'settings' && typeof toTick.found === 'number',
  );
  return [
    ...(knob ? [knob] : []),
    ...lines.filter(({ owner }) => owner === 'Switcher').slice(0, 12),
  ].reduce(
    (now, { toTick }, index) =>
      apply(now, {
        type: 'tickBuilt',
        found:
          index === 0 && toTick.part === 'settings' && typeof toTick.found === 'number'
            ? { ...toTick, found: toTick.found + 3 }
            : toTick,
        ...by,
      }),
    numbered,
  );
};
