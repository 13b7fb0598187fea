import { devices, houseRule, one } from './house-rule';

export const prompterSchool = houseRule(
  'prompter',
  'brief.prompter',
  {
    looksFor: 'A show with scrolling text by house rule and no prompter.',
    why: 'Eyes that read elsewhere leave the lens.',
    remedy: 'Put a prompter in front of the lens, or choose notes near it.',
  },
  (measured) => {
    const [camera] = devices(measured, 'camera');
    const isFed = devices(measured, 'prompter').some((node) =>
      node.ports.values().some(({ links }) => links.length > 0),
    );
    return measured.rig.houseRules.prompter !== 'scrolling' || isFed || !camera
      ? []
      : [
          one(
            'warn',
            camera,
            'No prompter',
            'The house rule is scrolling text, and no prompter stands in front of ' +
              `${measured.device(camera).name}. Add one, fed by a screen output of the computer.`,
          ),
        ];
  },
);
