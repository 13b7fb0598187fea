import type { Fix } from '../../edits/fix';
import { type Does, entry } from '../../rig';
import { pictureRule } from '../rule-of';
import { buttons } from './panel-buttons';

const whatItDoes = (does: Does): string | null =>
  does.type === 'stream' || does.type === 'recording'
    ? `${does.turn === 'start' ? 'starts' : 'ends'} the ${does.type}`
    : null;

export const unguarded = pictureRule(
  'picture.unguarded',
  {
    looksFor: 'A button that starts or ends the stream or the recording at a single press.',
    why: 'A sleeve or a reach for the cup ends the show.',
    remedy: 'Ask for a held press, a second press, or a cover.',
    source:
      'handbook 3-picture, program, scenes, cut: a guarded action is never a bare single press',
  },
  (measured) =>
    buttons(measured).flatMap(([buttonId, { label, does, guard }]) => {
      const says = whatItDoes(does);
      return says && guard === 'none'
        ? [
            {
              level: does.type === 'stream' ? ('stop' as const) : ('warn' as const),
              about: { kind: 'button', buttonId },
              title: `${label} is not guarded`,
              says: `${label} ${says} at a single press. Ask for a held press, a second press, or a cover.`,
            },
          ]
        : [];
    }),
  {
    fixes: (measured, { about }): Fix[] => {
      const button =
        about.buttonId === undefined
          ? undefined
          : entry(measured.rig.panel.buttons, about.buttonId);
      return button && about.buttonId !== undefined
        ? [
            {
              label: `Make ${button.label} a held press`,
              command: {
                type: 'changeButton',
                buttonId: about.buttonId,
                button: { guard: 'hold' },
              },
            },
          ]
        : [];
    },
  },
);
