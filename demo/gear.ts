import type { Ownership, RigDraft } from '@echo-loom/core';

/** Lenses, what the shows are switched with, and the menu settings that are worth repeating. */

/** Devices and lenses that are things of the studio's: `lens zoom` is its `zoom`. */
const things =
  (taken: Readonly<Record<string, string>>, borrowed: readonly string[] = []) =>
  (draft: RigDraft): RigDraft =>
    Object.entries(taken).reduce((now, [item, thingId]) => {
      const [of, id = ''] = item.split(' ');
      const ownership: Ownership = borrowed.includes(thingId) ? 'borrowed' : 'owned';
      return now.do({
        type: 'takeThing',
        of: of === 'lens' ? 'lens' : 'device',
        id,
        thingId,
        ownership,
      });
    }, draft);

const secondFiringThings = things(
  {
    'device bench-key': 'panel-large-1',
    'device bench-fill': 'panel-large-2',
    'device potter-key': 'panel-large-3',
    'device hair': 'panel-large-4',
    'lens zoom': 'zoom',
    'lens close-up': 'close-up',
  },
  ['close-up'],
);
const nightTideThings = things(
  { 'device host-mic': 'quiet-1', 'device reader-mic': 'quiet-lent', 'device computer': 'laptop' },
  ['quiet-lent'],
);
/** The zoom is the one that Second Firing has on its host: they are on air on the same day once. */
const harbourHallThings = things({ 'lens spare-zoom': 'zoom' }, ['zoom']);

export const secondFiringGear = (draft: RigDraft): RigDraft =>
  secondFiringThings(
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
      .reminder('kiln', null, 'Kiln programme', 'start two hours before the show'),
  );

export const harbourHallGear = (draft: RigDraft): RigDraft =>
  harbourHallThings(
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
      .reminder('doors', null, 'Stewards’ doors', 'closed ten minutes before'),
  );

export const nightTideGear = (draft: RigDraft): RigDraft =>
  nightTideThings(
    draft
      .do({ type: 'setMains', mains: { hz: 50, volts: 230 } })
      .reminder('phone-silent', 'phone', 'Calls and messages', 'off'),
  );
