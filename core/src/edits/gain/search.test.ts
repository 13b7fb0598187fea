import fc from 'fast-check';
import { RigDraft } from '../../catalogue/draft';
import { stagesOf } from '../../graph';
import { measure } from '../../passes/measure';
import { headroomDb, peakCeilingDbfs, peakDb, snrDb, voiceTargetDbfs } from '../../passes/sound';
import { voices } from '../../passes/sound/ladder';
import { apply, type Rig, type SimpleCommand } from '../../rig';
import { add, coarse } from './coarse-for-cases';
import { setForAll } from './set';
import { times } from '../../runs-for-cases';

/** The desk’s mix into the recorder, and each voice into the computer: every voice has two converters. */
const intoBoth = (draft: RigDraft): Rig =>
  draft
    .device('computer', 'computer-laptop')
    .device('tracks', 'recording-tracks')
    .link('desk.out-2', 'backup.line-1')
    .link('desk.usb', 'computer.usb-3', 2, 'usb-2')
    .link('computer.tracks', 'tracks.in')
    .build();

/** Voices by their level at 1 m, each with a stage dynamic at 5 cm, into the desk. @unit dB SPL */
const speak = (draft: RigDraft, speech: readonly number[]): RigDraft =>
  speech.reduce(
    (so, speechDbSpl, index) =>
      so
        .person(`p${index}`, `P ${index}`, { speechDbSpl })
        .device(`m${index}`, 'mic-dynamic-stage', {
          person: `p${index}`,
          settings: { distance: 0.05 },
        })
        .link(`m${index}.out`, `desk.mic-${index + 1}`),
    draft,
  );

/** Voices into one interface, whose output a recorder takes in: its line gain is everyone's. */
const sharing = (speech: readonly number[], begin: number, lineGain: number): Rig => {
  const draft = new RigDraft('Shared');
  const gains = Object.fromEntries(speech.map((_, index) => [`gain-${index + 1}`, begin]));
  add(draft, 'desk', coarse('interface-4', 23), gains);
  add(draft, 'backup', coarse('recorder-sound', 20), { 'line-gain-1': lineGain });
  return intoBoth(speak(draft, speech));
};

interface Read {
  readonly short: number;
  readonly miss: number;
  readonly lastTenths: number;
  readonly snr: number;
}

/** What all voices are worth together, read from the whole rig and not by the search. */
const readAll = (rig: Rig): Read => {
  const measured = measure(rig);
  const { houseRules } = rig;
  let [short, miss, snr] = [0, 0, 0];
  for (const stage of voices(measured)) {
    const at = measured.sound[stage.index];
    const headrooms = stagesOf(stage).flatMap(({ index }) => {
      const figures = measured.sound[index];
      return (figures && headroomDb(figures)) ?? [];
    });
    short += Math.max(
      0,
      houseRules.headroomDb - Math.min(...headrooms),
      ((at && peakDb(at)) ?? NaN) - peakCeilingDbfs(houseRules),
    );
    const target = at ? voiceTargetDbfs(houseRules, at) : NaN;
    miss += Math.max(0, Math.abs((at?.levelDb ?? NaN) - target) - 0.5);
    snr += (at && snrDb(at)) ?? NaN;
  }
  const gains = Object.values(rig.devices).flatMap(({ model, settings }) =>
    Object.entries(model.controls).flatMap(([id, control]) =>
      control.type === 'gain' && /^(line-)?gain-/.test(id)
        ? [
            Number(settings[id] ?? control.initial) >
              control.minDb +
                0.9 *
                  (Math.floor((control.maxDb - control.minDb) / control.stepDb) * control.stepDb) +
                1e-9,
          ]
        : [],
    ),
  );
  return { short, miss, snr, lastTenths: gains.filter(Boolean).length };
};

const isBetter = (a: Read, b: Read): boolean => {
  const NEAR = 1e-6;
  for (const key of ['short', 'miss', 'lastTenths'] as const) {
    if (a[key] < b[key] - NEAR) return true;
    if (a[key] > b[key] + NEAR) return false;
  }
  return a.snr > b.snr + 0.02;
};

const turned = (rig: Rig, commands: readonly SimpleCommand[]): Rig =>
  commands.length === 0
    ? rig
    : apply(rig, { type: 'batch', label: 'Set', commands: [...commands] });

describe('voices that share a knob, against every combination of all knobs', () => {
  it('nothing on the grid is better for all of them together', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(54, 62, 70, 80), { minLength: 2, maxLength: 2 }),
        fc.constantFrom(0, 23, 46),
        fc.constantFrom(0, 20),
        (speech, begin, lineGain) => {
          const rig = sharing(speech, begin, lineGain);
          const chosen = readAll(turned(rig, setForAll(measure(rig)).commands));
          const gains = [0, 23, 46, 69];
          const pads = [true, false];
          for (const a of gains)
            for (const b of gains)
              for (const padA of pads)
                for (const padB of pads)
                  for (const line of [0, 20, 40]) {
                    const set = (
                      deviceId: string,
                      control: string,
                      value: number | boolean,
                    ): SimpleCommand => ({ type: 'setControl', deviceId, control, value });
                    const other = readAll(
                      turned(rig, [
                        set('desk', 'gain-1', a),
                        set('desk', 'gain-2', b),
                        set('desk', 'pad-1', padA),
                        set('desk', 'pad-2', padB),
                        set('backup', 'line-gain-1', line),
                      ]),
                    );
                    expect([a, b, padA, padB, line, isBetter(other, chosen)]).toEqual([
                      ...[a, b, padA, padB, line],
                      false,
                    ]);
                  }
        },
      ),
      { numRuns: times(6) },
    );
  });
  it('three voices are each within half a decibel of the house at both converters', () => {
    const desk = new RigDraft('Three')
      .device('desk', 'interface-4')
      .device('backup', 'recorder-sound');
    const whole = intoBoth(speak(desk, [62, 70, 54]));
    const set = measure(turned(whole, setForAll(measure(whole)).commands));
    const levels = voices(set).map((stage) => set.sound[stage.index]?.levelDb ?? NaN);
    expect(levels).toHaveLength(6);
    for (const level of levels) expect(Math.abs(level + 18)).toBeLessThanOrEqual(0.5);
  });
});
