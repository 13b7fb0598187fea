import { type Rig, RigDraft } from '@echo-loom/core';

/**
 * The worked figures of sound as one rig, for the tests of the command line and of the interface:
 * two talkers at 62 dB, one 8 cm before a cardioid and the other 1.2 m
 * away at 130° off it; an omni in a room of 60 m³ and 0.6 s; headphones of 38 Ω and 98 dB/mW with
 * 1.2 V across them; a compressor at −24, 3 : 1, +4 on a voice at −18 dBu.
 */
export const workedSound = (): Rig => {
  const towards = (310 * Math.PI) / 180;
  return (
    new RigDraft('Worked sound')
      .do({ type: 'setRoom', room: { volumeM3: 60, rt60S: 0.6, noiseDba: 30 } })
      .person('host', 'Host', { at: { xM: 0, yM: 0, facingDeg: 0 } })
      .person('guest', 'Guest', {
        at: { xM: 1.2 * Math.sin(towards), yM: 0.08 + 1.2 * Math.cos(towards), facingDeg: 0 },
      })
      .device('cardioid', 'mic-dynamic-quiet', {
        name: 'Cardioid',
        person: 'host',
        settings: { distance: 0.08 },
      })
      .device('omni', 'mic-condenser-large', {
        name: 'Omni',
        person: 'guest',
        settings: { distance: 0.2, pattern: 'omni' },
      })
      .device('interface', 'interface-2', {
        name: 'Interface',
        settings: { 'gain-1': 54, 'gain-2': 42, 'phantom-1': true },
      })
      .device('strip-mic', 'mic-dynamic-quiet', {
        name: 'Pressed',
        person: 'host',
        settings: { distance: 0.08 },
      })
      // 83.94 dB SPL leave at −67.02 dBu and lose 1.02 dB: 50.04 dB of gain bring them to −18.00,
      // with peaks of −4.00.
      .device('strip', 'channel-processor', {
        name: 'Strip',
        settings: { gain: 50.04, compress: true, threshold: -24, ratio: 3, 'make-up': 4 },
      })
      .device('lines', 'interface-4', { name: 'Lines' })
      .device('computer', 'computer-laptop', { name: 'Computer' })
      .device('tracks', 'recording-tracks', { name: 'Tracks' })
      .device('player', 'player-sound', { name: 'Player' })
      .device('ears', 'headphones-closed', {
        name: 'Ears',
        person: 'host',
        settings: { volume: 0 },
      })
      .link('cardioid.out', 'interface.mic-1')
      .link('omni.out', 'interface.mic-2')
      .link('strip-mic.out', 'strip.in')
      .link('strip.out', 'lines.line-1')
      .link('lines.usb', 'computer.usb-2', 2, 'usb-2')
      .link('interface.usb', 'computer.usb-3', 2, 'usb-2')
      .link('computer.tracks', 'tracks.in')
      .link('player.out', 'ears.in')
      // 1.2 V are 3.80 dBu; a source of no resistance loses nothing in the headphones.
      .do({
        type: 'setFigure',
        deviceId: 'player',
        path: 'ports.out.emits.sound.levelDbu',
        value: 20 * Math.log10(1.2 / Math.sqrt(0.6)),
      })
      .do({ type: 'setFigure', deviceId: 'player', path: 'ports.out.sourceOhms', value: 0 })
      .build()
  );
};
