import fc from 'fast-check';
import { RigDraft } from '../../catalogue/draft';
import { rigToJson } from './export';
import { edit, nightTide, pathsOf, read } from './files-for-cases';
import { times } from '../../runs-for-cases';

describe('2,000 broken files and more', () => {
  const paths = pathsOf(JSON.parse(nightTide)).filter((at) => at.length > 0);
  const junk = fc.oneof(
    fc.constant(null),
    fc.constant([]),
    fc.constant({}),
    fc.string(),
    fc.double(),
    fc.boolean(),
    fc.constant('__proto__'),
    fc.constant(1e308),
    fc.object({ maxDepth: 2 }),
  );
  const broken = fc.record({
    at: fc.constantFrom(...paths),
    how: fc.constantFrom('replace', 'remove', 'add', 'rename'),
    value: junk,
    key: fc.constantFrom('constructor', 'toString', 'zz', 'Not An Id', '', 'hasOwnProperty'),
  });
  it('refuses each with a path or reads it as a sound rig, never throws, and changes nothing', () => {
    let refused = 0;
    const before = rigToJson(new RigDraft('Before').build());
    const shelf = new RigDraft('Before').build();
    fc.assert(
      fc.property(broken, ({ at, how, value, key }) => {
        const document: unknown = JSON.parse(nightTide);
        edit(document, at, (parent, last) => {
          if (how === 'replace') parent[last] = value;
          else if (how === 'remove') delete parent[last];
          else if (how === 'add') parent[key] = value;
          else {
            parent[key] = parent[last];
            delete parent[last];
          }
        });
        const imported = read(JSON.stringify(document));
        if (imported.ok) expect(read(rigToJson(imported.rig)).ok).toBe(true);
        else {
          refused++;
          expect(imported.problems.length).toBeGreaterThan(0);
          for (const problem of imported.problems)
            expect(problem.path.length * problem.says.length).toBeGreaterThan(0);
        }
      }),
      { numRuns: times(500) },
    );
    fc.assert(
      fc.property(
        fc.nat(nightTide.length - 1),
        fc.nat(200),
        fc.string({ maxLength: 8 }),
        (from, length, text) => {
          const imported = read(nightTide.slice(0, from) + text + nightTide.slice(from + length));
          if (!imported.ok) refused++;
          else expect(read(rigToJson(imported.rig)).ok).toBe(true);
        },
      ),
      { numRuns: times(400) },
    );
    expect(refused).toBeGreaterThan(times(600));
    expect(Object.prototype).not.toHaveProperty('x');
    expect(rigToJson(shelf)).toBe(before);
  });
});
