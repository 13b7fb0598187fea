import { mate, type Port, suggestedCable } from '..';
import { classById } from '../../catalogue';

const port = (classId: string, portId: string): Port => {
  const found = classById(classId).ports[portId];
  if (!found) throw new Error(`${classId} has no ${portId}`);
  return found;
};

describe('what can be joined', () => {
  it.each([
    [
      'a microphone to a preamp',
      port('mic-dynamic-stage', 'out'),
      port('interface-2', 'mic-1'),
      ['balanced', 'unbalanced'],
    ],
    [
      'a preamp to a microphone, named the other way round',
      port('interface-2', 'mic-1'),
      port('mic-dynamic-stage', 'out'),
      ['balanced', 'unbalanced'],
    ],
    [
      'a phono output to a jack, unbalanced only',
      port('player-sound', 'out'),
      port('interface-4', 'line-1'),
      ['unbalanced'],
    ],
    [
      'micro HDMI to HDMI',
      port('camera-mirrorless', 'hdmi'),
      port('capture-5g', 'in'),
      ['hdmi', 'hdmi-optical', 'hdmi-fast', 'hdmi-fast-optical'],
    ],
    [
      'two programs of one computer',
      port('call', 'receive'),
      port('computer-laptop', 'call-in'),
      ['inside'],
    ],
  ] as const)('%s', (_name, a, b, cables) =>
    expect(mate(a, b)).toMatchObject({ can: true, cables }),
  );
  it.each([
    [
      'HDMI to SDI',
      port('camera-camcorder', 'hdmi'),
      port('switcher-20', 'in-1'),
      'HDMI and SDI need a converter between them',
    ],
    [
      'a microphone to headphones',
      port('mic-dynamic-stage', 'out'),
      port('headphones-closed', 'in'),
      'a microphone cannot drive headphones',
    ],
    [
      'a camera to a preamp',
      port('camera-camcorder', 'hdmi'),
      port('interface-2', 'mic-1'),
      'one is picture, the other analogue sound',
    ],
    [
      'two hosts',
      port('computer-laptop', 'usb-1'),
      port('hub-5g', 'usb-1'),
      'both are USB sockets of a host',
    ],
    [
      'two outputs',
      port('mic-dynamic-stage', 'out'),
      port('mic-condenser-large', 'out'),
      'both are outputs',
    ],
  ] as const)('not %s', (_name, a, b, why) => {
    const mating = mate(a, b);
    expect(mating.can ? 'they can' : mating.why).toContain(why);
  });
  it('suggests a USB cable of the slower side, short enough for it', () => {
    expect(suggestedCable(port('capture-5g', 'usb'), port('computer-laptop', 'usb-2'))).toEqual({
      kind: 'usb-5g',
      lengthM: 2,
    });
    expect(suggestedCable(port('capture-10g', 'usb'), port('computer-laptop', 'usb-1'))).toEqual({
      kind: 'usb-10g',
      lengthM: 0.5,
    });
    expect(suggestedCable(port('interface-2', 'usb'), port('computer-laptop', 'usb-1'))).toEqual({
      kind: 'usb-2',
      lengthM: 2,
    });
  });
});
