import { ears, headphoneSpl, permissibleHours } from '.';
import { analyse } from '../../analyse';
import { demoRig } from '../../rules/demo-for-cases';
import { voltsToDbu } from '../../units';

describe('hearing, worked figures', () => {
  it('1.2 V into 38 Ω at 98 dB/mW are 113.8 dB', () =>
    expect(headphoneSpl(voltsToDbu(1.2), 38, 98)).toBeCloseTo(113.8, 1));
  it.each([
    [85, 8],
    [88, 4],
    [94, 1],
    [79, 32],
  ])('%s dB may be heard for %s h', (spl, hours) =>
    expect(permissibleHours(spl)).toBeCloseTo(hours, 9),
  );
});

describe('ears of the demo', () => {
  it('Night Tide: the host hears both voices, their own by the interface’s direct path', () => {
    const [host] = ears(analyse(demoRig('night-tide')));
    expect(host).toMatchObject({ personId: 'host', ownVoiceMs: 0.5 });
    expect(host?.heard.map(({ source }) => source.device.id)).toEqual(['host-mic', 'reader-mic']);
  });
  it('Second Firing: the guest potter has no ears in the rig', () =>
    expect(ears(analyse(demoRig('second-firing'))).map(({ personId }) => personId)).toEqual([
      'host',
      'cohost',
    ]));
  it('Harbour Hall: a personal mixer lets the chair hear everything on the network', () => {
    const chair = ears(analyse(demoRig('harbour-hall'))).find(
      ({ personId, node }) => personId === 'chair' && node.id === 'in',
    );
    expect(chair?.heard).toHaveLength(24);
    expect(chair?.ownVoiceMs).toBe(3);
  });
});
