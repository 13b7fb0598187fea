import type { DeviceNode } from '../../graph';
import type { Measured } from '../../passes/measured';
import { switchSetting } from '../../rig';
import { at } from '../about';
import { pictureRule, setFix } from '../rule-of';

const dead = (measured: Measured): { node: DeviceNode; control: string }[] =>
  [...measured.graph.devices.values()].flatMap((node) => {
    const { supplyControl } = node.model;
    return supplyControl !== undefined &&
      !switchSetting(measured.device(node), supplyControl) &&
      node.ports.values().some(({ links }) => links.length > 0)
      ? [{ node, control: supplyControl }]
      : [];
  });

export const noSupply = pictureRule(
  'picture.no-supply',
  {
    looksFor: 'A converter, splitter or selector in use whose own power supply is not plugged in.',
    why: 'It passes nothing on, and looks as if the cable were broken.',
    remedy: 'Plug its supply in, and count it in the sockets you need.',
    source: 'handbook 3-picture: converters may need their own power',
  },
  (measured) =>
    dead(measured).map(({ node }) => ({
      level: 'stop',
      about: at({ deviceId: node.id }),
      title: 'No power',
      says: `${measured.device(node).name} passes nothing on: its own power supply is not plugged in. Plug it in.`,
    })),
  {
    fixes: (measured, { about }) =>
      dead(measured)
        .filter(({ node }) => node.id === about.deviceId)
        .map(({ node, control }) =>
          setFix(`Plug in the supply of ${measured.device(node).name}`, node.id, control, true),
        ),
  },
);
