import fc from 'fast-check';
import { analyse } from '../../analyse';
import { report } from '../../report';
import { apply, type Rig, type SimpleCommand, type Surface } from '../../rig';
import { BARE_ROOM as BARE, flat } from '../../rules/room-for-cases';
import { voice } from '../../rules/rigs-for-cases';
import { builtRoom, microphonesInRoom, roomSound, targetS, treatmentNeeded } from '.';
import { times } from '../../runs-for-cases';

const rig = (...more: readonly SimpleCommand[]): Rig =>
  [...BARE, ...more].reduce<Rig>((given, command) => apply(given, command), voice().build());
const put = (surface: Omit<Surface, 'order'>, surfaceId = 'one'): SimpleCommand => ({
  type: 'addSurface',
  surfaceId,
  surface,
});
const built = (...more: readonly SimpleCommand[]) => {
  const room = builtRoom(analyse(rig(...more)));
  if (!room) throw new Error('no room');
  return room;
};

describe('the handbook’s room, drawn', () => {
  it('holds 55.4 m³, absorbs 3.64 m² and rings 2.45 s', () => {
    const room = built();
    expect(room.volumeM3).toBeCloseTo(55.432, 9);
    expect(room.bands[3]?.absorptionM2).toBeCloseTo(3.64, 2);
    expect(room.rt60S).toBeCloseTo(2.45, 2);
    expect(room.bands[3]?.relation).toBe('Sabine');
  });
  it('says so in the report', () => {
    const { room } = report(analyse(rig()), { predictions: false });
    expect(room?.rt60S).toBeCloseTo(2.45, 2);
    expect(room?.bands.map(({ hz }) => hz)).toEqual([125, 250, 500, 1000, 2000, 4000]);
    expect(room?.targetS).toBe(0.4);
  });
  it('rings 0.35 s with 22.96 m² of 0.85 over its walls, by Eyring', () => {
    const room = built(put({ ...flat('Panels', 0.85), covers: 'walls', areaM2: 22.96 }));
    expect(room.bands[2]?.absorptionM2).toBeCloseTo(22.24, 2);
    expect(room.rt60S).toBeCloseTo(0.35, 3);
    expect(room.bareRt60S).toBeCloseTo(2.45, 2);
  });
  it('needs 23 m² of it, in the steps that panels are hung in', () => {
    const needed = treatmentNeeded(built(), { ...flat('Panels', 0.85), covers: 'walls' }, 0.35);
    expect([needed.areaM2, needed.isEnough]).toEqual([23, true]);
    expect(needed.leastM2).toBeCloseTo(22.96, 2);
    expect(needed.rt60S).toBeLessThanOrEqual(0.35);
  });
  it('says how far the walls go where they are not enough', () => {
    const needed = treatmentNeeded(built(), { ...flat('Curtain', 0.2), covers: 'walls' }, 0.35);
    expect([needed.areaM2, needed.leastM2, needed.isEnough]).toEqual([48, null, false]);
    expect(needed.rt60S).toBeGreaterThan(0.35);
  });
});

describe('what is put in', () => {
  it('takes the place of what it covers', () => {
    const before = built();
    const after = built(put({ ...flat('Rug', 0.5), covers: 'floor', areaM2: 10 }));
    expect(after.freeM2.floor).toBeCloseTo(11.32, 9);
    expect((after.bands[2]?.absorptionM2 ?? 0) - (before.bands[2]?.absorptionM2 ?? 0)).toBeCloseTo(
      10 * (0.5 - 0.03),
      9,
    );
  });
  it('and covers nothing, adds all it takes up', () => {
    const after = built(put({ ...flat('People', 0.45), covers: 'nothing', areaM2: 6 }));
    expect(after.freeM2.floor).toBeCloseTo(21.32, 9);
    expect(after.bands[2]?.absorptionM2).toBeCloseTo(3.64 + 2.7, 2);
  });
  it('never makes a room ring longer where it absorbs more than what it covers', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.06, max: 1, noNaN: true }),
        fc.double({ min: 0.1, max: 48, noNaN: true }),
        fc.double({ min: 0.1, max: 48, noNaN: true }),
        (a, one, other) => {
          const of = (areaM2: number) =>
            built(put({ ...flat('Panel', a), covers: 'walls', areaM2 })).rt60S;
          expect(of(Math.max(one, other))).toBeLessThanOrEqual(of(Math.min(one, other)) + 1e-9);
        },
      ),
      { numRuns: times(30) },
    ));
});

describe('the room that everything else is judged by', () => {
  const sound = (...more: readonly SimpleCommand[]) => roomSound(analyse(rig(...more)));
  it('is the drawn one where nothing was typed', () => {
    expect(sound().volumeM3).toBeCloseTo(55.432, 9);
    expect(sound().rt60S).toBeCloseTo(2.45, 2);
  });
  it('is what was typed, figure by figure', () => {
    const typed = sound({ type: 'setRoom', room: { rt60S: 0.6 } });
    expect([typed.rt60S, typed.volumeM3?.toFixed(1)]).toEqual([0.6, '55.4']);
    expect(sound({ type: 'setRoom', room: { rt60S: 0.6, volumeM3: 60 } })).toMatchObject({
      rt60S: 0.6,
      volumeM3: 60,
    });
  });
  it('tells a microphone its critical distance: 0.057·√(Q·V ÷ T), once it is drawn', () => {
    const distance = (of: Rig) => microphonesInRoom(analyse(of))[0]?.criticalDistanceM ?? null;
    expect(distance(voice().build())).toBeNull();
    // A cardioid: Q = 3 of the microphone.
    expect(distance(rig())).toBeCloseTo(0.057 * Math.sqrt((3 * 55.432) / 2.4517), 3);
  });
});

describe('the time that is right for speech', () => {
  it.each([
    ['alive', 35, 0.4],
    ['alive', 425, 0.671],
    ['alive', 2574, 0.921],
    ['dead', 55.432, 0.205],
    ['dead', 100, 0.25],
  ] as const)('%s, %s m³: %s s', (school, volumeM3, s) =>
    expect(targetS(school, volumeM3)).toBeCloseTo(s, 3),
  );
});
