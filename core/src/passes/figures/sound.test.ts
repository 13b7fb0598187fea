import { analyse, type Analysis } from '../../analyse';
import { RigDraft } from '../../catalogue/draft';
import { voice, voiceThrough } from '../../rules/rigs-for-cases';
import { channelLoads } from '../sound/channels';
import { headroomDb, peakDb, snrAWeightedDb, snrDb, type SoundFigures } from './sound';
import { isConversion } from '../sound/gains';
import { angleOff, distanceBetween, fartherFrom, microphoneSpot } from '../place';
import { boosterVerdict, noiseShares } from '../sound/noise-sums';
import { voiceFigures } from '../sound/voice-figures';

const figures = (more: Partial<SoundFigures> = {}): SoundFigures => ({
  unit: 'dBFS',
  levelDb: -18,
  crestDb: 14,
  pressedDb: 0,
  noise: { unweightedDb: -78, aWeightedDb: -80, weighting: 'unweighted', isAtBest: false },
  ceilingDb: 0,
  unknown: null,
  ...more,
});

describe('the figures of a level', () => {
  it('speech at −18 dBFS with a crest of 14 dB peaks at −7.01, 7.01 under the ceiling', () => {
    expect(peakDb(figures())).toBeCloseTo(-7.01, 2);
    expect(headroomDb(figures())).toBeCloseTo(7.01, 2);
  });
  it('stands 60 dB over its noise, 62 in dB(A)', () => {
    expect(snrDb(figures())).toBe(60);
    expect(snrAWeightedDb(figures())).toBe(62);
  });
  it('are not made up where the level is not known', () => {
    const none = figures({ levelDb: null });
    expect([peakDb(none), headroomDb(none), snrDb(none), snrAWeightedDb(none)]).toEqual([
      null,
      null,
      null,
      null,
    ]);
  });
  it('have no headroom where no ceiling is known, and no ratio where no noise is', () => {
    expect(headroomDb(figures({ ceilingDb: null }))).toBeNull();
    expect([snrDb(figures({ noise: null })), snrAWeightedDb(figures({ noise: null }))]).toEqual([
      null,
      null,
    ]);
  });
});

describe('places on the plan', () => {
  const spot = { xM: 2, yM: 3, facingDeg: 0 };
  it('are as far apart as Pythagoras says, wherever the plan begins', () => {
    expect(distanceBetween({ xM: 2, yM: 3 }, { xM: 5, yM: 7 })).toBe(5);
    expect(distanceBetween({ xM: -2, yM: -3 }, { xM: -5, yM: -7 })).toBe(5);
  });
  it.each([
    ['straight ahead', 2, 5, 0],
    ['to the right', 4, 3, 90],
    ['behind', 2, 1, -180],
    ['to the left', 1, 3, -90],
    ['half right', 3, 4, 45],
  ])('%s', (_name, xM, yM, deg) => expect(angleOff(spot, { xM, yM })).toBeCloseTo(deg, 9));
  it('turn with what looks', () =>
    expect(angleOff({ ...spot, facingDeg: 350 }, { xM: 2, yM: 9 })).toBeCloseTo(10, 9));
  it('farther from where one stands is up the plan', () =>
    expect(fartherFrom(spot, spot, 2)).toMatchObject({ xM: 2, yM: 5 }));
  it('a microphone stands before its mouth as its aim says, and looks back at it', () => {
    const rig = voice()
      .do({
        type: 'changePerson',
        personId: 'host',
        person: { at: { xM: 2, yM: 3, facingDeg: 90 } },
      })
      .do({
        type: 'placeDevice',
        deviceId: 'mic',
        at: null,
        aim: { bearingDeg: 30, offAxisDeg: 20 },
      })
      .build();
    const { mic } = rig.devices;
    const found = mic && microphoneSpot(rig, mic, rig.people['host'], 0.1);
    // 120° from up the plan: 0.1·sin 120° to the right, 0.1·cos 120° up.
    expect(found?.xM).toBeCloseTo(2.0866, 4);
    expect(found?.yM).toBeCloseTo(2.95, 4);
    expect(((found?.facingDeg ?? NaN) + 360) % 360).toBeCloseTo(320, 9);
  });
});

const conversion = (analysis: Analysis) => {
  const stage = analysis.traced.stages.find((one) => one.signal === 'sound' && isConversion(one));
  if (!stage) throw new Error('nothing is converted');
  return stage;
};
const verdict = (analysis: Analysis): string | null =>
  boosterVerdict(analysis, conversion(analysis), ({ index }) => analysis.sound[index]);

const worked = analyse(
  voice({
    microphone: 'mic-dynamic-quiet',
    interface: 'interface-2',
    settings: { 'gain-1': 54 },
  }).build(),
);

describe('who makes the noise', () => {
  const shares = noiseShares(worked, conversion(worked));
  it('is told from the loudest down, and makes the whole together', () => {
    expect(shares.map(({ from }) => from)).toEqual([
      'Mic, thermal noise of its resistance',
      'Interface, input stage',
      'Interface, converter',
    ]);
    expect(shares.map(({ share }) => Math.round(share * 100))).toEqual([53, 47, 0]);
    expect(shares.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 6);
  });
  it('stands at the end of the way as worked example A has it', () =>
    expect(shares.map(({ atEndDb }) => Number(atEndDb.toFixed(2)))).toEqual([
      -84.74, -85.26, -108,
    ]));
  it('is not told of a voice whose level is not known', () => {
    const silent = analyse(
      voice().do({ type: 'assignDevice', deviceId: 'mic', personId: null, placeId: null }).build(),
    );
    expect(noiseShares(silent, conversion(silent))).toEqual([]);
  });
});

describe('what a booster would change', () => {
  it('is told for a passive microphone', () => expect(verdict(worked)).toMatch(/^A booster would/));
  it('is told of the booster that is there', () => {
    const boosted = analyse(
      voiceThrough(
        'mic-dynamic-quiet',
        'booster-inline',
        { in: 'in', out: 'out' },
        { 'gain-1': 41, 'phantom-1': true },
      ).build(),
    );
    expect(verdict(boosted)).toMatch(/^Through brings the gain\. The ratio stands within/);
  });
  it('is not asked of a condenser, whose own noise is its own', () =>
    expect(
      verdict(
        analyse(
          voice({
            microphone: 'mic-condenser-large',
            distance: 0.2,
            settings: { 'gain-1': 45, 'phantom-1': true },
          }).build(),
        ),
      ),
    ).toBeNull());
});

describe('a voice at its converter', () => {
  it('needs 59.84 dB and has 54 of 54, as worked example A has it', () => {
    const voiceAt = voiceFigures(worked, conversion(worked));
    expect(voiceAt).toMatchObject({ sourceId: 'mic', gainSetDb: 54, gainMaxDb: 54 });
    expect(voiceAt?.gainNeededDb).toBeCloseTo(59.84, 2);
    expect(voiceAt?.snrDb).toBeCloseTo(58.13, 2);
  });
  it('is judged nowhere else', () => {
    const first = worked.traced.stages.find(
      ({ via, signal }) => via.by === 'source' && signal === 'sound',
    );
    expect(first && voiceFigures(worked, first)).toBeNull();
  });
  it('needs nothing that can be told where its level is not known', () => {
    const silent = analyse(
      voice().do({ type: 'assignDevice', deviceId: 'mic', personId: null, placeId: null }).build(),
    );
    expect(voiceFigures(silent, conversion(silent))).toMatchObject({
      levelDbfs: null,
      gainNeededDb: null,
      snrDb: null,
      gainSetDb: 60,
    });
  });
});

describe('channels along one cable', () => {
  const stageBox = (microphones: number): Analysis => {
    const draft = new RigDraft('Case')
      .device('box', 'stage-box-16', { name: 'Box' })
      .device('desk', 'desk-network', { name: 'Desk' })
      .link('box.network', 'desk.network', 20);
    for (let n = 1; n <= microphones; n++)
      draft.device(`mic-${n}`, 'mic-dynamic-stage').link(`mic-${n}.out`, `box.mic-${n}`);
    return analyse(draft.build());
  };
  it('are one for each source, in their order', () => {
    const [load] = channelLoads(stageBox(3));
    expect(load?.sources.map(({ device }) => device.id)).toEqual(['mic-1', 'mic-2', 'mic-3']);
    expect([load?.from.device.id, load?.to.device.id, load?.most, load?.by.device.id]).toEqual([
      'box',
      'desk',
      16,
      'box',
    ]);
  });
  it('are none where nothing comes in', () => expect(channelLoads(stageBox(0))).toEqual([]));
});
