import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { rigJsonSchema } from '@echo-loom/core';
import { ruleReference } from './rule-reference';

const docs = path.join(import.meta.dirname, '../docs');
writeFileSync(path.join(docs, 'rules.md'), ruleReference());
writeFileSync(path.join(docs, 'rig.schema.json'), `${JSON.stringify(rigJsonSchema(), null, 2)}\n`);
