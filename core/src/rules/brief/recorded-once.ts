import { coverageRule } from './coverage-rule';

export const recordedOnce = coverageRule({
  code: 'brief.recorded-once',
  need: 'heard',
  level: ({ verdict }) => (verdict === 'partly' ? 'warn' : null),
  title: ({ subject }) => `${subject.name} has too few recordings`,
  houseRule: 'recordingsOfVoice',
  advice:
    'Send the sound to a second machine as well: a stand-alone recorder on the interface’s or mixer’s output.',
  together: (count) => `${count} voices have too few recordings`,
  looksFor:
    'A voice on fewer independent recordings than the house rule asks for. Two files of ' +
    'one computer are one recording.',
  why: 'When the one machine stops, a guest’s only copy is lost.',
  remedy: 'Record the mix on a second machine as well.',
});
