import { analyse } from '../analyse';
import { showOnDrives } from '../recorded/written';
import { workedShow } from '../recorded/show-for-cases';
import type { CheckedFile, DriveCheck } from './checked';
import { framesPerSecond } from '../units';
import { baseName, checkFolder, type FolderCheck, type SummedFile, sumsText } from './folder';
import { contentsOf, formattingOf } from './formatting';

const LENGTH_MIN = 90;
const rig = workedShow();
const planned = showOnDrives(analyse(rig)).drives.flatMap(({ files }) => files);

/** A checksum that only this text has here. */
const sum = (text: string): string => {
  const hex = Array.from(text, (letter) => letter.charCodeAt(0).toString(16).padStart(2, '0'));
  return hex.join('').padStart(64, '0').slice(-64);
};

/** Two hundred files: five cameras in 38 pieces each, eight voices, the copy of the stream in two. */
const PIECES: Record<string, number> = { 'Stream copy': 2 };
const folder = (): SummedFile[] =>
  planned.flatMap(({ name, signal, format, mbps }) => {
    const source = name.replace(/^[^:]*: /, '');
    const many = signal === 'sound' ? 1 : (PIECES[source] ?? 38);
    const lengthS = (60 * LENGTH_MIN) / many;
    return Array.from({ length: many }, (_, at) => {
      const file =
        signal === 'sound' ? `${source}.wav` : `${source}_${String(at + 1).padStart(4, '0')}.mov`;
      return {
        name: `2026-12-03/${file}`,
        bytes: Math.round((mbps * 1e6 * lengthS) / 8),
        lengthS,
        picture:
          signal === 'sound'
            ? null
            : {
                width: format?.width ?? 1920,
                height: format?.height ?? 1080,
                rateHz: format ? framesPerSecond(format) : 25,
                isConstant: true,
                missing: 0,
              },
        sound: { channels: 1, rateHz: 48_000 },
        problem: null,
        sha256: sum(file),
      };
    });
  });

const check = (files: readonly SummedFile[], before: readonly CheckedFile[] = []): FolderCheck =>
  checkFolder(files, planned, LENGTH_MIN, before);
const listed = (files: readonly SummedFile[]): CheckedFile[] =>
  files.map(({ name, bytes, sha256 }) => ({ name: baseName(name), bytes, sha256 }));
const told = ({ files, missing }: FolderCheck): readonly string[] => [
  ...files.flatMap(({ found, says }) => says.map((words) => `${baseName(found.name)}: ${words}`)),
  ...missing.map((name) => `missing: ${name}`),
];
const changed = (at: number, over: Partial<SummedFile>): SummedFile[] =>
  folder().map((file, n) => (n === at ? { ...file, ...over } : file));

describe('a folder of 200 files', () => {
  const files = folder();
  const at = files.findIndex(({ name }) => name.endsWith('Camera 3_0017.mov'));
  const one = files[at];
  if (!one?.picture) throw new Error('no such file');
  const { picture } = one;
  it('has nothing to say where all is as planned, and every file is known by its name', () => {
    expect(files).toHaveLength(200);
    expect(told(check(files))).toEqual([]);
    expect(told(check(files, listed(files)))).toEqual([]);
    expect(check(files).files.every(({ isByName, planned: is }) => isByName && is !== null)).toBe(
      true,
    );
    expect(check(files).drives.map(({ files: its, lacks }) => [its.length, lacks])).toEqual([
      [200, 0],
    ]);
  });
  it('one is missing', () => {
    const less = files.filter((_, n) => n !== at);
    expect(told(check(less))).toEqual(['missing: Camera 3_0017.mov']);
    expect(told(check(less, listed(files)))).toEqual(['missing: Camera 3_0017.mov']);
    expect(check(less).drives[0]?.lacks).toBeGreaterThan(0);
    // The only one of its voice: the plan knows it.
    expect(told(check(files.filter(({ name }) => !name.endsWith('Voice 5.wav'))))).toEqual([
      'missing: Voices: Voice 5',
    ]);
    expect(
      told(
        check(
          files.filter(({ name }) => !name.endsWith('Voice 5.wav')),
          listed(files),
        ),
      ),
    ).toEqual(['missing: Voices: Voice 5']);
    // The first, the last: the others begin at one, and the recording is too short.
    expect(told(check(files.filter(({ name }) => !name.endsWith('Camera 2_0001.mov'))))).toEqual([
      'missing: Camera 2_0001.mov',
    ]);
    expect(told(check(files.filter(({ name }) => !name.endsWith('Camera 2_0038.mov'))))).toEqual([
      'Camera 2_0037.mov: 0:02:22 shorter than the longest',
      'Camera 2_0037.mov: 1:27:38 of a show of 1:30:00',
    ]);
  });
  it('one is short', () =>
    expect(told(check(changed(at, { lengthS: 100, bytes: 625_000_000 })))).toEqual([
      'Camera 3_0017.mov: 0:00:42 shorter than the other pieces of its recording',
    ]));
  it('one has another rate', () =>
    expect(told(check(changed(at, { picture: { ...picture, rateHz: 30_000 / 1001 } })))).toEqual([
      'Camera 3_0017.mov: 29.97 frames a second, planned 25',
    ]));
  it('one is of another recorder', () => {
    const stray = { ...one, name: '2026-12-03/DSH00231.MOV', sha256: sum('stray') };
    expect(told(check([...files, stray]))).toEqual([
      'DSH00231.MOV: nothing of this kind is planned',
    ]);
    // In the place of ours: it is not taken for it.
    expect(told(check(changed(at, stray)))).toEqual([
      'DSH00231.MOV: nothing of this kind is planned',
      'missing: Camera 3_0017.mov',
    ]);
  });
  it('one is there twice', () =>
    expect(told(check([...files, { ...one, name: 'copy/Camera 3_0017 (2).mov' }]))).toEqual([
      'Camera 3_0017 (2).mov: the same, to the byte, as Camera 3_0017.mov',
    ]));
  it('one is damaged', () => {
    const before = listed(files);
    expect(told(check(changed(at, { sha256: sum('damaged') }), before))).toEqual([
      'Camera 3_0017.mov: damaged: as long as when it was checked before, with another checksum',
    ]);
    expect(
      told(check(changed(at, { sha256: sum('cut'), bytes: one.bytes - 512 }), before)),
    ).toEqual([
      `Camera 3_0017.mov: damaged: ${one.bytes - 512} bytes, ${one.bytes} when it was checked before`,
    ]);
    // Never checked before: what cannot be read is said.
    expect(
      told(
        check(
          changed(at, {
            lengthS: null,
            picture: null,
            sound: null,
            problem: 'it is no recording that can be read here',
          }),
        ),
      ).filter((words) => words.startsWith('Camera 3_0017')),
    ).toEqual(['Camera 3_0017.mov: it is no recording that can be read here']);
  });
  it('goes by the last part of a path, on whatever system', () => {
    expect(baseName('2026-12-03/Camera 1/clip.mov')).toBe('clip.mov');
    expect(baseName('D:\\2026-12-03\\clip.mov')).toBe('clip.mov');
    expect(baseName('clip.mov')).toBe('clip.mov');
  });
  it('keeps no list of a drive that nothing of was found', () =>
    expect(check([]).drives).toEqual([]));
  it('is a list of checksums, one a line', () =>
    expect(sumsText(listed(files)).split('\n')[0]).toMatch(/^[0-9a-f]{64} {2}Camera 1_0001\.mov$/));
  it('takes takes and clocks in names for no pieces that are missing', () => {
    const [wav] = files.filter(({ name }) => name.endsWith('Voice 1.wav'));
    if (!wav) throw new Error('no such file');
    const clocks = ['093012', '101544'].map((clock) => ({
      ...wav,
      name: `Voice 1 ${clock}.wav`,
      lengthS: (wav.lengthS ?? 0) / 2,
      bytes: wav.bytes / 2,
      sha256: sum(clock),
    }));
    expect(told(check([...files.filter((file) => file !== wav), ...clocks]))).toEqual([]);
  });
});

describe('a card may be formatted', () => {
  const draft = {
    devices: rig.devices,
    stores: {
      array: {
        name: 'Array',
        kind: 'network',
        isAway: false,
        mbytesPerS: 100,
        capacityGb: null,
        order: 1,
      },
      away: {
        name: 'Away',
        kind: 'hard disk',
        isAway: true,
        mbytesPerS: 100,
        capacityGb: null,
        order: 2,
      },
    },
  } as const;
  const files = listed(folder());
  const of = (storeId: string | null, over: Partial<DriveCheck> = {}) => ({
    atMs: 0,
    by: 'Dana',
    driveId: 'computer',
    storeId,
    files,
    lacks: 0,
    ...over,
  });
  const may = (...checks: ReturnType<typeof of>[]) =>
    formattingOf(
      draft,
      ['computer'],
      checks.map((check) => ({ ...check, contents: contentsOf(check.files) })),
    )[0];
  it('only when all of it was checked in two other places, alike', () => {
    expect(may()).toMatchObject({ mayBe: false, why: 'No copy of it was checked yet.' });
    expect(may(of('array'))).toMatchObject({
      mayBe: false,
      why: 'Checked in one place, Array: a second is wanted.',
    });
    // The drive itself is no copy.
    expect(may(of(null), of('array'))?.mayBe).toBe(false);
    expect(may(of('array'), of('away'))).toMatchObject({
      mayBe: true,
      places: ['Array', 'Away'],
      why: null,
    });
    expect(may(of(null), of('array'), of('away'))?.mayBe).toBe(true);
  });
  it('not where a copy lacks something, or differs in one file', () => {
    expect(may(of('array'), of('away', { lacks: 2 }))).toMatchObject({
      mayBe: false,
      why: 'Away lacks 2 of its files.',
    });
    const other = files.map((file, at) => (at === 100 ? { ...file, sha256: sum('other') } : file));
    expect(may(of('array'), of('away', { files: other }))).toMatchObject({
      mayBe: false,
      why: 'What was checked is not the same everywhere: Array, Away.',
    });
    expect(may(of(null, { files: other }), of('array'), of('away'))?.mayBe).toBe(false);
    // Other names in another order hold the same.
    const renamed = files.map((file) => ({ ...file, name: `x ${file.name}` })).reverse();
    expect(may(of('array'), of('away', { files: renamed }))?.mayBe).toBe(true);
  });
});
