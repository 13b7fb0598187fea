import type { DeviceNode } from '../../graph';
import { notChosen, waitingThreads } from '../selecting';
import type { CoverageAnswer } from './line';
import { delivers, type Index, nameIn } from './threads';

/**
 * What waits at a selector is there, and is shown when it is chosen.
 * @returns null where none of the devices' pictures waits
 */
export const waitsFor = (index: Index, devices: readonly DeviceNode[]): CoverageAnswer | null => {
  const { measured } = index;
  const thread = waitingThreads(measured).find(
    ({ signal, source, end }) =>
      signal === 'picture' && devices.includes(source.device) && delivers(end),
  );
  const [position] = thread ? notChosen(measured, thread) : [];
  if (!thread || !position) return null;
  return {
    verdict: 'met',
    says:
      `${nameIn(index, thread.source.device)} waits at ` +
      `${measured.device({ id: position.deviceId }).name} and reaches ` +
      `${nameIn(index, thread.end.device)} when it is chosen there.`,
    by: [thread.source.device.id],
    thread: null,
  };
};
