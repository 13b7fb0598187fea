import { coverageRule, isThere } from './coverage-rule';

export const unseen = coverageRule({
  code: 'brief.unseen',
  need: 'seen',
  level: () => 'stop',
  title: ({ subject }) => `${subject.name} is not seen`,
  advice: (line) =>
    isThere(line)
      ? 'It is there: connect it onward, or say that another camera is theirs.'
      : 'Is one of the cameras theirs? Say so, or give them one and connect it onward.',
  together: (count) => `${count} people are not seen`,
  looksFor: 'A person of the brief whose picture reaches no stream and no recording.',
  why: 'The show asks for their face.',
  remedy: 'Give them a camera, or a sight they are in, and connect it onward.',
});
