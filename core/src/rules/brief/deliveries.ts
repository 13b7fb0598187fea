import { coverageRule } from './coverage-rule';

export const notShown = coverageRule({
  code: 'brief.not-shown', need: 'shown', level: () => 'stop', title: ({ subject }) => `${subject.name} is not shown`, advice: 'Point a camera or source at it and connect it onward.',
  looksFor: 'A thing the brief asks to see that no source shows, or whose source reaches no stream and no recording.', why: 'The show is about it.', remedy: 'Say which camera or player shows it, and connect that onward.',
});

export const undelivered = coverageRule({
  code: 'brief.undelivered', need: 'delivered', level: ({ verdict }) => (verdict === 'missing' ? 'stop' : null), title: ({ subject }) => `${subject.name} is not made`, advice: 'Add it and connect it.',
  looksFor: 'A stream, recording or file of the brief that nothing in the rig makes, or that gets no picture or no voice.', why: 'It was promised.', remedy: 'Add the destination and connect it to what feeds it.',
});

export const partlyDelivered = coverageRule({
  code: 'brief.partly-delivered', need: 'delivered', level: ({ verdict }) => (verdict === 'partly' ? 'warn' : null), title: ({ subject }) => `${subject.name} is not complete`, advice: 'Connect what is missing.',
  looksFor: 'A deliverable that lacks a voice, or camera recordings that lack a camera.', why: 'What is missing cannot be edited in later.', remedy: 'Connect what is missing.',
});
