import { inOrder } from '../../rig';
import type { Measured } from '../measure';
import { pass } from '../pass';
import { delivered, shown } from './delivered';
import type { CoverageAnswer, CoverageLine, Need } from './line';
import { heard, hears, seen, sees } from './people';
import { indexed } from './threads';

const linesOf = (measured: Measured): readonly CoverageLine[] => {
  const { brief, people } = measured.rig;
  if (!brief) return [];
  const index = indexed(measured);
  const lines: CoverageLine[] = [];
  const add = (
    kind: CoverageLine['subject']['kind'],
    id: string,
    name: string,
    need: Need,
    line: CoverageAnswer,
  ) => lines.push({ id: `${kind}:${id}:${need}`, subject: { kind, id, name }, need, ...line });
  const guests = inOrder(people)
    .filter(([, { where, shot }]) => where === 'remote' && shot !== null)
    .map(([id]) => id);
  for (const [id, person] of inOrder(people)) {
    if (person.shot !== null) add('person', id, person.name, 'seen', seen(index, id, person));
    if (person.isHeard) add('person', id, person.name, 'heard', heard(index, id));
    add('person', id, person.name, 'hears', hears(index, id, person));
    if (person.where === 'on site' && guests.length > 0)
      add('person', id, person.name, 'sees', sees(index, guests));
  }
  for (const [id, sight] of inOrder(brief.sights))
    add('sight', id, sight.name, 'shown', shown(index, id));
  for (const [id, deliverable] of inOrder(brief.deliverables))
    add('deliverable', id, deliverable.name, 'delivered', delivered(index, deliverable));
  return lines;
};

/** Everything the brief asks for, each with its verdict; none where there is no brief. */
export const coverage = pass('coverage', linesOf);
