import { instance } from '@viz-js/viz';
import Papa from 'papaparse';
import { freeId, importRig, patchSheetCsv, rigJsonSchema, rigToDot, rigToJson } from '..';
import { RigDraft } from '../../catalogue/draft';
import { type LogEntry, revertOf, undoState } from '../history';
import { RIG_VERSION } from '../rig';

const rig = () =>
  new RigDraft('Case')
    .device('mic', 'mic-dynamic-stage', { name: 'Mic, left "A"' })
    .device('interface', 'interface-2', { name: '=Interface' })
    .device('computer', 'computer-laptop')
    .device('file', 'recording-tracks')
    .link('mic.out', 'interface.mic-1', 7.5)
    .link('interface.usb', 'computer.usb-3', 2, 'usb-2')
    .link('computer.tracks', 'file.in')
    .build();

describe('the patch sheet', () => {
  const { data } = Papa.parse<Record<string, string>>(patchSheetCsv(rig()), {
    header: true,
    skipEmptyLines: true,
  });
  it('has a line for each cable, in the order a person would plug them', () =>
    expect(
      data.map((row) => [row['Cable'], row['From port'], row['To port'], row['Length m']]),
    ).toEqual([
      ['1', 'Output', 'Input 1', '7.5'],
      ['2', 'USB', 'USB 3', '2'],
    ]));
  it('keeps commas and quotes in names', () =>
    expect(data[0]?.['From device']).toBe('Mic, left "A"'));
  it('never lets a name run as a formula', () =>
    expect(data[1]?.['From device']).toBe("'=Interface"));
  it('leaves out what has no cable', () =>
    expect(data.some((row) => row['To device']?.includes('Recording'))).toBe(false));
});

describe('the graph as DOT', () => {
  const dot = rigToDot(rig());
  it('names every device and joins them by their ports', () => {
    for (const id of ['mic', 'interface', 'computer', 'file']) expect(dot).toContain(`"${id}"`);
    expect(dot).toMatch(/"mic" -> "interface"/);
    expect(dot).toContain('7.5 m');
  });
  it('is read by Graphviz, every name coming out as it went in, none of them as markup', async () => {
    const names = [
      'Mic "A"',
      'ends in \\',
      '<b>bold</b>',
      'R&D &amp; &lt;',
      '\\N \\n \\"',
      'label="x"];',
      '{a|b}',
      'Tür // # ü',
      "'single'",
    ];
    const draft = new RigDraft('Names');
    names.forEach((name, n) => draft.device(`mic-${n}`, 'mic-dynamic-stage', { name }));
    const viz = await instance();
    const svg = viz.renderString(rigToDot(draft.build()), { format: 'svg' });
    const shown = [...svg.matchAll(/<text [^>]*>(.*?)<\/text>/g)].map(([, text = '']) =>
      unescapeXml(text),
    );
    expect(shown).toEqual(names);
    expect(svg).not.toContain('font-weight="bold"');
  });
});

/** Graphviz writes spaces that would collapse, and everything that is special in XML, as entities. */
const unescapeXml = (text: string): string =>
  text
    .replace(/&#(\d+);|&#x([0-9a-f]+);/gi, (_, decimal?: string, hex?: string) =>
      String.fromCodePoint(decimal ? Number(decimal) : parseInt(hex ?? '', 16)),
    )
    .replace(/\u00a0/g, ' ')
    .replace(/&quot;/g, '"')
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .replace(/&amp;/g, '&');

describe('the rig as JSON', () => {
  it('is the same text for the same rig, whatever the order of its keys', () => {
    const made = rig();
    expect(
      rigToJson({ ...made, devices: Object.fromEntries(Object.entries(made.devices).reverse()) }),
    ).toBe(rigToJson(made));
  });
  it('reads back to itself', () => {
    const read = importRig(new TextEncoder().encode(rigToJson(rig())));
    expect(read.ok && rigToJson(read.rig)).toBe(rigToJson(rig()));
  });
  it('has a published schema that names the fields of a rig', () =>
    expect(Object.keys((rigJsonSchema() as { properties: object }).properties)).toEqual(
      expect.arrayContaining(['version', 'name', 'devices', 'links', 'people']),
    ));
});

describe('ids for new things', () => {
  it.each([
    ['Host mic', {}, 'host-mic'],
    ['Host mic', { 'host-mic': 1 }, 'host-mic-2'],
    ['  Ä? ', {}, 'item'],
    ['constructor', {}, 'constructor-1'],
    ['x'.repeat(60), {}, 'x'.repeat(40)],
  ] as const)('%s', (stem, taken, id) => expect(freeId(stem, taken)).toBe(id));
});

describe('undo from the log', () => {
  const entry = (id: string, author: string, says = id): LogEntry => ({
    id,
    author,
    version: RIG_VERSION,
    command: { type: 'renameRig', name: id },
    changes: [{ path: ['name'], before: 'a', after: id }],
    says,
  });
  const back = (item: LogEntry, does: 'undo' | 'redo', author: string): LogEntry => ({
    id: `${item.id}-${does}`,
    author,
    version: RIG_VERSION,
    command: revertOf(item, does),
    changes: [],
    says: '',
  });
  const [one, two, theirs] = [entry('one', 'me'), entry('two', 'me'), entry('theirs', 'you')];
  it('offers the last own edit', () =>
    expect(undoState([one, two, theirs], 'me').undo.map(({ id }) => id)).toEqual(['one', 'two']));
  it('an undone edit can be done again', () => {
    const state = undoState([one, two, back(two, 'undo', 'me')], 'me');
    expect([state.undo.map(({ id }) => id), state.redo.map(({ id }) => id)]).toEqual([
      ['one'],
      ['two'],
    ]);
  });
  it('a new edit empties what could be done again', () =>
    expect(undoState([one, back(one, 'undo', 'me'), two], 'me').redo).toEqual([]));
  it('taking back turns every change round, last first', () => {
    const item: LogEntry = {
      ...one,
      changes: [
        { path: ['name'], before: 'a', after: 'b' },
        { path: ['notes'], after: 'new' },
      ],
    };
    expect(revertOf(item, 'undo').changes).toEqual([
      { path: ['notes'], before: 'new' },
      { path: ['name'], before: 'b', after: 'a' },
    ]);
  });
});
