import fc from 'fast-check';
import { asksOf, bleedDb, ifItWere, loopDb, type MicrophoneInRoom, microphonesInRoom } from '.';
import { analyse } from '../../analyse';
import { RigDraft } from '../../catalogue/draft';
import { apply, PATTERNS, type Rig } from '../../rig';
import { demoRig } from '../../rules/demo-for-cases';
import { voice } from '../../rules/rigs-for-cases';
import { measure } from '../measure';
import { times } from '../../runs-for-cases';

/** Two talkers at 62 dB: the second mouth 1.2 m from the first one's cardioid, at an angle off its axis. */
const two = (
  deg: number,
  more: {
    pattern?: string;
    fan?: { dba: number; xM: number; yM: number };
    room?: Rig['room'];
  } = {},
): Rig => {
  // The host looks up the plan; the microphone is 8 cm before them and looks back down at 180°.
  const towards = ((180 + deg) * Math.PI) / 180;
  const draft = new RigDraft('Case')
    .person('host', 'Host', { at: { xM: 0, yM: 0, facingDeg: 0 } })
    .person('guest', 'Guest', {
      at: { xM: 1.2 * Math.sin(towards), yM: 0.08 + 1.2 * Math.cos(towards), facingDeg: 0 },
    })
    .device('mic', more.pattern ? 'mic-condenser-large' : 'mic-dynamic-quiet', {
      name: 'Mic',
      person: 'host',
      settings: { distance: 0.08, ...(more.pattern ? { pattern: more.pattern } : {}) },
    })
    .device('interface', 'interface-2', { settings: { 'phantom-1': true } })
    .link('mic.out', 'interface.mic-1');
  if (more.fan)
    draft.do({
      type: 'addNoise',
      noiseId: 'fan',
      noise: {
        name: 'Fan',
        dbaAt1m: more.fan.dba,
        reading: 'free field',
        at: { xM: more.fan.xM, yM: more.fan.yM },
        heightM: null,
        runs: true,
      },
    });
  if (more.room) draft.do({ type: 'setRoom', room: more.room });
  return draft.build();
};

const heard = (rig: Rig): MicrophoneInRoom => {
  const [microphone] = microphonesInRoom(analyse(rig));
  if (!microphone) throw new Error('no microphone');
  return microphone;
};

const bleed = (microphone: MicrophoneInRoom): number => {
  const [other] = microphone.bleed;
  return (other && bleedDb(microphone, other)) ?? NaN;
};

describe('bleed', () => {
  it('both 62 dB, own mouth at 8 cm, the other 1.2 m away at 130°: −38.48 dB', () =>
    expect(bleed(heard(two(130)))).toBeCloseTo(-38.48, 2));
  it('falls by 6.02 dB where an omni becomes a cardioid beside the other voice', () =>
    expect(
      bleed(heard(two(90, { pattern: 'omni' }))) - bleed(heard(two(90, { pattern: 'cardioid' }))),
    ).toBeCloseTo(6.02, 2));
  it('is the same for a rig turned and moved as a whole', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.double({ min: -50, max: 50, noNaN: true }),
        (turn, shift) => {
          const rig = two(130);
          const [sin, cos] = [Math.sin((turn * Math.PI) / 180), Math.cos((turn * Math.PI) / 180)];
          const people = Object.fromEntries(
            Object.entries(rig.people).map(([id, person]) => [
              id,
              {
                ...person,
                at: person.at && {
                  xM: person.at.xM * cos + person.at.yM * sin + shift,
                  yM: -person.at.xM * sin + person.at.yM * cos - shift,
                  facingDeg: person.at.facingDeg + turn,
                },
              },
            ]),
          );
          expect(bleed(heard({ ...rig, people }))).toBeCloseTo(-38.48, 2);
        },
      ),
      { numRuns: times(25) },
    ));
  it('leaves out whoever is not heard, remote, or the same person', () => {
    const rig = two(130);
    expect(
      heard(apply(rig, { type: 'changePerson', personId: 'guest', person: { isHeard: false } }))
        .bleed,
    ).toEqual([]);
    expect(
      heard(apply(rig, { type: 'changePerson', personId: 'guest', person: { where: 'remote' } }))
        .bleed,
    ).toEqual([]);
  });
});

describe('noise at a microphone', () => {
  const room = { volumeM3: 60, rt60S: 0.6, noiseDba: 35, temperatureC: null };
  it('the room at 35 dB(A) is 30.2 in a cardioid, and the voice at 8 cm stands 53.7 dB above', () => {
    const microphone = heard(two(130, { room }));
    expect(
      [
        microphone.roomSpl,
        microphone.overRoomDb,
        microphone.criticalDistanceM,
        microphone.directToReverberantDb,
      ].map((value) => Number(value?.toFixed(2))),
    ).toEqual([30.23, 53.71, 0.99, 21.83]);
  });
  it('outdoors a fan 2 m away falls 6.02 dB when it goes 2 m farther', () => {
    const analysis = analyse(two(130, { fan: { dba: 60, xM: 0, yM: -1.92 } }));
    const [microphone] = microphonesInRoom(analysis);
    const moved =
      microphone && ifItWere(analysis, microphone, { farther: { noiseId: 'fan', byM: 2 } });
    expect(microphone?.noises[0]?.spl).toBeCloseTo(53.98, 2);
    expect(moved?.noises[0]?.spl).toBeCloseTo(47.96, 2);
    expect(
      microphone && ifItWere(analysis, microphone, { pattern: 'omni' })?.noises[0]?.spl,
    ).toBeCloseTo(53.98, 2);
  });
  it('in a room the walls send it everywhere, and going farther changes little', () => {
    const analysis = analyse(two(130, { fan: { dba: 60, xM: 0, yM: -1.92 }, room }));
    const [microphone] = microphonesInRoom(analysis);
    const moved =
      microphone && ifItWere(analysis, microphone, { farther: { noiseId: 'fan', byM: 2 } });
    expect(microphone?.noises[0]?.echoSpl).toBeCloseTo(60.11, 2);
    expect((microphone?.noises[0]?.spl ?? NaN) - (moved?.noises[0]?.spl ?? NaN)).toBeCloseTo(
      0.7,
      1,
    );
  });
  it('a fan that is off is not heard, one without a place is asked for', () => {
    const rig = two(130, { fan: { dba: 60, xM: 0, yM: -2 } });
    expect(
      heard(apply(rig, { type: 'changeNoise', noiseId: 'fan', noise: { runs: false } })).noises,
    ).toEqual([]);
    const unplaced = apply(rig, { type: 'changeNoise', noiseId: 'fan', noise: { at: null } });
    expect(heard(unplaced).noises).toEqual([]);
    expect(asksOf(analyse(unplaced), heard(unplaced))).toEqual(['where Fan stands']);
  });
  it('farther is never louder, whatever the pattern and the room', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...PATTERNS),
        fc.double({ min: 0.2, max: 20, noNaN: true }),
        fc.boolean(),
        fc.double({ min: 0, max: 180, noNaN: true }),
        (pattern, distance, inRoom, deg) => {
          const analysis = analyse(
            two(130, {
              fan: { dba: 60, xM: distance * Math.sin(deg), yM: distance * Math.cos(deg) },
              ...(inRoom ? { room } : {}),
            }),
          );
          const [microphone] = microphonesInRoom(analysis);
          const from = microphone && ifItWere(analysis, microphone, { pattern });
          const to =
            microphone &&
            ifItWere(analysis, microphone, { pattern, farther: { noiseId: 'fan', byM: 2 } });
          expect(to?.noises[0]?.spl ?? NaN).toBeLessThanOrEqual(
            (from?.noises[0]?.spl ?? NaN) + 1e-9,
          );
        },
      ),
      { numRuns: times(60) },
    ));
});

describe('where a microphone points', () => {
  const aimed = (offAxisDeg: number): Rig =>
    apply(two(130), {
      type: 'placeDevice',
      deviceId: 'mic',
      at: null,
      aim: { bearingDeg: 0, offAxisDeg },
    });
  it('a cardioid 90° past the mouth loses 6.02 dB of the voice, in the room and in the chain', () => {
    const level = (rig: Rig) => analyse(rig).sound[0]?.levelDb ?? NaN;
    expect((heard(aimed(0)).ownSpl ?? NaN) - (heard(aimed(90)).ownSpl ?? NaN)).toBeCloseTo(6.02, 2);
    expect(level(aimed(0)) - level(aimed(90))).toBeCloseTo(6.02, 2);
  });
  it('beside the mouth it still points at it', () => {
    const rig = apply(two(130), {
      type: 'placeDevice',
      deviceId: 'mic',
      at: null,
      aim: { bearingDeg: 45, offAxisDeg: 0 },
    });
    expect(heard(rig)).toMatchObject({ offAxisDeg: 0, ownSpl: expect.closeTo(83.94, 2) as number });
  });
});

describe('loudspeakers', () => {
  const loud = (volume: number) =>
    new RigDraft('Case')
      .person('host', 'Host', { at: { xM: 0, yM: 0, facingDeg: 0 } })
      .device('mic', 'mic-dynamic-stage', { person: 'host', settings: { distance: 0.1 } })
      .device('mixer', 'mixer-8', { settings: { 'gain-1': 50 } })
      .device('speaker', 'loudspeaker-active', { settings: { volume } })
      .link('mic.out', 'mixer.mic-1')
      .link('mixer.main-1', 'speaker.in')
      .do({
        type: 'placeDevice',
        deviceId: 'speaker',
        at: { xM: 0, yM: -3, facingDeg: 0 },
        aim: null,
      })
      .build();
  it('a decibel on the volume is a decibel in the loop', () =>
    expect((loopDb(heard(loud(-10))) ?? NaN) - (loopDb(heard(loud(-20))) ?? NaN)).toBeCloseTo(
      10,
      9,
    ));
  it('the loop is what comes back against what went in', () => {
    const microphone = heard(loud(-10));
    // 82 dB at the capsule leave at −62.9 dBu, are −13.7 after 50 dB of gain and the joints, 74.3
    // dB at 1 m and 64.5 dB at 3.1 m.
    expect(microphone.ownSpl).toBeCloseTo(82, 9);
    expect(microphone.returned[0]?.directSpl).toBeCloseTo(64.5, 1);
    expect(loopDb(microphone)).toBeCloseTo((microphone.returned[0]?.spl ?? NaN) - 82, 9);
  });
});

describe('the demo', () => {
  it('Second Firing: the kiln fan lies under each voice, least of all at the wheel', () => {
    const over = microphonesInRoom(analyse(demoRig('second-firing'))).map(
      ({ node, overRoomDb }) => [node.device.id, Math.round(overRoomDb ?? NaN)],
    );
    expect(over).toEqual([
      ['host-mic', 36],
      ['cohost-mic', 34],
      ['potter-mic', 32],
      ['wheel-mic', 18],
    ]);
  });
  it('Harbour Hall: 24 microphones, none within 6 dB of howling', () => {
    const loops = microphonesInRoom(analyse(demoRig('harbour-hall'))).map(
      (microphone) => loopDb(microphone) ?? NaN,
    );
    expect(loops).toHaveLength(24);
    expect(Math.max(...loops)).toBeLessThan(-6);
  });
});

it('a microphone that stands on the plan would stand nearer, where it is supposed nearer', () => {
  const rig = voice({ distance: 0.3 })
    .do({
      type: 'changePerson',
      personId: 'host',
      person: { at: { xM: 0, yM: 0, facingDeg: 0 } },
    })
    .do({
      type: 'placeDevice',
      deviceId: 'mic',
      at: { xM: 0, yM: 0.3, facingDeg: 180 },
      aim: null,
    })
    .build();
  const measured = measure(rig);
  const [microphone] = microphonesInRoom(measured);
  if (!microphone) throw new Error('there is no microphone');
  expect(microphone.spot?.yM).toBe(0.3);
  expect(ifItWere(measured, microphone, { distanceM: 0.1 })?.spot?.yM).toBeCloseTo(0.1, 9);
});
