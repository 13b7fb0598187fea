import { classById } from '../../catalogue';
import { RigDraft } from '../../catalogue/draft';
import { BEST_THAT_FITS, type Coding, CODINGS, type Rig } from '../../rig';
import { camera } from '../../rules/rigs-for-cases';
import { formatName, parseFormat } from '../../units';
import { measure } from '../measure';
import type { Candidate } from '../figures/picture';
import { candidatesOf, compareCandidates, negotiate } from './negotiate';
import { explainPayload, explainReach, explainStream } from './sums';

/** Which of a source's formats is tried before which. */

const candidate = (format: string, coding: Coding | null = null): Candidate => ({
  format: parseFormat(format),
  coding,
});
const first = (chosen: string, a: Candidate, b: Candidate): Candidate | null => {
  const order = compareCandidates(parseFormat(chosen))(a, b);
  return order === 0 ? null : order < 0 ? a : b;
};

describe('of two formats, for a chosen one', () => {
  it.each([
    ['the rate that was chosen', '1920x1080p60', '1280x720p60', '1920x1080p50'],
    ['a whole part of the rate before another rate', '1920x1080p60', '1280x720p30', '1920x1080p50'],
    ['a multiple before another rate', '1920x1080p25', '1280x720p50', '1920x1080p30'],
    ['a near rate before a strange one', '1920x1080p60', '1280x720p60000/1001', '1920x1080p50'],
    ['a whole part before a near rate', '1920x1080p60', '1280x720p30', '1920x1080p60000/1001'],
    ['progressive before interlaced', '1920x1080p50', '1280x720p50', '1920x1080i50'],
    ['the larger of two that are not too large', '1920x1080p60', '1920x1080p60', '1280x720p60'],
    ['the smaller of two that are too large', '1280x720p60', '1920x1080p60', '3840x2160p60'],
    ['any size that is not too large', '1280x720p60', '640x480p25', '1920x1080p60'],
    ['the faster of two parts of the rate', '1920x1080p60', '1920x1080p30', '1920x1080p20'],
  ])('%s comes first', (_name, chosen, better, worse) => {
    const [a, b] = [candidate(better), candidate(worse)];
    expect(first(chosen, a, b)).toBe(a);
    expect(first(chosen, b, a)).toBe(a);
  });
  it('neither comes first where they are the same', () =>
    expect(first('1920x1080p60', candidate('1920x1080p60'), candidate('1920x1080p60'))).toBeNull());
});

describe('of two ways to write the pixels', () => {
  const coded = (chroma: Coding['chroma'], bits: 8 | 10, range: Coding['range']): Candidate =>
    candidate('1920x1080p60', { chroma, bits, range });
  it.each([
    ['RGB before 4:2:2', coded('rgb', 8, 'full'), coded('4:2:2', 10, 'limited')],
    ['4:2:2 before 4:2:0', coded('4:2:2', 8, 'full'), coded('4:2:0', 10, 'limited')],
    ['more bits', coded('4:2:2', 10, 'full'), coded('4:2:2', 8, 'limited')],
    [
      'limited range, which every picture chain expects',
      coded('rgb', 8, 'limited'),
      coded('rgb', 8, 'full'),
    ],
    ['any before none', coded('4:2:0', 8, 'full'), candidate('1920x1080p60')],
  ])('%s', (_name, better, worse) => {
    expect(first('1920x1080p60', better, worse)).toBe(better);
    expect(first('1920x1080p60', worse, better)).toBe(better);
  });
});

const sourceOfCamera = (rig: Rig) => {
  const measured = measure(rig);
  const source = measured.traced.stages.find(
    ({ via, signal, at }) =>
      via.by === 'source' &&
      signal === 'picture' &&
      at.device.id === 'camera' &&
      at.links.length > 0,
  );
  if (!source) throw new Error('the camera sends nothing');
  return { measured, source };
};
const studio = (settings: Readonly<Record<string, string>>, lengthM = 2): Rig =>
  new RigDraft('Case')
    .device('camera', 'camera-studio', { name: 'Camera', settings })
    .device('screen', 'display-2160', { name: 'Screen' })
    .link('camera.hdmi', 'screen.in', lengthM)
    .build();
const optionsOf = (control: string): readonly string[] => {
  const found = classById('camera-studio').controls[control];
  return found?.type === 'choice' ? found.options.map(({ value }) => value) : [];
};

describe('what a camera can be set to send', () => {
  it('is every format once, in the one coding it is set to', () => {
    const { measured, source } = sourceOfCamera(studio({ coding: '422 10 limited' }));
    const found = candidatesOf(measured, source);
    expect(found.map(({ format }) => formatName(format))).toEqual(
      optionsOf('format')
        .filter((value) => value !== BEST_THAT_FITS)
        .map((value) => formatName(parseFormat(value))),
    );
    expect(found.every(({ coding }) => coding === CODINGS['422 10 limited'])).toBe(true);
  });
  it('is every format in every coding where it chooses for itself', () => {
    const { measured, source } = sourceOfCamera(studio({ coding: BEST_THAT_FITS }));
    const codings = optionsOf('coding').filter((value) => value !== BEST_THAT_FITS);
    const formats = optionsOf('format').filter((value) => value !== BEST_THAT_FITS);
    expect(candidatesOf(measured, source)).toHaveLength(codings.length * formats.length);
  });
  it('is nothing for what is no source of pictures', () => {
    const { measured } = sourceOfCamera(studio({}));
    const screen = measured.traced.stages.find(({ at }) => at.device.id === 'screen');
    expect(screen && candidatesOf(measured, screen)).toEqual([]);
  });
});

describe('what stands in the way', () => {
  const chosen = parseFormat('3840x2160p60');
  const asked = (lengthM: number, told: string | null = null) => {
    const { measured, source } = sourceOfCamera(
      studio({ format: BEST_THAT_FITS, coding: '422 10 limited' }, lengthM),
    );
    return negotiate(
      measured,
      source,
      () => null,
      chosen,
      told === null ? null : parseFormat(told),
    );
  };
  it('is nothing on a short cable: then the wish is sent', () => {
    const found = asked(2);
    expect(found).toMatchObject({ forcedBy: [], fits: true });
    expect(found && formatName(found.format)).toBe('2160p60');
  });
  it('is the cable, told once with where it ends', () => {
    const found = asked(10);
    expect(found?.fits).toBe(true);
    expect(found && [formatName(found.wish.format), formatName(found.format)]).toEqual([
      '2160p60',
      '1080p60',
    ]);
    expect(found?.forcedBy).toEqual([
      {
        linkId: 'camera-hdmi-to-screen',
        deviceId: 'screen',
        portId: 'in',
        says: expect.stringContaining('reaches 3 m at 14.256 Gb/s') as string,
      },
    ]);
  });
  it('is told where the format is set and only the pixels are open', () => {
    const found = asked(10, '3840x2160p60');
    expect(found && formatName(found.format)).toBe('2160p60');
    expect(found).toMatchObject({ fits: false });
    expect(found?.forcedBy).toHaveLength(1);
  });
  it('is everything where the told format is none of the camera’s', () =>
    expect(asked(2, '640x480p15')).toBeNull());
});

describe('the sums of a picture', () => {
  it('the load on a link counts the blanking: 2200 × 1125 × 60 × 24 bits', () => {
    const { measured, source } = sourceOfCamera(camera({ format: '1920x1080p60' }).build());
    const arrives = measured.traced.stages.find(({ parent }) => parent === source);
    const [sum] = arrives ? explainPayload(measured, arrives) : [];
    expect(sum?.result).toBeCloseTo(3.564, 3);
    expect(sum?.unit).toBe('Gb/s');
  });
  it('the load on a link is that of the pixels as they are written: 12 bits in 4:2:0 of 8', () => {
    const { measured, source } = sourceOfCamera(
      camera({
        camera: 'camera-studio',
        format: '1920x1080p60',
        cameraSettings: { coding: '420 8 limited' },
      }).build(),
    );
    const arrives = measured.traced.stages.find(({ parent }) => parent === source);
    const [sum] = arrives ? explainPayload(measured, arrives) : [];
    expect(sum?.inputs.map(({ value }) => value)).toEqual([148.5, 12]);
    expect(sum?.result).toBeCloseTo(1.782, 3);
  });
  it('the stream of a capture device does not: 1920 × 1080 × 60 × 16 ÷ 8', () => {
    const { measured } = sourceOfCamera(camera({ format: '1920x1080p60' }).build());
    const sent = measured.traced.stages.find(
      ({ at, signal }) => at.device.id === 'capture' && at.id === 'usb' && signal === 'picture',
    );
    const [sum] = sent ? explainStream(measured, sent) : [];
    expect(sum?.result).toBeCloseTo(248.832, 3);
    expect(sum?.inputs.map(({ value }) => value)).toEqual([1920, 1080, 60, 16]);
  });
  it('the reach of a cable is a share of what it goes at this load, and the load is told', () => {
    const { measured } = sourceOfCamera(camera({ lengthM: 6 }).build());
    const edge = measured.graph.links.get('camera-hdmi-to-capture');
    const [sum] = edge ? explainReach(measured, edge, 4.5) : [];
    expect(sum?.result).toBeCloseTo(80, 9);
    expect(sum?.inputs.map(({ name }) => name)).toEqual([
      'length',
      'reach',
      'load',
      'warning from',
    ]);
  });
  it('of sound there is no load to tell', () => {
    const { measured } = sourceOfCamera(camera({ lengthM: 6 }).build());
    const edge = measured.graph.links.get('camera-hdmi-to-capture');
    const [sum] = edge ? explainReach(measured, edge, 0) : [];
    expect(sum?.inputs.map(({ name }) => name)).toEqual(['length', 'reach', 'warning from']);
  });
  it('cannot be told of a load that the cable does not carry at all', () => {
    const { measured } = sourceOfCamera(camera({ lengthM: 6 }).build());
    const edge = measured.graph.links.get('camera-hdmi-to-capture');
    const [sum] = edge ? explainReach(measured, edge, 20) : [];
    expect(sum?.result).toBeNull();
  });
});
