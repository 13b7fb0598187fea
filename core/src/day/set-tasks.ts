import equal from 'fast-deep-equal';
import { entry, inOrder, type Rig, settingOf } from '../rig';
import { deviceNamed } from './names';
import { settingText } from '../rig/devices/settings';
import type { SetDevice } from '../rig/devices/schema';
import type { CableTask } from './cable-tasks';
import { settingsIn } from './settings-in';
import type { Estimated } from './change-task';
import { LAMP_MIN, SHEET_MIN, TURN_MIN } from './estimates';
import { phantomPorts } from './phantom';

/** What is set, dimmed and turned at a change-over, once things stand. */

/** A device that is set, and what becomes of its phantom power. */
export interface SetTask extends Estimated {
  readonly deviceId: string;
  readonly phantom: 'comes on' | 'goes off' | null;
}

/** Lamps that the looks of two sets have otherwise; those that are carried are aimed then. */
export const lampTasks = (
  rig: Rig,
  fromSetId: string | null,
  toSetId: string,
  moved: (deviceId: string) => readonly string[],
): Estimated[] => {
  const lookOf = (setId: string) =>
    Object.entries(rig.looks).find(([, look]) => look.setId === setId);
  const [, was] = (fromSetId === null ? undefined : lookOf(fromSetId)) ?? [];
  const [lookId, is] = lookOf(toSetId) ?? [];
  if (lookId === undefined || !is) return [];
  return inOrder(rig.devices).flatMap(([id]) => {
    const level = entry(is.levels, id);
    if (!level || equal(level, entry(was?.levels ?? {}, id))) return [];
    return [
      {
        id: `lamp ${id}`,
        minutes: LAMP_MIN,
        people: 1,
        after: moved(id),
        tell: (now) => ({
          what: `Set ${deviceNamed(now, id)}`,
          where: `as in the look ${entry(now.looks, lookId)?.name ?? lookId}`,
          sum: `${LAMP_MIN} min`,
        }),
      },
    ];
  });
};

/** Coming from nothing, what has gains or a picture is set as its sheet says. */
export const settingTasks = (
  rig: Rig,
  toSetId: string,
  moved: (deviceId: string) => readonly string[],
): SetTask[] =>
  inOrder(rig.devices).flatMap(([id, device]) => {
    const hasSheet =
      device.model.kind === 'camera' ||
      Object.values(device.model.controls).some(({ type }) => type === 'gain');
    const before = moved(id);
    return hasSheet && before.length > 0
      ? [
          {
            id: `setting ${id}`,
            minutes: SHEET_MIN,
            people: 1,
            after: before,
            tell: (now) => ({
              what: `Set ${deviceNamed(now, id)}`,
              where: 'as its sheet says',
              sum: `${SHEET_MIN} min`,
            }),
            deviceId: id,
            phantom:
              phantomPorts(settingsIn(rig, toSetId, id, device)).size > 0
                ? ('comes on' as const)
                : null,
          },
        ]
      : [];
  });

/** Coming on anywhere counts for more: then everything has to be plugged first. */
const phantomTurn = (was: SetDevice, is: SetDevice): SetTask['phantom'] => {
  const [before, after] = [phantomPorts(was), phantomPorts(is)];
  if ([...after].some((portId) => !before.has(portId))) return 'comes on';
  return [...before].some((portId) => !after.has(portId)) ? 'goes off' : null;
};

/** Between two sets that are set otherwise: each control that has to be turned, device by device. */
export const turnedTasks = (
  rig: Rig,
  fromSetId: string,
  toSetId: string,
  moved: (deviceId: string) => readonly string[],
): SetTask[] =>
  inOrder(rig.devices).flatMap(([id, device]) => {
    const [was, is] = [fromSetId, toSetId].map((setId) => settingsIn(rig, setId, id, device));
    if (!was || !is) return [];
    const turned = Object.entries(device.model.controls).flatMap(([key, control]) => {
      const [before, after] = [settingOf(was, key), settingOf(is, key)];
      return before === undefined || after === undefined || before === after
        ? []
        : [
            `${control.label} ${settingText(device, key, before)} → ${settingText(device, key, after)}`,
          ];
    });
    if (turned.length === 0) return [];
    return [
      {
        id: `setting ${id}`,
        minutes: TURN_MIN * turned.length,
        people: 1,
        after: moved(id),
        tell: (now) => ({
          what: `Set ${deviceNamed(now, id)}`,
          where: turned.join(', '),
          sum: `${turned.length} × ${TURN_MIN} min`,
        }),
        deviceId: id,
        phantom: phantomTurn(was, is),
      },
    ];
  });

/**
 * Cables and settings, so that phantom power comes on after plugging and goes off before it: plugging with it on
 * cracks and can harm. @source handbook 7
 */
export const phantomInOrder = (
  cables: readonly CableTask[],
  set: readonly SetTask[],
): Estimated[] => [
  ...cables.map(({ touches, ...task }) => ({
    ...task,
    after: [
      ...task.after,
      ...set
        .filter(({ phantom, deviceId }) => phantom === 'goes off' && touches.has(deviceId))
        .map(({ id }) => id),
    ],
  })),
  ...set.map(({ phantom, deviceId, ...task }) => ({
    ...task,
    after:
      phantom === 'goes off'
        ? []
        : [
            ...task.after,
            ...cables
              .filter(({ touches }) => phantom === 'comes on' && touches.has(deviceId))
              .map(({ id }) => id),
          ],
  })),
];
