import { passFor } from '../passes/pass';
import {
  type Device,
  entry,
  inOrder,
  type Placed,
  type Rig,
  type Spot,
  type Support,
} from '../rig';
import {
  AIM_MIN,
  apart,
  CHECK_MIN,
  DEVICE_MIN,
  estimate,
  HANDLING_MIN,
  isAimed,
  isElsewhere,
  massOf,
  MEASURING_MIN,
  NEAR_M,
  number,
  ONE_CARRIES_KG,
  ownMass,
  STORE_M,
} from './estimates';
import type { ChangeTask, Estimated, Work } from './change-task';
import { cableTasks } from './cable-tasks';
import { lampTasks, phantomInOrder, settingTasks, turnedTasks } from './set-tasks';
import { deviceNamed, supportNamed } from './names';
import { spreadOf } from './spread';

/** From one state of the room to a set: what is carried, plugged and checked, as tasks with their estimates. */

interface State {
  readonly support: (id: string, support: Support) => Spot | null;
  readonly device: (id: string, device: Device) => Placed;
}

const placedNow = ({ at, heightM, on, aim }: Device): Placed => ({ at, heightM, on, aim });

/** Where everything stands in a set; what came after it was kept stands as it does now. */
const stateOf = (rig: Rig, setId: string): State => {
  const set = entry(rig.sets, setId);
  return {
    support: (id, { at }) => entry(set?.supports ?? {}, id) ?? at,
    device: (id, device) => entry(set?.devices ?? {}, id) ?? placedNow(device),
  };
};

const spotText = ({ xM, yM, facingDeg }: Spot): string =>
  `to x ${xM.toFixed(2)} m, y ${yM.toFixed(2)} m, facing ${Math.round(facingDeg)}°`;

/** Desks and racks are the room's furniture: they stay when things are put away; what hangs stays always. */
const isFurniture = ({ figures }: Support): boolean =>
  figures.is === 'desk' || figures.is === 'rack';
const isFixed = ({ figures }: Support): boolean =>
  figures.is === 'overhead' || figures.is === 'wall';

const supportTasks = (rig: Rig, from: State | null, to: State, isMarked: boolean): Estimated[] =>
  inOrder(rig.supports).flatMap(([id, support]) => {
    const spot = to.support(id, support);
    const was = from ? from.support(id, support) : isFurniture(support) ? spot : null;
    const { figures } = support;
    if (!spot || figures.is === 'overhead' || figures.is === 'wall') return [];
    if (was && !isElsewhere(was, spot)) return [];
    const riding = inOrder(rig.devices).filter(
      ([deviceId, device]) =>
        from !== null &&
        to.device(deviceId, device).on?.supportId === id &&
        from.device(deviceId, device).on?.supportId === id,
    );
    const massKg = ownMass(support) + riding.reduce((sum, [, device]) => sum + massOf(device), 0);
    const wayM = was ? apart(was, spot) : 2 * STORE_M;
    const rolls = figures.is === 'desk' && figures.rolls;
    const findingMin = isMarked ? 0 : MEASURING_MIN;
    const aimingMin = AIM_MIN * riding.filter(([, device]) => isAimed(device)).length;
    const { minutes, sum } = estimate(
      HANDLING_MIN[figures.is] + aimingMin + findingMin,
      wayM,
      rolls ? 0 : massKg,
    );
    return [
      {
        markSavesMin: findingMin,
        id: `support ${id}`,
        minutes,
        people: !rolls && massKg > ONE_CARRIES_KG ? 2 : 1,
        after: support.onId === null ? [] : [`support ${support.onId}`],
        tell: (now) => ({
          what:
            `${was ? 'Carry' : 'Set up'} ${supportNamed(now, id)}` +
            (riding.length > 0 ? ' with what is on it' : ''),
          where: spotText(spot),
          sum: sum(),
        }),
      },
    ];
  });

const standsElsewhere = (a: Placed, b: Placed): boolean => {
  if (a.on || b.on)
    return (
      a.on?.supportId !== b.on?.supportId ||
      Math.hypot((a.on?.xM ?? 0) - (b.on?.xM ?? 0), (a.on?.yM ?? 0) - (b.on?.yM ?? 0)) >= NEAR_M
    );
  return a.at !== null && b.at !== null ? isElsewhere(a.at, b.at) : a.at !== b.at;
};

const deviceTasks = (rig: Rig, from: State | null, to: State): Estimated[] =>
  inOrder(rig.devices).flatMap(([id, device]) => {
    const placed = to.device(id, device);
    const support = placed.on ? entry(rig.supports, placed.on.supportId) : undefined;
    if ((!placed.at && !support) || (support && isFixed(support))) return [];
    const was = from?.device(id, device) ?? null;
    if (was && !standsElsewhere(was, placed)) return [];
    const massKg = massOf(device);
    const wayM =
      was?.at && placed.at ? apart(was.at, placed.at) : from === null ? 2 * STORE_M : STORE_M / 2;
    const aimed = isAimed(device);
    const { minutes, sum } = estimate(DEVICE_MIN + (aimed ? AIM_MIN : 0), wayM, massKg);
    return [
      {
        id: `device ${id}`,
        minutes,
        people: massKg > ONE_CARRIES_KG ? 2 : 1,
        after: placed.on ? [`support ${placed.on.supportId}`] : [],
        tell: (now) => ({
          what: `${aimed ? 'Put up and aim' : 'Put'} ${deviceNamed(now, id)}`,
          where: placed.on
            ? `on ${supportNamed(now, placed.on.supportId)}`
            : placed.at
              ? spotText(placed.at)
              : '',
          sum: sum(),
        }),
      },
    ];
  });

/** A task as it was measured, where it was: the middle of its times counts. */
const measured = (rig: Rig, { markSavesMin = 0, ...task }: Estimated): Work => {
  const times = entry(rig.taskMinutes, task.id) ?? [];
  const took = spreadOf(times);
  const estimatedMin = task.minutes;
  if (!took) return { ...task, estimatedMin, spread: null, markSavesMin };
  const minutes = took.middle;
  return {
    ...task,
    minutes,
    estimatedMin,
    markSavesMin: Math.min(markSavesMin, minutes),
    spread: { leastMin: took.least, mostMin: took.most, times: took.times },
    tell: (now) => ({
      ...task.tell(now),
      sum:
        `measured ${times.length === 1 ? 'once' : `${times.length} times`}: ${times.map(number).join(', ')} min; ` +
        `estimated ${number(estimatedMin)} min`,
    }),
  };
};

/**
 * Everything that is done from one state of the room to a set, told by ids.
 * @param fromSetId null: everything but the furniture is put away
 * @returns work in the order of the rig; none where nothing differs
 */
const workBetween = (rig: Rig, fromSetId: string | null, toSetId: string): Work[] => {
  const from = fromSetId === null ? null : stateOf(rig, fromSetId);
  const to = stateOf(rig, toSetId);
  const isMarked = entry(rig.tapes, toSetId) !== undefined;
  const carried = [...supportTasks(rig, from, to, isMarked), ...deviceTasks(rig, from, to)];
  const ids = new Set(carried.map(({ id }) => id));
  const moved = (deviceId: string): string[] => {
    const device = entry(rig.devices, deviceId);
    const on = device && to.device(deviceId, device).on;
    return [`device ${deviceId}`, ...(on ? [`support ${on.supportId}`] : [])].filter((id) =>
      ids.has(id),
    );
  };
  const turned =
    fromSetId === null
      ? settingTasks(rig, toSetId, moved)
      : turnedTasks(rig, fromSetId, toSetId, moved);
  const cables = cableTasks(rig, fromSetId, moved);
  const all = [
    ...carried,
    ...lampTasks(rig, fromSetId, toSetId, moved),
    ...phantomInOrder(cables, turned),
  ];
  const known = new Set(all.map(({ id }) => id));
  const tasks = all.map((task) => ({ ...task, after: task.after.filter((id) => known.has(id)) }));
  if (tasks.length === 0) return [];
  const check: Estimated = {
    id: 'check',
    minutes: CHECK_MIN,
    people: 1,
    after: tasks.map(({ id }) => id),
    tell: () => ({
      what: 'Check picture, sound and light',
      where: 'before anybody is called in',
      sum: `${CHECK_MIN} min`,
    }),
  };
  return [...tasks, check].map((task) => measured(rig, task));
};

/** Work with its texts. */
const told = (rig: Rig, { estimatedMin: _, tell, ...work }: Work): ChangeTask => ({
  ...work,
  ...tell(rig),
});

/**
 * Everything that is done from one state of the room to a set.
 * @param fromSetId null: everything but the furniture is put away
 * @returns tasks in the order of the rig; none where nothing differs
 */
export const changeOver = (rig: Rig, fromSetId: string | null, toSetId: string): ChangeTask[] =>
  workBetween(rig, fromSetId, toSetId).map((work) => told(rig, work));

/** What it takes to set up a set from everything put away, told by ids. */
export const setUpWork = passFor('set-up work', ({ rig }, setId: string): readonly Work[] =>
  workBetween(rig, null, setId),
);
