import { coverageRule } from './coverage-rule';

export const partlyDelivered = coverageRule({
  code: 'brief.partly-delivered',
  need: 'delivered',
  level: ({ verdict }) => (verdict === 'partly' ? 'warn' : null),
  title: ({ subject }) => `${subject.name} is not complete`,
  advice: 'Connect what is missing.',
  looksFor: 'A deliverable that lacks a voice, or camera recordings that lack a camera.',
  why: 'What is missing cannot be edited in later.',
  remedy: 'Connect what is missing.',
});
