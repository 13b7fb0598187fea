import { analyse } from '../analyse';
import { RigDraft } from '../catalogue/draft';
import { apply, entry, PHASES, type Rig } from '../rig';
import { demoRig } from '../rules/demo-for-cases';
import { checklist, checklistChanged } from './checklist';
import { durationText, hoursText, secondsOfDay, timedRundown, timeOfDayText } from './rundown';
import { runsOut } from './runs-out';

const linesOf = (rig: Rig) => checklist(analyse(rig));
const idsOf = (rig: Rig): string[] => linesOf(rig).map(({ id }) => id);
const DEMOS = ['night-tide', 'second-firing', 'harbour-hall'] as const;

describe('a checklist', () => {
  it.each(DEMOS)('of %s has each line once, in the order of the day, each with its why', (name) => {
    const lines = linesOf(demoRig(name));
    expect(new Set(lines.map(({ id }) => id)).size).toBe(lines.length);
    const ranks = lines.map(({ phase }) => PHASES.indexOf(phase));
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
    for (const line of lines) {
      expect(line.what).not.toMatch(/undefined|null|NaN/);
      if (!line.isOfHouse) expect(line.why).not.toBe('');
    }
  });
  it('of an empty rig is empty', () => expect(linesOf(new RigDraft('Empty').build())).toEqual([]));
  it('asks for phantom power after plugging, and off before unplugging, only where it is on', () => {
    const rig = demoRig('second-firing');
    const phantom = idsOf(rig).filter((id) => id.startsWith('phantom'));
    expect(phantom).toHaveLength(2);
    const strike = linesOf(rig).filter(({ phase }) => phase === 'strike');
    const at = (start: string) => strike.findIndex(({ id }) => id.startsWith(start));
    expect(at('stream-off')).toBeLessThan(at('stop'));
    expect(at('stop')).toBeLessThan(at('phantom-off'));
    expect(at('phantom-off')).toBeLessThan(at('off '));
    const deviceId = phantom[0]?.split(' ')[1] ?? '';
    const controls = Object.keys(rig.devices[deviceId]?.model.controls ?? {});
    const control = controls.find((id) => id.includes('phantom')) ?? '';
    const without = apply(rig, { type: 'setControl', deviceId, control, value: false });
    expect(idsOf(without).filter((id) => id.startsWith('phantom'))).toEqual([]);
  });
  it('meets each voice at the level that is predicted', () => {
    const voice = linesOf(demoRig('night-tide')).find(({ id }) => id.startsWith('voice host-mic'));
    expect(voice).toMatchObject({ figure: '−23.8 dBFS on average', who: 'Host', isMust: true });
    expect(voice?.reads).toMatchObject({ unit: 'dBFS', within: 4 });
    expect(voice?.reads?.expected).toBeCloseTo(-23.8, 1);
  });
  it('has the loudness of the whole read when it is over, before anything is switched off', () => {
    const lines = linesOf(demoRig('second-firing')).filter(({ phase }) => phase === 'strike');
    const at = (start: string) => lines.findIndex(({ id }) => id.startsWith(start));
    expect(lines[at('loudness ')]?.reads?.unit).toBe('LUFS');
    expect(at('loudness ')).toBeGreaterThan(at('stop'));
    expect(at('loudness ')).toBeLessThan(at('off '));
  });
  it('puts loudspeakers on last and off first', () => {
    const lines = linesOf(demoRig('harbour-hall'));
    const inPhase = (phase: string) =>
      lines.filter((line) => line.phase === phase).map(({ id }) => id);
    const [on, off] = [inPhase('set up'), inPhase('strike')];
    const last = (list: string[], start: string) =>
      list.findLastIndex((id) => id.startsWith(start));
    const first = (list: string[], start: string) => list.findIndex((id) => id.startsWith(start));
    expect(first(on, 'loud-on')).toBeGreaterThan(last(on, 'on '));
    expect(first(on, 'loud-on')).toBeGreaterThan(last(on, 'phantom-on'));
    expect(last(off, 'loud-off')).toBeLessThan(first(off, 'off '));
  });
  it('tells what an edit changed in it', () => {
    const rig = demoRig('night-tide');
    const louder = apply(rig, {
      type: 'setControl',
      deviceId: 'interface',
      control: 'gain-1',
      value: 50,
    });
    const { came, went, otherwise } = checklistChanged(linesOf(rig), linesOf(louder));
    expect([came, went]).toEqual([[], []]);
    expect(otherwise.map(({ id }) => id.split(' ')[0]).sort()).toEqual([
      'gains',
      'loudness',
      'voice',
    ]);
    const fewer = apply(rig, { type: 'removeDevice', deviceId: 'reader-mic' });
    const gone = checklistChanged(linesOf(rig), linesOf(fewer));
    expect(gone.went.some(({ id }) => id.startsWith('voice reader-mic'))).toBe(true);
  });
  it('of the house stands among the others, and goes with its line', () => {
    const rig = apply(demoRig('night-tide'), {
      type: 'addHouseLine',
      houseLineId: 'kettle',
      houseLine: {
        phase: 'go live',
        what: 'Kettle off',
        where: '',
        who: '',
        why: '',
        isMust: true,
      },
    });
    const line = linesOf(rig).find(({ id }) => id === 'house kettle');
    expect(line).toMatchObject({ phase: 'go live', isMust: true, isOfHouse: true });
    expect(idsOf(apply(rig, { type: 'removeHouseLine', houseLineId: 'kettle' }))).not.toContain(
      'house kettle',
    );
  });
});

describe('what runs out', () => {
  const camera = new RigDraft('Roaming').device('roaming', 'camera-camcorder').build();
  it('a card of 64 GB at 100 Mb/s with a reserve of a twentieth: 81.1 min', () => {
    // Handbook 4: 64 ÷ (100 × 0.45) h are 85.3 min.
    const rig = apply(demoRig('second-firing'), { type: 'writeBrief', brief: { lengthMin: 90 } });
    const card = runsOut(analyse(rig)).find(({ what }) => what === 'card');
    const drive = analyse(rig).rig.devices[card?.deviceId ?? '']?.model.storage;
    expect(drive?.capacityGb).toBe(2000);
    expect((64 / (100 * 0.45)) * 60 * 0.95).toBeCloseTo(81.07, 2);
    expect(card?.afterMin).toBeCloseTo(((2000 / (31.9 * 0.45)) * 60 * 0.95) / 1, -2);
  });
  it('is nothing where everything hangs on the mains', () =>
    expect(runsOut(analyse(camera)).filter(({ what }) => what === 'battery')).toEqual([]));
  it('comes soonest first, each by one id', () => {
    for (const name of DEMOS) {
      const all = runsOut(analyse(demoRig(name)));
      expect(all.map(({ afterMin }) => afterMin)).toEqual(
        all.map(({ afterMin }) => afterMin).sort((a, b) => a - b),
      );
      expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
    }
  });
});

describe('the rundown', () => {
  const rig = demoRig('second-firing');
  const { segments, totalS, wantedS, overS } = timedRundown(rig);
  it('adds up, and is reckoned back from the end', () => {
    expect(totalS).toBe(88 * 60);
    expect(wantedS).toBe(90 * 60);
    expect(overS).toBe(-120);
    // “Goodbye” takes six minutes: it begins at 82 by the plan, and at 84 at the latest.
    expect(segments.at(-1)).toMatchObject({ fromS: 82 * 60, toS: 88 * 60, latestS: 84 * 60 });
    for (const [at, { toS }] of segments.entries())
      expect(segments[at + 1]?.fromS ?? totalS).toBe(toS);
  });
  it('moves one segment and leaves the order of the others', () => {
    const moved = apply(rig, { type: 'moveSegment', segmentId: 'segment-7', to: 0 });
    expect(timedRundown(moved).segments.map(({ id }) => id)).toEqual(
      [7, 1, 2, 3, 4, 5, 6].map((at) => `segment-${at}`),
    );
    expect(timedRundown(moved).totalS).toBe(totalS);
  });
  it('forgets scenes and people that leave', () => {
    const gone = apply(rig, { type: 'removeScene', sceneId: 'kiln' });
    expect(entry(gone.segments, 'segment-2')?.sceneId).toBeNull();
  });
  it('writes times as they are read', () => {
    expect(secondsOfDay('19:30')).toBe(70_200);
    expect(timeOfDayText(70_200 + 5400.9)).toBe('21:00:00');
    expect(timeOfDayText(86_400 + 61)).toBe('00:01:01');
    expect([durationText(59.6), durationText(-75), durationText(3723), durationText(-0.2)]).toEqual(
      ['1:00', '−1:15', '1:02:03', '0:00'],
    );
    expect([hoursText(81.07), hoursText(119.9), hoursText(862.4)]).toEqual([
      '81 min',
      '119 min',
      '14 h 22 min',
    ]);
  });
});
