import { analyse, fixesOf, fixesOfCause, reanalyse } from './analyse';
import { setForAll } from './edits/gain/set';
import { pressAll } from './press-for-cases';
import { randomRig, rigsToBeginFrom } from './random-for-cases';
import { apply, commandSchema } from './rig';
import { findingKey } from './rules';
import { demoRig } from './rules/demo-for-cases';
import { voice } from './rules/rigs-for-cases';
import { alsoInLong } from './runs-for-cases';

/** Larger ones, and more of them, are `npm run press`. */
const small = rigsToBeginFrom().filter(({ devices }) => Object.keys(devices).length < 60);

describe('press every button', () => {
  it.each(alsoInLong(['night-tide', 'second-firing'], ['harbour-hall']))(
    '%s ends without a stop, and every warning that stays has nothing on offer that makes nothing worse',
    (name) => {
      const { after, isCircle, worse } = pressAll(demoRig(name));
      expect([isCircle, worse]).toEqual([false, []]);
      expect(after.findings.filter(({ level }) => level === 'stop')).toEqual([]);
      for (const cause of after.causes)
        expect(fixesOfCause(after, cause).every(({ isWorse }) => isWorse)).toBe(true);
    },
  );
  it.each(alsoInLong([1], [2, 3]))(
    'random rig %s never goes in a circle and never gets worse',
    (seed) => {
      const { isCircle, worse, before, after } = pressAll(randomRig(seed, small));
      expect([isCircle, worse]).toEqual([false, []]);
      expect(after.verdict.stops).toBeLessThanOrEqual(before.verdict.stops);
    },
  );
});

describe('a remedy', () => {
  it('can be saved, however long the names in it are', () => {
    const long = (name: string): string => name.padEnd(80, ' of the long name');
    let rig = demoRig('second-firing');
    for (const [personId, { name }] of Object.entries(rig.people))
      rig = apply(rig, { type: 'changePerson', personId, person: { name: long(name) } });
    for (const [deviceId, { name }] of Object.entries(rig.devices))
      rig = apply(rig, { type: 'renameDevice', deviceId, name: long(name) });
    const analysis = analyse(rig);
    const offered = analysis.causes.flatMap((cause) => fixesOfCause(analysis, cause));
    expect(offered.length).toBeGreaterThan(20);
    for (const { label, command } of offered)
      expect([label, commandSchema.safeParse(command).error?.message]).toEqual([label, undefined]);
  });
  // One finding of each rule on each rig.
  it('that is offered cures, on 6 random rigs', () => {
    let offered = 0;
    for (let seed = 101; seed <= 106; seed++) {
      const analysis = analyse(randomRig(seed, small));
      const ofEachRule = new Map(analysis.findings.map((finding) => [finding.code, finding]));
      for (const finding of ofEachRule.values())
        for (const { label, command } of fixesOf(analysis, finding)) {
          offered++;
          const after = reanalyse(analysis, apply(analysis.rig, command));
          expect([
            seed,
            label,
            after.findings.some((other) => findingKey(other) === findingKey(finding)),
          ]).toEqual([seed, label, false]);
        }
    }
    expect(offered).toBeGreaterThan(70);
  });
  it('of a whole cause takes all its places away', () => {
    const analysis = analyse(demoRig('second-firing'));
    const cause = analysis.causes.find(({ finding }) => finding.code === 'sound.gain-low');
    if (!cause) throw new Error('nobody is too quiet');
    expect(cause.places.length).toBeGreaterThan(1);
    const [all] = fixesOfCause(analysis, cause);
    expect(all?.label).toMatch(/, and \d+ more like it$/);
    const after = all && reanalyse(analysis, apply(analysis.rig, all.command));
    expect(after?.findings.filter(({ code }) => code === 'sound.gain-low')).toEqual([]);
  });
});

/** What is said of the settings of a voice. */
const ABOUT_SETTINGS = [
  'sound.gain-low',
  'sound.gain-hot',
  'sound.peaks-high',
  'sound.headroom-thin',
  'sound.clips',
];

describe('what the product sets itself', () => {
  it.each([
    [14, 'average -18'],
    [18, 'average -18'],
    [14, 'average -20'],
    [18, 'average -20'],
    [14, 'loudness-led'],
    [18, 'loudness-led'],
  ] as const)(
    'crest %s, school %s: it has nothing to say of its own settings',
    (crestDb, recordingLevel) => {
      for (const speechDbSpl of [54, 62, 72, 80])
        for (const distance of [0.05, 0.1, 0.3]) {
          const rig = voice({ distance, settings: { 'gain-1': 20 } })
            .do({ type: 'changePerson', personId: 'host', person: { crestDb, speechDbSpl } })
            .do({ type: 'setHouseRules', rules: { recordingLevel } })
            .build();
          const { commands } = setForAll(analyse(rig));
          const after = analyse(
            commands.length
              ? apply(rig, { type: 'batch', label: 'Set', commands: [...commands] })
              : rig,
          );
          expect([
            speechDbSpl,
            distance,
            after.findings
              .filter(({ code }) => ABOUT_SETTINGS.includes(code))
              .map(({ code }) => code),
          ]).toEqual([speechDbSpl, distance, []]);
        }
    },
  );
});
