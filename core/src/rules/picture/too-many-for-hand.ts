import type { Fix } from '../../edits/fix';
import type { Measured } from '../../passes/measured';
import { inOrder } from '../../rig';
import { THE_RIG } from '../about';
import { type Found, pictureRule } from '../rule-of';

/** Switches under a usual foot. */
const PEDAL_SWITCHES = 3;

/** Buttons on each thing the show is switched with, where that is more than it has. */
const crowdedHands = ({ rig }: Measured): Found[] =>
  inOrder(rig.hands).flatMap(([id, { name, is, keys }]): Found[] => {
    const most = keys ?? (is === 'pedal' ? PEDAL_SWITCHES : null);
    const held = Object.values(rig.panel.buttons).filter(({ handId }) => handId === id).length;
    return most === null || held <= most
      ? []
      : [
          {
            level: 'warn',
            about: { ...THE_RIG, source: `hand ${id}` },
            title: `${held} buttons, ${name} has ${most}`,
            says:
              `${held} buttons are on ${name}, which has ${most}. Put some on another panel, or use ` +
              'a larger one.',
          },
        ];
  });

export const tooManyForHand = pictureRule(
  'picture.too-many-for-hand',
  {
    matters: ['panel'],
    looksFor:
      'More scenes than whoever switches can call up: a pedal with three switches, or nobody at all.',
    why: 'A foot finds three switches without looking; a show nobody switches stays in its first scene.',
    remedy: 'Fewer scenes, a panel, or an operator.',
    source: 'handbook 1-the-work: who switches',
  },
  (measured) => {
    const scenes = Object.keys(measured.rig.scenes).length;
    const crowded = crowdedHands(measured);
    if (Object.keys(measured.rig.hands).length > 0) return crowded;
    const by = measured.rig.brief?.switchedBy;
    if (by === 'host by pedal' && scenes > PEDAL_SWITCHES)
      return [
        {
          level: 'warn',
          about: THE_RIG,
          title: `${scenes} scenes, ${PEDAL_SWITCHES} pedal switches`,
          says:
            `The host switches by pedal, and a pedal has ${PEDAL_SWITCHES} switches for ${scenes} ` +
            'scenes. Use a panel, an operator, or fewer scenes.',
        },
      ];
    if (by === 'nobody' && scenes > 1)
      return [
        {
          level: 'warn',
          about: THE_RIG,
          title: 'Nobody switches',
          says:
            `There are ${scenes} scenes and the brief says that nobody switches. The show stays ` +
            'in the first. Say who switches, or leave one scene.',
        },
      ];
    return [];
  },
  {
    fixes: (measured): Fix[] => {
      const by = measured.rig.brief?.switchedBy;
      return by === undefined || Object.keys(measured.rig.hands).length > 0
        ? []
        : [
            {
              label: 'Let the host switch by a panel',
              command: { type: 'writeBrief', brief: { switchedBy: 'host by panel' } },
            },
          ];
    },
  },
);
