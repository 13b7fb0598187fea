import type { Does, Guard, Rig } from '@echo-loom/core';
import { entry, GUARDS, inOrder } from '@echo-loom/core';

/** What buttons do and how they are guarded, as it is read. */

const GUARD_LABELS: Readonly<Record<Guard, string>> = {
  none: 'A single press',
  hold: 'Hold for a second',
  'press twice': 'Press twice',
  'under a cover': 'Under a cover',
};
export const GUARD_OPTIONS = GUARDS.map((value) => ({ value, label: GUARD_LABELS[value] }));

/** How a guard is written on the button itself. */
export const guardText = (guard: Guard): string =>
  guard === 'none' ? '' : GUARD_LABELS[guard].toLowerCase();

/** A button's action as the value of a list. */
export const doesValue = (does: Does): string =>
  does.type === 'scene'
    ? `scene ${does.sceneId}`
    : does.type === 'mute'
      ? `mute ${does.personId}`
      : does.type === 'black'
        ? 'black'
        : `${does.type} ${does.turn}`;

/** Everything a button of this rig can do. */
export const doesOptions = (
  rig: Rig,
): readonly { readonly value: string; readonly label: string; readonly does: Does }[] =>
  [
    ...inOrder(rig.scenes).map(([sceneId, { name }]) => ({
      label: `Show ${name}`,
      does: { type: 'scene', sceneId } as const,
    })),
    ...inOrder(rig.people)
      .filter(([, { isHeard }]) => isHeard)
      .map(([personId, { name }]) => ({
        label: `Mute ${name}`,
        does: { type: 'mute', personId } as const,
      })),
    { label: 'Black', does: { type: 'black' } as const },
    ...(['stream', 'recording'] as const).flatMap((type) =>
      (['start', 'end'] as const).map((turn) => ({
        label: `${turn === 'start' ? 'Start' : 'End'} the ${type}`,
        does: { type, turn } as const,
      })),
    ),
  ].map((option) => ({ ...option, value: doesValue(option.does) }));

/** What a button does, for its map. */
export const doesText = (rig: Rig, does: Does): string => {
  switch (does.type) {
    case 'scene':
      return entry(rig.scenes, does.sceneId)?.name ?? does.sceneId;
    case 'mute':
      return `mutes ${entry(rig.people, does.personId)?.name ?? does.personId}`;
    case 'black':
      return 'black';
    default:
      return `${does.turn === 'start' ? 'starts' : 'ends'} the ${does.type}`;
  }
};
