import type { RigDraft } from '@echo-loom/core';
import { BENCH } from './harbour-hall-people';

export const programme = (draft: RigDraft): RigDraft =>
  draft
    .shot('roaming-1', {
      personId: 'proposer',
      wanted: 'waist',
      distanceM: 4,
      furthestM: 8,
      backgroundM: 3,
    })
    .shot('roaming-2', {
      personId: 'opposer',
      wanted: 'waist',
      distanceM: 4.1,
      furthestM: 8,
      backgroundM: 3,
    })
    .shot('fixed-chair', {
      personId: 'chair',
      wanted: 'waist',
      distanceM: 11,
      furthestM: 14,
      backgroundM: 1.5,
    })
    .shot('fixed-wide', {
      sightId: 'benches',
      wanted: 'whole',
      distanceM: 14,
      furthestM: 15,
    })
    .scene('chair', 'Chair', [
      ['fixed-chair', 'full'],
      ['graphics', 'over'],
    ])
    .scene('proposer', 'Proposer', [
      ['roaming-1', 'full'],
      ['graphics', 'over'],
    ])
    .scene('opposer', 'Opposer', [
      ['roaming-2', 'full'],
      ['graphics', 'over'],
    ])
    .scene('both', 'Both speakers', [
      ['roaming-1', 'left half'],
      ['roaming-2', 'right half'],
      ['graphics', 'over'],
    ])
    .scene('slides', 'Slides with speaker', [
      ['slides', 'full'],
      ['roaming-1', 'inset'],
      ['roaming-2', 'inset'],
    ])
    .scene('hall', 'The hall', [['fixed-wide', 'full']])
    .scene('vote', 'The vote', [
      ['graphics', 'full'],
      ['fixed-wide', 'inset'],
    ])
    .do({
      type: 'addButton',
      buttonId: 'black',
      button: { label: 'Black', does: { type: 'black' }, guard: 'press twice', handId: null },
    })
    .do({
      type: 'addButton',
      buttonId: 'go-live',
      button: {
        label: 'Go live',
        does: { type: 'stream', turn: 'start' },
        guard: 'hold',
        handId: null,
      },
    })
    .do({
      type: 'addButton',
      buttonId: 'end-stream',
      button: {
        label: 'End stream',
        does: { type: 'stream', turn: 'end' },
        guard: 'under a cover',
        handId: null,
      },
    });

/**
 * Gains of the stage boxes as the sound desk left them, channel by channel: each voice at the house
 * level, its peaks under the school's. @unit dB
 */
const BOX_A = [56, 50, 50, ...new Array<number>(BENCH * 2).fill(51)];

const BOX_B = [56, 56, 56, 56, 56, 47, 47, 47, 47];

export const setGains = (draft: RigDraft): RigDraft => {
  for (const [deviceId, gains] of [
    ['box-a', BOX_A],
    ['box-b', BOX_B],
  ] as const)
    gains.forEach((value, index) =>
      draft.do({ type: 'setControl', deviceId, control: `gain-${index + 1}`, value }),
    );
  return draft;
};
