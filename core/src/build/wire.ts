import { type Analysis, analyse } from '../analyse';
import { RigDraft } from '../catalogue/draft';
import { blankRigOn, DEFAULT_HOUSE_RULES, type Mains, type Rig } from '../rig';
import type { Answers } from './answers';
import { writeBrief } from './brief';
import { formatsFor } from './formats';
import { addCalls, addOutlets, addScreens } from './outlets';
import { addPictures } from './pictures';
import {
  CannotBuild,
  type Machine,
  MACHINES,
  type PictureSubject,
  type Plan,
  TooSmall,
  type Unmet,
} from './plan';
import { addScenes } from './scenes';
import { addSound } from './sound';

/** Devices and cables, nothing placed or set yet. */
interface Wired {
  readonly rig: Rig;
  readonly unmet: readonly Unmet[];
}

/** Devices and cables, on one computer. @throws CannotBuild, TooSmall */
const wire = (answers: Answers, mains: Mains | null, machine: Machine): Wired => {
  const draft = new RigDraft(answers.name, blankRigOn(answers.name, mains));
  const rules = { ...DEFAULT_HOUSE_RULES, ...answers.houseRules };
  const formats = formatsFor(rules, answers.houseRules.chosenFormat, mains);
  const { people, sights } = writeBrief(draft, answers, formats, rules.uplinkShare);
  const faces = people.flatMap(({ id, name, where, shot }): PictureSubject[] =>
    where === 'on site' && shot !== null
      ? [{ id, name, personId: id, sightId: null, source: 'camera', wanted: shot }]
      : [],
  );
  const plan: Plan = {
    draft,
    answers,
    rules,
    formats,
    mains,
    people,
    pictures: [...faces, ...sights],
    machine,
    freeScreens: [...machine.screens],
    unmet: [],
  };
  draft.device('computer', machine.classId, { name: 'Computer' });
  addPictures(plan);
  addSound(plan);
  addCalls(plan);
  addOutlets(plan);
  addScreens(plan);
  addScenes(plan);
  return { rig: draft.build(), unmet: plan.unmet };
};

const hasTooMuchToDo = ({ findings }: Analysis): boolean =>
  findings.some(({ area, level }) => area === 'computer' && level !== 'note');

/** The rig on the cheapest computer that does the work. @throws CannotBuild */
export const wired = (answers: Answers, mains: Mains | null = null): Wired => {
  let found: Wired | undefined;
  let tooSmall: TooSmall | undefined;
  for (const machine of MACHINES)
    try {
      found = wire(answers, mains, machine);
      if (!hasTooMuchToDo(analyse(found.rig))) return found;
    } catch (error) {
      if (!(error instanceof TooSmall)) throw error;
      tooSmall = error;
    }
  if (found) return found;
  throw new CannotBuild(tooSmall?.message ?? 'No computer of the catalogue does this work.');
};
