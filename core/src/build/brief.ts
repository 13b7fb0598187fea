import type { RigDraft } from '../catalogue/draft';
import { CALL_MBPS } from '../passes/computer/lines';
import { type Deliverable, freeId, USUAL_DELIVERABLES, USUAL_PERSON } from '../rig';
import { formatText, parseFormat, pixelsPerSecond } from '../units';
import type { Answers } from './answers';
import type { Formats } from './formats';
import type { PictureSubject, Plan } from './plan';

const SHOT_OF = {
  hands: 'close',
  table: 'close',
  screen: 'whole',
  console: 'whole',
  instrument: 'close',
  whiteboard: 'whole',
  'people together': 'whole',
} as const;

/** Usual bitrates are those of this. */
const USUAL_FORMAT = parseFormat('1920x1080p30');
/** A stream with fewer falls apart: a slow line is then said to be too slow. @source handbook 3-picture */
const LEAST_BITS_PER_PIXEL = 0.05;
/** Steps in which a stream is set. @unit Mb/s */
const STEP_MBPS = 0.5;

/**
 * A usual deliverable in the rig's format: more pixels want more bits, not quite as many times more.
 * @param uplinkMbps what the line out leaves for a stream
 */
const inFormat = (
  what: Deliverable['what'],
  { programme, camera }: Formats,
  uplinkMbps: number,
): Omit<Deliverable, 'order'> => {
  const usual = USUAL_DELIVERABLES[what];
  if (usual.format === null || usual.bitrateMbps === null) return usual;
  const source = parseFormat(what === 'camera recordings' ? camera : programme);
  const format =
    what === 'vertical clips' ? { ...parseFormat(usual.format), rate: source.rate } : source;
  const wanted =
    usual.bitrateMbps *
    Math.max(1, pixelsPerSecond(format) / pixelsPerSecond(USUAL_FORMAT)) ** 0.75;
  const least = (LEAST_BITS_PER_PIXEL * pixelsPerSecond(format)) / 1e6;
  const fits = what === 'stream' ? Math.max(least, Math.min(wanted, uplinkMbps)) : wanted;
  return {
    ...usual,
    format: formatText(format),
    bitrateMbps: Math.max(Math.ceil(least / STEP_MBPS), Math.floor(fits / STEP_MBPS)) * STEP_MBPS,
  };
};

/**
 * Writes people, sights and deliverables as they were answered.
 * @param uplinkShare how much of the line out may be used
 */
export const writeBrief = (
  draft: RigDraft,
  answers: Answers,
  formats: Formats,
  uplinkShare: number,
): { people: Plan['people']; sights: PictureSubject[] } => {
  const taken: Record<string, true> = {};
  const idFor = (name: string): string => {
    const id = freeId(name, taken);
    taken[id] = true;
    return id;
  };
  const people = answers.people.map((person) => ({ ...person, id: idFor(person.name) }));
  for (const { id, name, ...person } of people)
    draft.person(id, name, { ...USUAL_PERSON, ...person });
  draft
    .do({ type: 'setHouseRules', rules: { ...answers.houseRules, chosenFormat: formats.house } })
    .do({ type: 'writeBrief', brief: answers.brief });
  const sights = answers.sights.map(({ name, what }): PictureSubject => {
    const id = idFor(name);
    const inIt =
      what === 'people together'
        ? people.filter(({ where }) => where === 'on site').map((person) => person.id)
        : [];
    draft.do({
      type: 'addSight',
      sightId: id,
      sight: { name, what, shot: SHOT_OF[what], people: inIt, at: null },
    });
    return {
      id,
      name,
      personId: null,
      sightId: id,
      wanted: SHOT_OF[what],
      source: what === 'screen' ? 'slides' : what === 'console' ? 'console' : 'camera',
    };
  });
  const callsMbps = CALL_MBPS * people.filter(({ where }) => where === 'remote').length;
  const uplinkMbps = (answers.brief.uplinkMbps ?? Infinity) * uplinkShare - callsMbps;
  for (const what of answers.deliverables)
    draft.do({
      type: 'addDeliverable',
      deliverableId: idFor(what),
      deliverable: inFormat(what, formats, uplinkMbps),
    });
  return { people, sights };
};
