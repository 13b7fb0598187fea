import fc from 'fast-check';
import { analyse } from '../../analyse';
import { cable, classById, reachM } from '../../catalogue';
import { RigDraft } from '../../catalogue/draft';
import { apply, BEST_THAT_FITS, FIRST_CONNECTED, type Rig } from '../../rig';
import { formatName, parseFormat } from '../../units';
import { measure } from '../measure';
import type { Measured } from '../measured';
import { times } from '../../runs-for-cases';

/** What a camera of a rig sends, as it is spoken. */
const sent = (rig: Rig, deviceId = 'camera'): string => {
  const { traced, picture } = measure(rig);
  const source = traced.stages.find(
    (stage) =>
      stage.via.by === 'source' &&
      stage.signal === 'picture' &&
      stage.at.device.id === deviceId &&
      stage.at.links.length > 0,
  );
  const format = source && picture[source.index]?.format;
  return format ? formatName(format) : 'none';
};

const straight = (
  lengthM: number,
  chosen: string,
  {
    camera = 'camera-studio',
    sink = 'display-2160',
    kind = 'hdmi' as 'hdmi' | 'hdmi-optical',
  } = {},
): Rig =>
  new RigDraft('Case')
    .do({ type: 'setHouseRules', rules: { chosenFormat: chosen } })
    .device('camera', camera, { name: 'Camera', settings: { format: BEST_THAT_FITS } })
    .device('screen', sink, { name: 'Screen' })
    .link('camera.hdmi', 'screen.in', lengthM, kind)
    .build();

describe('a source that sends the best that fits', () => {
  it('sends what is wanted where everything takes it', () =>
    expect(sent(straight(2, '3840x2160p60'))).toBe('2160p60'));
  it('keeps the rate and gives up size where a cable is too long for both', () =>
    expect(sent(straight(10, '3840x2160p60'))).toBe('1080p60'));
  it('gives nothing up on an optical cable', () =>
    expect(sent(straight(10, '3840x2160p60', { kind: 'hdmi-optical' }))).toBe('2160p60'));
  it('never sends more than is wanted', () =>
    expect(sent(straight(2, '1920x1080p30'))).toBe('1080p30'));
  it('keeps an exact rate: 59.94 is not 60', () =>
    expect(sent(straight(2, '1920x1080p60000/1001'))).toBe('1080p59.94'));
  it('names the cable that forces it down, with its reach and the load', () => {
    const analysis = analyse(straight(10, '3840x2160p60'));
    const [finding] = analysis.findings.filter(({ code }) => code === 'picture.stepped-down');
    expect(finding?.about.linkId).toBe('camera-hdmi-to-screen');
    expect(finding?.says).toContain('is 10 m and reaches 3 m at 14.256 Gb/s');
  });
  it('takes what two ends of a splitter both take', () => {
    const rig = new RigDraft('Case')
      .do({ type: 'setHouseRules', rules: { chosenFormat: '3840x2160p30' } })
      .device('camera', 'camera-studio', { settings: { format: BEST_THAT_FITS } })
      .device('split', 'splitter-hdmi-2')
      .device('a', 'display-2160')
      .device('b', 'display-monitor')
      .link('camera.hdmi', 'split.in')
      .link('split.out-1', 'a.in')
      .link('split.out-2', 'b.in')
      .build();
    expect(sent(rig)).toBe('1080p30');
  });
  it('writes fewer bits of colour where only that gets 2160p60 through 8.16 Gb/s', () => {
    const rig = (coding: string) =>
      new RigDraft('Case')
        .do({ type: 'setHouseRules', rules: { chosenFormat: '3840x2160p60' } })
        .device('camera', 'camera-studio', { settings: { format: BEST_THAT_FITS, coding } })
        .device('capture', 'capture-10g')
        .link('camera.hdmi', 'capture.in', 5)
        .build();
    // 2160p60 in 4:2:0 loads 7.128 Gb/s: 5 m of passive cable carry that, and not the 14.256 of 4:2:2.
    expect(sent(rig(BEST_THAT_FITS))).toBe('2160p60');
    expect(sent(rig('422 10 limited'))).toBe('1080p60');
  });
});

describe('a switcher without scalers', () => {
  const rig = (house: string, second = BEST_THAT_FITS) =>
    new RigDraft('Case')
      .do({ type: 'setHouseRules', rules: { chosenFormat: '1920x1080p60' } })
      .device('camera', 'camera-studio', { settings: { format: BEST_THAT_FITS } })
      .device('other', 'camera-studio', { settings: { format: second } })
      .device('mix', 'switcher-20', { settings: { 'house-format': house } })
      .device('screen', 'display-sdi')
      .link('camera.sdi', 'mix.in-1', 20)
      .link('other.sdi', 'mix.in-2', 20)
      .link('mix.programme', 'screen.in', 5)
      .build();
  it('makes every source send its house format', () =>
    expect([sent(rig('1920x1080p50')), sent(rig('1920x1080p50'), 'other')]).toEqual([
      '1080p50',
      '1080p50',
    ]));
  it('runs at what its first input sends, and the others follow', () => {
    const set = apply(rig(FIRST_CONNECTED), {
      type: 'setControl',
      deviceId: 'camera',
      control: 'format',
      value: '1920x1080p25',
    });
    expect([sent(set), sent(set, 'other')]).toEqual(['1080p25', '1080p25']);
  });
  it('lets the first input choose, down to what the programme’s monitor takes', () =>
    expect(sent(rig(FIRST_CONNECTED))).toBe('1080p60'));
  it('shows black where the second cannot follow, and one finding says that one input decides for all', () => {
    const analysis = analyse(
      apply(rig(FIRST_CONNECTED, '1920x1080p30'), {
        type: 'setControl',
        deviceId: 'camera',
        control: 'format',
        value: '1920x1080p25',
      }),
    );
    for (const cause of ['picture.format-refused', 'picture.first-decides'])
      expect(analysis.findings.filter(({ code }) => code === cause)).toHaveLength(1);
  });
});

/**
 * Whether a camera's picture arrives everywhere it goes, on cables that reach: judged by the
 * figures of the whole rig, not by the search.
 */
const passes = (measured: Measured, deviceId: string): boolean => {
  const own = measured.traced.stages.filter((stage) => {
    let at = stage;
    while (at.parent) at = at.parent;
    return stage.signal === 'picture' && at.at.device.id === deviceId && at.at.links.length > 0;
  });
  let isOwnStill = true;
  return own.every((stage) => {
    const figures = measured.picture[stage.index];
    if (stage.via.by === 'source') isOwnStill = true;
    if (
      stage.via.by === 'route' &&
      stage.via.route.route.picture?.does === 'house format' &&
      stage.via.route.route.picture.scaler
    )
      isOwnStill = false;
    if (!isOwnStill) return true;
    if (figures?.stop) return false;
    return (
      stage.via.by !== 'link' ||
      figures === undefined ||
      figures.payloadGbps === null ||
      stage.via.link.link.cable.lengthM <=
        reachM(cable(stage.via.link.link.cable.kind), figures.payloadGbps)
    );
  });
};

/** The order of formats for a programme at 60, written out by hand: suiting rate, then size, then rate. */
const WORTH_AT_60 = [
  '2160p60',
  '1080p60',
  '720p60',
  '1080i60',
  '2160p30',
  '1080p30',
  '720p30',
  '2160p29.97',
  '1080p59.94',
  '1080p29.97',
  '2160p50',
  '1080p50',
  '1080i50',
  '2160p25',
  '1080p25',
  '2160p23.98',
  '1080p23.98',
];
/**
 * Formats of which a programme at 60 shows every frame evenly; of the others only the order among
 * themselves is judged.
 */
const isEven = (name: string): boolean => /(60|30)$/.test(name) && !name.includes('.');

const ALL_FORMATS = [
  '3840x2160p60',
  '1920x1080p60',
  '1280x720p60',
  '1920x1080i60',
  '3840x2160p30',
  '1920x1080p30',
  '1280x720p30',
  '1920x1080p50',
  '3840x2160p25',
] as const;

describe('negotiation against trying every combination', () => {
  const small = fc.record({
    chosen: fc.constantFrom('1920x1080p60', '3840x2160p60'),
    camera: fc.constantFrom('camera-studio', 'camera-camcorder', 'camera-ptz'),
    split: fc.boolean(),
    sinks: fc.tuple(
      fc.constantFrom('display-2160', 'capture-5g', 'capture-10g'),
      fc.constantFrom('display-2160', 'display-monitor', 'capture-10g'),
    ),
    // What the first sink takes: any few of all formats there are.
    takes: fc.subarray([...ALL_FORMATS], { minLength: 3 }),
    lengths: fc.tuple(
      fc.constantFrom(1, 3, 5, 7.5, 10, 15),
      fc.constantFrom(1, 3, 5, 7.5, 10, 15),
      fc.constantFrom(1, 5, 10),
    ),
    kinds: fc.tuple(
      fc.constantFrom('hdmi' as const, 'hdmi-optical' as const),
      fc.constantFrom('hdmi' as const, 'hdmi-optical' as const),
    ),
  });
  it('equals the best found by setting every format in turn', () => {
    const seen = new Set<string>();
    fc.assert(
      fc.property(small, ({ chosen, camera, split, sinks, takes, lengths, kinds }) => {
        const draft = new RigDraft('Case')
          .do({ type: 'setHouseRules', rules: { chosenFormat: chosen } })
          .device('camera', camera, { settings: { format: BEST_THAT_FITS } });
        const sink = classById(sinks[0]);
        const into = sink.ports['in'];
        if (into?.family !== 'picture') throw new Error('the sink has no picture input');
        draft.do({
          type: 'addDevice',
          deviceId: 'a',
          name: 'A',
          model: { ...sink, ports: { ...sink.ports, in: { ...into, accepts: takes } } },
          settings: {},
          personId: null,
          placeId: null,
        });
        if (split)
          draft
            .device('b', sinks[1])
            .device('split', 'splitter-hdmi-2')
            .link('camera.hdmi', 'split.in', lengths[2], kinds[0])
            .link('split.out-1', 'a.in', lengths[0], kinds[0])
            .link('split.out-2', 'b.in', lengths[1], kinds[1]);
        else draft.link('camera.hdmi', 'a.in', lengths[0], kinds[0]);
        const rig = draft.build();
        const control = rig.devices['camera']?.model.controls['format'];
        const options =
          control?.type === 'choice'
            ? control.options.map(({ value }) => value).filter((value) => value !== BEST_THAT_FITS)
            : [];
        const limit = parseFormat(chosen).height;
        const passing = options
          .filter(
            (value) =>
              parseFormat(value).height <= limit &&
              passes(
                measure(
                  apply(rig, { type: 'setControl', deviceId: 'camera', control: 'format', value }),
                ),
                'camera',
              ),
          )
          .map((value) => formatName(parseFormat(value)));
        const even = passing
          .filter(isEven)
          .sort((x, y) => WORTH_AT_60.indexOf(x) - WORTH_AT_60.indexOf(y));
        const [best] = even;
        fc.pre(best !== undefined);
        seen.add(best ?? '');
        expect(sent(rig)).toBe(best);
      }),
      { numRuns: times(150) },
    );
    // The rigs tried must really force different answers.
    expect(seen.size).toBeGreaterThanOrEqual(5);
  });

  it('two cameras at a switcher that follows its first input: no pair of formats shows more', () => {
    const listed = ['1920x1080p60', '1920x1080p50', '1920x1080p30', '1280x720p60'];
    fc.assert(
      fc.property(
        fc.constantFrom('1920x1080p60', '1920x1080p50'),
        fc.constantFrom(20, 90, 140),
        fc.constantFrom(20, 90, 140),
        (chosen, first, second) => {
          const rig = new RigDraft('Case')
            .do({ type: 'setHouseRules', rules: { chosenFormat: chosen } })
            .device('one', 'camera-ptz', { settings: { format: BEST_THAT_FITS } })
            .device('two', 'camera-ptz', { settings: { format: BEST_THAT_FITS } })
            .device('mix', 'switcher-20', { settings: { 'house-format': FIRST_CONNECTED } })
            .device('screen', 'display-sdi')
            .link('one.sdi', 'mix.in-1', first)
            .link('two.sdi', 'mix.in-2', second)
            .link('mix.programme', 'screen.in', 5)
            .build();
          const set = (a: string, b: string) =>
            apply(
              apply(rig, { type: 'setControl', deviceId: 'one', control: 'format', value: a }),
              { type: 'setControl', deviceId: 'two', control: 'format', value: b },
            );
          const works = listed
            .flatMap((a) => listed.map((b) => [a, b] as const))
            .filter(([a, b]) => {
              const measured = measure(set(a, b));
              return passes(measured, 'one') && passes(measured, 'two');
            });
          // Whatever the search chose for the first, a pair that works for both may only be worse
          // for the first or lose the second.
          const chosenFirst = sent(rig, 'one');
          const better = works.filter(
            ([a]) =>
              formatName(parseFormat(a)) === formatName(parseFormat(chosen)) &&
              chosenFirst !== formatName(parseFormat(chosen)),
          );
          expect(better).toEqual([]);
          expect(measure(rig).negotiations.size).toBe(2);
        },
      ),
      { numRuns: times(18) },
    );
  });
});
