import { at } from '../about';
import type { Rule } from '../rule';

const CODE = 'signal.ways-cut';

export const waysCut: Rule = {
  code: CODE,
  area: 'signal',
  looksFor: 'A port that one source reaches by more parallel ways than are followed.',
  why: 'Only the first four ways are computed; figures on the others are not shown.',
  remedy: 'Check that the parallel ways are meant, and take out those that are not.',
  source: 'design: graph',
  find: (measured) =>
    [...measured.traced.cut].map((node) => ({
      code: CODE,
      area: 'signal',
      level: 'note',
      about: at({ deviceId: node.device.id, portId: node.id }),
      title: 'More ways than are followed',
      says:
        `One source reaches ${measured.device(node.device).name}, ${node.port.name} by more than four ` +
        'ways; only the first four are computed. Take out the ways that are not meant.',
    })),
};
