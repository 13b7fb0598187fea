import { analyse } from '../analyse';
import { boom, roomWithCamera, roomWithHost } from '../rules/plan-for-cases';
import { report } from './index';

/** The handbook's worked figures, as `bin/loom analyse --json` tells them. @source handbook 5-plan */
describe('the plan as plain JSON', () => {
  it('tells how the boom stands: 1.02, a bag of 1.24 kg, or a counterweight of 7.24 kg', () => {
    const [stand] = report(analyse(boom().build()), { predictions: false }).supports;
    expect(stand).toMatchObject({ id: 'boom', name: 'Boom stand', loadKg: 1.9 });
    expect(stand?.tipping?.factor?.toFixed(2)).toBe('1.02');
    expect(stand?.tipping?.bagKg.toFixed(2)).toBe('1.24');
    expect(stand?.tipping?.counterweightKg.toFixed(2)).toBe('7.24');
  });
  it('tells that 0.97 kg hang on an arm', () => {
    const rig = roomWithHost()
      .support('desk', 'Desk, 1.4 m', [3, 1.55, 0])
      .support('arm', 'Arm, middle', [3.4, 1.4, 0], { onId: 'desk' })
      .device('mic', 'mic-dynamic-quiet', { person: 'host' })
      .device('booster', 'booster-inline')
      .stand('mic', 'arm')
      .stand('booster', 'arm')
      .build();
    const arm = report(analyse(rig), { predictions: false }).supports.find(
      ({ id }) => id === 'arm',
    );
    expect(arm?.loadKg).toBeCloseTo(0.97, 9);
    expect(arm?.armM).toBeGreaterThan(0.4);
  });
  it('tells the field, 53.9° × 31.9°, and a stand 24.8° aside that is in it', () => {
    const rig = roomWithCamera()
      .support('lamp', 'Stand, light', [1.8, 2, 0], { name: 'Lamp stand' })
      .build();
    const [view] = report(analyse(rig), { predictions: false }).views;
    expect(view?.fieldDeg.map((deg) => deg.toFixed(1))).toEqual(['53.9', '31.9']);
    const lamp = view?.shown.find(({ name }) => name === 'Lamp stand');
    expect(lamp?.asideDeg.toFixed(1)).toBe('24.8');
    expect(lamp?.isSubject).toBe(false);
    expect(lamp?.outByM).toBeCloseTo(0.16, 2);
  });
});
