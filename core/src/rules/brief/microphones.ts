import { inOrder } from '../../rig';
import { devices, houseRule, one } from './house-rule';

export const microphoneSchool = houseRule(
  'microphones',
  'brief.microphones',
  {
    looksFor:
      'USB microphones where the school is XLR, and several voices where the school is USB.',
    why: 'One computer takes one USB microphone well; a second drifts against it.',
    remedy:
      'Use XLR microphones and an interface, or choose the other school for a show of one person.',
  },
  (measured) => {
    const usb = devices(measured, 'microphone').filter((node) =>
      node.ports.values().some(({ port }) => port.family === 'usb' && port.emits?.sound),
    );
    const voices = inOrder(measured.rig.people).filter(
      ([, { where, isHeard }]) => where === 'on site' && isHeard,
    );
    if (measured.rig.houseRules.microphones === 'xlr')
      return usb.map((node) =>
        one(
          'warn',
          node,
          'A USB microphone',
          `${measured.device(node).name} goes straight into the computer by USB; the house rule is XLR ` +
            'and an interface. Its gain and its clock are its own.',
        ),
      );
    const xlr = devices(measured, 'microphone').filter((node) => !usb.includes(node));
    return voices.length > 1
      ? (usb.length > 0 ? usb : xlr)
          .slice(0, 1)
          .map((node) =>
            one(
              'warn',
              node,
              `${voices.length} voices by USB`,
              `The house rule is USB direct, which is for one person; ${voices.length} people on ` +
                'site are heard. Use XLR and an interface.',
            ),
          )
      : xlr.map((node) =>
          one(
            'note',
            node,
            'An XLR microphone',
            `${measured.device(node).name} needs an interface; the house rule is USB direct, ` +
              'which one person does without.',
          ),
        );
  },
);
