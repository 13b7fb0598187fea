import { rectangle, type Report, RigDraft, rigToJson } from '@echo-loom/core';
import { loom, write } from './loom-for-tests';

describe('bin/loom, of a room', () => {
  it('prints how long a room rings for programs: 2.45 s by Sabine, 2.40 by Eyring, 0.35 treated', () => {
    const flat = (name: string, a: number) => ({
      name,
      absorption: [a, a, a, a, a, a] as [number, number, number, number, number, number],
    });
    const room = new RigDraft('Worked room')
      .do({ type: 'drawRoom', room: { corners: rectangle(5.2, 4.1), heightM: 2.6 } })
      .do({ type: 'finishRoom', of: 'floor', finish: flat('Floor', 0.03) })
      .do({ type: 'finishRoom', of: 'ceiling', finish: flat('Ceiling', 0.05) })
      .do({ type: 'finishRoom', of: 'walls', finish: flat('Walls', 0.04) });
    const printed = (name: string): Report =>
      JSON.parse(loom('analyse', write(name, rigToJson(room.build())), '--json').stdout) as Report;
    const bare = printed('bare.rig.json').room;
    expect(bare?.volumeM3).toBeCloseTo(55.432, 3);
    expect(bare?.rt60S).toBeCloseTo(2.45, 2);
    expect(bare?.bands[3]).toMatchObject({
      hz: 1000,
      absorptionM2: expect.closeTo(3.64, 2) as number,
      relation: 'Sabine',
      bySabineS: expect.closeTo(2.45, 2) as number,
      byEyringS: expect.closeTo(2.4, 2) as number,
    });
    room.do({
      type: 'addSurface',
      surfaceId: 'panels',
      surface: { ...flat('Panels', 0.85), covers: 'walls', areaM2: 22.96 },
    });
    const treated = printed('treated.rig.json').room;
    expect(treated?.bands[3]).toMatchObject({
      relation: 'Eyring',
      absorptionM2: expect.closeTo(22.24, 2) as number,
      rt60S: expect.closeTo(0.35, 3) as number,
    });
  });
});
