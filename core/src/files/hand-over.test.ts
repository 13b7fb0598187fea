import { analyse } from '../analyse';
import { workedShow } from '../recorded/show-for-cases';
import type { Rig } from '../rig';
import { handOverCsv, handOverText, laterThanSoundMs } from './hand-over';
import { namedFiles } from './plan';

const base = workedShow();
const rig: Rig = {
  ...base,
  fileRules: { ...base.fileRules, template: '{source}' },
  offsets: {
    late: {
      soundId: 'mic-1',
      pictureId: 'camera-1',
      placeId: 'computer',
      offsetMs: -41.25,
      spreadMs: 1,
      setMs: 0,
      on: '2026-11-30',
      heldWhile: '',
      file: null,
      order: 1,
    },
  } as Rig['offsets'],
};
const files = namedFiles(analyse(rig), { date: '2026-12-03', episode: 1, take: 1 });

describe('the hand-over to the edit', () => {
  it('names camera, format, offset and size of each file, as a table', () => {
    const lines = handOverCsv(rig, files).trim().split(/\r?\n/);
    expect(lines).toHaveLength(15);
    expect(lines[0]).toBe('File,Person,Camera or source,Drive,Format,Offset,GB,Notes');
    expect(lines.find((line) => line.startsWith('Camera 1,'))).toBe(
      'Camera 1,,Camera 1,Computer,1080p25,"Voice 1 41.3 ms before Camera 1 at Computer, measured 2026-11-30",33.75,',
    );
    expect(lines.find((line) => line.startsWith('Voice 2,'))).toBe(
      'Voice 2,,Voice 2,Computer,sound,,0.778,',
    );
  });
  it('lays a camera against the sound it was measured with, and leaves the sound where it is', () => {
    expect(laterThanSoundMs(rig, 'camera-1')).toBe(41.25);
    expect(laterThanSoundMs(rig, 'mic-1')).toBe(0);
    expect(laterThanSoundMs(rig, 'camera-2')).toBeNull();
    expect(laterThanSoundMs(rig, null)).toBeNull();
  });
  it('as text, a block for each drive', () => {
    const text = handOverText(rig, files).split('\n');
    expect(text.slice(0, 3)).toEqual(['Files of Worked F', '', 'Computer']);
    expect(text).toContain('  Camera 2; Camera 2; 1080p25; 33.75 GB');
    expect(text).toContain(
      '  Voice 1; Voice 1; sound; 0.78 GB; Voice 1 41.3 ms before Camera 1 at Computer, measured 2026-11-30',
    );
  });
  it('says the latest of what was measured, and what is in a file of several', () => {
    const twice: Rig = {
      ...rig,
      offsets: {
        ...rig.offsets,
        newer: { ...rig.offsets['late'], offsetMs: 12, on: '2026-12-02', order: 2 },
        older: { ...rig.offsets['late'], offsetMs: 99, on: '2025-01-01', order: 3 },
      } as Rig['offsets'],
    };
    expect(handOverText(twice, files)).toContain(
      'Voice 1 12.0 ms after Camera 1 at Computer, measured 2026-12-02',
    );
    const mixed = files.map((file) => ({ ...file, sourceId: null, of: 'Programme' }));
    expect(handOverCsv(rig, mixed).split(/\r?\n/)[1]).toMatch(/^Camera 1,,Programme,Computer,/);
  });
  it('a recorder that cuts its files says that they are joined', () => {
    const cut = files.map((file) => ({ ...file, pieces: 9 }));
    expect(handOverText(rig, cut)).toContain('in 9 pieces: join them first');
  });
});
