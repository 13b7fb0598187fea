import { type Answers, build, remote, STARTING_POINTS } from '.';
import { analyse } from '../analyse';
import { framedBy, framings } from '../passes/framing';
import { voiceTargetDbfs } from '../passes/sound';
import { voices } from '../passes/sound/ladder';
import type { Rig } from '../rig';
import { wired } from './wire';

const made = (answers: Answers): Rig => {
  const built = build(answers);
  if (!built.ok) throw new Error(built.why);
  return built.rig;
};
const two = STARTING_POINTS.find(({ id }) => id === 'two-voices');
if (!two) throw new Error('the starting point is missing');
const base = two.answers('Show');
const wiring = (answers: Answers): Rig => wired(answers).rig;

describe('a rig is complete', () => {
  const rig = made({ ...base, brief: { ...base.brief, switchedBy: 'operator' } });
  const analysis = analyse(rig);
  it('shots have lenses that are open no wider than they can, and distances from the plan', () => {
    const shots = framings(analysis);
    expect(shots.map(({ shot }) => shot.personId)).toEqual(['first-voice', 'second-voice']);
    for (const framing of shots) {
      const { lens, shot, misfit } = framing;
      const device = framedBy(analysis, framing);
      expect(shot.distanceM).toBeGreaterThan(0.5);
      expect(Math.abs(misfit ?? NaN)).toBeLessThan(0.1);
      if (lens) expect(Number(device.settings['f-number'])).toBeGreaterThanOrEqual(lens.widest);
    }
  });
  it('a scene for each picture, a button for each scene, and guarded ones to start and end', () => {
    expect(Object.values(rig.scenes).map(({ name }) => name)).toEqual([
      'First voice',
      'Second voice',
    ]);
    expect(
      Object.values(rig.panel.buttons).map(({ does, guard }) => `${does.type} ${guard}`),
    ).toEqual([
      'scene none',
      'scene none',
      ...['stream hold', 'stream hold', 'recording hold', 'recording hold'],
    ]);
  });
  it('every voice stands within a decibel of the house at every converter', () => {
    const levels = voices(analysis).map((stage) => {
      const figures = analysis.sound[stage.index];
      return (figures?.levelDb ?? NaN) - (figures ? voiceTargetDbfs(rig.houseRules, figures) : NaN);
    });
    expect(levels).toHaveLength(4);
    for (const missDb of levels) expect(Math.abs(missDb)).toBeLessThanOrEqual(0.51);
  });
  it('everybody and everything that has a body has a place in a usual room', () => {
    expect(rig.shell).not.toBeNull();
    for (const { at } of Object.values(rig.people)) expect(at).not.toBeNull();
    expect(analysis.findings.filter(({ code }) => code === 'place.unplaced')).toEqual([]);
  });
  it('stands in the room that was answered, or in none', () => {
    const inRoom = (usualRoom: Answers['usualRoom']) => made({ ...base, usualRoom }).shell;
    expect(inRoom('none yet')).toBeNull();
    expect(inRoom('Hall')?.heightM).toBe(6);
  });
  it('an encoder hangs on the switcher where sound goes through it, else on the computer', () => {
    const feed = (soundRecorded: 'through the switcher' | 'interface into the computer') =>
      Object.values(
        wiring({ ...base, houseRules: { computers: 'hardware encoder', soundRecorded } }).links,
      ).flatMap(({ from, to }) =>
        to.deviceId === 'encoder' ? [`${from.deviceId}.${from.portId}`] : [],
      );
    expect(feed('through the switcher')).toEqual(['switcher.programme']);
    expect(feed('interface into the computer')).toEqual(['computer.screen-1']);
  });
  it('a stream takes what the line leaves beside the calls, and never so little that it falls apart', () => {
    const streamMbps = (uplinkMbps: number) =>
      Object.values(
        wiring({
          ...base,
          people: [...base.people, remote('Guest')],
          brief: { ...base.brief, uplinkMbps },
        }).brief?.deliverables ?? {},
      ).find(({ what }) => what === 'stream')?.bitrateMbps;
    // 0.7 × 10 − 3 = 4 Mb/s; 0.05 bits × 1920 × 1080 × 30 = 3.11 Mb/s at the least
    expect([streamMbps(50), streamMbps(10), streamMbps(5)]).toEqual([6, 4, 3.5]);
  });
});
