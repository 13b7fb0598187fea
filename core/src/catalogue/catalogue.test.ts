import { analyse } from '../analyse';
import { report } from '../report';
import {
  apply,
  blankRig,
  figureAt,
  importRig,
  KINDS,
  mate,
  type Model,
  type Rig,
  rigToJson,
  STEPS,
} from '../rig';
import { CABLES, CATALOGUE, classById, reachM, STOCK_LENGTHS_M } from './index';

const named = CATALOGUE.map((model) => [model.classId ?? model.name, model] as const);
const alone = (model: Model) =>
  apply(blankRig('Alone'), {
    type: 'addDevice',
    deviceId: 'it',
    name: model.name,
    model,
    settings: {},
    personId: null,
    placeId: null,
  });

describe('the catalogue', () => {
  const count = (kind: Model['kind']) => CATALOGUE.filter((model) => model.kind === kind).length;
  it.each([
    ['camera', 4],
    ['webcam', 1],
    ['phone', 1],
    ['microphone', 7],
    ['booster', 1],
    ['preamp', 1],
    ['channel-processor', 1],
    ['interface', 3],
    ['mixer', 2],
    ['headphone-amplifier', 1],
    ['headphones', 1],
    ['capture', 3],
    ['splitter', 2],
    ['selector', 1],
    ['converter', 2],
    ['switcher', 3],
    ['computer', 1],
    ['hub', 1],
    ['encoder', 1],
    ['recorder', 1],
    ['display', 1],
    ['prompter', 1],
    ['call', 1],
    ['direct-box', 1],
    ['stage-box', 1],
  ] as const)('has %s classes, at least %s', (kind, least) =>
    expect(count(kind)).toBeGreaterThanOrEqual(least),
  );
  it('has a class of every kind the document knows', () =>
    expect(KINDS.filter((kind) => count(kind) === 0)).toEqual([]));
  it('prices every class, and nothing it does not have', () =>
    expect(
      CATALOGUE.filter(({ typicalPrice }) => typicalPrice === null).map(({ classId }) => classId),
    ).toEqual([]));
  it('says which class is missing', () =>
    expect(() => classById('nothing')).toThrow('the catalogue has no class "nothing"'));
});

describe.each(named)('%s', (_id, model) => {
  it('stands alone without stop or warning: not connected, and a microphone asks who speaks', () => {
    const { findings } = analyse(alone(model));
    expect(
      findings.filter(
        ({ code }) =>
          code !== 'signal.unconnected' &&
          code !== 'sound.unknown-figure' &&
          code !== 'light.lamp-nowhere',
      ),
    ).toEqual([]);
    expect(findings.map(({ level }) => level).filter((level) => level !== 'note')).toEqual([]);
  });
  it('is analysed alike in whatever order its file is written', () => {
    const switches = Object.entries(model.controls).flatMap(([control, { type }]) =>
      type === 'switch' ? [control] : [],
    );
    const rig = switches.reduce<Rig>(
      (given, control) =>
        apply(given, { type: 'setControl', deviceId: 'it', control, value: true }),
      alone(model),
    );
    const read = importRig(new TextEncoder().encode(rigToJson(rig)));
    const told = (of: Rig): string => JSON.stringify(report(analyse(of), { predictions: false }));
    expect(read.ok && told(read.rig)).toBe(told(rig));
  });
  it('says in a sentence what it is', () => {
    expect(model.about.length).toBeGreaterThan(10);
    expect(STEPS).toContain(model.step);
  });
  it('has at least one port that something else of the catalogue fits, or gives light', () => {
    const fits =
      model.light !== undefined ||
      Object.values(model.ports).some((port) =>
        CATALOGUE.some(
          (other) =>
            other !== model && Object.values(other.ports).some((far) => mate(port, far).can),
        ),
      );
    expect(fits).toBe(true);
  });
  it('spreads only figures it has, and each typical figure lies inside its spread', () => {
    for (const [path, [low, high]] of Object.entries(model.spread)) {
      const value = figureAt(model, path);
      expect([path, typeof value]).toEqual([path, 'number']);
      expect(value).toBeGreaterThanOrEqual(low);
      expect(value).toBeLessThanOrEqual(high);
    }
  });
});

describe('cables', () => {
  it.each([
    ['hdmi', 3.564, 15],
    ['hdmi', 7.128, 7.5],
    ['hdmi', 14.256, 3],
    ['hdmi', 20, 0],
    ['hdmi-optical', 14.256, 30],
    ['sdi-coax', 1.485, 150],
    ['sdi-coax', 2.97, 100],
    ['sdi-coax', 5.94, 80],
    ['sdi-coax', 11.88, 60],
    ['usb-2', 0, 5],
    ['usb-5g', 0, 3],
    ['usb-10g', 0, 1],
    ['balanced', 0, 100],
    ['unbalanced', 0, 6],
    ['optical-audio', 0, 10],
    ['ethernet', 0, 100],
  ] as const)('%s at %s Gb/s goes %s m', (id, gbps, metres) =>
    expect(reachM(CABLES[id], gbps)).toBe(metres),
  );
  it('are sold in rising lengths', () =>
    expect([...STOCK_LENGTHS_M]).toEqual([...STOCK_LENGTHS_M].sort((a, b) => a - b)));
});
