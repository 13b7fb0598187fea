import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { listParts } from './parts';

describe('the parts of the pages', () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'echo-loom-parts-'));
  afterAll(() => rmSync(folder, { recursive: true }));

  it('are told as a browser asks for them, those in folders too', async () => {
    const inner = path.join(folder, 'chunks', 'inner');
    mkdirSync(inner, { recursive: true });
    writeFileSync(path.join(inner, 'a.js'), '');
    writeFileSync(path.join(folder, 'chunks', 'b.css'), '');
    expect(await listParts(folder)).toEqual([
      '/_next/static/chunks/b.css',
      '/_next/static/chunks/inner/a.js',
    ]);
  });
  it('are none where nothing was built', async () => {
    expect(await listParts(path.join(folder, 'nowhere'))).toEqual([]);
  });
});
