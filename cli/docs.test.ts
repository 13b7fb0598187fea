import { readFileSync } from 'node:fs';
import path from 'node:path';
import { rigJsonSchema, rigToJson } from '@echo-loom/core';
import { DEMO_RIGS } from '../demo/rigs';
import { ruleReference } from './rule-reference';

const file = (name: string): string => readFileSync(path.resolve(name), 'utf8');

describe('what is written from the code', () => {
  it('the rule reference is up to date', () => expect(file('docs/rules.md')).toBe(ruleReference()));
  it('the JSON Schema is up to date', () =>
    expect(JSON.parse(file('docs/rig.schema.json'))).toEqual(
      JSON.parse(JSON.stringify(rigJsonSchema())),
    ));
  it.each(Object.entries(DEMO_RIGS))('demo/%s.rig.json is up to date', (name, make) =>
    expect(file(`demo/${name}.rig.json`)).toBe(rigToJson(make())),
  );
});
