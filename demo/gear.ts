import type { RigDraft } from '@echo-loom/core';

/** Lenses, what the shows are switched with, and the menu settings that are worth repeating. */

export const secondFiringGear = (draft: RigDraft): RigDraft =>
  draft
    .do({ type: 'setMains', mains: { hz: 50, volts: 230 } })
    .lens('zoom', 'Zoom, 24–70 mm', 'host-camera', { ownership: 'owned' })
    .lens('small-zoom', 'Small zoom, 16–50 mm', 'potter-camera', { ownership: 'owned' })
    .lens('close-up', '100 mm, close-up', null, { ownership: 'borrowed' })
    .do({
      type: 'addHand',
      handId: 'pedal',
      hand: { name: 'Pedal at the wheel', is: 'pedal', keys: null, personId: 'potter' },
    })
    .do({
      type: 'changeButton',
      buttonId: 'to-wheel',
      button: { handId: 'pedal' },
    })
    .reminder('host-clean', 'host-camera', 'HDMI information', 'off')
    .reminder('potter-sleep', 'potter-camera', 'Power save', 'off')
    .reminder('kiln', null, 'Kiln programme', 'start two hours before the show');

export const harbourHallGear = (draft: RigDraft): RigDraft =>
  draft
    .do({ type: 'setMains', mains: { hz: 50, volts: 230 } })
    .lens('wide', '24 mm, fast', 'fixed-wide', { ownership: 'owned' })
    .lens('spare-zoom', 'Zoom, 24–70 mm', null, { ownership: 'borrowed' })
    .do({
      type: 'addHand',
      handId: 'chair-tablet',
      hand: { name: 'Tablet of the chair', is: 'tablet', keys: 6, personId: 'chair' },
    })
    .reminder('wide-clean', 'fixed-wide', 'HDMI information', 'off')
    .reminder('encoder-firmware', 'encoder', 'Firmware', 'the same on both encoders')
    .reminder('doors', null, 'Stewards’ doors', 'closed ten minutes before');

export const nightTideGear = (draft: RigDraft): RigDraft =>
  draft
    .do({ type: 'setMains', mains: { hz: 50, volts: 230 } })
    .reminder('phone-silent', 'phone', 'Calls and messages', 'off');
