import { coverageRule, isThere } from './coverage-rule';

export const unheard = coverageRule({
  code: 'brief.unheard',
  need: 'heard',
  level: ({ verdict }) => (verdict === 'missing' ? 'stop' : null),
  title: ({ subject }) => `${subject.name} is not heard`,
  advice: (line) =>
    isThere(line)
      ? 'It is there: connect it onward, or say that another microphone is theirs.'
      : 'Is one of the microphones theirs? Say so, or give them one and connect it onward.',
  together: (count) => `${count} people are not heard`,
  looksFor: 'A person of the brief whose voice reaches no stream and no recording.',
  why: 'They talk and nobody hears them.',
  remedy: 'Give them a microphone and connect it onward.',
});
