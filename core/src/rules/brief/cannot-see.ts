import { coverageRule } from './coverage-rule';

export const cannotSee = coverageRule({
  code: 'brief.cannot-see',
  need: 'sees',
  level: () => 'warn',
  title: ({ subject }) => `${subject.name} cannot see the guest`,
  advice: 'Put a screen with the guest near the lens.',
  houseRule: 'prompter',
  together: (count) => `${count} people cannot see the guest`,
  looksFor: 'People on site with a remote guest and no screen that shows the guest.',
  why: 'They look at nobody, and the audience sees it.',
  remedy: 'Show the guest on a display near the lens, or on a prompter in front of it.',
});
