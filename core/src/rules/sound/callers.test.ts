import { analyse } from '../../analyse';
import { RigDraft } from '../../catalogue/draft';
import type { Rig } from '../../rig';

/** One host and a guest on a call, mixed by an interface whose output goes into a recorder. */
const recordedAgain = (callVolume: number): Rig =>
  new RigDraft('Case')
    .person('host', 'Host')
    .person('guest', 'Guest', { where: 'remote' })
    .device('mic', 'mic-dynamic-stage', { person: 'host', settings: { distance: 0.05 } })
    .device('interface', 'interface-2', {
      name: 'Interface',
      settings: { 'gain-1': 50, listen: -20 },
    })
    .device('computer', 'computer-laptop', { settings: { 'call-volume': callVolume } })
    .device('call', 'call', { name: 'Call', person: 'guest' })
    .device('backup', 'recorder-sound', { name: 'Backup', settings: { 'line-gain-1': 20 } })
    .link('mic.out', 'interface.mic-1')
    .link('interface.usb', 'computer.usb-3', 2, 'usb-2')
    .link('call.receive', 'computer.call-in')
    .link('interface.out-2', 'backup.line-1')
    .build();

describe('a caller who becomes digital a second time', () => {
  it.each([0, -20])('is judged at no second converter, at a volume of %s dB', (volume) => {
    const low = analyse(recordedAgain(volume)).findings.filter(
      ({ code, says }) => code === 'sound.gain-low' && says.startsWith('Call'),
    );
    expect(low).toEqual([]);
  });
});

describe('what comes out of a computer’s screen', () => {
  const onScreen = (aloud: boolean) =>
    analyse(
      new RigDraft('Case')
        .person('guest', 'Guest', { where: 'remote' })
        .device('computer', 'computer-laptop', {
          settings: { 'mix-aloud': aloud, 'mix-volume': 0 },
        })
        .device('call', 'call', { person: 'guest' })
        .device('encoder', 'encoder-hardware')
        .device('stream', 'stream')
        .link('call.receive', 'computer.call-in')
        .link('computer.screen-1', 'encoder.in')
        .link('encoder.network', 'stream.wire')
        .build(),
    ).traced.threads.some(
      ({ signal, source, end }) =>
        signal === 'sound' && source.device.id === 'call' && end.device.id === 'stream',
    );
  it('carries callers with the mix, and only with it', () =>
    expect([onScreen(true), onScreen(false)]).toEqual([true, false]));
});
