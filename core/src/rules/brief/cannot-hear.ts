import { coverageRule } from './coverage-rule';

export const cannotHear = coverageRule({
  code: 'brief.cannot-hear',
  need: 'hears',
  level: ({ verdict }, { people }) =>
    verdict === 'missing' && Object.values(people).some(({ where }) => where === 'remote')
      ? 'stop'
      : 'warn',
  title: ({ subject }) => `${subject.name} cannot hear`,
  houseRule: 'monitoring',
  advice: 'Give them a feed with everyone in it but themself.',
  matters: ['ears'],
  together: (count) => `${count} people cannot hear`,
  looksFor:
    'Someone on site without a headphone feed, or a remote guest who does not get a mix ' +
    'of everyone but themself; traced through the buses.',
  why: 'Who does not hear talks over others, and who hears themself late stops talking.',
  remedy: 'Give everyone on site headphones, and every guest a mix-minus.',
});
