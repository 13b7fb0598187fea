import { stagesOf } from '../../graph';
import type { Kind } from '../../rig';
import { pictureRule } from '../rule-of';
import { at } from '../about';

/** What shows several pictures on one screen, or the one that is on air. */
const COMBINING: readonly Kind[] = ['switcher', 'computer', 'converter'];

export const noMultiview = pictureRule(
  'picture.no-multiview',
  {
    looksFor:
      'A switcher that somebody works by hand, without a screen on which they see the cameras.',
    why: 'They cut to what they remember, and find out on air whether it was in focus.',
    remedy: 'Put a screen on its multiview output, or a multiview before it.',
    source: 'handbook 1-the-work and 3-picture: programme, auxiliary and multiview outputs',
  },
  (measured) => {
    const { brief, houseRules } = measured.rig;
    if (!brief || brief.switchedBy !== 'operator' || houseRules.switching === 'none, cut later')
      return [];
    const devices = [...measured.graph.devices.values()];
    const isSeen = measured.traced.threads.some(
      ({ signal, end, last }) =>
        signal === 'picture' &&
        end.device.model.kind === 'display' &&
        stagesOf(last).some(({ at: { device } }) => COMBINING.includes(device.model.kind)),
    );
    return isSeen
      ? []
      : devices
          .filter(({ model }) => model.kind === 'switcher')
          .slice(0, 1)
          .map((node) => ({
            level: 'warn' as const,
            about: at({ deviceId: node.id }),
            title: 'Nobody sees what they cut to',
            says:
              `${measured.device(node).name} is worked by somebody who has no screen with the cameras on it. Put one ` +
              'on its multiview output, or a multiview before it.',
          }));
  },
);
