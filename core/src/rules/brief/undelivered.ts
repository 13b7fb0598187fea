import { coverageRule } from './coverage-rule';

export const undelivered = coverageRule({
  code: 'brief.undelivered',
  need: 'delivered',
  level: ({ verdict }) => (verdict === 'missing' ? 'stop' : null),
  title: ({ subject }) => `${subject.name} is not made`,
  advice: 'Add it and connect it.',
  looksFor:
    'A stream, recording or file of the brief that nothing in the rig makes, or that gets no picture or no voice.',
  why: 'It was promised.',
  remedy: 'Add the destination and connect it to what feeds it.',
});
