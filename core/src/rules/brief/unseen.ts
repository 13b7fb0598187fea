import { coverageRule } from './coverage-rule';

export const unseen = coverageRule({
  code: 'brief.unseen',
  need: 'seen',
  level: () => 'stop',
  title: ({ subject }) => `${subject.name} is not seen`,
  advice: 'Give them a camera and connect it onward.',
  together: (count) => `${count} people are not seen`,
  looksFor: 'A person of the brief whose picture reaches no stream and no recording.',
  why: 'The show asks for their face.',
  remedy: 'Give them a camera, or a sight they are in, and connect it onward.',
});
