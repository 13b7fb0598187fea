import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import path from 'node:path';
import {
  blankRig,
  rigToJson,
  build,
  RigDraft,
  STARTING_POINTS,
  type Report,
} from '@echo-loom/core';
import { workedSound } from '../demo/worked-sound';
import { folder, loom, loomWith, nightTide, root, write } from './loom-for-tests';
import { leaveDatabase, makeDatabase, sqlRows } from '../web/server/database-for-tests';

describe('bin/loom', () => {
  it('is started as people start it', () =>
    expect(spawnSync(path.join(root, 'bin/loom'), ['schema'], { encoding: 'utf8' }).stdout).toBe(
      loom('schema').stdout,
    ));
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
    const short = report.findings.find(
      ({ code, says }) => code === 'sound.gain-short' && says.startsWith('Host mic'),
    );
    const booster = short?.fixes.find(({ label }) => label.startsWith('Add a booster'));
    expect(booster?.predicts?.cures).toBe(true);
    expect(
      booster?.predicts?.effects.map(({ label, after }) => [
        label,
        Number((after ?? NaN).toFixed(1)),
      ]),
    ).toEqual([
      ['Gain needed', 35.3],
      ['Level', -18.3],
      ['Signal to noise', 58.2],
    ]);
  });
  it('prints coverage and money of Night Tide', () => {
    const report = JSON.parse(loom('analyse', nightTide, '--json').stdout) as Report;
    expect(report.coverage.filter(({ verdict }) => verdict !== 'met').map(({ id }) => id)).toEqual([
      'person:host:heard',
      'person:reader:heard',
      'person:reader:hears',
    ]);
    expect(report.coverage.find(({ id }) => id === 'person:host:seen')).toMatchObject({
      verdict: 'met',
      thread: 'picture:phone.usb>pictures.in',
    });
    expect(report.money).toMatchObject({ toPay: 189.2, left: 110.8, unknown: [] });
  });
  it('prints framing, exposure, bandwidth and reach for programs', () => {
    const rig = new RigDraft('Worked')
      .person('host', 'Host')
      .do({ type: 'setHouseRules', rules: { chosenFormat: '3840x2160p60' } })
      .device('full', 'camera-full-frame', {
        settings: { 'focal-length': 50, 'f-number': 2, 'overlays-off': true },
      })
      .device('reduced', 'camera-mirrorless', { settings: { 'focal-length': 35, 'f-number': 2.8 } })
      .device('best', 'camera-studio', { name: 'Best', settings: { format: 'best that fits' } })
      .device('capture', 'capture-5g')
      .device('computer', 'computer-laptop')
      .device('files', 'recording-pictures')
      .device('screen', 'display-2160')
      .device('screen-2', 'display-2160')
      .link('full.hdmi', 'capture.in', 15)
      .link('capture.usb', 'computer.usb-2', 1, 'usb-5g')
      .link('computer.pictures', 'files.in')
      .link('reduced.hdmi', 'screen.in')
      .link('best.hdmi', 'screen-2.in', 10)
      .shot('full', {
        personId: 'host',
        distanceM: 1.6,
        backgroundM: 1.6,
        eyeLine: { offsetM: 0.12, distanceM: 0.9, side: 'beside' },
      })
      .shot('reduced', { personId: 'host', distanceM: 1.72 })
      .build();
    const report = JSON.parse(
      loom('analyse', write('worked.rig.json', rigToJson(rig)), '--json').stdout,
    ) as Report;
    const [full, reduced] = report.shots;
    const to2 = (value: number | null | undefined) => Number((value ?? NaN).toFixed(2));
    expect(
      [
        full?.distanceForWantedM,
        full?.blurPercent,
        full?.eyeLineDeg,
        reduced?.distanceForWantedM,
        reduced?.lightNeededLux,
      ].map(to2),
    ).toEqual([1.62, 1.13, 7.59, 1.72, 122.5]);
    const stages =
      report.threads.find(({ id }) => id.startsWith('picture:full.hdmi'))?.stages ?? [];
    expect(
      stages.map(({ picture }) => picture?.payloadGbps).filter((gbps) => typeof gbps === 'number'),
    ).toEqual([3.564]);
    expect(stages.find(({ port }) => port === 'usb')?.picture?.streamMBps).toBeCloseTo(248.832, 9);
    expect(report.usb).toEqual([
      {
        linkId: 'capture-usb-to-computer',
        loadMBps: expect.closeTo(248.832, 9) as number,
        limitMBps: 400,
      },
    ]);
    expect(report.findings.find(({ code }) => code === 'picture.reach')?.sums[0]).toMatchObject({
      result: 100,
      inputs: [{ name: 'length', value: 15 }, { name: 'reach', value: 15 }, {}, {}],
    });
    expect(report.negotiated).toMatchObject([
      {
        device: 'best',
        format: '1080p60',
        wish: '2160p60',
        forcedBy: [{ linkId: 'best-hdmi-to-screen-2' }],
      },
    ]);
    expect(report.drives.find(({ device }) => device === 'computer')).toMatchObject({
      writeMBps: 6.25,
      gbPerHour: 22.5,
    });
  });
  it('prints bleed, comb, critical distance, ears, compressor and channels for programs', () => {
    const report = JSON.parse(
      loom('analyse', write('sound.rig.json', rigToJson(workedSound())), '--json').stdout,
    ) as Report;
    const [cardioid, omni] = ['cardioid', 'omni'].map((id) =>
      report.microphones.find(({ device }) => device === id),
    );
    expect(cardioid?.bleed[0]).toMatchObject({
      personId: 'guest',
      db: expect.closeTo(-38.48, 2) as number,
      totalDb: expect.closeTo(-21.7, 1) as number,
      combRippleDb: expect.closeTo(0.21, 2) as number,
    });
    expect(cardioid?.ownSpl).toBeCloseTo(83.94, 2);
    expect(cardioid?.roomSpl).toBeCloseTo(25.23, 2);
    expect(omni?.criticalDistanceM).toBeCloseTo(0.57, 3);
    expect(omni?.directToReverberantDb).toBeCloseTo(9.1, 1);
    expect(report.ears[0]).toMatchObject({
      device: 'ears',
      spl: expect.closeTo(113.8, 1) as number,
      hours: expect.closeTo(0.0103, 4) as number,
    });
    expect(report.processors.find(({ does }) => does === 'compress')).toMatchObject({
      averageDb: expect.closeTo(-18, 2) as number,
      peakDb: expect.closeTo(-7.01, 2) as number,
      out: {
        averageDb: expect.closeTo(-18, 2) as number,
        peakDb: expect.closeTo(-14.34, 2) as number,
      },
    });
    // Worked A and worked C, side by side on one interface.
    const voice = (id: string) => report.voices.find(({ sourceId }) => sourceId === id);
    expect(voice('cardioid')).toMatchObject({
      gainNeededDb: expect.closeTo(59.84, 1) as number,
      levelDbfs: expect.closeTo(-23.84, 1) as number,
      snrDb: expect.closeTo(58.14, 1) as number,
    });
    expect(voice('omni')).toMatchObject({
      gainNeededDb: expect.closeTo(41.93, 1) as number,
      snrDb: expect.closeTo(61.9, 1) as number,
    });
    const hall = JSON.parse(
      loom('analyse', path.join(root, 'demo/harbour-hall.rig.json'), '--json').stdout,
    ) as Report;
    expect(hall.channels.find(({ from }) => from === 'box-a.network')).toMatchObject({
      used: 15,
      most: 16,
    });
    expect(hall.microphones).toHaveLength(24);
  });
  it('prints scenes, work and uplink of Second Firing', () => {
    const report = JSON.parse(
      loom('analyse', path.join(root, 'demo/second-firing.rig.json'), '--json').stdout,
    ) as Report;
    expect(report.scenes.map(({ id, possible, madeAt }) => [id, possible, madeAt])).toEqual([
      ['hosts', false, ['switcher']],
      ['wheel', true, []],
      ['wheel-above', true, ['switcher']],
      ['slides', true, ['switcher']],
      ['historian', true, ['computer']],
      ['kiln', true, []],
    ]);
    expect(report.uplink).toEqual({ mbps: 9, lineMbps: 20 });
    expect(report.work.map(({ device, budget }) => [device, budget])).toEqual([['computer', 24]]);
  });
  it('exits with 0 where nothing stops', () => {
    const solo = STARTING_POINTS.find(({ id }) => id === 'solo-desk');
    const built = solo && build(solo.answers('Solo'));
    expect(solo).toBeDefined();
    expect(built?.ok && loom('analyse', write('solo.rig.json', rigToJson(built.rig))).status).toBe(
      0,
    );
  });
  it('exits with 2 on a bad file, with the place in it', () => {
    const { status, stderr } = loom('analyse', write('bad.rig.json', '{"version": 2, "name": 7}'));
    expect(status).toBe(2);
    expect(stderr).toMatch(/bad\.rig\.json: name: /);
  });
  it.each([
    [['analyse', '/nowhere.json']],
    [['analyse']],
    [['weave']],
    [['export', nightTide]],
    [['analyse', nightTide, '--loud']],
  ])('exits with 2 on %j', (words) => expect(loom(...words).status).toBe(2));
  it('exports the patch sheet, the graph and the schema', () => {
    expect(loom('export', nightTide, '--csv').stdout.split('\r\n')[0]).toBe(
      'Cable,From device,From port,To device,To port,Cable kind,Length m',
    );
    expect(loom('export', nightTide, '--dot').stdout).toMatch(/^digraph "rig" \{/);
    expect(JSON.parse(loom('schema').stdout)).toMatchObject({ title: 'Echo Loom rig' });
  });
});

describe('bin/loom backup and restore', () => {
  it('take everything out as one file, and bring it back', async () => {
    const url = await makeDatabase('loom_backup');
    const put = (id: string) =>
      sqlRows('insert into rigs (id, document) values ($1, $2)', [
        id,
        JSON.stringify(blankRig(id)),
      ]);
    const there = async () =>
      (await sqlRows<{ id: string }>('select id from rigs order by id')).map(({ id }) => id);
    await put('kept');
    const file = path.join(folder, 'everything.backup.gz');
    expect(loomWith(url, 'backup', file)).toMatchObject({
      status: 0,
      stdout: `Everything is in ${file}.\n`,
    });
    expect(loomWith(url, 'backup', file)).toMatchObject({
      status: 2,
      stderr: `${file} is there already.\n`,
    });
    await sqlRows(`delete from rigs where id = 'kept'`);
    await put('later');
    expect(loomWith(url, 'restore', file)).toMatchObject({
      status: 2,
      stderr: expect.stringContaining('add --replace'),
    });
    expect(loomWith(url, 'restore', nightTide, '--replace')).toMatchObject({
      status: 2,
      stderr: expect.stringContaining('It is not a backup of Echo Loom'),
    });
    expect(await there()).toEqual(['later']);
    expect(loomWith(url, 'restore', file, '--replace')).toMatchObject({
      status: 0,
      stdout: expect.stringContaining('1 rigs, 0 entries, 0 studio'),
    });
    expect(await there()).toEqual(['kept']);
    await leaveDatabase();
  }, 60_000);
  it('say when the database does not answer, and leave no half file', () => {
    const file = path.join(folder, 'none.gz');
    expect(loomWith('postgres://nobody:x@127.0.0.1:1/none', 'backup', file)).toMatchObject({
      status: 2,
      stderr: expect.stringContaining('No backup was made'),
    });
    expect([existsSync(file), existsSync(`${file}.half`)]).toEqual([false, false]);
  });
});
