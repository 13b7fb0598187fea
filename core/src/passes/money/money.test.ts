import { costOf, moneyOf } from '.';
import { analyse, fixesOf } from '../../analyse';
import { apply, cablePrice, USUAL_LENSES } from '../../rig';
import { demoRig as demo } from '../../rules/demo-for-cases';

describe('money', () => {
  const rig = demo('night-tide');
  it('counts what is to be bought, second-hand at the price typed: 90, headphones’ 70, two cables', () => {
    const { by, toPay, left } = moneyOf(rig);
    expect(by['second-hand']).toBe(90);
    // Two balanced cables of 8 + 1.2 a metre at the booster, 11 m together.
    expect(by['to buy']).toBeCloseTo(70 + 29.2, 9);
    expect(toPay).toBeCloseTo(189.2, 9);
    expect(left).toBeCloseTo(110.8, 9);
  });
  it('counts lenses as they are had, and cables of what is owned as owned', () => {
    const [usual] = USUAL_LENSES;
    if (!usual) throw new Error('no lens');
    const more = apply(rig, { type: 'addLens', lensId: 'wide', lens: usual });
    expect(moneyOf(more).by['to buy'] - moneyOf(rig).by['to buy']).toBeCloseTo(380, 9);
    expect(moneyOf(more).lenses).toBe(usual.price);
    const owned = apply(rig, {
      type: 'setOwnership',
      deviceId: 'interface',
      ownership: 'owned',
      price: null,
    });
    expect(moneyOf(owned).by['to buy']).toBeCloseTo(70, 9);
    expect(moneyOf(owned).cables).toBeCloseTo(moneyOf(rig).cables, 9);
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
    ).toBeCloseTo(90 + 29.2, 9));
  it('says what a fix would cost', () => {
    const analysis = analyse(rig);
    const finding = analysis.findings.find(({ code }) => code === 'sound.gain-short');
    const booster =
      finding && fixesOf(analysis, finding).find(({ label }) => label.startsWith('Add a booster'));
    // And a metre of cable before it.
    expect(booster && costOf(rig, booster.command)).toBeCloseTo(90 + 9.2, 9);
  });
  it('does not pay again for a cable that is in the box', () => {
    const cable = Object.values(rig.links).find(
      ({ to }) => rig.devices[to.deviceId]?.model.kind !== 'headphones',
    )?.cable;
    if (!cable) throw new Error('no cable');
    const withBox = apply(rig, {
      type: 'addOwnCable',
      ownCableId: 'box',
      ownCable: { kind: cable.kind, lengthM: 50, count: 50 },
    });
    const [before, after] = [moneyOf(rig), moneyOf(withBox)];
    expect(after.cables).toBe(before.cables);
    expect(after.by.owned).toBeGreaterThanOrEqual(before.by.owned);
    const bought = Object.values(rig.links).filter(
      ({ from, to, cable: run }) =>
        run.kind === cable.kind &&
        [from, to].some(({ deviceId }) => rig.devices[deviceId]?.ownership === 'to buy'),
    );
    const saved = bought.reduce((sum, { cable: run }) => sum + cablePrice(run), 0);
    expect(before.toPay - after.toPay).toBeCloseTo(saved, 9);
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
  it('counts strips, chargers and covers by how they are had', () => {
    const had = { ownership: 'to buy', price: 18 } as const;
    const withGear = apply(rig, {
      type: 'batch',
      label: 'Gear',
      commands: [
        {
          type: 'addFeed',
          feedId: 'new-strip',
          feed: {
            name: 'Strip',
            figures: { is: 'strip', sockets: 6, mostA: 10 },
            from: null,
            at: null,
            had,
          },
        },
        {
          type: 'addLoad',
          loadId: 'new-charger',
          load: {
            name: 'Charger',
            mostW: 30,
            powerFactor: null,
            from: null,
            runs: true,
            charges: { slots: 2, chargeH: 2.5 },
            had: { ownership: 'owned', price: 45 },
          },
        },
        {
          type: 'addCableWay',
          cableWayId: 'new-cover',
          cableWay: {
            name: 'Cover',
            is: 'cover',
            points: [
              { xM: 0, yM: 0, zM: 0 },
              { xM: 1.5, yM: 0, zM: 0 },
            ],
            insideMm2: null,
            bendMm: null,
            carries: 'both',
            had: { ownership: 'second-hand', price: 27 },
          },
        },
      ],
    });
    const [before, after] = [moneyOf(rig), moneyOf(withGear)];
    expect([before.gear, after.gear]).toEqual([0, 90]);
    expect(after.toPay - before.toPay).toBeCloseTo(18 + 27, 9);
    expect(after.by.owned - before.by.owned).toBeCloseTo(45, 9);
  });
});
