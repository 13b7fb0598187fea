import { z } from 'zod';
import { anyId } from '../chance';
import { collection } from '../collection';
import { idSchema } from '../ids';
import { entry, mustHave } from '../order';
import { refusals } from '../refusal';
import type { Rig } from '../rig';
import { command, type DraftRig, type Gone, missing, type Problem } from '../slice';
import {
  houseLineSchema,
  MOST_TIMES,
  PHASES,
  TAPES,
  taskIdSchema,
  taskMinutesSchema,
} from './schema';

export { blank, shape } from './shape';

/** The day of the show, as far as the house adds to what follows from the rig. */

const MAX_TASKS = 5000;

const lines = collection({
  key: 'houseLine',
  many: 'lines of the house',
  fields: houseLineSchema.omit({ order: true }),
  at: (rig) => rig.houseLines,
  read: (rig) => rig.houseLines,
  none: refusals.noHouseLine,
  says: {
    add: ({ what, phase }) => `Added ${what} to the checklist of ${phase}.`,
    change: (what) => `Changed the line ${what}.`,
    remove: (what) => `Took ${what} off the checklist.`,
    name: ({ what }) => what,
  },
  arbitrary: (chance) => ({
    phase: chance.oneOf(PHASES),
    what: chance.oneOf(['Kettle off', 'Door sign out', 'Cat out of the shed']),
    where: 'At the door',
    who: chance.oneOf(['', 'Host']),
    why: '',
    isMust: chance.once(2),
  }),
});

/** Tasks by what they are about, so that a thing that leaves takes its times along. */
const TASKS_OF = {
  device: ['device', 'cables', 'lamp', 'setting'],
  support: ['support'],
} as const;

export const commands = {
  ...lines,
  /** Adds what a task took; the oldest of a dozen is forgotten */
  measureTask: command({
    schema: z.strictObject({ taskId: taskIdSchema, minutes: taskMinutesSchema }),
    apply: (rig, { taskId, minutes }) => {
      const before = entry(rig.taskMinutes, taskId) ?? [];
      if (before.length === 0 && Object.keys(rig.taskMinutes).length >= MAX_TASKS)
        throw refusals.tooMany('measured tasks', MAX_TASKS);
      rig.taskMinutes[taskId] = [...before, minutes].slice(-MOST_TIMES);
    },
    says: (_rig, { minutes }) => `Measured a task of the change-over: ${minutes} min.`,
    arbitrary: (chance, rig) => {
      const id = anyId(chance, rig.supports);
      return { taskId: id === null ? 'check' : `support ${id}`, minutes: chance.integer(1, 9) / 2 };
    },
  }),
  /** Goes back to the estimate */
  forgetTask: command({
    schema: z.strictObject({ taskId: taskIdSchema }),
    apply: (rig, { taskId }) => {
      mustHave(entry(rig.taskMinutes, taskId), refusals.notMeasured());
      delete rig.taskMinutes[taskId];
    },
    says: () => 'Forgot what a task took; its estimate counts again.',
    arbitrary: (chance, rig) => {
      const taskId = anyId(chance, rig.taskMinutes);
      return taskId === null ? null : { taskId };
    },
  }),
  setTape: command({
    schema: z.strictObject({ setId: idSchema, tape: z.enum(TAPES).nullable() }),
    apply: (rig, { setId, tape }) => {
      mustHave(entry(rig.sets, setId), refusals.noSet(setId));
      if (tape === null) delete rig.tapes[setId];
      else rig.tapes[setId] = tape;
    },
    says: (rig, { setId, tape }) => {
      const name = entry(rig.sets, setId)?.name ?? setId;
      return tape === null ? `Took the tape of ${name} back.` : `Marked ${name} in ${tape} tape.`;
    },
    arbitrary: (chance, rig) => {
      const setId = anyId(chance, rig.sets);
      return setId === null ? null : { setId, tape: chance.once(4) ? null : chance.oneOf(TAPES) };
    },
  }),
};

const ownerOf = (taskId: string) => {
  const [kind = '', id = ''] = taskId.split(' ');
  return { kind, id };
};

export const problems = ({ taskMinutes, tapes, devices, supports, sets }: Rig): Problem[] => [
  ...Object.keys(taskMinutes).flatMap((taskId) => {
    const { kind, id } = ownerOf(taskId);
    if (kind === 'check') return [];
    return kind === 'support'
      ? missing(supports, 'support', ['taskMinutes', taskId], id)
      : missing(devices, 'device', ['taskMinutes', taskId], id);
  }),
  ...Object.keys(tapes).flatMap((id) => missing(sets, 'set', ['tapes', id], id)),
];

export const forget = ({ taskMinutes, tapes }: DraftRig, { kind, id }: Gone): void => {
  if (kind === 'set') delete tapes[id];
  if (kind !== 'device' && kind !== 'support') return;
  for (const task of TASKS_OF[kind]) delete taskMinutes[`${task} ${id}`];
};

export const limits = { taskMinutes: MAX_TASKS };
