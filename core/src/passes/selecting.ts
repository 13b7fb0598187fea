import { isOpen, stagesOf, type Thread, trace } from '../graph';
import { entry, type Route, type Scene, settingOf } from '../rig';
import type { Measured } from './measured';
import { pass } from './pass';

/** Selectors let one input through at a time: the others are not chosen, and not dead. */

/** A position of a selector. */
export type Position = Scene['selects'][number];

const hasSelectors = (measured: Measured): boolean =>
  [...measured.graph.devices.values()].some(({ model }) => model.kind === 'selector');

/** Threads there would be besides those there are, were every input of every selector chosen. */
export const waitingThreads = pass('waiting threads', (measured): readonly Thread[] => {
  if (!hasSelectors(measured)) return [];
  const known = new Set(measured.traced.threads.map(({ id }) => id));
  return trace(
    measured.graph,
    (node) => measured.device(node),
    (device, route) => device.model.kind === 'selector' || isOpen(device, route),
  ).threads.filter(({ id }) => !known.has(id));
});

const positionFor = (deviceId: string, { when }: Route): Position[] =>
  when && typeof when.is === 'string' ? [{ deviceId, control: when.control, value: when.is }] : [];

/** The positions of selectors that a thread goes by. */
export const positionsOf = (thread: Thread): readonly Position[] =>
  stagesOf(thread.last).flatMap(({ via, at: { device } }) =>
    via.by === 'route' && device.model.kind === 'selector'
      ? positionFor(device.id, via.route.route)
      : [],
  );

/** Where a selector stands: as a scene says, or as it is set. */
const standsAt = (
  { rig }: Pick<Measured, 'rig'>,
  { deviceId, control }: Position,
  selects: readonly Position[],
): unknown => {
  const device = entry(rig.devices, deviceId);
  return (
    selects.find((one) => one.deviceId === deviceId && one.control === control)?.value ??
    (device && settingOf(device, control))
  );
};

/** The positions of selectors that a thread needs and that are not chosen. */
export const notChosen = (
  measured: Measured,
  thread: Thread,
  selects: readonly Position[] = [],
): readonly Position[] =>
  positionsOf(thread).filter(
    (position) => standsAt(measured, position, selects) !== position.value,
  );
