import { costOf, moneyOf } from '.';
import { analyse, fixesOf } from '../../analyse';
import { apply } from '../../rig';
import { demoRig as demo } from '../../rules/demo-for-cases';

describe('money', () => {
  const rig = demo('night-tide');
  it('counts what is to be bought, second-hand at the price typed: 90 + two headphones’ 70', () => {
    const { by, toPay, left } = moneyOf(rig);
    expect(by['second-hand']).toBe(90);
    expect(by['to buy']).toBe(70);
    expect([toPay, left]).toEqual([160, 140]);
  });
  it('owning a thing takes it off the bill', () =>
    expect(
      moneyOf(
        apply(rig, {
          type: 'setOwnership',
          deviceId: 'host-phones',
          ownership: 'owned',
          price: null,
        }),
      ).toPay,
    ).toBe(90));
  it('says what a fix would cost', () => {
    const analysis = analyse(rig);
    const finding = analysis.findings.find(({ code }) => code === 'sound.gain-short');
    const booster =
      finding && fixesOf(analysis, finding).find(({ label }) => label.startsWith('Add a booster'));
    expect(booster && costOf(rig, booster.command)).toBe(90);
  });
  it('names what it has no price for', () => {
    const device = rig.devices['phone'];
    if (!device) throw new Error('no phone');
    expect(
      moneyOf({
        ...rig,
        devices: {
          ...rig.devices,
          phone: { ...device, model: { ...device.model, typicalPrice: null } },
        },
      }).unknown,
    ).toEqual(['phone']);
  });
});
