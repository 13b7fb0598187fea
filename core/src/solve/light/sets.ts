import { type Analysis, reanalyse } from '../../analyse';
import { dimTo } from '../../edits/light';
import type { Measured } from '../../passes/measured';
import { apply, freeId, inOrder, type Rig, type SimpleCommand } from '../../rig';
import { answerTo, type LightAnswer } from './answer';
import { type LightTask, type LightWish, taskOf } from './wish';

/** The same lamps for every set of a rig: one setting for all of them, or a look for each. */

/** What the lamps come to in one set. */
export interface SetAnswer {
  readonly setId: string;
  readonly name: string;
  /** null where nobody who is to be seen stands in it */
  readonly answer: LightAnswer | null;
}

export interface SetsAnswer {
  /** One setting for all sets; where it is not met, as near as it comes. null where nobody is lit */
  readonly together: LightAnswer | null;
  readonly sets: readonly SetAnswer[];
  /** Keeps a look for each set, as one edit that leaves the lamps as they are set now */
  readonly looks: readonly SimpleCommand[];
}

interface Standing {
  readonly setId: string;
  readonly name: string;
  readonly measured: Measured;
  readonly task: LightTask;
}

const standings = (analysis: Analysis, wish: LightWish): Standing[] =>
  inOrder(analysis.rig.sets).map(([setId, { name }]) => {
    const measured = reanalyse(analysis, apply(analysis.rig, { type: 'standAsSet', setId }));
    return { setId, name, measured, task: taskOf(measured, wish) };
  });

/** The tasks of all sets as one: the same dimmers, everybody where they stand in each. */
const together = (all: readonly Standing[]): LightTask | null => {
  const [first] = all;
  if (!first) return null;
  return {
    ...first.task,
    lamps: first.task.lamps.map((lamp) => ({
      ...lamp,
      glare: all.reduce(
        (sum, { task }) => sum + (task.lamps.find(({ id }) => id === lamp.id)?.glare ?? 0),
        0,
      ),
    })),
    faces: all.flatMap(({ setId, name, task }) =>
      task.faces.map((wanted) => ({
        ...wanted,
        id: `${setId} ${wanted.id}`,
        face: { ...wanted.face, name: `${wanted.face.name} in ${name}` },
      })),
    ),
    // The darkest point of a screen is looked for in each set by itself.
    screens: all.flatMap(({ setId, task }) =>
      task.screens.map((lit) => ({ ...lit, id: `${setId} ${lit.id}` })),
    ),
    boards: all.flatMap(({ task }) => task.boards),
  };
};

/** The look that is kept for a set: the one of that name it has already, or a new one. */
const lookFor = (rig: Rig, setId: string, name: string): string =>
  // Keeping a look under a name that is there writes over it, here as by hand.
  // eslint-disable-next-line no-restricted-syntax
  inOrder(rig.looks).find(([, look]) => look.setId === setId && look.name === name)?.[0] ??
  freeId(`look-${setId}`, rig.looks);

/** Dims for each set, keeps that as its look, and dims back: each step counts from where the last one left it. */
const looksOf = ({ rig: start }: Measured, sets: readonly SetAnswer[]): SimpleCommand[] => {
  const commands: SimpleCommand[] = [];
  let rig = start;
  const run = (command: SimpleCommand): void => {
    commands.push(command);
    rig = apply(rig, command);
  };
  const dim = (levels: readonly { readonly id: string; readonly percent: number }[]): void =>
    levels.flatMap(({ id, percent }) => dimTo({ rig }, id, percent)).forEach(run);
  for (const { setId, name, answer } of sets) {
    if (!answer) continue;
    dim(answer.levels.map(({ id, to }) => ({ id, percent: to })));
    run({ type: 'keepLook', lookId: lookFor(rig, setId, name), name, setId });
  }
  const [first] = sets.flatMap(({ answer }) => answer ?? []);
  dim(first?.levels.map(({ id, now }) => ({ id, percent: now })) ?? []);
  return commands;
};

/** Sets the lamps as somebody wishes, in every set. @returns no set where the rig has none */
export const setLightInSets = (analysis: Analysis, wish: LightWish): SetsAnswer => {
  const all = standings(analysis, wish);
  const sets = all.map(({ setId, name, measured, task }) => ({
    setId,
    name,
    answer: answerTo(measured, task),
  }));
  const task = together(all);
  return {
    together: task && answerTo(analysis, task),
    sets,
    looks: looksOf(analysis, sets),
  };
};
