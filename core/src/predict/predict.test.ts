import { analyse, type Analysis, fixesOf } from '../analyse';
import { RigDraft } from '../catalogue/draft';
import { apply, type Rig } from '../rig';
import { type Finding, findingKey, type Fix } from '../rules';
import { camera, twoOnAHub, voice } from '../rules/rigs-for-cases';
import { difference, differenceOf } from './compare';
import { predict } from './predict';

/** What is said of a fix before it is made, held against the rig after it was made. */

const finding = (analysis: Analysis, code: string): Finding => {
  const found = analysis.findings.find((one) => one.code === code);
  if (!found) throw new Error(`${code} is not found`);
  return found;
};
const fix = (analysis: Analysis, of: Finding, label: RegExp): Fix => {
  const found = fixesOf(analysis, of).find((one) => label.test(one.label));
  if (!found) throw new Error(`no fix ${String(label)}`);
  return found;
};
const foretold = (rig: Rig, code: string, label: RegExp) => {
  const analysis = analyse(rig);
  const one = finding(analysis, code);
  const offered = fix(analysis, one, label);
  return { ...predict(analysis, one, offered), analysis, one, offered };
};
const rounded = (value: number | null): number | null =>
  value === null ? null : Math.round(value * 1000) / 1000;
const effect = ({ effects }: ReturnType<typeof foretold>, label: string) => {
  const found = effects.find((one) => one.label === label);
  return found && [rounded(found.before), rounded(found.after), found.unit];
};

const quiet = voice({
  microphone: 'mic-dynamic-quiet',
  interface: 'interface-2',
  settings: { 'gain-1': 54 },
}).build();

describe('a fix of gain', () => {
  const booster = foretold(quiet, 'sound.gain-short', /booster/);
  it('cures what it was offered for, and says which findings go', () => {
    expect(booster.cures).toBe(true);
    expect(booster.takes.map(findingKey)).toContain(findingKey(booster.one));
  });
  it('tells gain needed, level and ratio before it, as worked example A has them', () => {
    expect(effect(booster, 'Gain needed')?.[0]).toBe(59.843);
    expect(effect(booster, 'Level')?.[0]).toBe(-23.843);
    expect(effect(booster, 'Signal to noise')?.[0]).toBe(58.125);
  });
  it('tells what the level comes to: what it is once the fix is made', () => {
    const made = analyse(apply(quiet, booster.offered.command));
    const levels = made.sound.map((figures) => rounded(figures?.levelDb ?? null));
    expect(levels).toContain(effect(booster, 'Level')?.[1]);
  });
  it('leaves the rig that it was asked about as it is', () =>
    expect(booster.analysis.rig).toBe(quiet));
});

describe('a fix of the USB', () => {
  it('tells the load and what the socket carries, before and after', () => {
    const moved = foretold(camera({ socket: 'usb-3' }).build(), 'computer.branch-full', /^Move/);
    expect(moved.cures).toBe(true);
    expect(effect(moved, 'Load')).toEqual([248.832, 248.832, 'MB/s']);
    expect(effect(moved, 'Carries')).toEqual([24.576, 400, 'MB/s']);
  });
  it('lowers the load where it captures less', () => {
    const less = foretold(twoOnAHub().build(), 'computer.branch-full', /^Capture 1080p30 on/);
    // Two of 248.832 before; one of them halved after.
    expect(effect(less, 'Load')?.slice(0, 2)).toEqual([497.664, 373.248]);
    expect(less.cures).toBe(true);
  });
});

describe('a fix in the room', () => {
  const off = voice({ distance: 0.4 })
    .do({ type: 'setRoom', room: { volumeM3: 60, rt60S: 0.6, noiseDba: 45 } })
    .do({
      type: 'changePerson',
      personId: 'host',
      person: { at: { xM: 0, yM: 0, facingDeg: 0 } },
    });
  it('tells the voice over the room: 29.73 dB from 40 cm, 30.2 from 38', () => {
    const nearer = foretold(off.build(), 'sound.room-noise', /^Move Mic to 38 cm/);
    expect(effect(nearer, 'Voice over the room')?.[0]).toBe(29.73);
    expect(effect(nearer, 'Voice over the room')?.[1]).toBeCloseTo(29.73 + 0.4455, 2);
  });
  it('tells what pointing it at the mouth brings: the 6.02 dB of a cardioid at 90°', () => {
    const turned = foretold(
      off
        .do({
          type: 'placeDevice',
          deviceId: 'mic',
          at: null,
          aim: { bearingDeg: 0, offAxisDeg: 90 },
        })
        .build(),
      'sound.off-axis',
      /Point|Turn/,
    );
    const [before, after] = effect(turned, 'Level') ?? [];
    expect(Number(after) - Number(before)).toBeCloseTo(6.02, 1);
    expect(turned.cures).toBe(true);
  });
});

describe('a fix that brings something of its own', () => {
  it('is told with what it brings', () => {
    const analysis = analyse(quiet);
    const one = finding(analysis, 'sound.gain-short');
    const cut: Fix = {
      label: 'Pull the cable',
      command: { type: 'disconnect', linkId: 'mic-out-to-interface' },
    };
    const { cures, brings } = predict(analysis, one, cut);
    expect(cures).toBe(true);
    expect(brings.map(({ code }) => code)).toContain('signal.unconnected');
  });
  it('says nothing it cannot know where the voice is gone', () => {
    const analysis = analyse(quiet);
    const one = finding(analysis, 'sound.gain-short');
    const { effects } = predict(analysis, one, {
      label: 'Pull the cable',
      command: { type: 'disconnect', linkId: 'mic-out-to-interface' },
    });
    expect(effects.find(({ label }) => label === 'Level')?.after).toBeNull();
  });
  it('is refused in words where the rig no longer fits', () => {
    const analysis = analyse(quiet);
    expect(() =>
      predict(analysis, finding(analysis, 'sound.gain-short'), {
        label: 'Pull a cable that is not there',
        command: { type: 'disconnect', linkId: 'nothing' },
      }),
    ).toThrow(/no connection|There is no/);
  });
});

describe('two states of a rig', () => {
  it('differ by what goes, what comes, money and devices', () => {
    const before = analyse(quiet);
    const offered = fix(before, finding(before, 'sound.gain-short'), /booster/);
    const told = differenceOf(before, offered.command);
    expect(told.gone.map(({ code }) => code)).toContain('sound.gain-short');
    expect(told.devices).toBe(1);
    expect(told.money).toBeGreaterThan(0);
  });
  it('are the other way round when they are asked the other way round', () => {
    const before = analyse(quiet);
    const after = analyse(apply(quiet, { type: 'removeDevice', deviceId: 'mic' }));
    const [there, back] = [difference(before, after), difference(after, before)];
    expect(back.gone.map(findingKey)).toEqual(there.fresh.map(findingKey));
    expect(back.fresh.map(findingKey)).toEqual(there.gone.map(findingKey));
    expect([back.money, back.devices]).toEqual([-there.money, -there.devices]);
  });
  it('tell a finding that has become worse as one gone and one come', () => {
    const long = (lengthM: number): Analysis =>
      analyse(
        new RigDraft('Case')
          .device('camera', 'camera-camcorder')
          .device('screen', 'display-monitor')
          .link('camera.hdmi', 'screen.in', lengthM)
          .build(),
      );
    const { gone, fresh } = difference(long(14), long(16));
    const reach = (list: readonly Finding[]) =>
      list.filter(({ code }) => code === 'picture.reach').map(({ level }) => level);
    expect([reach(gone), reach(fresh)]).toEqual([['warn'], ['stop']]);
  });
  it('do not differ from themselves', () =>
    expect(difference(analyse(quiet), analyse(quiet))).toEqual({
      gone: [],
      fresh: [],
      money: 0,
      devices: 0,
    }));
});
