import type { LinkEdge, PortNode } from '../../graph';
import type { Measured } from '../../passes/measured';
import { switchSetting } from '../../rig';
import { at } from '../about';
import { pictureRule, setFix } from '../rule-of';

const isSmall = ({ port }: PortNode): boolean =>
  port.connector === 'micro-hdmi' || port.connector === 'mini-hdmi';

/** Small sockets with a cable in them that nothing holds. */
const hanging = (measured: Measured): { edge: LinkEdge; node: PortNode }[] => {
  const found: { edge: LinkEdge; node: PortNode }[] = [];
  for (const edge of measured.graph.links.values())
    for (const node of [edge.from, edge.to]) {
      if (!isSmall(node)) continue;
      const device = measured.device(node.device);
      if (
        device.model.clampControl === undefined ||
        !switchSetting(device, device.model.clampControl)
      )
        found.push({ edge, node });
    }
  return found;
};

export const smallSocket = pictureRule(
  'picture.small-socket',
  {
    looksFor: 'A cable in a mini or micro HDMI socket that no clamp holds.',
    why: 'A hanging cable levers the little socket off its board; it is the commonest repair of a camera.',
    remedy: 'Clamp the cable to the camera or its cage and support its weight.',
    source: 'handbook 5-room-desk-power, cables',
  },
  (measured) =>
    hanging(measured).map(({ edge, node }) => ({
      level: 'note',
      about: at({ deviceId: node.device.id, portId: node.id, linkId: edge.id }),
      title: 'Small socket',
      says:
        `${measured.device(node.device).name} has a ${node.port.connector.split('-')[0] ?? ''} HDMI ` +
        'socket that a hanging cable breaks. Clamp the cable and support its weight.',
    })),
  {
    fixes: (measured, { about }) =>
      hanging(measured)
        .filter(({ edge, node }) => edge.id === about.linkId && node.device.id === about.deviceId)
        .flatMap(({ node }) => {
          const control = node.device.model.clampControl;
          return control === undefined
            ? []
            : [
                setFix(
                  `Clamp the cable of ${measured.device(node.device).name}`,
                  node.device.id,
                  control,
                  true,
                ),
              ];
        }),
  },
);
