import type { DeviceNode } from '../../graph';
import { isSeparateRecording } from '../../passes/coverage/recordings';
import type { Measured } from '../../passes/measured';
import { cameraRule } from '../rule-of';

const hasCard = (node: DeviceNode): boolean =>
  node.ports.values().some(({ port }) => port.records !== undefined);

/** What else makes a file of a camera's picture by itself, by name. */
const alsoRecordedBy = (measured: Measured, deviceId: string): string | undefined => {
  const other = measured.traced.threads.find(
    (thread) =>
      thread.signal === 'picture' &&
      thread.source.device.id === deviceId &&
      thread.end.device.id !== deviceId &&
      isSeparateRecording(thread),
  );
  return other && measured.device(other.end.device).name;
};

export const recordingLimit = cameraRule(
  'picture.recording-limit',
  {
    looksFor: 'A camera whose own recording ends before the show does.',
    why: 'The file on its card stops; the picture on its output goes on. The two are often confused.',
    remedy: 'Count on the output and record elsewhere, or start a new file in a break.',
    source: 'handbook 3-picture: loop outputs still work past a recording limit',
  },
  ({ node, camera, showMin, isRecording }, measured) => {
    if (camera.recordLimitMin === undefined || showMin === null || camera.recordLimitMin >= showMin)
      return null;
    const { name } = measured.device(node);
    const title = `Own recording ends after ${camera.recordLimitMin} min`;
    const ends =
      `A recording on the card of ${name} ends after ${camera.recordLimitMin} min; its output goes ` +
      `on. The show lasts ${showMin} min`;
    // What has no card in its model may record all the same; what has one, and does not, is not meant to.
    if (!isRecording)
      return hasCard(node)
        ? null
        : {
            level: 'note',
            title,
            says: `${ends}: count on the output, and record it elsewhere.`,
          };
    const other = alsoRecordedBy(measured, node.id);
    return other === undefined
      ? {
          level: 'stop',
          title,
          says:
            `${ends}, and nothing else makes a file of its picture. Record its output, or start a ` +
            'new file in a break.',
        }
      : {
          level: 'warn',
          title,
          says: `${ends}; ${other} records it to the end. Start a new file in a break, or leave the card out.`,
        };
  },
);
