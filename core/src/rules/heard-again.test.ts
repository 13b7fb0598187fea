import { analyse } from '../analyse';
import { RigDraft } from '../catalogue/draft';
import { coverage } from '../passes/coverage';
import { directivity, randomEnergyDb } from '../passes/sound/pattern';
import type { Rig } from '../rig';
import { voice } from './rigs-for-cases';

/** Instruments, surfaces, delays, and what a computer sends out again. */

const verdicts = (rig: Rig): Record<string, string> =>
  Object.fromEntries(coverage(analyse(rig)).map(({ id, verdict }) => [id, verdict]));

describe('an instrument', () => {
  const piano = (is: 'person' | 'instrument'): Rig =>
    voice()
      .do({ type: 'changePerson', personId: 'host', person: { is, shot: null } })
      .do({ type: 'writeBrief', brief: {} })
      .build();
  it('is heard, and is asked for no headphones', () => {
    expect(Object.keys(verdicts(piano('instrument')))).toEqual(['person:host:heard']);
    expect(Object.keys(verdicts(piano('person')))).toEqual([
      'person:host:heard',
      'person:host:hears',
    ]);
  });
  it('is as loud as it is played: a stereo pair at 0.6 m of a piano of 80 dB', () => {
    const rig = new RigDraft('Case')
      .person('piano', 'Piano', { is: 'instrument', speechDbSpl: 80, crestDb: 18 })
      .device('pair', 'mic-pair', { person: 'piano' })
      .device('interface', 'interface-2', { settings: { 'phantom-1': true } })
      .device('computer', 'computer-laptop')
      .device('tracks', 'recording-tracks')
      .link('pair.left', 'interface.mic-1')
      .link('pair.right', 'interface.mic-2')
      .link('interface.usb', 'computer.usb-3', 2, 'usb-2')
      .link('computer.tracks', 'tracks.in')
      .build();
    const { traced, sound } = analyse(rig);
    const sources = traced.stages.filter(
      ({ parent, signal }) => parent === null && signal === 'sound',
    );
    // 80 + 4.44 dB SPL at 12 mV/Pa: 12 mV · 10^((84.44 − 94)/20) = 3.99 mV = −45.76 dBu
    expect(sources.map(({ index }) => sound[index]?.levelDb?.toFixed(2))).toEqual([
      '-45.76',
      '-45.76',
    ]);
  });
});

describe('a tube microphone', () => {
  const tube = (supply: boolean): Rig =>
    voice({ microphone: 'mic-tube', distance: 0.25, settings: { 'gain-1': 40 } })
      .do({ type: 'changePerson', personId: 'host', person: { shot: null } })
      .do({ type: 'setControl', deviceId: 'mic', control: 'supply', value: supply })
      .do({ type: 'writeBrief', brief: {} })
      .build();
  it('needs no phantom power, and its supply', () => {
    expect(analyse(tube(true)).findings.filter(({ level }) => level === 'stop')).toEqual([]);
    expect(verdicts(tube(true))['person:host:heard']).toBe('partly');
  });
  it('is dead without it, and nobody is heard', () => {
    expect(
      analyse(tube(false))
        .findings.filter(({ level }) => level === 'stop')
        .map(({ code }) => code),
    ).toEqual(['picture.no-supply', 'brief.unheard']);
    expect(verdicts(tube(false))['person:host:heard']).toBe('missing');
  });
});

describe('a boundary microphone', () => {
  it('takes half of what comes from everywhere: 3.01 dB less', () => {
    expect(randomEnergyDb('half space')).toBeCloseTo(-3.01, 2);
    expect(directivity('half space')).toBe(2);
  });
});

describe('a loudspeaker processor', () => {
  it('is as late as it is set', () => {
    const late = (ms: number): number | undefined => {
      const { traced, delay } = analyse(
        new RigDraft('Case')
          .device('keys', 'instrument-keyboard')
          .device('processor', 'loudspeaker-processor', { settings: { 'delay-1': ms } })
          .device('speaker', 'loudspeaker-active')
          .link('keys.out', 'processor.in-1')
          .link('processor.out-1', 'speaker.in')
          .build(),
      );
      const [thread] = traced.threads;
      return thread && delay[thread.last.index]?.knownMs;
    };
    expect([late(1), late(29.2)]).toEqual([1, 29.2]);
  });
});

describe('what a computer sends out again', () => {
  const made = (settings: Record<string, boolean>): string[] =>
    analyse(
      new RigDraft('Case')
        .person('host', 'Host')
        .device('computer', 'computer-desktop', { settings })
        .device('game', 'program-game')
        .device('interface', 'interface-2')
        .device('mic', 'mic-dynamic-stage', { person: 'host' })
        .device('phones', 'headphones-closed')
        .device('screen', 'display-2160')
        .link('game.out', 'computer.programs-in')
        .link('mic.out', 'interface.mic-1')
        .link('interface.usb', 'computer.usb-5', 2, 'usb-2')
        .link('computer.headphones', 'phones.in')
        .link('computer.screen-1', 'screen.in')
        .build(),
    )
      .traced.threads.filter(({ signal }) => signal === 'sound')
      .map(({ source, end }) => `${source.device.id} to ${end.device.id}`)
      .sort();
  it('its programs, unless they are silent', () => {
    expect(made({})).toEqual(['game to phones', 'game to screen']);
    expect(made({ 'programs-aloud': false })).toEqual([]);
  });
  it('and the whole mix, where it is told to: by the socket it came in by too', () =>
    expect(made({ 'mix-aloud': true })).toEqual([
      'game to phones',
      'game to screen',
      'mic to phones',
      'mic to screen',
    ]));
  it('a screen has a format of its own', () => {
    const { findings } = analyse(
      new RigDraft('Case')
        .device('computer', 'computer-desktop', { settings: { canvas: '3840x2160p30' } })
        .device('game', 'program-game')
        .device('screen', 'display-monitor')
        .link('game.out', 'computer.programs-in')
        .link('computer.screen-1', 'screen.in')
        .build(),
    );
    expect(findings.filter(({ level }) => level === 'stop')).toEqual([]);
  });
});
