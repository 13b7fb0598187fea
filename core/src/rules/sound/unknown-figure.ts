import { sourceOf } from '../../graph';
import { eachSound } from '../../passes/stages';
import { at } from '../about';
import type { Finding, Rule } from '../rule';

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
    eachSound(measured, (stage, { unknown }) => {
      // Dead for want of phantom power is a finding of its own.
      if (!unknown || unknown.what === 'phantom power' || asked.has(unknown.says)) return;
      const { id } = sourceOf(stage).at.device;
      asked.set(unknown.says, {
        code: 'sound.unknown-figure',
        area: 'sound',
        level: 'note',
        about: at({
          deviceId: unknown.what === 'talker' ? id : stage.at.device.id,
          portId: stage.at.id,
        }),
        title: 'Cannot tell the level',
        says: `Cannot tell the level of ${measured.device(sourceOf(stage).at.device).name}: needs ${unknown.says}.`,
      });
    });
    return [...asked.values()];
  },
};
