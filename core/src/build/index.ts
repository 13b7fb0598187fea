import { type Analysis, analyse } from '../analyse';
import { RigDraft } from '../catalogue/draft';
import { moneyOf } from '../passes/money';
import { blankRig, DEFAULT_HOUSE_RULES, type Mains, type Rig } from '../rig';
import type { Answers } from './answers';
import { writeBrief } from './brief';
import { cheapen } from './cheaper';
import { finish, withLenses } from './finish';
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
import { isPressing } from './settle';
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
export type { Unmet } from './plan';

/** A rig made from answers, with the answers it does not meet; or the reason there is none. */
export type Built =
  | { readonly ok: true; readonly rig: Rig; readonly unmet: readonly Unmet[] }
  | { readonly ok: false; readonly why: string };

/** Devices and cables, on one computer. @throws CannotBuild, TooSmall */
const wire = (
  answers: Answers,
  mains: Mains | null,
  machine: Machine,
): { rig: Rig; unmet: Unmet[] } => {
  const draft = new RigDraft(answers.name, { ...blankRig(answers.name), mains });
  const rules = { ...DEFAULT_HOUSE_RULES, ...answers.houseRules };
  const formats = formatsFor(rules, answers.houseRules.chosenFormat, mains);
  const { people, sights } = writeBrief(draft, answers, formats, rules.uplinkShare);
  const faces = people
    .filter(({ where, shot }) => where === 'on site' && shot !== null)
    .map(({ id, name }): PictureSubject => ({
      id,
      name,
      personId: id,
      sightId: null,
      source: 'camera',
    }));
  const plan: Plan = {
    draft,
    answers,
    rules,
    formats,
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
const wired = (answers: Answers, mains: Mains | null): ReturnType<typeof wire> => {
  let found: ReturnType<typeof wire> | undefined;
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

/** What still presses is an answer that is not met, where nothing has been said of it yet. */
const leftOver = ({ causes, rig }: Analysis, said: readonly Unmet[]): Unmet[] =>
  causes
    .filter(isPressing)
    .filter(({ finding: { code } }) => said.every((one) => one.code !== code))
    .map(({ finding: { says, code } }) => {
      const { left } = moneyOf(rig);
      return { says, code, costs: code === 'brief.over-budget' && left !== null ? -left : null };
    });

/**
 * Builds a complete rig from answers: classes, counts, ports, formats, scenes, places, gains and cables
 * chosen by rule, nothing by template, then by the product's own judgement: what presses is mended, and
 * no class is dearer than it must be. Where the answers contradict each other it says which.
 * @param mains what the studio stands on
 */
export const build = (answers: Answers, mains: Mains | null = null): Built => {
  try {
    const { rig, unmet } = wired(answers, mains);
    const T = (globalThis as any).T ?? {};
    let t = performance.now();
    const fin = finish(rig);
    T.finish = Math.round(performance.now() - t);
    t = performance.now();
    const made = cheapen(fin, withLenses);
    T.cheapen = Math.round(performance.now() - t);
    return { ok: true, rig: made.rig, unmet: [...unmet, ...leftOver(made, unmet)] };
  } catch (error) {
    if (error instanceof CannotBuild) return { ok: false, why: error.message };
    throw error;
  }
};
