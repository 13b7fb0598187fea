import fc from 'fast-check';
import { analyse } from '../analyse';
import { workedShow } from '../recorded/show-for-cases';
import { apply, type Rig } from '../rig';
import { demoRig } from '../rules/demo-for-cases';
import {
  collisions,
  copyMinutes,
  filePlan,
  namedFiles,
  NAME_FIELDS,
  nameKey,
  renderName,
  templateProblems,
  uploadHours,
  type NameValues,
} from '.';
import { times } from '../runs-for-cases';

const VALUES: NameValues = {
  show: 'Second Firing',
  date: '2026-12-03',
  episode: '07',
  take: '01',
  source: 'Host camera',
  person: 'Host',
  track: '02',
  drive: 'Show computer',
};

/** Written for this test from what each file system says of itself, not from the code. */
const REFUSES: Readonly<Record<string, (name: string) => boolean>> = {
  ext4: (name) =>
    /[/\0]/.test(name) || Buffer.byteLength(name) > 255 || name === '.' || name === '..',
  apfs: (name) => /[/:\0]/.test(name) || Buffer.byteLength(name) > 255 || /\p{Cs}/u.test(name),
  ntfs: (name) =>
    /[<>:"/\\|?*\p{Cc}]/u.test(name) ||
    name.length > 255 ||
    /[ .]$/.test(name) ||
    [
      'CON',
      'PRN',
      'AUX',
      'NUL',
      ...'0123456789'.split('').flatMap((n) => [`COM${n}`, `LPT${n}`]),
    ].includes((name.split('.')[0] ?? '').trim().toUpperCase()),
  exfat: (name) => /["*/:<>?\\|\p{Cc}]/u.test(name) || name.length > 255 || /\p{Cs}/u.test(name),
  fat32: (name) => /["*/:<>?\\|\p{Cc}]/u.test(name) || name.length > 255 || /^[ ]|[ .]$/.test(name),
  udf: (name) => /[/\0]/.test(name) || Buffer.byteLength(name) > 254,
};

const anyText = fc.oneof(
  fc.string({ maxLength: 60, unit: 'binary' }),
  fc.string({ maxLength: 60, unit: 'grapheme' }),
  fc.string({ minLength: 200, maxLength: 400, unit: 'grapheme' }),
  fc.constantFrom(
    'con',
    'AUX.',
    'nul.txt',
    'Com1',
    'lpt¹',
    ' . ',
    '..',
    '.hidden',
    'a/b',
    'é',
    'e\u0301',
    '\ud800',
  ),
);
const anyTemplate = fc
  .array(
    fc.oneof(
      fc.constantFrom(...Object.keys(NAME_FIELDS)).map((field) => `{${field}}`),
      anyText,
    ),
    { maxLength: 5 },
  )
  .map((parts) => parts.join('_'));

describe('names', () => {
  it('are filled in from the template', () =>
    expect(renderName('{show}_{date}_E{episode}_{source}_T{take}', VALUES)).toBe(
      'Second Firing_2026-12-03_E07_Host camera_T01',
    ));
  it('10,000 templates and titles make none that a file system refuses', () =>
    fc.assert(
      fc.property(
        anyTemplate,
        fc.record({
          show: anyText,
          source: anyText,
          person: anyText,
          drive: anyText,
        }),
        (template, some) => {
          const name = renderName(template, { ...VALUES, ...some });
          expect(name).not.toBe('');
          const refused = Object.entries(REFUSES).flatMap(([system, refuses]) =>
            ['', '.mov', '.with-an-ending']
              .filter((ending) => refuses(name + ending))
              .map((ending) => `${system}: ${name}${ending}`),
          );
          if (refused.length > 0) expect(refused).toEqual([]);
        },
      ),
      { numRuns: times(10_000) },
    ));
  it('no two of a pile are one file unseen: capitals, accents, both ways of writing them', () => {
    for (const [a, b] of [
      ['Take', 'TAKE'],
      ['é', 'e\u0301'],
      ['STRASSE', 'straße'],
      ['ﬁlm', 'film'],
      ['Å', '\u212b'],
    ] as const)
      expect(nameKey(a)).toBe(nameKey(b));
    expect(nameKey('Take 1')).not.toBe(nameKey('Take 2'));
    fc.assert(
      fc.property(fc.array(anyText, { maxLength: 12 }), (sources) => {
        const names = sources.map((source) => renderName('{source}', { ...VALUES, source }));
        const told = collisions(names, (name) => name).flat().length;
        const alone = names.filter(
          (name, at) =>
            !names.some(
              (other, index) =>
                index !== at &&
                (other === name ||
                  other.toLowerCase() === name.toLowerCase() ||
                  other.normalize('NFD') === name.normalize('NFD')),
            ),
        ).length;
        expect(told).toBeGreaterThanOrEqual(names.length - alone);
      }),
    );
  });
  it('a template that cannot be used says why', () => {
    expect(templateProblems('{show}_{source}')).toEqual([]);
    expect(templateProblems('{show}')[0]).toMatch(/^Neither \{source\} nor \{track\}/);
    expect(templateProblems('{source}{moon}')[0]).toMatch(
      /^\{moon\} is no field; there are \{show\}/,
    );
    expect(templateProblems('{source}_{take')).toEqual([
      'A brace is open: fields stand in braces, such as {show}.',
    ]);
  });
});

describe('the plan of files', () => {
  const rig: Rig = apply(workedShow(), {
    type: 'setFileRules',
    fileRules: { showsAYear: 46, keepMonths: 24 },
  });
  const plan = filePlan(analyse(rig));
  it('worked F: 119.35 GB an hour, 179.0 GB a show, 8.23 TB in 46 shows', () => {
    expect(plan.gbPerHour).toBeCloseTo(119.347, 3);
    expect(plan.gbPerShow).toBeCloseTo(179.02, 2);
    expect(plan.gbPerYear / 1000).toBeCloseTo(8.235, 3);
    expect(plan.gbPerMonth * 12).toBeCloseTo(plan.gbPerYear, 9);
    expect(plan.gbKept).toBeCloseTo(2 * plan.gbPerYear, 9);
  });
  it('a copy takes as long as its slowest part, an upload as the line lets it', () => {
    // 179.02 GB at 150 MB/s are 19.9 min; 9 GB up 20 Mb/s an hour.
    expect(copyMinutes(179.02, 150)).toBeCloseTo(19.89, 2);
    expect(uploadHours(9, 20)).toBe(1);
  });
  it('three copies on two kinds with one away: what is missing is said', () => {
    expect(plan.lacks).toEqual([
      '1 of 3 copies: add two places for copies.',
      'All copies are on one kind of medium.',
      'No copy is in another building.',
    ]);
    const kept = [
      { name: 'Drawer', kind: 'hard disk', isAway: false, mbytesPerS: 150, capacityGb: 20_000 },
      { name: 'Home', kind: 'tape', isAway: true, mbytesPerS: 100, capacityGb: null },
    ] as const;
    const safe = kept.reduce<Rig>(
      (to, store, at) => apply(to, { type: 'addStore', storeId: `store-${at}`, store }),
      rig,
    );
    const { lacks, copies, aloneMin } = filePlan(analyse(safe));
    expect(lacks).toEqual([]);
    expect(copies.map(({ shows }) => shows)).toEqual([111, null]);
    expect(aloneMin).toBeCloseTo(copyMinutes(179.02, 150), 2);
  });
  it('names every file of the demos by itself', () => {
    for (const name of ['second-firing', 'harbour-hall', 'night-tide']) {
      const files = namedFiles(analyse(demoRig(name)), { date: '2026-12-03', episode: 7, take: 1 });
      expect(files.length).toBeGreaterThan(0);
      expect(collisions(files, (file) => file.name)).toEqual([]);
    }
  });
  it('a template without the source calls all of a drive the same, and that is seen', () => {
    const same = apply(rig, { type: 'setFileRules', fileRules: { template: '{show}' } });
    const files = namedFiles(analyse(same), { date: '2026-12-03', episode: 7, take: 1 });
    expect(collisions(files, (file) => file.name)[0]).toHaveLength(files.length);
  });
});
