import { analyse, csvOf, type DeviceNode, type Rig } from '@echo-loom/core';
import { harbourHall } from '../../../demo/harbour-hall';
import { nightTide } from '../../../demo/night-tide';
import { secondFiring } from '../../../demo/second-firing';
import { arrivalText, exported, leastHeadroomDb, levelOf, matrixOf, wayText } from './matrix';
import { worstByItem } from '@/features/loom/marks';
import { READINGS } from '@/features/chosen/readings';

const DEMOS: readonly (readonly [string, Rig])[] = [
  ['Night Tide', nightTide()],
  ['Second Firing', secondFiring()],
  ['Harbour Hall', harbourHall()],
];

const night = analyse(nightTide());
const nodeOf = (id: string): DeviceNode => {
  const node = night.graph.devices.get(id);
  if (!node) throw new Error(`no ${id}`);
  return node;
};

describe('the patch matrix', () => {
  const matrix = matrixOf(night, night.traced.threads);
  it('has a row for every source and a column for every destination', () => {
    expect(matrix.sources.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['host-mic', 'reader-mic', 'phone']),
    );
    expect(matrix.ends.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['host-phones', 'programme', 'tracks', 'pictures']),
    );
  });
  it('says where nothing leads', () =>
    expect(matrix.at(nodeOf('phone'), nodeOf('tracks'))).toBeUndefined());
  it('a voice arrives in the episode with its level, its delay and its length of cable', () => {
    const crossing = matrix.at(nodeOf('host-mic'), nodeOf('programme'));
    const [thread] = crossing?.threads ?? [];
    if (!thread) throw new Error('no thread');
    expect(arrivalText(night, thread, 'Level')).toMatch(/^−\d+\.\d dBFS$/);
    expect(arrivalText(night, thread, 'Delay')).toMatch(/ ms$/);
    // 3 m from the microphone, and the lead of the interface.
    expect(arrivalText(night, thread, 'Cable')).toBe('5.0 m');
    expect(wayText(night, thread)).toBe('Host mic → Interface → Laptop → Episode file');
    expect(crossing?.level).toBeDefined();
  });
  it.each(DEMOS)('%s: every thread stands in one cell, and every cell has one', (_name, rig) => {
    const analysis = analyse(rig);
    const { sources, ends, at } = matrixOf(analysis, analysis.traced.threads);
    const found = sources.flatMap((source) =>
      ends.flatMap((end) => at(source, end)?.threads ?? []),
    );
    expect(found).toHaveLength(analysis.traced.threads.length);
    expect(new Set(found).size).toBe(found.length);
  });
  it.each(DEMOS)(
    '%s: no reading says NaN, and no cell is better than its worst thread',
    (_name, rig) => {
      const analysis = analyse(rig);
      const worst = worstByItem(analysis);
      const { at } = matrixOf(analysis, analysis.traced.threads);
      for (const thread of analysis.traced.threads) {
        for (const reading of READINGS)
          expect(arrivalText(analysis, thread, reading)).not.toMatch(/NaN|undefined|Infinity/);
        const cell = at(thread.source.device, thread.end.device);
        const own = levelOf(worst, thread);
        if (own === 'stop') expect(cell?.level).toBe('stop');
        if (own !== undefined) expect(cell?.level).toBeDefined();
      }
    },
  );
});

describe('the threads for a spreadsheet', () => {
  it.each(DEMOS)('%s: a line a thread, by destination, figures as numbers', (_name, rig) => {
    const analysis = analyse(rig);
    const { fields, rows } = exported(analysis, analysis.traced.threads);
    expect(rows).toHaveLength(analysis.traced.threads.length);
    const headroom = fields.indexOf('Least headroom dB');
    const delay = fields.indexOf('Delay ms');
    for (const row of rows) {
      expect(row).toHaveLength(fields.length);
      expect([null, expect.any(Number)]).toContainEqual(row[headroom]);
      expect([null, expect.any(Number)]).toContainEqual(row[delay]);
    }
    const ends = rows.map(([end]) => end);
    expect(ends.filter((end, index) => end !== ends[index - 1])).toHaveLength(new Set(ends).size);
  });
  it('the least headroom is that of the whole way', () => {
    const [thread] = night.traced.threads.filter(({ signal }) => signal === 'sound');
    if (!thread) throw new Error('no sound');
    const { fields, rows } = exported(night, [thread]);
    expect(rows[0]?.[fields.indexOf('Least headroom dB')]).toBeCloseTo(
      leastHeadroomDb(night, thread) ?? NaN,
      2,
    );
  });
  it('a name that a spreadsheet would run as a formula stays text', () =>
    expect(csvOf(['Name', 'Value'], [['=1+1', 2]])).toBe('Name,Value\r\n"\'=1+1",2\r\n'));
});
