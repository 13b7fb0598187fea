import fc from 'fast-check';
import {
  thingsFromCells,
  thingsFromCsv,
  THING_HEADINGS,
  thingRows,
  thingsToCsv,
  toTake,
} from './files';
import { CONDITIONS, HAD_AS, type OwnThing, type Thing, thingSchema } from './schema';
import { ownThing } from './things-for-cases';
import { allModelRefs } from './uses';
import { times } from '../runs-for-cases';

const REFS = allModelRefs(['amp-of-ours']);

/** Five hundred sound things, a microphone and a cable by turns. */
const sound = (): OwnThing[] =>
  Array.from({ length: 500 }, (_, index) =>
    index % 2 === 0
      ? ownThing(`mic-${index}`, { serial: `S${index}`, paid: 100 + index })
      : ownThing(`cable-${index}`, {
          is: 'cable',
          modelRef: null,
          cableKind: 'balanced',
          lengthM: 5,
          count: 3,
        }),
  );

/** A line of the file with one cell made another. */
const broken = (lines: string[], line: number, heading: string, cell: string): void => {
  const cells = (lines[line - 1] ?? '').split(',');
  cells[THING_HEADINGS.indexOf(heading)] = cell;
  lines[line - 1] = cells.join(',');
};

describe('a list of 500 with twelve faults in it', () => {
  const lines = thingsToCsv(sound()).trimEnd().split('\r\n');
  broken(lines, 10, 'Name', '');
  broken(lines, 42, 'Kind', 'gadget');
  broken(lines, 60, 'Model', 'mic-of-nobody');
  broken(lines, 81, 'Count', '0');
  broken(lines, 100, 'Count', 'many');
  broken(lines, 120, 'Back on', '2026-02-30');
  broken(lines, 150, 'Bought on', 'last spring');
  broken(lines, 200, 'Paid', '-5');
  broken(lines, 250, 'Serial number', 'S0');
  broken(lines, 301, 'Cable', 'rope');
  broken(lines, 401, 'Length (m)', '"5,5"');
  broken(lines, 500, 'Id', 'mic-0');
  const read = thingsFromCsv(`${lines.join('\r\n')}\r\n`, REFS);

  it('names each by its line, with the field and why', () => {
    const told = read.faults.map(({ at, says }) => `${at}: ${says}`);
    expect(told).toHaveLength(12);
    expect(told[0]).toBe('line 10: Name: expected a name');
    expect(told[1]).toBe(
      'line 42: Kind: “gadget” is none of device, lens, cable, battery, card, other',
    );
    expect(told[2]).toBe(
      'line 60: Model: neither the catalogue nor the library has “mic-of-nobody”',
    );
    expect(told[3]).toMatch(/^line 81: Count: /);
    expect(told[4]).toBe('line 100: Count: “many” is no number');
    expect(told[5]).toMatch(/^line 120: Back on: /);
    expect(told[6]).toMatch(/^line 150: Bought on: /);
    expect(told[7]).toMatch(/^line 200: Paid: /);
    expect(told[8]).toBe('line 250: Serial number: “S0” stands on line 2 already');
    expect(told[9]).toMatch(/^line 301: Cable: “rope” is none of /);
    expect(told[10]).toMatch(/^line 401: Length: “5,5” has a comma/);
    expect(told[11]).toBe('line 500: Id: “mic-0” stands on line 2 already');
  });
  it('leaves the other 488 to be taken', () => {
    expect(read.lines).toHaveLength(488);
    const { added, changed, same } = toTake(read.lines, sound().slice(0, 100));
    expect(changed).toEqual([]);
    expect(added.length + same).toBe(488);
    // Of the first hundred, lines 10, 42, 60, 81 and 100 are faulty.
    expect(same).toBe(95);
  });
});

const maybe = <T>(of: fc.Arbitrary<T>) => fc.option(of, { nil: null });
/** Text with whatever a spreadsheet or a parser could trip over. */
const words = fc
  .array(fc.constantFrom('=', '+', '-', '@', "'", '"', ',', ';', ' ', 'ü', '“', 'a', '1', '\\'), {
    minLength: 1,
    maxLength: 12,
  })
  .map((parts) => parts.join('').trim())
  .filter((text) => text !== '');
const day = fc
  .integer({ min: 0, max: 20_000 })
  .map((days) => new Date(days * 86_400_000).toISOString().slice(0, 10));
const things = fc
  .array(
    fc
      .record({
        name: words,
        had: fc.constantFrom(...HAD_AS),
        count: fc.integer({ min: 1, max: 50 }),
        from: maybe(words),
        backOn: maybe(day),
        boughtOn: maybe(day),
        paid: maybe(fc.double({ min: 0, max: 9999, noNaN: true })),
        condition: fc.constantFrom(...CONDITIONS),
        keptAt: maybe(words),
        boxAt: maybe(words),
        notes: maybe(fc.tuple(words, words).map(([a, b]) => `${a}\n${b}`)),
      })
      .map((fields): Partial<Thing> => ({
        ...fields,
        backOn: fields.had === 'borrowed' ? fields.backOn : null,
      })),
    { maxLength: 12 },
  )
  .map((all) => all.map((fields, index) => ownThing(`thing-${index}`, fields)));

describe('out and in again', () => {
  it('is the same, whatever stands in it', () => {
    fc.assert(
      fc.property(things, (all) => {
        for (const { thing } of all) expect(thingSchema.parse(thing)).toEqual(thing);
        const { lines, faults } = thingsFromCsv(thingsToCsv(all), REFS);
        expect(faults).toEqual([]);
        expect(lines.map(({ id, thing }) => ({ id, version: 1, thing }))).toEqual(all);
      }),
      { numRuns: times(300) },
    );
  });
  it('as cells of a spreadsheet too, with days as dates', () => {
    const all = [ownThing('mic', { boughtOn: '2024-05-06', paid: 99.5 })];
    const cells = [THING_HEADINGS, ...thingRows(all)].map((row) =>
      row.map((cell) => (cell === '2024-05-06' ? new Date('2024-05-06T00:00:00Z') : cell)),
    );
    const { lines, faults } = thingsFromCells(cells, REFS);
    expect(faults).toEqual([]);
    expect(lines).toEqual([{ line: 2, id: 'mic', thing: all[0]?.thing }]);
  });
  it('counts lines as the file has them, where a cell holds several', () => {
    const [head] = thingsToCsv([]).split('\r\n');
    const text = `${head}\r\n${thingsToCsv([ownThing('a', { notes: 'one\ntwo' })]).split('\r\n')[1]}\r\n,x,gadget`;
    expect(thingsFromCsv(text, REFS).faults[0]?.at).toBe('line 4');
  });
});

describe('a table that is none', () => {
  it.each([
    ['nothing', '', 'line 1'],
    ['no headings', 'a,b\r\n1,2', 'line 1'],
    ['a line of nothing but commas', ','.repeat(100_001), 'line 1'],
    [
      'a line far longer than any note',
      `Name,Kind\r\nTape,other\r\n${'x'.repeat(100_001)}`,
      'line 3',
    ],
    ['more lines than things', `Name,Kind\n${'Tape,other\n'.repeat(50_000)}`, 'line 50001'],
    ['a column of nothing', 'Name,Kind,Colour\r\nTape,other,red', 'line 1'],
  ])('%s is said on its line', (_what, text, at) =>
    expect(thingsFromCsv(text, REFS).faults[0]?.at).toBe(at),
  );
  it('takes what it understands beside a column it does not', () =>
    expect(thingsFromCsv('Name,Kind,Colour\r\nTape,other,red', REFS).lines).toHaveLength(1));
  it('takes a file that begins with the mark of its encoding', () =>
    expect(thingsFromCsv('\uFEFFName,Kind\r\nTape,other', REFS).lines).toHaveLength(1));
  it('takes a long file whose lines end with a return alone', () =>
    expect(
      thingsFromCsv(`Name,Kind\r${`${'x'.repeat(80)},other\r`.repeat(2_000)}`, REFS).lines,
    ).toHaveLength(2_000));
  it('passes over lines with nothing in them, and counts them', () => {
    const { lines, faults } = thingsFromCsv('Name,Kind\r\n,\r\nTape,other\r\n\r\n', REFS);
    expect(lines.map(({ line }) => line)).toEqual([3]);
    expect(faults).toEqual([]);
  });
  it('takes a heading with or without its unit, and a choice as it is called or labelled', () => {
    const text = 'Name,Kind,Cable,Length\r\nLead,CABLE,Balanced audio cable,5';
    expect(thingsFromCsv(text, REFS).lines[0]?.thing).toMatchObject({
      cableKind: 'balanced',
      lengthM: 5,
    });
  });
  it('takes a semicolon between cells, as some spreadsheets write', () =>
    expect(thingsFromCsv('Name;Kind\r\nTape;other', REFS).lines).toHaveLength(1));
});

describe('what must be said of a thing', () => {
  const faultsOf = (more: Partial<Thing>) =>
    thingSchema.safeParse(ownThing('x', more).thing).error?.issues.map(({ path }) => path[0]);
  it.each([
    [{ modelRef: null }, 'modelRef'],
    [{ is: 'cable' as const, modelRef: null, cableKind: 'hdmi' as const }, 'lengthM'],
    [{ is: 'card' as const }, 'modelRef'],
    [{ serial: 'A', count: 2 }, 'serial'],
    [{ backOn: '2026-01-01' }, 'backOn'],
  ])('%j is refused at its field', (more, field) => expect(faultsOf(more)).toContain(field));
});
