import { coverageRule } from './coverage-rule';

export const notShown = coverageRule({
  code: 'brief.not-shown',
  need: 'shown',
  level: () => 'stop',
  title: ({ subject }) => `${subject.name} is not shown`,
  advice: 'Point a camera or source at it and connect it onward.',
  together: (count) => `${count} things are not shown`,
  looksFor:
    'A thing the brief asks to see that no source shows, or whose source reaches no stream and no recording.',
  why: 'The show is about it.',
  remedy: 'Say which camera or player shows it, and connect that onward.',
});
