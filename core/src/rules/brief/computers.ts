import type { DeviceNode } from '../../graph';
import { stagesOf } from '../../graph';
import { devices, houseRule, one } from './house-rule';

export const computerSchool = houseRule(
  'computers',
  'brief.computers',
  {
    looksFor: 'A stream that comes from another machine than the school says.',
    why: 'What takes the sources in is what crashes; a stream from elsewhere goes on.',
    remedy: 'Stream from a second computer or from a hardware encoder.',
  },
  (measured) => {
    const { computers } = measured.rig.houseRules;
    const machines = devices(measured, 'computer');
    const [, second] = machines;
    if (computers === 'one')
      return second
        ? [
            one(
              'note',
              second,
              `${machines.length} computers`,
              `The house rule is one computer that does everything; this rig has ${machines.length}.`,
            ),
          ]
        : [];
    const streams = devices(measured, 'stream').filter((node) =>
      measured.traced.threads.some(({ end }) => end.device === node),
    );
    return streams.flatMap((node) => {
      const maker = measured.traced.threads
        .filter(({ end, signal }) => end.device === node && signal === 'picture')
        .map(
          (thread) =>
            stagesOf(thread.last).findLast((stage) => stage.at.device !== node)?.at.device,
        )
        .find((found) => found !== undefined);
      if (!maker) return [];
      const isRight =
        computers === 'hardware encoder'
          ? maker.model.kind === 'encoder'
          : machines.length > 1 && !takesSources(maker);
      return isRight
        ? []
        : [
            one(
              'warn',
              node,
              `${measured.device(maker).name} streams`,
              `${measured.device(node).name} comes from ${measured.device(maker).name}; the house rule is ` +
                (computers === 'hardware encoder'
                  ? 'a hardware encoder.'
                  : 'a second computer that does nothing else.'),
            ),
          ];
    });
  },
);

/** Whether cameras or microphones go straight into a machine. */
const takesSources = (machine: DeviceNode): boolean =>
  machine.ports
    .values()
    .some((port) =>
      port.links.some(
        (edge) =>
          edge.to === port &&
          ['interface', 'mixer', 'microphone', 'webcam', 'call'].includes(
            edge.from.device.model.kind,
          ),
      ),
    );
