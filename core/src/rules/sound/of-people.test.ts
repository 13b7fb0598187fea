import type { Person } from '../../rig';
import { RigDraft } from '../../catalogue/draft';
import { ruleCases } from '../judge-for-cases';

const moving = (
  classId: string,
  distance: number,
  more: Partial<Pick<Person, 'posture' | 'dislikesHeadset'>> = {},
) =>
  new RigDraft('Case')
    .person('host', 'Host', { posture: 'moves', ...more })
    .device('mic', classId, { name: 'Mic', person: 'host', settings: { distance } })
    .device('interface', 'interface-2')
    .link('mic.out', 'interface.mic-1')
    .build();

ruleCases('sound.left-behind', {
  valid: {
    'somebody who sits': moving('mic-dynamic-stage', 0.05, { posture: 'sits' }),
    'a headset': moving('mic-headset', 0.05),
    'a boom half a metre away, 6 dB softer': moving('mic-shotgun', 0.5),
    'at 24 cm, 9.8 dB softer': moving('mic-dynamic-stage', 0.24),
  },
  invalid: {
    'a dynamic at 5 cm': {
      rig: moving('mic-dynamic-stage', 0.05),
      level: 'warn',
      sum: 20.828,
      says: /half a metre away it hears 20\.8 dB less, and 13\.9 dB more of the bass/,
      fixes: [/^Lavalier, wired instead of Mic/, /^Headset condenser, wired instead of Mic/],
    },
    'where a headset is disliked, none is offered': {
      rig: moving('mic-dynamic-stage', 0.05, { dislikesHeadset: true }),
      level: 'warn',
      fixes: [/^Lavalier, wired instead of Mic/],
    },
  },
});

const byUsb = (person: string | undefined) =>
  new RigDraft('Case')
    .person('host', 'Host')
    .device('mic', 'mic-usb', { name: 'Mic', ...(person === undefined ? {} : { person }) })
    .device('computer', 'computer-laptop')
    .link('mic.usb', 'computer.usb-3', 2, 'usb-2')
    .build();
ruleCases('sound.usb-unjudged', {
  valid: {
    'a microphone with a sensitivity': moving('mic-headset', 0.05),
    'one that is nobody’s': byUsb(undefined),
  },
  invalid: {
    'one by USB': { rig: byUsb('host'), level: 'note', says: /taken to send −24\.0 dBFS/ },
  },
});
