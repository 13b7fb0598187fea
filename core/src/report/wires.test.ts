import { workedTime } from '../rules/time/time-for-cases';
import { analyse } from '../analyse';
import { demoRig } from '../rules/demo-for-cases';
import { RigDraft } from '../catalogue/draft';
import { rectangle } from '../rig';
import { report } from './index';

/** The handbook's worked figures, as `bin/loom analyse --json` tells them. @source handbook 5 */
describe('cables, mains and time as plain JSON', () => {
  it('tells worked E: 6.05, 0.605, 0.50 and 7.155 m, sold as 7.5', () => {
    const rig = new RigDraft('Worked E')
      .do({ type: 'drawRoom', room: { corners: rectangle(8, 5), heightM: 2.6 } })
      .support('desk', 'Desk, 1.4 m', [1, 0, 0], {
        figures: { topM: 0.75, lowestM: 0.75, highestM: 1.25 },
      })
      .support('bracket', 'Wall bracket', [5.2, 0, 0], { figures: { heightM: 1.1 } })
      .device('mic', 'mic-dynamic-stage')
      .device('interface', 'interface-4')
      .stand('mic', 'desk')
      .stand('interface', 'bracket')
      .link('mic.out', 'interface.mic-1', 5)
      .build();
    const [cable] = report(analyse(rig), { predictions: false }).cables;
    const to = (value: number | null | undefined): string | undefined => value?.toFixed(3);
    expect([to(cable?.wayM), to(cable?.slackM), to(cable?.travelM), to(cable?.needM)]).toEqual([
      '6.050',
      '0.605',
      '0.500',
      '7.155',
    ]);
    expect(cable?.stockM).toEqual([7.5]);
  });
  it('tells the kiln’s circuit, and how long the supply lasts', () => {
    const { power, cables, cableWays } = report(analyse(demoRig('second-firing')), {
      predictions: false,
    });
    const kiln = power.circuits.find(({ id }) => id === 'kiln');
    expect(kiln?.a?.toFixed(2)).toBe('13.09');
    expect(kiln?.allowedA).toBeCloseTo(12.8, 9);
    // 288 Wh · 0.85 ÷ 27 W.
    expect(power.feeds.find(({ id }) => id === 'ups')?.lastsMin).toBeCloseTo(544, 9);
    expect(cables.find(({ linkId }) => linkId.includes('confidence'))?.crosses).toEqual([
      'Way out',
    ]);
    expect(cableWays.find(({ id }) => id === 'bench-run')?.cables).toBeGreaterThan(5);
  });
  it('tells worked D, and what to set', () => {
    const { time } = report(analyse(workedTime()), { predictions: false });
    const offsets = time.places.flatMap(({ placeId, pairs }) =>
      pairs.map(({ offsetMs, by, unknown }) => [
        placeId,
        offsetMs === null ? null : offsetMs.toFixed(2),
        by,
        unknown,
      ]),
    );
    expect(offsets).toEqual(
      expect.arrayContaining([
        ['stream', '-143.77', 'predicted', []],
        ['recorder', '-99.60', 'predicted', []],
        ['stream', null, 'predicted', ['capture']],
      ]),
    );
    expect(time.solution?.set.map(({ deviceId, ms }) => [deviceId, ms])).toEqual([
      ['switcher', 100],
      ['computer', 143.8],
    ]);
  });
});
