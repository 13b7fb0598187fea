import type { RigDraft } from '@echo-loom/core';

/** The shots of Second Firing, its scenes and the buttons that call them up. */
export const programme = (draft: RigDraft): RigDraft =>
  draft
    .shot('host-camera', {
      personId: 'host',
      wanted: 'head and shoulders',
      distanceM: 1.7,
      furthestM: 2,
      backgroundM: 1.6,
      eyeLine: { offsetM: 0.12, distanceM: 1.7, side: 'below' },
    })
    .shot('cohost-camera', {
      personId: 'cohost',
      wanted: 'head and shoulders',
      distanceM: 2.4,
      furthestM: 2.6,
      backgroundM: 1.2,
    })
    .shot('potter-camera', {
      personId: 'potter',
      wanted: 'waist',
      distanceM: 2.2,
      furthestM: 2.3,
      backgroundM: 2,
    })
    .shot('overhead', {
      sightId: 'wheel-from-above',
      wanted: 'close',
      distanceM: 1.9,
      furthestM: 2.1,
    })
    .shot('kiln-camera', { sightId: 'kiln', wanted: 'close', distanceM: 2.5, furthestM: 3 })
    .scene(
      'hosts',
      'Both at the bench',
      [
        ['host-camera', 'left half'],
        ['cohost-camera', 'right half'],
      ],
      ['host', 'cohost'],
    )
    .scene('wheel', 'At the wheel', [['potter-camera', 'full']])
    .scene('wheel-above', 'Wheel from above', [
      ['overhead', 'full'],
      ['potter-camera', 'inset'],
    ])
    .scene('slides', 'Slides', [
      ['slides', 'full'],
      ['host-camera', 'inset'],
    ])
    .scene(
      'historian',
      'With the historian',
      [
        ['host-camera', 'left half'],
        ['historian-call', 'right half'],
      ],
      ['host', 'historian'],
    )
    .scene('kiln', 'Kiln', [['kiln-camera', 'full']])
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
        guard: 'none',
        handId: null,
      },
    });
