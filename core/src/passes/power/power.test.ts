import { CATALOGUE, classById, supplyOf } from '../../catalogue';
import { RigDraft } from '../../catalogue/draft';
import { apply, type Rig } from '../../rig';
import { measure } from '../measure';
import {
  allowedW,
  batteriesFor,
  batteryHours,
  circuitLoadings,
  countedW,
  feedLoadings,
  upsMinutes,
  usbPortW,
  warmerK,
} from '.';

describe('figures of the handbook', () => {
  it('allow 80 % of a breaker: 2,944 W at 230 V and 16 A, 1,920 W at 120 V and 20 A', () => {
    expect(allowedW({ breakerA: 16 }, 0.8, 230)).toBeCloseTo(2944, 9);
    expect(allowedW({ breakerA: 20 }, 0.8, 120)).toBeCloseTo(1920, 9);
  });
  it('let 288 Wh at 0.85 carry 190 W for 77 min, and nothing for ever', () => {
    expect(upsMinutes(288, 0.85, 190)).toBeCloseTo(77.305, 3);
    expect(upsMinutes(288, 0.85, 0)).toBe(Infinity);
  });
  it('let 16.4 Wh run 6.2 W for 2.25 h', () => {
    expect(batteryHours(16.4, 6.2)).toBeCloseTo(2.2484, 4);
  });
  it('ask 12, 10 and 9 batteries for three cameras and 8 h', () => {
    const day = { devices: 3, lastsH: 2.25, chargeH: 2.5, dayH: 8 };
    expect([0, 2, 3, 4].map((slots) => batteriesFor({ ...day, slots }))).toEqual([12, 10, 9, 9]);
  });
  it('ask one battery each where one lasts the day, and no change on its last minute', () => {
    expect(batteriesFor({ devices: 2, lastsH: 8, chargeH: 2, dayH: 8, slots: 0 })).toBe(2);
    expect(batteriesFor({ devices: 1, lastsH: 4, chargeH: 2, dayH: 8, slots: 0 })).toBe(2);
    expect(batteriesFor({ devices: 1, lastsH: 4, chargeH: 2, dayH: 8.1, slots: 0 })).toBe(3);
    expect(batteriesFor({ devices: 1, lastsH: 4, chargeH: 2, dayH: 8.1, slots: 1 })).toBe(2);
  });
  it('count 15.4, 30, 60 and 90 W for what arrives at the device, and nothing beyond', () => {
    expect([5, 12.95, 12.96, 25.5, 51, 71.3, 71.4].map(countedW)).toEqual([
      15.4,
      15.4,
      30,
      30,
      60,
      90,
      null,
    ]);
  });
  it('give 2.5, 4.5 and 7.5 W at a socket of USB', () => {
    expect(usbPortW({ gbps: 0.48, connector: 'usb-a' })).toBe(2.5);
    expect(usbPortW({ gbps: 5, connector: 'usb-a' })).toBe(4.5);
    expect(usbPortW({ gbps: 10, connector: 'usb-c' })).toBe(7.5);
  });
  it('warm air by W ÷ (0.33 · changes · V)', () => {
    expect(warmerK(330, 1, 100)).toBeCloseTo(10, 9);
    expect(warmerK(330, 0.5, 20)).toBeCloseTo(100, 9);
  });
});

describe('the supply of a class', () => {
  it('is known of everything that has a body and gives off heat, but what runs on phantom power', () => {
    const none = CATALOGUE.filter(
      ({ ports, ...model }) =>
        supplyOf({ ports, ...model }) === null &&
        Object.values(ports).some(({ family }) => family === 'picture' || family === 'usb'),
    ).map(({ classId }) => classId);
    expect(none.filter((id) => !id?.startsWith('program-'))).toEqual([]);
    expect(supplyOf(classById('booster-inline'))).toBeNull();
    expect(supplyOf(classById('mic-dynamic-stage'))).toBeNull();
  });
  it('is never more in use than at most', () => {
    for (const model of CATALOGUE) {
      const supply = supplyOf(model);
      if (supply) expect(supply.mostW).toBeGreaterThanOrEqual(supply.typicalW);
    }
  });
  it('is what the model states, where it does', () => {
    const stated = { is: 'inlet', typicalW: 90, mostW: 100, powerFactor: 0.9 } as const;
    expect(
      supplyOf({ ...classById('switcher-4'), supply: { ...stated, inrush: 'small', covers: 1 } }),
    ).toMatchObject(stated);
  });
});

/** A switcher of 23.4 W on an adapter and a display of 32.5 W, on a strip, on an outlet, on a circuit. */
const rig = (): Rig =>
  new RigDraft('Case')
    .do({ type: 'setMains', mains: { hz: 50, volts: 230 } })
    .do({ type: 'addCircuit', circuitId: 'one', circuit: { name: 'One', breakerA: 16 } })
    .do({
      type: 'addFeed',
      feedId: 'outlet',
      feed: {
        name: 'Outlet',
        figures: { is: 'outlet', sockets: 2, mostA: 16 },
        from: { by: 'circuit', circuitId: 'one' },
        at: null,
      },
    })
    .do({
      type: 'addFeed',
      feedId: 'strip',
      feed: {
        name: 'Strip',
        figures: { is: 'strip', sockets: 4, mostA: 10 },
        from: { by: 'feed', feedId: 'outlet' },
        at: null,
      },
    })
    .do({
      type: 'addLoad',
      loadId: 'kettle',
      load: {
        name: 'Kettle',
        mostW: 2000,
        powerFactor: null,
        from: { by: 'feed', feedId: 'outlet' },
        runs: true,
      },
    })
    .device('switcher', 'switcher-4', { name: 'Switcher' })
    .device('display', 'display-monitor', { name: 'Display' })
    .do({ type: 'plugIn', deviceId: 'switcher', feedId: 'strip' })
    .do({ type: 'plugIn', deviceId: 'display', feedId: 'strip' })
    .build();

describe('what is drawn', () => {
  it('adds up W, VA at typical power factors, and A, from the plug to the breaker', () => {
    const measured = measure(rig());
    const [outlet, strip] = feedLoadings(measured);
    expect(strip?.w).toBeCloseTo(55.9, 9);
    // 23.4 ÷ 0.6 and 32.5 ÷ 0.95.
    expect(strip?.va).toBeCloseTo(73.2105, 4);
    expect(strip?.taken).toBe(3);
    expect(outlet?.taken).toBe(2);
    expect(outlet?.w).toBeCloseTo(2055.9, 9);
    const [circuit] = circuitLoadings(measured);
    expect(circuit?.a).toBeCloseTo(2073.2105 / 230, 4);
    expect(circuit?.allowedA).toBeCloseTo(12.8, 9);
  });
  it('leaves out what is off during the show, and what runs on its battery', () => {
    const off = new RigDraft('Off')
      .device('camera', 'camera-camcorder', { name: 'Camera', settings: { mains: false } })
      .build();
    expect(circuitLoadings(measure(off))).toEqual([]);
    const [outlet] = feedLoadings(
      measure(apply(rig(), { type: 'changeLoad', loadId: 'kettle', load: { runs: false } })),
    );
    expect(outlet?.w).toBeCloseTo(55.9, 9);
  });
});
