import fc from 'fast-check';
import { RigDraft } from '../../catalogue/draft';
import { stagesOf } from '../../graph';
import { measure } from '../../passes/measure';
import type { Measured } from '../../passes/measured';
import { headroomDb, snrDb } from '../../passes/sound';
import { voices } from '../../passes/sound/ladder';
import { apply, levelTarget, type Rig, type SimpleCommand } from '../../rig';
import { demoRig } from '../../rules/demo-for-cases';
import { voice, voiceThrough } from '../../rules/rigs-for-cases';
import { add, coarse } from './coarse-for-cases';
import { type GainProposal, setForAll, setForVoice } from './set';
import { times } from '../../runs-for-cases';

const proposalOf = (rig: Rig, place = 0): GainProposal => {
  const measured = measure(rig);
  const stage = voices(measured)[place];
  const answer = stage && setForVoice(measured, stage);
  if (!answer?.can) throw new Error(answer ? answer.why : 'no voice');
  return answer.proposal;
};

const settingsOf = (proposal: GainProposal) =>
  proposal.knobs.map(({ control }, index) => `${control} ${proposal.settingsDb[index] ?? ''}`);

const levelAt = (measured: Measured) => {
  const stage = voices(measured)[0];
  return stage ? measured.sound[stage.index]?.levelDb : undefined;
};

describe('set it for me', () => {
  it('sets worked C to 42 dB: 41.93 on steps of one', () => {
    const proposal = proposalOf(
      voice({
        microphone: 'mic-condenser-large',
        interface: 'interface-2',
        distance: 0.2,
        settings: { 'gain-1': 10, 'phantom-1': true },
      }).build(),
    );
    expect(proposal.after).toMatchObject({ shortDb: 0, missDb: 0 });
    expect(proposal.commands).toHaveLength(1);
    expect(
      levelAt(
        measure(
          apply(
            voice({
              microphone: 'mic-condenser-large',
              interface: 'interface-2',
              distance: 0.2,
              settings: { 'gain-1': 10, 'phantom-1': true },
            }).build(),
            { type: 'batch', label: 'Set', commands: [...proposal.commands] },
          ),
        ),
      ),
    ).toBeCloseTo(-18, 0);
  });
  it('turns worked A fully up and says that 5.3 dB beyond half a step are missing', () => {
    const proposal = proposalOf(demoRig('night-tide'));
    expect(settingsOf(proposal)).toEqual(['gain-1 54']);
    expect(proposal.after.missDb).toBeCloseTo(5.34, 1);
    expect(proposal.meetLevel).toBe(0);
  });
  it('takes the gain early: two stages in a row, the first as far as its headroom and the last tenth allow', () => {
    const rig = voiceThrough(
      'mic-dynamic-stage',
      'channel-processor',
      { in: 'in', out: 'out' },
      { 'gain-1': 50 },
      { gain: 5 },
    ).build();
    const proposal = proposalOf(rig);
    expect(proposal.after).toMatchObject({ shortDb: 0, missDb: 0, lastTenths: 0 });
    const [stripPad, strip] = proposal.settingsDb;
    expect([proposal.knobs.map(({ deviceId, kind }) => `${deviceId} ${kind}`), stripPad]).toEqual([
      ['through pad', 'through gain', 'interface pad', 'interface gain'],
      0,
    ]);
    expect(strip).toBeGreaterThan(40);
  });
  it('asks for what is missing instead of guessing', () => {
    const rig = voice()
      .do({
        type: 'setFigure',
        deviceId: 'mic',
        path: 'ports.out.emits.sound.sensitivityMvPerPa',
        value: null,
      })
      .build();
    const measured = measure(rig);
    const [stage] = voices(measured);
    expect(stage && setForVoice(measured, stage)).toEqual({
      can: false,
      why: 'Cannot tell for Mic: needs the sensitivity of Mic.',
    });
  });
  it('sets Harbour Hall’s 24 voices at once without turning any knob twice', () => {
    const measured = measure(demoRig('harbour-hall'));
    const { commands, answers } = setForAll(measured);
    expect(answers.length).toBeGreaterThanOrEqual(24);
    const knobs = commands.map((command) =>
      command.type === 'setControl' ? `${command.deviceId}.${command.control}` : '',
    );
    expect(new Set(knobs).size).toBe(knobs.length);
  });
});

/** What a setting is worth, read from the whole rig and not by the search. */
const readWorth = (rig: Rig, turned: readonly SimpleCommand[], lastTenths: number) => {
  const measured = measure(
    turned.length ? apply(rig, { type: 'batch', label: 'Try', commands: [...turned] }) : rig,
  );
  const [stage] = voices(measured);
  if (!stage) throw new Error('no voice');
  const figures = measured.sound[stage.index];
  const headrooms = stagesOf(stage).flatMap(({ index }) => {
    const at = measured.sound[index];
    const headroom = at ? headroomDb(at) : null;
    return headroom === null ? [] : [headroom];
  });
  // The pair of the house: the average, and peaks under the lower of the school's and the headroom's.
  const { averageDbfs, peakDbfs } = levelTarget(rig.houseRules);
  const ceiling = Math.min(peakDbfs, -rig.houseRules.headroomDb);
  const peakOver = (figures?.crestDb ?? NaN) - 10 * Math.log10(2);
  const target = Math.min(averageDbfs, ceiling - peakOver);
  return {
    short: Math.max(
      0,
      rig.houseRules.headroomDb - Math.min(...headrooms),
      (figures?.levelDb ?? NaN) + peakOver - ceiling,
    ),
    miss: Math.max(0, Math.abs((figures?.levelDb ?? NaN) - target) - 0.5),
    lastTenths,
    snr: (figures && snrDb(figures)) ?? NaN,
  };
};

describe('against every combination, read from the whole rig', () => {
  const chains = fc.record({
    microphone: fc.constantFrom('mic-dynamic-quiet', 'mic-dynamic-stage', 'mic-condenser-large'),
    distance: fc.constantFrom(0.05, 0.1, 0.3, 0.6),
    speech: fc.constantFrom(54, 62, 72, 84),
    crest: fc.constantFrom(14, 18),
    through: fc.boolean(),
    stripGain: fc.constantFrom(0, 20, 45),
    gain: fc.constantFrom(0, 30, 54),
    headroom: fc.constantFrom(3, 6, 12),
  });
  it('nothing on the grid is better', () => {
    let stripMattered = 0;
    fc.assert(
      fc.property(
        chains,
        ({ microphone, distance, speech, crest, through, stripGain, gain, headroom }) => {
          const draft = new RigDraft('Case')
            .do({ type: 'setHouseRules', rules: { headroomDb: headroom } })
            .person('host', 'Host', { speechDbSpl: speech, crestDb: crest });
          draft.device('mic', microphone, { person: 'host', settings: { distance } });
          add(draft, 'interface', coarse('interface-4', 6), {
            'gain-1': Math.floor(gain / 6) * 6,
            'phantom-1': true,
          });
          draft
            .device('computer', 'computer-laptop')
            .device('tracks', 'recording-tracks')
            .link('interface.usb', 'computer.usb-3', 2, 'usb-2')
            .link('computer.tracks', 'tracks.in');
          if (through)
            add(draft, 'strip', coarse('channel-processor', 10), {
              gain: Math.floor(stripGain / 10) * 10,
              phantom: true,
            })
              .link('mic.out', 'strip.in', 2)
              .link('strip.out', 'interface.mic-1', 2);
          else draft.link('mic.out', 'interface.mic-1', 2);
          const rig = draft.build();
          const proposal = proposalOf(rig);
          const { knobs } = proposal;
          const tenth = (settings: readonly number[]) =>
            knobs.filter(
              ({ kind, settingsDb }, index) =>
                kind === 'gain' &&
                (settings[index] ?? 0) >
                  (settingsDb.at(-1) ?? 0) -
                    0.1 * ((settingsDb.at(-1) ?? 0) - (settingsDb[0] ?? 0)) +
                    1e-9,
            ).length;
          const commandsFor = (settings: readonly number[]): SimpleCommand[] =>
            knobs.map(({ deviceId, control, kind }, index) => ({
              type: 'setControl',
              deviceId,
              control,
              value: kind === 'pad' ? (settings[index] ?? 0) < 0 : (settings[index] ?? 0),
            }));
          const grid = knobs.reduce<number[][]>(
            (made, { settingsDb }) =>
              made.flatMap((settings) => settingsDb.map((value) => [...settings, value])),
            [[]],
          );
          expect(grid).toHaveLength(proposal.tried);
          const chosen = readWorth(rig, proposal.commands, tenth(proposal.settingsDb));
          for (const settings of grid) {
            const other = readWorth(rig, commandsFor(settings), tenth(settings));
            const better =
              other.short < chosen.short - 1e-6
                ? 'headroom'
                : other.short > chosen.short + 1e-6
                  ? null
                  : other.miss < chosen.miss - 1e-6
                    ? 'level'
                    : other.miss > chosen.miss + 1e-6
                      ? null
                      : other.lastTenths < chosen.lastTenths
                        ? 'last tenth'
                        : other.lastTenths > chosen.lastTenths
                          ? null
                          : other.snr > chosen.snr + 0.01
                            ? 'noise'
                            : null;
            expect([settings, better]).toEqual([settings, null]);
          }
          if (
            through &&
            proposal.commands.some(
              (command) => command.type === 'setControl' && command.deviceId === 'strip',
            )
          )
            stripMattered++;
        },
      ),
      { numRuns: times(12) },
    );
    expect(stripMattered).toBeGreaterThan(0);
  });
});

describe('too many combinations', () => {
  it('turn the knobs nearest the microphone, and name the ones left as they are', () => {
    const draft = voiceThrough(
      'mic-dynamic-stage',
      'channel-processor',
      { in: 'in', out: 'out' },
      { 'gain-1': 10 },
      { gain: 30 },
    ).do({ type: 'disconnect', linkId: 'through-out-to-interface' });
    const rig = draft
      .device('second', 'preamp-one', { settings: { gain: 0 } })
      .link('through.out', 'second.in')
      .link('second.out', 'interface.mic-1')
      .build();
    const { knobs, left, tried } = proposalOf(rig);
    expect([
      knobs.map(({ deviceId }) => deviceId),
      left.map(({ deviceId, kind }) => `${deviceId} ${kind}`),
    ]).toEqual([['through', 'through', 'second', 'second', 'interface'], ['interface gain']]);
    expect(tried).toBe(2 * 61 * 2 * 71 * 2);
  });
});
