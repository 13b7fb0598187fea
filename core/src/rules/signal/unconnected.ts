import { at } from '../about';
import type { Rule } from '../rule';

const CODE = 'signal.unconnected';

export const unconnected: Rule = {
  code: CODE,
  area: 'signal',
  looksFor: 'A device with no cable in it.',
  why: 'It was added and never plugged in, or is left over.',
  remedy: 'Connect it or remove it.',
  source: 'design: graph',
  find: (measured) => {
    const worksAlone = new Set(measured.traced.threads.map(({ end }) => end.device));
    return [...measured.graph.devices.values()]
      .filter(
        (node) =>
          measured.device(node).model.light === undefined &&
          node.ports.values().every(({ links }) => links.length === 0) &&
          !worksAlone.has(node),
      )
      .map((node) => ({
        code: CODE,
        area: 'signal',
        level: 'note',
        about: at({ deviceId: node.id }),
        title: 'Not connected',
        says: `${measured.device(node).name} is connected to nothing. Connect it or remove it.`,
      }));
  },
  fixes: (measured, { about }) => {
    const node =
      about.deviceId === undefined ? undefined : measured.graph.devices.get(about.deviceId);
    return node
      ? [
          {
            label: `Remove ${measured.device(node).name}`,
            command: { type: 'removeDevice', deviceId: node.id },
          },
        ]
      : [];
  },
};
