import type { DeviceNode, PortNode, Thread } from '../../graph';
import { stagesOf } from '../../graph';
import type { Index } from './threads';
import { kindOf, writesFile } from './threads';

/**
 * What makes a recording: a recorder itself, or the machine whose program writes the file. Two
 * files of one machine are one recording.
 */
export const recordingMachine = (thread: Thread): DeviceNode => {
  const end = thread.end.device;
  if (kindOf(end) !== 'recording') return end;
  return stagesOf(thread.last).findLast((stage) => stage.at.device !== end)?.at.device ?? end;
};

/**
 * Whether a picture comes to its end by itself: not through a switcher, but for those of its ways
 * that pass an input on as it is.
 */
const isSeparate = (thread: Thread): boolean =>
  stagesOf(thread.last).every(
    ({ via, at }) =>
      via.by !== 'route' ||
      at.device.model.kind !== 'switcher' ||
      via.route.route.picture?.does === 'pass',
  );

/**
 * Whether a device keeps each voice by itself: files of sound only, or a card with a track a
 * channel. What a recorder gets from a mixer's output is a mix.
 */
export const keepsTracks = (node: DeviceNode): boolean =>
  (kindOf(node) === 'recording' || keepsTracksItself(node)) &&
  node.ports.values().some(({ port }) => port.ends?.sound !== undefined) &&
  node.ports.values().every(({ port }) => port.ends?.picture === undefined);

const keepsTracksItself = (node: DeviceNode): boolean =>
  node.ports
    .values()
    .some(({ routes }) =>
      routes.some(
        ({ route }) =>
          route.sound?.keepsApart === true &&
          route.to.some((portId) => node.ports.get(portId)?.port.records !== undefined),
      ),
    );

/** The input a voice is kept apart by: the last device on its way takes each of its inputs by itself. */
const ownInput = (thread: Thread): PortNode | null => {
  const last = stagesOf(thread.last).findLast(({ via }) => via.by === 'route');
  return last?.via.by === 'route' && last.via.route.route.sound?.keepsApart === true
    ? (last.parent?.at ?? null)
    : null;
};

/** Whether a voice comes into its end by itself, whatever else comes there. */
export const isKeptApart = (thread: Thread): boolean => ownInput(thread) !== null;

/**
 * Only the voices that arrive by themselves: what a mixer has put together comes in by one socket of
 * a recorder, and stays together. A cable with many channels keeps them apart.
 */
export const tracksOnly = (index: Index): Index => ({
  ...index,
  byEnd: new Map(
    [...index.byEnd].map(([node, threads]) => {
      const sources = new Map<PortNode, Set<PortNode>>();
      for (const thread of threads) {
        const input = ownInput(thread);
        if (input) sources.set(input, (sources.get(input) ?? new Set()).add(thread.source));
      }
      return [
        node,
        threads.filter((thread) => {
          const input = ownInput(thread);
          return (
            input !== null &&
            (input.port.family !== 'analogue' || (sources.get(input)?.size ?? 0) === 1)
          );
        }),
      ] as const;
    }),
  ),
});

/** Whether a picture is recorded by itself. */
export const isSeparateRecording = (thread: Thread): boolean =>
  writesFile(thread.end) && isSeparate(thread);
