import { readFileSync } from 'node:fs';
import path from 'node:path';
import { importRig, type Rig } from '../rig';

/** A rig of the demo as its file holds it, for tests. @throws where the file cannot be read */
export const demoRig = (name: string): Rig => {
  const read = importRig(readFileSync(path.resolve('demo', `${name}.rig.json`)));
  if (!read.ok) throw new Error(`${name} cannot be read: ${JSON.stringify(read.problems)}`);
  return read.rig;
};
