import { analyse, type Analysis, apply, framings, parseFormat, RigDraft } from '@echo-loom/core';
import { harbourHall } from '../../../demo/harbour-hall';
import { nightTide } from '../../../demo/night-tide';
import { secondFiring } from '../../../demo/second-firing';
import { drawnOf } from './FrameContent';
import { bitsOf, loadsOf, loadText } from './loads';
import { sourceRows } from './rows';
import { drawnBySource } from './SceneDrawing';
import { formatOptions, framingLines } from './words';

const firing = analyse(secondFiring());
const row = (analysis: Analysis, name: string) =>
  sourceRows(analysis).find((item) => item.name === name);

describe('the table of sources', () => {
  it('lists every source of pictures with what it shows and sends', () => {
    expect(sourceRows(firing).map(({ name, shows, sends }) => [name, shows, sends])).toEqual([
      ['Host camera', 'Host', '1080p60'],
      ['Co-host camera', 'Co-host', '1080p59.94'],
      ['Potter camera', 'Guest potter', '1080p60'],
      ['Overhead', 'Wheel from above', '1080p60'],
      ['Kiln camera', 'Kiln', '1080p60'],
      ['Slides', 'Slides', '1080p60'],
      ['Historian call', 'Historian', '720p30'],
    ]);
  });
  it('gives a machine with three outputs a row for each', () =>
    expect(
      sourceRows(analyse(harbourHall()))
        .filter(({ deviceId }) => deviceId === 'graphics')
        .map(({ name }) => name),
    ).toEqual(['Graphics, Card output 1', 'Graphics, Card output 2', 'Graphics, Card output 3']));
  it('knows a camera from what fills its picture by itself', () =>
    expect([
      row(firing, 'Host camera')?.isCamera,
      row(firing, 'Slides')?.isCamera,
      row(firing, 'Historian call')?.isCamera,
    ]).toEqual([true, false, false]));
  it('says that a source without a plug sends nothing', () =>
    expect(
      row(
        analyse(
          apply(secondFiring(), { type: 'disconnect', linkId: 'kiln-camera-hdmi-to-switcher' }),
        ),
        'Kiln camera',
      )?.sends,
    ).toBeNull());
  it('has no shot where none is planned', () =>
    expect(row(analyse(harbourHall()), 'Roaming 3')?.framing).toBeNull());
});

describe('what is loaded', () => {
  it('puts the fullest first, with its load and what it carries', () =>
    expect(
      loadsOf(firing)
        .slice(0, 3)
        .map((load) => `${load.label}: ${loadText(load)}`),
    ).toEqual([
      'Slides capture, USB 6: 249.0 of 24.6 MB/s',
      'USB controller D, Show computer: 249.7 of 40 MB/s',
      'Line out of the building: 9.0 of 20 Mb/s',
    ]));
  it('leaves out a line that nobody has measured, and drives that write nothing', () =>
    expect(
      loadsOf(
        analyse(apply(secondFiring(), { type: 'writeBrief', brief: { uplinkMbps: null } })),
      ).some(({ label }) => label.startsWith('Line')),
    ).toBe(false));
  it('is nothing for an empty rig', () =>
    expect(loadsOf(analyse(new RigDraft('Empty').build()))).toEqual([]));
  it('tells the bits of each delivered pixel', () =>
    expect(bitsOf(firing).map(({ label, bits }) => [label, Number(bits.toFixed(3))])).toEqual([
      ['Live stream', 0.096],
      ['Programme recording', 0.402],
      ['Vertical clips', 0.193],
    ]));
});

describe('the figures of a shot in words', () => {
  const lines = (deviceId: string) =>
    new Map(
      framings(firing)
        .filter(({ shot }) => shot.deviceId === deviceId)
        .flatMap(framingLines),
    );
  it('tells frame, distance, lens and sensor of the host’s camera', () =>
    expect([...lines('host-camera')].slice(0, 6)).toEqual([
      ['Frames', '1.14 × 0.64 m'],
      ['Wanted', '0.65 m height'],
      ['Distance for that', '1.72 m'],
      ['Lens for that from here', '34.6 mm'],
      ['Active sensor', '23.50 × 13.22 mm'],
      ['Sees as on full frame', '35.0 as 53.6 mm'],
    ]));
  it('has an eye line only where somebody looks past the lens', () =>
    expect([lines('host-camera').get('Eye line'), lines('cohost-camera').get('Eye line')]).toEqual([
      '4.0°',
      undefined,
    ]));
  it('has no space over a head where no face is in it', () =>
    expect(lines('overhead').has('Space over the head')).toBe(false));
  it('tells what light is needed by a camera that sets itself, and nothing where nobody has set it', () => {
    // 250 · 2.8² ÷ (1/50 · 3200) = 30.6 lux at the most sensitive that is clean
    expect(lines('kiln-camera').get('Light needed')).toBe('31 lux, and has it');
    expect(lines('slides').has('Light needed')).toBe(false);
  });
  it('tells in stops how far the light is off', () => {
    const set = apply(firing.rig, {
      type: 'batch',
      label: 'By hand',
      commands: [
        { type: 'setControl', deviceId: 'overhead', control: 'auto-exposure', value: false },
        { type: 'setControl', deviceId: 'overhead', control: 'iso', value: 800 },
      ],
    });
    const [framing] = framings(analyse(set)).filter(({ shot }) => shot.deviceId === 'overhead');
    expect(framing && new Map(framingLines(framing)).get('Light needed')).toBe(
      '245 lux, 4.4 stops too much',
    );
  });
});

describe('the drawing of a frame', () => {
  const framing = (deviceId: string, analysis = firing) => {
    const found = framings(analysis).find(({ shot }) => shot.deviceId === deviceId);
    if (!found) throw new Error(`no shot of ${deviceId}`);
    return found;
  };
  it('is as many metres wide and high as the camera frames', () => {
    const drawn = drawnOf(framing('host-camera'), 'sits', null);
    expect(drawn).toMatchObject({ what: 'person', isSeated: true });
    expect(drawn.widthM).toBeCloseTo(1.141, 3);
    expect(drawn.heightM).toBeCloseTo(0.642, 3);
  });
  it('shows hands for a wheel, two people for a two-shot', () => {
    expect(drawnOf(framing('overhead'), 'stands', 'hands').what).toBe('hands');
    expect(
      drawnOf(framing('phone', analyse(nightTide())), 'sits', 'people together'),
    ).toMatchObject({ what: 'two people', spacingM: 0.8 });
  });
  it('falls back to the frame that is wanted where nothing is measured', () => {
    const unmeasured = analyse(
      apply(secondFiring(), {
        type: 'batch',
        label: 'Nothing is known of where it stands.',
        commands: [
          { type: 'changeShot', shotId: 'host-camera', shot: { distanceM: null } },
          { type: 'standDevice', deviceId: 'host-camera', on: null },
        ],
      }),
    );
    expect(drawnOf(framing('host-camera', unmeasured), 'sits', null)).toMatchObject({
      heightM: 0.65,
    });
  });
  it('draws callers, slides and cameras apart in scenes', () => {
    const drawn = drawnBySource(firing);
    expect(
      ['historian-call', 'slides', 'overhead', 'host-camera'].map((id) => drawn.get(id)?.what),
    ).toEqual(['far person', 'screen', 'hands', 'person']);
  });
});

it('a format that is in no list can still be chosen from', () => {
  expect(
    formatOptions('1920x1080p60').filter(({ value }) => value === '1920x1080p60'),
  ).toHaveLength(1);
  expect(formatOptions('1440x1080p25').at(-1)).toEqual({
    value: '1440x1080p25',
    label: '1440×1080p25',
  });
  expect(formatOptions('1920x1080p60').every(({ value }) => parseFormat(value).scan === 'p')).toBe(
    true,
  );
});
