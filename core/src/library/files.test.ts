import { CATALOGUE, classById } from '../catalogue';
import { libraryFromCsv, libraryFromJson, libraryToCsv, libraryToJson } from './files';
import type { OwnModel } from './own';

const LIBRARY: readonly OwnModel[] = CATALOGUE.slice(0, 30).map((model, index) => ({
  id: `own-${index}`,
  version: index + 1,
  model,
}));
const box: OwnModel = { id: 'box', version: 3, model: classById('interface-2') };

describe('the library as JSON', () => {
  it('comes back as it went out', () => {
    expect(libraryFromJson(libraryToJson(LIBRARY))).toEqual({ ok: true, models: LIBRARY });
  });
  it('is refused with the place of every fault, and nothing of it is taken', () => {
    const text = libraryToJson([box]).replace('"kind": "interface"', '"kind": "toaster"');
    expect(libraryFromJson(text)).toMatchObject({
      ok: false,
      faults: [{ at: 'models.0.model.kind' }],
    });
    expect(libraryFromJson('{')).toMatchObject({ ok: false, faults: [{ at: 'file' }] });
    expect(libraryFromJson('{}').ok).toBe(false);
  });
});

describe('the library as CSV', () => {
  it('changes nothing when it comes back as it went out', () => {
    expect(libraryFromCsv(libraryToCsv(LIBRARY), LIBRARY)).toEqual({ models: [], faults: [] });
  });
  it('takes figures over, marks them as stated, and names each line that cannot be taken', () => {
    const csv = [
      'model,path,value',
      'box,ports.mic-1.inputOhms,2400',
      'box,ports.mic-1.maxInDbu,loud',
      'box,ports.mic-9.inputOhms,2400',
      'nobody,name,Box',
      'box,kind,toaster',
      '',
      'box,ports.mic-2.inputOhms,-4',
      'box,name,Box of ours',
    ].join('\n');
    const { models, faults } = libraryFromCsv(csv, [box]);
    expect(faults.map(({ at }) => at)).toEqual(['line 3', 'line 4', 'line 5', 'line 6', 'line 8']);
    expect(faults[0]?.says).toBe('Maximum input: “loud” is no number');
    expect(models).toHaveLength(1);
    expect(models[0]?.model.name).toBe('Box of ours');
    expect(models[0]?.model.ports['mic-1']).toMatchObject({ inputOhms: 2400 });
    expect(models[0]?.model.stated).toContain('ports.mic-1.inputOhms');
  });
  it('is refused where no table can be that long, before it is taken apart', () => {
    const heading = 'model,path,value\n';
    expect(libraryFromCsv(`${heading}${','.repeat(100_001)}`, []).faults).toEqual([
      { at: 'line 2', says: 'longer than 100,000 characters; is this a table?' },
    ]);
    expect(libraryFromCsv(`${heading}${'a,b,c\n'.repeat(200_000)}`, []).faults).toEqual([
      { at: 'line 200001', says: 'a file brings at most 200,000 lines' },
    ]);
  });
  it('tells the first thousand faults, and how many more there are', () => {
    const { faults } = libraryFromCsv(`model,path,value\n${'a,b,c\n'.repeat(1_500)}`, []);
    expect(faults).toHaveLength(1001);
    expect(faults.at(-1)).toEqual({
      at: 'line 1002',
      says: '500 more lines cannot be taken, from this one on',
    });
  });
  it('asks for its columns', () => {
    expect(libraryFromCsv('a,b\n1,2', [box]).faults).toEqual([
      { at: 'line 1', says: 'expected the columns model, path and value' },
    ]);
  });
});
