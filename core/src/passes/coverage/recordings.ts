import type { DeviceNode, Thread } from '../../graph';
import { stagesOf } from '../../graph';
import type { Index } from './threads';
import { kindOf, RECORDS } from './threads';

/**
 * What makes a recording: a recorder itself, or the machine whose program writes the file. Two
 * files of one machine are one recording.
 */
export const recordingMachine = (thread: Thread): DeviceNode => {
  const end = thread.end.device;
  if (kindOf(end) !== 'recording') return end;
  return stagesOf(thread.last).findLast((stage) => stage.at.device !== end)?.at.device ?? end;
};

/** Whether a picture comes to its end by itself, through no device that mixes or scales several into one. */
const isSeparate = (thread: Thread): boolean =>
  stagesOf(thread.last).every(
    ({ via, at }) => via.by !== 'route' || at.device.model.kind !== 'switcher',
  );

/**
 * Whether a device keeps each voice by itself: files of sound only. What a recorder gets from a
 * mixer's output is a mix.
 */
export const keepsTracks = (node: DeviceNode): boolean =>
  kindOf(node) === 'recording' &&
  node.ports.values().some(({ port }) => port.ends?.sound !== undefined) &&
  node.ports.values().every(({ port }) => port.ends?.picture === undefined);

/** Whether a voice arrives by itself: the last device on its way keeps its inputs apart. */
export const isTrack = (thread: Thread): boolean => {
  const last = stagesOf(thread.last).findLast(({ via }) => via.by === 'route');
  return last?.via.by === 'route' && last.via.route.route.sound?.keepsApart === true;
};

export const withThreads = (index: Index, test: (thread: Thread) => boolean): Index => ({
  ...index,
  byEnd: new Map([...index.byEnd].map(([node, threads]) => [node, threads.filter(test)])),
});

/** Whether a picture is recorded by itself. */
export const isSeparateRecording = (thread: Thread): boolean =>
  RECORDS.has(kindOf(thread.end.device)) && isSeparate(thread);
