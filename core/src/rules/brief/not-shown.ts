import { coverageRule, isThere } from './coverage-rule';

export const notShown = coverageRule({
  code: 'brief.not-shown',
  need: 'shown',
  level: () => 'stop',
  title: ({ subject }) => `${subject.name} is not shown`,
  advice: (line) =>
    isThere(line)
      ? 'It is there: connect it onward, or say that something else shows it.'
      : 'Does one of the sources show it? Say so, or point one at it and connect it onward.',
  together: (count) => `${count} things are not shown`,
  looksFor:
    'A thing the brief asks to see that no source shows, or whose source reaches no stream and no recording.',
  why: 'The show is about it.',
  remedy: 'Say which camera or player shows it, and connect that onward.',
});
