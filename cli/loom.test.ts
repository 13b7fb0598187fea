import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { rigToJson, build, STARTING_POINTS, type Report } from '@echo-loom/core';

const root = path.join(__dirname, '..');
const loom = (...words: string[]) => spawnSync(process.execPath, ['--import', path.join(root, 'node_modules/tsx/dist/loader.mjs'), path.join(root, 'cli/loom.ts'), ...words], { encoding: 'utf8', maxBuffer: 64 * 1024 * 1024 });
const nightTide = path.join(root, 'demo/night-tide.rig.json');
const folder = mkdtempSync(path.join(tmpdir(), 'echo-loom-'));
afterAll(() => rmSync(folder, { recursive: true }));

const write = (name: string, text: string): string => {
  const file = path.join(folder, name);
  writeFileSync(file, text);
  return file;
};

describe('bin/loom', () => {
  it('analyses for people and exits with 1 where there are stops', () => {
    const { status, stdout } = loom('analyse', nightTide);
    expect(status).toBe(1);
    expect(stdout).toContain('Host mic stays 5.84 dB under the house level.');
    expect(stdout).toContain('Fix: Add a booster after Host mic');
  });
  it('analyses for programs: worked A, and worked B as the booster fix predicts it', () => {
    const { stdout } = loom('analyse', nightTide, '--json');
    const report = JSON.parse(stdout) as Report;
    const host = report.voices.find(({ sourceId }) => sourceId === 'host-mic');
    expect(host?.gainNeededDb).toBeCloseTo(59.84, 1);
    expect(Math.abs((host?.snrDb ?? NaN) - 58.14)).toBeLessThanOrEqual(0.05);
    const short = report.findings.find(({ code, says }) => code === 'sound.gain-short' && says.startsWith('Host mic'));
    const booster = short?.fixes.find(({ label }) => label.startsWith('Add a booster'));
    expect(booster?.predicts.cures).toBe(true);
    expect(booster?.predicts.effects.map(({ label, after }) => [label, Number((after ?? NaN).toFixed(1))])).toEqual([['Gain needed', 35.3], ['Level', -18.3], ['Signal to noise', 58.2]]);
  });
  it('prints coverage and money of Night Tide', () => {
    const report = JSON.parse(loom('analyse', nightTide, '--json').stdout) as Report;
    expect(report.coverage.filter(({ verdict }) => verdict !== 'met').map(({ id }) => id)).toEqual(['person:host:heard', 'person:reader:heard', 'person:reader:hears']);
    expect(report.coverage.find(({ id }) => id === 'person:host:seen')).toMatchObject({ verdict: 'met', thread: 'picture:phone.usb>pictures.in' });
    expect(report.money).toMatchObject({ toPay: 160, left: 140, unknown: [] });
  });
  it('exits with 0 where nothing stops', () => {
    const solo = STARTING_POINTS.find(({ id }) => id === 'solo-desk');
    const built = solo && build(solo.answers('Solo'));
    expect(solo).toBeDefined();
    expect(built?.ok && loom('analyse', write('solo.rig.json', rigToJson(built.rig))).status).toBe(0);
  });
  it('exits with 2 on a bad file, with the place in it', () => {
    const { status, stderr } = loom('analyse', write('bad.rig.json', '{"version": 2, "name": 7}'));
    expect(status).toBe(2);
    expect(stderr).toMatch(/bad\.rig\.json: name: /);
  });
  it.each([[['analyse', '/nowhere.json']], [['analyse']], [['weave']], [['export', nightTide]], [['analyse', nightTide, '--loud']]])('exits with 2 on %j', (words) => expect(loom(...words).status).toBe(2));
  it('exports the patch sheet, the graph and the schema', () => {
    expect(loom('export', nightTide, '--csv').stdout.split('\r\n')[0]).toBe('Cable,From device,From port,To device,To port,Cable kind,Length m');
    expect(loom('export', nightTide, '--dot').stdout).toMatch(/^digraph "rig" \{/);
    expect(JSON.parse(loom('schema').stdout)).toMatchObject({ title: 'Echo Loom rig' });
  });
});
