import { replug } from '../../edits/splice';
import { nameOf } from '../../passes/names';
import { at } from '../about';
import type { Rule } from '../rule';

const CODE = 'computer.capture-on-hub';

export const captureOnHub: Rule = {
  code: CODE,
  area: 'computer',
  looksFor: 'A capture device plugged into a hub.',
  why: 'A hub is shared, is the least reliable part of many rigs, and its plug takes every picture with it.',
  remedy: 'Plug capture devices straight into the computer and leave the hub to keyboards.',
  source: 'handbook 3-picture, into the computer',
  find: (measured) =>
    [...measured.graph.links.values()]
      .filter(
        (edge) => edge.from.device.model.kind === 'capture' && edge.to.device.model.kind === 'hub',
      )
      .map((edge) => ({
        code: CODE,
        area: 'computer',
        level: 'warn',
        about: at({ deviceId: edge.from.device.id, portId: edge.from.id, linkId: edge.id }),
        title: 'Capture device on a hub',
        says:
          `${measured.device(edge.from.device).name} reaches the computer through ` +
          `${measured.device(edge.to.device).name}. It shares that hub's bandwidth and its loose plug. ` +
          'Plug it straight into the computer.',
      })),
  fixes: (measured, { about }) => {
    const edge = about.linkId === undefined ? undefined : measured.graph.links.get(about.linkId);
    const gbps = edge?.from.port.family === 'usb' ? edge.from.port.gbps : 0;
    const socket = measured.graph.ports.find(
      (node) =>
        node.port.family === 'usb' &&
        node.port.role === 'host' &&
        node.port.gbps >= gbps &&
        node.links.length === 0 &&
        node.device.model.kind === 'computer',
    );
    return edge && socket
      ? [
          {
            label: `Move it to ${nameOf(measured, socket)}`,
            command: {
              type: 'batch',
              label: `Moved ${measured.device(edge.from.device).name} to ${nameOf(measured, socket)}`,
              commands: replug(edge, socket),
            },
          },
        ]
      : [];
  },
};
