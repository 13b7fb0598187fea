import type { Rule } from '../rule';

const CODE = 'picture.small-socket';

export const smallSocket: Rule = {
  code: CODE,
  area: 'picture',
  looksFor: 'A cable in a mini or micro HDMI socket.',
  why: 'A hanging cable levers the little socket off its board; it is the commonest repair of a camera.',
  remedy: 'Clamp the cable to the camera or its cage and support its weight.',
  source: 'handbook 5-room-desk-power, cables',
  find: (measured) =>
    [...measured.graph.links.values()].flatMap((edge) =>
      [edge.from, edge.to]
        .filter((node) => node.port.connector === 'micro-hdmi' || node.port.connector === 'mini-hdmi')
        .map((node) => ({
          code: CODE, area: 'picture' as const, level: 'note' as const, about: { deviceId: node.device.id, portId: node.id, linkId: edge.id }, title: 'Small socket',
          says: `${node.device.device.name} has a ${node.port.connector.split('-')[0]} HDMI socket that a hanging cable breaks. Clamp the cable and support its weight.`,
        })),
    ),
};
