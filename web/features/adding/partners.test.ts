import { analyse, apply, RigDraft } from '@echo-loom/core';
import { nightTide } from '../../../demo/night-tide';
import { secondFiring } from '../../../demo/second-firing';
import { ownPorts, partnersOf } from './partners';

const partners = (rig: Parameters<typeof analyse>[0], deviceId: string, portId: string) => {
  const analysis = analyse(rig);
  const own = analysis.graph.devices.get(deviceId)?.ports.get(portId);
  if (!own) throw new Error('no such port');
  return partnersOf(analysis, own);
};

describe('choosing what to join', () => {
  it('offers only ports that can mate, and says why the others cannot', () => {
    const groups = partners(
      apply(secondFiring(), { type: 'removeDevice', deviceId: 'kiln-camera' }),
      'computer',
      'screen-1',
    );
    const [can, cannot] = groups;
    expect(groups.map(({ heading }) => heading)).toEqual(['Can be joined', 'Cannot be joined']);
    expect(can?.items.every(({ disabled }) => !disabled)).toBe(true);
    expect(
      cannot?.items.every(({ disabled, about }) => disabled && about?.startsWith('Cannot: ')),
    ).toBe(true);
    expect(can?.items.map(({ label }) => label)).toContain('Switcher · Input 6');
    expect(cannot?.items.find(({ label }) => label === 'Switcher · Input 1')?.about).toBe(
      'Cannot: it holds a cable already',
    );
  });
  it('names what only wants a free socket before what never fits', () => {
    const reasons =
      partners(secondFiring(), 'switcher', 'programme')[0]?.items.map(({ about }) => about) ?? [];
    const never = reasons.findIndex((about) => about !== 'Cannot: it holds a cable already');
    expect(never).toBeGreaterThan(0);
    expect(reasons.slice(never)).not.toContain('Cannot: it holds a cable already');
  });
  it('does not offer a device its own ports', () =>
    expect(
      partners(secondFiring(), 'switcher', 'programme')
        .flatMap(({ items }) => items)
        .some(({ label }) => label.startsWith('Switcher ·')),
    ).toBe(false));
  it('names the cable it would use', () =>
    expect(
      partners(nightTide(), 'interface', 'phones-1')
        .flatMap(({ items }) => items)
        .every(({ about }) => (about?.length ?? 0) > 0),
    ).toBe(true));
  it('puts the next step of the chain first', () => {
    const rig = new RigDraft('Case')
      .device('camera', 'camera-camcorder')
      .device('screen', 'display-monitor')
      .device('capture', 'capture-5g')
      .build();
    expect(partners(rig, 'camera', 'hdmi')[0]?.items.map(({ label }) => label)).toEqual([
      'Capture device, 5 Gb/s · HDMI in',
      'Monitor, 1080p · HDMI in',
    ]);
  });
  it('marks own ports that hold a cable, and leaves a program’s ports open', () => {
    const ports = ownPorts(analyse(nightTide()), 'computer');
    expect(ports.find(({ label }) => label === 'USB 3')).toMatchObject({
      disabled: true,
      about: 'Holds a cable to Interface',
    });
    expect(ports.find(({ label }) => label === 'Programme')?.disabled).toBe(false);
  });
});
