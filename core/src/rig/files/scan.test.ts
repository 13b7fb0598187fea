import fc from 'fast-check';
import { blankRig, importRig, MAX_DEVICES, MAX_FILE_BYTES, type Rig, rigToJson } from '..';
import { CATALOGUE } from '../../catalogue';
import { scanJson } from './scan';

const scan = (text: string) =>
  scanJson(text, 100).map(({ path, says }) => `${path.join('.')}: ${says}`);
const problems = (text: string): readonly string[] => {
  const read = importRig(new TextEncoder().encode(text));
  return read.ok ? [] : read.problems.map(({ path, says }) => `${path}: ${says}`);
};

describe('a JSON text before it is parsed', () => {
  it('has nothing against any JSON value with keys of its own', () => {
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 8 }), (value) => {
        const text = JSON.stringify(value, null, 2);
        // The generator may itself make a key that is not allowed here.
        fc.pre(!/"(__proto__|constructor|prototype)":/.test(text));
        expect(scan(text)).toEqual([]);
      }),
    );
  });

  it('names the same key twice where it stands, in lists too, also when one is written with an escape', () => {
    expect(scan('{"a":1,"a":2}')).toEqual(['a: this key or id stands here twice']);
    expect(scan('{"x":[{},{"b":1,"\\u0062":2}]}')).toEqual([
      'x.1.b: this key or id stands here twice',
    ]);
    expect(scan('{"a":{"c":1},"b":{"c":1}}')).toEqual([]);
  });

  it('takes no text for a key, whatever stands in it', () => {
    expect(scan('{"a":"{\\"a\\":1,","b":["a","a",":"]}')).toEqual([]);
  });

  it('refuses keys that reach an object’s prototype', () => {
    expect(scan('{"devices":{"__proto__":{}}}')).toEqual([
      'devices.__proto__: this key is not allowed',
    ]);
    expect(scan('{"constr\\u0075ctor":1}')).toEqual(['constructor: this key is not allowed']);
  });

  it('counts nesting, width and values, and looks no further', () => {
    expect(scan('['.repeat(41))).toEqual([': nested deeper than 40 levels']);
    expect(scan(`${'['.repeat(40)}${']'.repeat(40)}`)).toEqual([]);
    expect(scan(`{"a":[${'1,'.repeat(20_000)}1]}`)).toEqual([
      'a: this holds more than 20000 items',
    ]);
    expect(scan(`[${'1,'.repeat(19_999)}1]`)).toEqual([]);
    expect(scan(`{${Array.from({ length: 20_001 }, (_, n) => `"k${n}":1`).join(',')}}`)).toEqual([
      ': this holds more than 20000 items',
    ]);
  });

  it('tells of at most as many problems as are asked for', () => {
    expect(scan(`{${'"a":1,'.repeat(5000)}"b":1}`)).toHaveLength(100);
  });

  it('never fails on what is no JSON', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: fc.constantFrom('{', '}', '[', ']', ',', ':', '"', '\\', 'a', '1') }),
        (text) => Array.isArray(scan(text)),
      ),
    );
  });
});

describe('a hostile file', () => {
  it('says in which line it is not JSON, without counting the lines again for each mistake', () => {
    expect(problems('{\n  "version": 6,\n  "name": }\n')).toEqual([
      'file: line 3, column 11: this is not JSON (ValueExpected)',
    ]);
    expect(problems('['.repeat(100_000))).toEqual([
      'file: line 1, column 41: nested deeper than 40 levels',
    ]);
    expect(problems('[}'.repeat(40)).length).toBeLessThanOrEqual(100);
  });

  it('gets its place told also where it is too long to be read a second time', () => {
    const text = `{"notes":"${'x'.repeat(2_000_000)}",\n  ?}`;
    expect(problems(text)).toEqual(['file: line 2, column 3: this is not JSON']);
  });

  it('is told at most a hundred problems, however many there are', () => {
    const rooms = Object.fromEntries(
      Array.from({ length: 4000 }, (_, n) => [`d-${n}`, { wrong: n }]),
    );
    expect(problems(JSON.stringify({ version: 6, devices: rooms }))).toHaveLength(100);
    expect(
      problems(
        JSON.stringify(Object.fromEntries(Array.from({ length: 4000 }, (_, n) => [`f${n}`, n]))),
      ).length,
    ).toBeLessThanOrEqual(100);
  });

  it('holds no item larger than any there is', () => {
    const stated = Array.from({ length: 19_990 }, () => ['x']);
    expect(problems(JSON.stringify({ version: 6, devices: { big: { stated } } }))).toContain(
      'devices.big: this holds more than 20000 values',
    );
  });

  it('holds no more of anything than a rig may', () => {
    const places = Object.fromEntries(
      Array.from({ length: 5001 }, (_, n) => [`p-${n}`, { name: 'Place', order: n }]),
    );
    expect(problems(JSON.stringify({ version: 6, places }))).toContain(
      'places: expected at most 5000 places, found 5001',
    );
  });

  it('may be as large as the largest rig is', () => expect(MAX_FILE_BYTES).toBe(41_943_040));
});

it('the largest rig there may be goes out and comes in again: 5,000 devices of every class', () => {
  const devices: Rig['devices'] = {};
  for (let order = 0; order < MAX_DEVICES; order++) {
    const model = CATALOGUE[order % CATALOGUE.length];
    if (!model) throw new Error('the catalogue is empty');
    const own = {
      settings: {},
      personId: null,
      placeId: null,
      sightId: null,
      lensId: null,
      price: null,
      at: null,
      heightM: null,
      on: null,
      aim: null,
      order,
    };
    devices[`device-${order}`] = { name: model.name, model, ownership: 'owned', ...own };
  }
  const bytes = new TextEncoder().encode(rigToJson({ ...blankRig('Largest'), devices }));
  expect(bytes.length).toBeLessThan(MAX_FILE_BYTES);
  const read = importRig(bytes);
  expect(read.ok && Object.keys(read.rig.devices).length).toBe(MAX_DEVICES);
});
