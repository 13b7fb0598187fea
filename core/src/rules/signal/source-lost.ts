import type { Measured } from '../../passes/measured';
import { notChosen, waitingThreads } from '../../passes/selecting';
import { at } from '../about';
import type { Rule } from '../rule';

const CODE = 'signal.source-lost';

/** The selectors at which signals wait to be chosen, by the signal and the device it comes from. */
const waitingAt = (measured: Measured): ReadonlyMap<string, string> =>
  new Map(
    waitingThreads(measured).flatMap((thread) => {
      const [position] = notChosen(measured, thread);
      return position
        ? [
            [
              `${thread.signal} ${thread.source.device.id}`,
              measured.device({ id: position.deviceId }).name,
            ] as const,
          ]
        : [];
    }),
  );

export const sourceLost: Rule = {
  code: CODE,
  area: 'signal',
  looksFor: 'A source that is plugged in and reaches no destination.',
  why: 'It works, and nobody will see or hear it.',
  remedy: 'Connect the device it ends at to something that records, streams or shows it.',
  source: 'design: threads',
  find: (measured) => {
    const { lost, threads } = measured.traced;
    const { size } = measured.graph.devices;
    const plugged = lost.filter(({ source }) => source.links.length > 0);
    if (plugged.length === 0) return [];
    const waiting = waitingAt(measured);
    const arrives = { picture: new Uint8Array(size), sound: new Uint8Array(size) };
    for (const { source, last } of threads) arrives[last.signal][source.device.index] = 1;
    return plugged
      .filter(({ source, signal }) => arrives[signal][source.device.index] === 0)
      .map(({ source, signal }) => {
        const { name } = measured.device(source.device);
        const selector = waiting.get(`${signal} ${source.device.id}`);
        if (selector !== undefined)
          return {
            code: CODE,
            area: 'signal',
            level: 'note',
            about: {
              ...at({ deviceId: source.device.id, portId: source.id, linkId: source.links[0]?.id }),
              signal,
            },
            title: `${signal === 'picture' ? 'Picture' : 'Sound'} is not chosen`,
            says:
              `${name} waits at ${selector}, which lets another input through. It is seen when it is ` +
              'chosen there, or by a scene that chooses it.',
          };
        return {
          code: CODE,
          area: 'signal',
          level: 'warn',
          about: {
            ...at({ deviceId: source.device.id, portId: source.id, linkId: source.links[0]?.id }),
            signal,
          },
          title: `${signal === 'picture' ? 'Picture' : 'Sound'} goes nowhere`,
          says:
            `The ${signal} of ${name} reaches no recording, stream, screen or headphones. Connect ` +
            `${source.links[0] ? measured.device(source.links[0].to.device).name : 'it'} onward.`,
        };
      });
  },
};
