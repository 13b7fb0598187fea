import { coverageRule } from './coverage-rule';

export const unseen = coverageRule({
  code: 'brief.unseen', need: 'seen', level: () => 'stop', title: ({ subject }) => `${subject.name} is not seen`, advice: 'Give them a camera and connect it onward.',
  looksFor: 'A person of the brief whose picture reaches no stream and no recording.', why: 'The show asks for their face.', remedy: 'Give them a camera, or a sight they are in, and connect it onward.',
});

export const unheard = coverageRule({
  code: 'brief.unheard', need: 'heard', level: ({ verdict }) => (verdict === 'missing' ? 'stop' : null), title: ({ subject }) => `${subject.name} is not heard`, advice: 'Give them a microphone and connect it onward.',
  looksFor: 'A person of the brief whose voice reaches no stream and no recording.', why: 'They talk and nobody hears them.', remedy: 'Give them a microphone and connect it onward.',
});

export const recordedOnce = coverageRule({
  code: 'brief.recorded-once', need: 'heard', level: ({ verdict }) => (verdict === 'partly' ? 'warn' : null), title: ({ subject }) => `${subject.name} has too few recordings`, houseRule: 'recordingsOfVoice',
  advice: 'Send the sound to a second machine as well: a stand-alone recorder on the interface’s or mixer’s output.',
  looksFor: 'A voice on fewer independent recordings than the house rule asks for. Two files of one computer are one recording.', why: 'When the one machine stops, a guest’s only copy is lost.',
  remedy: 'Record the mix on a second machine as well.',
});

export const cannotHear = coverageRule({
  code: 'brief.cannot-hear', need: 'hears', level: ({ verdict }, { people }) => (verdict === 'missing' && Object.values(people).some(({ where }) => where === 'remote') ? 'stop' : 'warn'), title: ({ subject }) => `${subject.name} cannot hear`, houseRule: 'monitoring',
  advice: 'Give them a feed with everyone in it but themself.',
  looksFor: 'Someone on site without a headphone feed, or a remote guest who does not get a mix of everyone but themself; traced through the buses.', why: 'Who does not hear talks over others, and who hears themself late stops talking.',
  remedy: 'Give everyone on site headphones, and every guest a mix-minus.',
});

export const cannotSee = coverageRule({
  code: 'brief.cannot-see', need: 'sees', level: () => 'warn', title: ({ subject }) => `${subject.name} cannot see the guest`, advice: 'Put a screen with the guest near the lens.', houseRule: 'prompter',
  looksFor: 'People on site with a remote guest and no screen that shows the guest.', why: 'They look at nobody, and the audience sees it.', remedy: 'Show the guest on a display near the lens, or on a prompter in front of it.',
});
