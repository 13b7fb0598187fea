import { analyse, type Analysis } from '@echo-loom/core';
import { harbourHall } from '../../../demo/harbour-hall';
import { nightTide } from '../../../demo/night-tide';
import { secondFiring } from '../../../demo/second-firing';
import { worstByItem } from './marks';
import { type LoomFilter, NO_FILTER } from '@/features/chosen/filter';
import { itemsOf, shownBy } from './shown';
import { litBy, threadsThrough, wayLine } from './ways';

const firing: Analysis = analyse(secondFiring());
const hall: Analysis = analyse(harbourHall());
const shown = (analysis: Analysis, part: Partial<LoomFilter>) => {
  const left = shownBy(analysis, { ...NO_FILTER, ...part });
  if (!left) throw new Error('nothing was filtered');
  return left;
};

describe('which threads are drawn', () => {
  it('all of them where nobody asks', () => expect(shownBy(firing, NO_FILTER)).toBeNull());
  it('those of a person: what they are heard and seen by, and what they hear', () => {
    const { devices } = shown(firing, { personId: 'host' });
    for (const id of ['host-mic', 'host-camera', 'switcher', 'interface', 'host-phones'])
      expect([id, devices.has(id)]).toEqual([id, true]);
    expect(devices.has('kiln-camera')).toBe(false);
  });
  it('those of a signal: sound passes no camera that is silent', () => {
    const { devices } = shown(firing, { signal: 'sound' });
    expect(devices.has('host-mic')).toBe(true);
    expect(devices.has('host-camera')).toBe(false);
  });
  it('those through a device, whole from source to end', () => {
    const { devices, links, threads } = shown(firing, { deviceId: 'strip-1' });
    const through = firing.traced.threads.filter((thread) =>
      itemsOf(thread).devices.some(({ id }) => id === 'strip-1'),
    );
    expect(threads).toBe(through.length);
    expect(devices.has('wheel-mic')).toBe(true);
    for (const thread of through)
      for (const { id } of itemsOf(thread).links) expect(links.has(id)).toBe(true);
  });
  it('only those with a finding on their way', () => {
    const worst = worstByItem(hall);
    const { threads } = shown(hall, { onlyFindings: true });
    const marked = hall.traced.threads.filter((thread) => {
      const way = itemsOf(thread);
      return (
        way.devices.some(({ id }) => worst.has(`device:${id}`)) ||
        way.links.some(({ id }) => worst.has(`link:${id}`))
      );
    });
    expect(threads).toBe(marked.length);
    expect(threads).toBeGreaterThan(0);
  });
  it('a device on no thread answers for itself', () => {
    const rig = nightTide();
    const links = Object.fromEntries(
      Object.entries(rig.links).filter(([id]) => !id.startsWith('host-mic')),
    );
    const loose = analyse({ ...rig, links });
    expect(shown(loose, { deviceId: 'host-mic' }).devices).toEqual(new Set(['host-mic']));
    expect(shown(loose, { deviceId: 'host-mic' }).threads).toBe(0);
  });
  it.each(['picture', 'sound'] as const)(
    'every end of every %s cable is drawn with it',
    (signal) => {
      const { devices, links } = shown(hall, { signal });
      for (const id of links) {
        const edge = hall.graph.links.get(id);
        expect([id, devices.has(edge?.from.device.id ?? '')]).toEqual([id, true]);
        expect([id, devices.has(edge?.to.device.id ?? '')]).toEqual([id, true]);
      }
    },
  );
});

describe('the chosen thread', () => {
  const night = analyse(nightTide());
  const cable = { kind: 'link', id: 'host-mic-out-to-interface' } as const;
  it('is one of those through a cable', () => {
    const threads = threadsThrough(night, cable);
    expect(threads.length).toBeGreaterThan(0);
    for (const { source } of threads) expect(source.device.id).toBe('host-mic');
  });
  it('lights what stands on it and nothing else', () => {
    const lit = litBy(threadsThrough(night, cable).slice(0, 1));
    expect(lit.devices.has('host-mic')).toBe(true);
    expect(lit.links.has(cable.id)).toBe(true);
    expect(lit.devices.has('guest-mic')).toBe(false);
  });
  it('is written device by device with its own figure on each cable', () => {
    const [thread] = threadsThrough(night, cable);
    if (!thread) throw new Error('no thread');
    const line = wayLine(night, thread, 'Level').map(({ text }) => text);
    expect(line.slice(0, 3)).toEqual(['Host mic', '−67.8 dBu', 'Interface']);
  });
  it('a picture on it says its format where a level is asked for', () => {
    const [thread] = threadsThrough(firing, { kind: 'link', id: 'cohost-camera-hdmi-to-switcher' });
    if (!thread) throw new Error('no thread');
    expect(wayLine(firing, thread, 'Level')[1]?.text).toBe('1080p59.94');
  });
});
