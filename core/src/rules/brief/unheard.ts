import { coverageRule } from './coverage-rule';

export const unheard = coverageRule({
  code: 'brief.unheard',
  need: 'heard',
  level: ({ verdict }) => (verdict === 'missing' ? 'stop' : null),
  title: ({ subject }) => `${subject.name} is not heard`,
  advice: 'Give them a microphone and connect it onward.',
  together: (count) => `${count} people are not heard`,
  looksFor: 'A person of the brief whose voice reaches no stream and no recording.',
  why: 'They talk and nobody hears them.',
  remedy: 'Give them a microphone and connect it onward.',
});
