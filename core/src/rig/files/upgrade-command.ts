import { RIG_VERSION } from '../rig';
import { type Branch, isBranch } from './branch';
import { PERSON_2 } from './frozen';
import {
  BUTTON_7,
  modelOf3,
  modelOf8,
  NOISE_6,
  NOISE_8,
  PERSON_4,
  PERSON_6,
  PERSON_7,
  SCENE_7,
  SIGHT_6,
} from './upgrade';

/** A field of a command changed, where it has one that can be. */
const within = (command: Branch, key: string, change: (value: Branch) => Branch): Branch => {
  const value = command[key];
  return isBranch(value) ? { ...command, [key]: change(value) } : command;
};

/** Something that is added says everything that its kind says in the next version. */
const added =
  (type: string, key: string, more: Branch) =>
  (command: Branch): Branch =>
    command['type'] === type ? within(command, key, (item) => ({ ...more, ...item })) : command;

const addedPerson = (more: Branch) => added('addPerson', 'person', more);

const bringsModel = new Set(['addDevice', 'replaceModel']);

const modelBecomes =
  (next: (model: Branch) => Branch) =>
  (command: Branch): Branch =>
    bringsModel.has(String(command['type'])) ? within(command, 'model', next) : command;

/**
 * What commands of a version become in the next, by the version they leave. A version whose
 * commands stay as they are has no step.
 */
const STEPS: Readonly<Record<number, (command: Branch) => Branch>> = {
  2: (command) => modelBecomes(modelOf3)(addedPerson(PERSON_2)(command)),
  4: addedPerson(PERSON_4),
  6: (command) =>
    [
      addedPerson(PERSON_6),
      added('addNoise', 'noise', NOISE_6),
      added('addSight', 'sight', SIGHT_6),
    ].reduce((given, step) => step(given), command),
  7: (command) =>
    [
      modelBecomes(modelOf8),
      addedPerson(PERSON_7),
      added('addScene', 'scene', SCENE_7),
      added('addButton', 'button', BUTTON_7),
    ].reduce((given, step) => step(given), command),
  8: added('addNoise', 'noise', NOISE_8),
};

/** A step taken by a command and by each that it holds. */
const stepped = (command: unknown, step: (command: Branch) => Branch): unknown => {
  if (!isBranch(command)) return command;
  const { commands } = command;
  if (command['type'] !== 'batch' || !Array.isArray(commands)) return step(command);
  return { ...command, commands: commands.map((inner) => stepped(inner, step)) };
};

/**
 * Brings a command of an older version up to the present one: what was kept in a browser before an
 * update. What it does not understand it leaves for the schema to refuse.
 * @param version of the document it was written for
 */
export const upgradeCommand = (command: unknown, version: number): unknown => {
  let upgraded = command;
  for (let at = version; at < RIG_VERSION; at++) {
    const step = STEPS[at];
    if (step) upgraded = stepped(upgraded, step);
  }
  return upgraded;
};
