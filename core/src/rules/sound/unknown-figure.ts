import { sourceOf, type Stage } from '../../graph';
import { deviceName } from '../../passes/names';
import { passBySource } from '../../passes/pass';
import { type Missing, soundOfWalk } from '../../passes/sound';
import { at } from '../about';
import type { Finding, Rule } from '../rule';

interface Unknown {
  readonly stage: Stage;
  readonly missing: Missing;
}

/** The first stage of each source at which each figure is missing. */
const unknowns = passBySource('unknown figures', 'sound', (measured, walk): readonly Unknown[] => {
  const { stages } = measured.traced;
  const found: Unknown[] = [];
  soundOfWalk.of(measured, walk).forEach((figures, index) => {
    const missing = figures?.unknown;
    const stage = stages[walk.from + index];
    // Dead for want of phantom power is a finding of its own.
    if (!stage || !missing || missing.what === 'power') return;
    if (!found.some((known) => known.missing.says === missing.says)) found.push({ stage, missing });
  });
  return found;
});

export const unknownFigure: Rule = {
  code: 'sound.unknown-figure',
  area: 'sound',
  looksFor: 'A sound thread whose level cannot be told because a figure is missing.',
  why: 'A guess would look like a sum. What is not known is asked for.',
  remedy:
    'Give the figure named: from the data sheet, or by saying who speaks into the microphone.',
  source: 'design: unknown stays unknown',
  find: (measured) => {
    const asked = new Map<string, Finding>();
    for (const { stage, missing } of unknowns(measured)) {
      if (asked.has(missing.says)) continue;
      const source = sourceOf(stage).at.device;
      asked.set(missing.says, {
        code: 'sound.unknown-figure',
        area: 'sound',
        level: 'note',
        about: at({
          deviceId: missing.what === 'talker' ? source.id : stage.at.device.id,
          portId: stage.at.id,
        }),
        title: 'Cannot tell the level',
        says: `Cannot tell the level of ${deviceName(measured, source)}: needs ${missing.says}.`,
      });
    }
    return [...asked.values()];
  },
};
