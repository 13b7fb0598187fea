import { at } from '../about';
import type { Rule } from '../rule';

const CODE = 'signal.source-lost';

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
    const arrives = { picture: new Uint8Array(size), sound: new Uint8Array(size) };
    for (const { source, last } of threads) arrives[last.signal][source.device.index] = 1;
    return plugged
      .filter(({ source, signal }) => arrives[signal][source.device.index] === 0)
      .map(({ source, signal }) => {
        const { name } = measured.device(source.device);
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
