import { build, STARTING_POINTS } from '.';
import { moneyOf } from '../passes/money';
import { blankRig, type Rig } from '../rig';
import { settledIn } from './settled-in';
import { studioSchema, UNSAID } from './studio';

const names = (rig: Rig): string[] => Object.values(rig.places).map(({ name }) => name);

describe('what a studio settles', () => {
  it('is nothing until somebody says so, and that can be read', () =>
    expect(studioSchema.parse(UNSAID)).toEqual(UNSAID));
  it.each([
    ['a currency of shells', { currency: 'shells' }],
    ['mains nobody has', { mains: '400 V, 50 Hz' }],
    ['an oven', { temperatureC: 90 }],
    ['a place without a name', { places: [' '] }],
    ['paper from a roll', { paper: 'roll' }],
    ['more than it knows', { colour: 'red' }],
  ])('is not %s', (_what, part) =>
    expect(studioSchema.partial().safeParse(part).success).toBe(false),
  );
  it('goes into a new rig: its air and its places, once each', () => {
    const rig = settledIn(blankRig('New'), { temperatureC: 27, places: ['Shed', 'Shed', 'Desk'] });
    expect(rig.room.temperatureC).toBe(27);
    expect(names(rig)).toEqual(['Shed', 'Desk']);
    expect(names(settledIn(rig, { temperatureC: null, places: ['Desk', 'Loft'] }))).toEqual([
      'Shed',
      'Desk',
      'Loft',
    ]);
  });
  it('leaves a rig alone where nothing is said', () => {
    const rig = blankRig('New');
    expect(settledIn(rig, UNSAID)).toBe(rig);
  });
});

describe.each(STARTING_POINTS.map((point) => [point.name, point] as const))(
  '%s',
  (_name, point) => {
    it('brings what it says: people, cameras, and what they cost', () => {
      const built = build(point.answers('Mine'));
      if (!built.ok) throw new Error(built.why);
      const { people, devices } = built.rig;
      expect({
        people: Object.keys(people).length,
        cameras: Object.values(devices).filter(({ model }) => model.camera !== undefined).length,
        price: Math.round(moneyOf(built.rig).toPay),
      }).toEqual(point.brings);
    });
  },
);
