import fc from 'fast-check';
import { analyse } from '../analyse';
import { report } from '../report';
import { demoRig } from '../rules/demo-for-cases';
import { parseFormat } from '../units';
import { compareFiles, type FilmFacts, type FoundFile } from './compared';
import { workedShow } from './show-for-cases';
import { type PlannedFile, showOnDrives } from './written';

describe('worked F: what a show leaves', () => {
  const analysis = analyse(workedShow());
  const { drives, gbPerHour, gbPerShow, lengthMin } = showOnDrives(analysis);
  const [drive] = drives;
  it('five cameras, eight voices and a copy are 119.35 GB an hour and 179.0 GB a show', () => {
    expect(lengthMin).toBe(90);
    expect(drives).toHaveLength(1);
    expect(drive?.files).toHaveLength(14);
    expect(gbPerHour).toBeCloseTo(119.347, 3);
    expect(gbPerShow).toBeCloseTo(179.02, 2);
  });
  it('a drive of 20 TB is full after 111 shows; 46 of them are 8.23 TB', () => {
    expect(drive?.shows).toBe(111);
    expect((46 * gbPerShow) / 1000).toBeCloseTo(8.235, 3);
  });
  it('a camera is 33.75 GB, a voice 0.78', () => {
    expect(drive?.files.find(({ name }) => name === 'Cameras: Camera 3')).toMatchObject({
      signal: 'picture',
      gb: 33.75,
      format: parseFormat('1920x1080p25'),
    });
    expect(drive?.files.find(({ name }) => name === 'Voices: Voice 8')?.gb).toBeCloseTo(0.7776, 4);
  });
  it('stands in the report', () =>
    expect(report(analysis).drives).toContainEqual(
      expect.objectContaining({ device: 'computer', shows: 111 }),
    ));
  it('every file has a key of its own, in the demos too', () => {
    for (const rig of [
      workedShow(),
      ...['night-tide', 'second-firing', 'harbour-hall'].map((name) => demoRig(name)),
    ]) {
      const keys = showOnDrives(analyse(rig)).drives.flatMap(({ files }) =>
        files.map(({ key }) => key),
      );
      expect(keys.length).toBeGreaterThan(0);
      expect(new Set(keys).size).toBe(keys.length);
    }
  });
});

const P25 = parseFormat('1920x1080p25');
const plan = (name: string, signal: PlannedFile['signal'], mbps: number): PlannedFile => ({
  key: name,
  deviceId: 'drive',
  name,
  of: name.replace(/^.*: /, ''),
  sourceId: null,
  signal,
  mbps,
  format: signal === 'picture' ? P25 : null,
  gb: 0,
});
const PLANNED = [
  plan('Files: Overhead', 'picture', 50),
  plan('Files: Host camera', 'picture', 50),
  plan('Voices: Host', 'sound', 1.152),
];
const PICTURE: FilmFacts = {
  width: 1920,
  height: 1080,
  rateHz: 25,
  isConstant: true,
  missing: 0,
};
const HOUR_S = 3600;
const film = (name: string, over: Partial<FoundFile> = {}, mbps = 50): FoundFile => {
  const lengthS = over.lengthS ?? HOUR_S;
  return {
    name,
    bytes: (mbps * 1e6 * lengthS) / 8,
    lengthS,
    picture: PICTURE,
    sound: { channels: 2, rateHz: 48_000 },
    problem: null,
    ...over,
  };
};
const voice = (name: string): FoundFile => film(name, { picture: null }, 1.152);
const said = (...files: FoundFile[]) =>
  compareFiles(files, PLANNED, 60).files.map(({ planned, says }) => [planned?.name, ...says]);

describe('files of a show against the plan', () => {
  it('all as planned: nothing is said and nothing is missing', () => {
    const { files, missing } = compareFiles(
      [film('2026-11-20 overhead.mov'), film('HOST CAMERA_01.mp4'), voice('host.wav')],
      PLANNED,
      60,
    );
    expect(files.map(({ planned, says }) => [planned?.name, says])).toEqual([
      ['Files: Overhead', []],
      ['Files: Host camera', []],
      ['Voices: Host', []],
    ]);
    expect(missing).toEqual([]);
  });
  it('what has no name of the rig is what it comes nearest to', () => {
    const { files, missing } = compareFiles(
      [film('clip0001.mp4'), voice('host tr1.wav')],
      PLANNED,
      60,
    );
    expect(files.map(({ isByName }) => isByName)).toEqual([false, true]);
    expect(missing.map(({ signal }) => signal)).toEqual(['picture']);
  });
  it('says size, rate, lost frames and uneven ones', () =>
    expect(
      said(
        film('Overhead', {
          picture: {
            width: 1280,
            height: 720,
            rateHz: 30_000 / 1001,
            isConstant: false,
            missing: 3,
          },
        }),
      ),
    ).toEqual([
      [
        'Files: Overhead',
        '1280 × 720, planned 1920 × 1080',
        '29.97 frames a second, planned 25',
        'its frames come unevenly: make it constant before the cut, or its sound will drift',
        '3 frames are missing',
      ],
    ]));
  it('a phone held upright has the size that was planned', () =>
    expect(said(film('Overhead', { picture: { ...PICTURE, width: 1080, height: 1920 } }))).toEqual([
      ['Files: Overhead'],
    ]));
  it('25 and 24.975, and 29.97 and 30, are told apart', () =>
    expect(said(film('Overhead', { picture: { ...PICTURE, rateHz: 24.975 } }))).toEqual([
      ['Files: Overhead', '24.98 frames a second, planned 25'],
    ]));
  it('says what ended early, and what is written in far fewer bits', () =>
    expect(said(film('Overhead'), film('host camera', { lengthS: HOUR_S - 130 }, 12))).toEqual([
      ['Files: Overhead'],
      [
        'Files: Host camera',
        '12 Mb/s, planned 50',
        '0:02:10 shorter than the longest',
        '0:57:50 of a show of 1:00:00',
      ],
    ]));
  it('parts of one file are counted together', () =>
    expect(
      said(
        film('Overhead 1', { lengthS: 1800 }),
        film('Overhead 2', { lengthS: 1800 }),
        film('host camera'),
      ).flat(),
    ).toEqual(['Files: Overhead', 'Files: Overhead', 'Files: Host camera']));
  it('what is empty, cannot be read, or was never planned is said, and hides no other', () => {
    const empty = { ...film('Overhead'), bytes: 0 };
    const broken = { ...film('x.mov'), picture: null, sound: null, problem: 'cannot be read' };
    const extra = [film('a.mp4'), film('b.mp4'), film('c.mp4')];
    expect(said(empty)[0]).toContain('it is empty');
    expect(said(broken)).toEqual([[undefined, 'cannot be read']]);
    expect(said(...extra).filter(([planned]) => planned === undefined)).toEqual([
      [undefined, 'nothing of this kind is planned'],
    ]);
  });
  it('always: each file is told once, and a plan is missing or claimed, never both', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            name: fc.constantFrom('Overhead', 'host', 'Host camera 2', 'clip', ''),
            isSound: fc.boolean(),
            lengthS: fc.option(fc.integer({ min: 0, max: 9000 })),
            bytes: fc.nat(),
          }),
          { maxLength: 8 },
        ),
        (files) => {
          const found = files.map(({ name, isSound, lengthS, bytes }) => ({
            ...(isSound ? voice(name) : film(name)),
            lengthS,
            bytes,
          }));
          const compared = compareFiles(found, PLANNED, 60);
          expect(compared.files.map((file) => file.found)).toEqual(found);
          const claimed = new Set(compared.files.map(({ planned }) => planned));
          for (const planned of PLANNED)
            expect(claimed.has(planned)).toBe(!compared.missing.includes(planned));
          expect(compared.files.flatMap(({ says }) => says).join()).not.toMatch(/NaN|Infinity/);
        },
      ),
    );
  });
});
