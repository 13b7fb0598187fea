import { pictureRule } from '../rule-of';
import { buttons } from './panel-buttons';

export const labelTwice = pictureRule(
  'picture.label-twice',
  {
    looksFor: 'Two buttons of the panel with the same label.',
    why: 'In the dark a hand reads the label, not the place.',
    remedy: 'Name each by what it does.',
    source: 'handbook 3-picture, scenes',
  },
  (measured) => {
    const seen = new Set<string>();
    return buttons(measured).flatMap(([buttonId, { label }]) => {
      const key = label.trim().toLowerCase();
      const isTwice = seen.has(key);
      seen.add(key);
      return isTwice
        ? [
            {
              level: 'warn' as const,
              about: { kind: 'button', buttonId },
              title: `${label} stands there twice`,
              says:
                `Two buttons are called ${label}. In the dark nobody can tell them apart. Name each ` +
                'by what it does.',
            },
          ]
        : [];
    });
  },
);
