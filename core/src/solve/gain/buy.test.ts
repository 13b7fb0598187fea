import { measure } from '../../passes/measure';
import { voices } from '../../passes/sound/ladder';
import { apply, type Rig } from '../../rig';
import { demoRig } from '../../rules/demo-for-cases';
import { voice } from '../../rules/rigs-for-cases';
import { remediesFor, type Remedy } from './buy';

const remedies = (rig: Rig): Remedy[] => {
  const measured = measure(rig);
  const [stage] = voices(measured);
  return stage ? remediesFor(measured, stage) : [];
};
const nightTide = demoRig('night-tide');
const poorer = apply(nightTide, {
  type: 'setFigure',
  deviceId: 'interface',
  path: 'routes.mic-1.sound.ein.0.dbu',
  value: -118,
});
const booster = (list: readonly Remedy[]) =>
  list.find(({ label }) => label.startsWith('A booster'));

describe('what should I buy: Night Tide', () => {
  const list = remedies(nightTide);
  it('ranks moving the microphone first, and it is free', () =>
    expect(list[0]).toMatchObject({
      label: 'Move Host mic to 4 cm',
      price: 0,
      clutter: 0,
      missingAfterDb: 0,
    }));
  it('says that the booster solves the gain and not the noise', () => {
    expect(booster(list)).toMatchObject({
      // The booster, and a metre of cable before it.
      price: expect.closeTo(99.2, 6),
      clutter: 1,
      missingAfterDb: 0,
      says: 'Brings the 5.8 dB of gain that are missing and changes the noise by only 0.1 dB.',
    });
    expect(booster(list)?.snrAfterDb).toBeCloseTo(58.24, 1);
  });
  it('says the opposite where the interface’s EIN is −118 dBu: 8.1 dB less noise', () => {
    expect(booster(remedies(poorer))?.says).toContain('lowers the noise by 8.1 dB');
    expect(booster(remedies(poorer))?.snrBeforeDb).toBeCloseTo(50.01, 1);
    expect(booster(remedies(poorer))?.snrAfterDb).toBeCloseTo(58.16, 1);
  });
  it('counts what a microphone in place of an owned one costs', () =>
    expect(
      list
        .filter(({ label }) => label.includes('instead of Host mic'))
        .every(({ price }) => price !== null && price > 0),
    ).toBe(true));
  it('puts what leaves gain missing last', () =>
    expect(list.at(-1)?.missingAfterDb).toBeGreaterThan(0));
  it('is a command that gives what it said', () => {
    for (const remedy of list.slice(0, 4)) {
      const measured = measure(apply(nightTide, remedy.command));
      const stage = voices(measured)[0];
      const level = stage && measured.sound[stage.index]?.levelDb;
      expect([remedy.label, Math.abs((level ?? NaN) + 18) <= 0.51]).toEqual([remedy.label, true]);
    }
  });
});

describe('what would be bought for the wheel of Second Firing', () => {
  const measured = measure(demoRig('second-firing'));
  const stage = voices(measured).find(
    (voice) => voice.at.device.id === 'interface' && voice.parent?.at.id === 'mic-4',
  );
  const list = stage ? remediesFor(measured, stage) : [];
  const of = (label: string) => list.find((remedy) => remedy.label === label);
  it('switching the kiln fan off is free and puts the voice far over the room', () => {
    expect(of('Switch Kiln fan off during the show')).toMatchObject({ price: 0, clutter: 0 });
    expect(of('Switch Kiln fan off during the show')?.overRoomBeforeDb).toBeCloseTo(17.9, 1);
    expect(of('Switch Kiln fan off during the show')?.overRoomAfterDb).toBeCloseTo(35.8, 1);
  });
  it('treating the room takes what comes by the walls down by 3 dB, and its price depends', () => {
    expect(of('Treat the room until its echo is half as long')).toMatchObject({
      price: null,
      clutter: 0,
    });
    expect(of('Treat the room until its echo is half as long')?.overRoomAfterDb).toBeCloseTo(
      19.1,
      1,
    );
  });
  it('says how far another voice lies under, for every remedy', () =>
    expect(list.every(({ bleedAfterDb }) => bleedAfterDb !== null && bleedAfterDb < 0)).toBe(true));
});

describe('when nothing is missing', () => {
  it('says plainly which money would change nothing', () => {
    const list = remedies(
      voice({
        microphone: 'mic-dynamic-stage',
        interface: 'interface-2',
        distance: 0.04,
        settings: { 'gain-1': 50 },
      }).build(),
    );
    expect(booster(list)?.says).toMatch(
      /^No gain was missing and changes the noise by only 0\.\d dB\. Nothing that is heard gets better\.$/,
    );
  });
  it('has nothing to say where the level cannot be told', () =>
    expect(
      remedies(
        voice()
          .do({
            type: 'setFigure',
            deviceId: 'mic',
            path: 'ports.out.emits.sound.sensitivityMvPerPa',
            value: null,
          })
          .build(),
      ),
    ).toEqual([]));
});
