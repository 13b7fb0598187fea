import { RigDraft } from '../catalogue/draft';
import {
  blankRig,
  DEFAULT_HOUSE_RULES,
  freeId,
  type Rig,
  USUAL_DELIVERABLES,
  USUAL_PERSON,
} from '../rig';
import type { Answers } from './answers';
import { setGains } from './gains';
import { addPictures } from './pictures';
import { CannotBuild, type PictureSubject, type Plan } from './plan';
import { addSound } from './sound';

export {
  type AnsweredPerson,
  type Answers,
  answersSchema,
  onSite,
  remote,
  STARTING_POINTS,
  type StartingPoint,
} from './answers';

/** A rig made from answers, or the reason there is none. */
export type Built =
  { readonly ok: true; readonly rig: Rig } | { readonly ok: false; readonly why: string };

const SHOT_OF = {
  hands: 'close',
  table: 'close',
  screen: 'whole',
  console: 'whole',
  instrument: 'close',
  whiteboard: 'whole',
  'people together': 'whole',
} as const;

/** Writes people, sights and deliverables as they were answered. */
const writeBrief = (
  draft: RigDraft,
  answers: Answers,
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
    .do({ type: 'setHouseRules', rules: answers.houseRules })
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
      source: what === 'screen' ? 'slides' : what === 'console' ? 'console' : 'camera',
    };
  });
  for (const what of answers.deliverables)
    draft.do({
      type: 'addDeliverable',
      deliverableId: idFor(what),
      deliverable: USUAL_DELIVERABLES[what],
    });
  return { people, sights };
};

const addCalls = ({ draft, people, rules }: Plan): void => {
  const guests = people.filter(({ where }) => where === 'remote');
  for (const { id, name } of guests)
    draft
      .device(`${id}-call`, 'call', { name: `${name} call`, person: id })
      .link(`${id}-call.receive`, 'computer.call-in')
      .link('computer.call-out', `${id}-call.send`);
  if (guests.some(({ shot }) => shot !== null) && people.some(({ where }) => where === 'on site'))
    draft
      .device(
        'guest-screen',
        rules.prompter === 'second display' ? 'prompter' : 'display-monitor',
        { name: 'Guest screen' },
      )
      .link('computer.screen-1', 'guest-screen.in', 3);
};

/**
 * What is delivered, from which of the computer's outputs. Where no programme is made, every
 * picture is kept by itself.
 */
const OUTLETS = {
  stream: ['stream', 'programme'],
  'programme recording': ['recording-programme', 'programme'],
  'voice tracks': ['recording-tracks', 'tracks'],
} as const;

const addOutlets = ({ draft, answers, pictures, people, rules }: Plan): void => {
  const wanted = new Set<string>(answers.deliverables);
  if (wanted.has('vertical clips')) wanted.add('programme recording');
  const hasPicture =
    pictures.length > 0 || people.some(({ where, shot }) => where === 'remote' && shot !== null);
  if (wanted.has('stream') && !hasPicture)
    throw new CannotBuild(
      'A stream needs a picture, and nobody and nothing is to be seen. Let someone be seen, or leave the stream out.',
    );
  if (wanted.has('vertical clips') && !hasPicture)
    throw new CannotBuild(
      'Vertical clips need a picture, and nobody and nothing is to be seen. Let someone be ' +
        'seen, or leave the clips out.',
    );
  const reachesComputer =
    rules.switching !== 'none, cut later' ||
    people.some(({ where, shot }) => where === 'remote' && shot !== null);
  if (hasPicture && reachesComputer && !wanted.has('stream') && !wanted.has('programme recording'))
    draft
      .device('pictures', 'recording-pictures', { name: 'Picture files' })
      .link('computer.pictures', 'pictures.in');
  for (const [what, [classId, port]] of Object.entries(OUTLETS))
    if (wanted.has(what)) draft.device(classId, classId).link(`computer.${port}`, `${classId}.in`);
};

/**
 * Builds a complete, working rig from answers: classes, counts, ports, gains and cables chosen by
 * rule, nothing by template. What it makes has no stop
 * and complete coverage; where the answers contradict each other it says which.
 */
export const build = (answers: Answers): Built => {
  try {
    const draft = new RigDraft(answers.name, blankRig(answers.name));
    const rules = { ...DEFAULT_HOUSE_RULES, ...answers.houseRules };
    const { people, sights } = writeBrief(draft, answers);
    const faces = people
      .filter(({ where, shot }) => where === 'on site' && shot !== null)
      .map(({ id, name }): PictureSubject => ({
        id,
        name,
        personId: id,
        sightId: null,
        source: 'camera',
      }));
    const pictures = [...faces, ...sights];
    const isSmall = pictures.length <= 1 && people.every(({ where }) => where === 'on site');
    const plan: Plan = {
      draft,
      answers,
      rules,
      people,
      pictures,
      sockets: isSmall
        ? { sound: 'usb-3', pictures: ['usb-2'] }
        : { sound: 'usb-5', pictures: ['usb-2', 'usb-4', 'usb-3', 'usb-1'] },
    };
    draft.device('computer', isSmall ? 'computer-laptop' : 'computer-desktop', {
      name: 'Computer',
    });
    addPictures(plan);
    addSound(plan);
    addCalls(plan);
    addOutlets(plan);
    return { ok: true, rig: setGains(draft.build()) };
  } catch (error) {
    if (error instanceof CannotBuild) return { ok: false, why: error.message };
    throw error;
  }
};
