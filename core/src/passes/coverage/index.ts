import { entry, inOrder } from '../../rig';
import type { Measured } from '../measured';
import { pass, passFor } from '../pass';
import { delivered, shown } from './delivered';
import type { CoverageAnswer, CoverageLine, Need } from './line';
import { heard, hears, seen, sees } from './people';
import { indexed } from './threads';

export { type CoverageLine, NEEDS, type Need } from './line';

/** Remote people who are in the picture, by their ids: whoever sits on site is to see them. */
const guestsOf = (measured: Measured): readonly string[] =>
  inOrder(measured.rig.people)
    .filter(([, { where, shot }]) => where === 'remote' && shot !== null)
    .map(([id]) => id);

/** Answers one by one, by whom or what they are for: an edit asks again only where it could matter. */
const NOT_IN_RIG: CoverageAnswer = { verdict: 'missing', says: '', by: [], thread: null };
const answers: Readonly<Record<Need, (measured: Measured, id: string) => CoverageAnswer>> = {
  seen: passFor('seen', (measured, id: string) => {
    const person = entry(measured.rig.people, id);
    return person ? seen(indexed(measured), id, person) : NOT_IN_RIG;
  }),
  heard: passFor('heard', (measured, id: string) => heard(indexed(measured), id)),
  hears: passFor('hears', (measured, id: string) => {
    const person = entry(measured.rig.people, id);
    return person ? hears(indexed(measured), id, person) : NOT_IN_RIG;
  }),
  sees: passFor('sees', (measured) => sees(indexed(measured), guestsOf(measured))),
  shown: passFor('shown', (measured, id: string) => shown(indexed(measured), id)),
  delivered: passFor('delivered', (measured, id: string) => {
    const deliverable = entry(measured.rig.brief?.deliverables ?? {}, id);
    return deliverable ? delivered(indexed(measured), deliverable) : NOT_IN_RIG;
  }),
};

const linesOf = (measured: Measured): readonly CoverageLine[] => {
  const { brief, people } = measured.rig;
  if (!brief) return [];
  const lines: CoverageLine[] = [];
  const add = (kind: CoverageLine['subject']['kind'], id: string, name: string, need: Need) =>
    lines.push({
      id: `${kind}:${id}:${need}`,
      subject: { kind, id, name },
      need,
      ...answers[need](measured, id),
    });
  const hasGuests = guestsOf(measured).length > 0;
  for (const [id, { name, is, shot, isHeard, where }] of inOrder(people)) {
    if (shot !== null) add('person', id, name, 'seen');
    if (isHeard) add('person', id, name, 'heard');
    if (is === 'instrument') continue;
    add('person', id, name, 'hears');
    if (where === 'on site' && hasGuests) add('person', id, name, 'sees');
  }
  for (const [id, { name }] of inOrder(brief.sights)) add('sight', id, name, 'shown');
  for (const [id, { name }] of inOrder(brief.deliverables))
    add('deliverable', id, name, 'delivered');
  return lines;
};

/** Everything the brief asks for, each with its verdict; none where there is no brief. */
export const coverage = pass('coverage', linesOf);
