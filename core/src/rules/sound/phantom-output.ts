import type { PortNode } from '../../graph';
import { nameOf } from '../../passes/names';
import { phantomAt } from '../../passes/sound';
import type { Kind } from '../../rig';
import { at } from '../about';
import { eachSoundRule } from '../rule-of';
import { switchOff } from './phantom';

/** Devices whose outputs are driven by electronics that phantom power comes back into. */
const DRIVEN: readonly Kind[] = [
  'instrument',
  'wireless',
  'player',
  'computer',
  'mixer',
  'interface',
  'recorder',
];

export const phantomOutput = eachSoundRule<PortNode>(
  'sound.phantom-output',
  {
    looksFor:
      'Phantom power that is on where an instrument, a receiver or another output is plugged in.',
    why: '48 V come back into an output that was not made for them: it distorts, hums, or is damaged.',
    remedy:
      'Switch it off at that input, use another input, or put a direct box or an isolating transformer between.',
    source: 'IEC 61938; handbook 2-sound, phantom: who must not get it',
  },
  {
    all: (measured) =>
      measured.graph.ports.filter(
        ({ port, links, device }) =>
          port.family === 'analogue' &&
          port.direction === 'out' &&
          links.length > 0 &&
          port.phantomNeedMa === undefined &&
          port.phantomHarms !== true &&
          DRIVEN.includes(device.model.kind),
      ),
    about: (node) => at({ deviceId: node.device.id, portId: node.id, linkId: node.links[0]?.id }),
    judge: (node, measured) => {
      const phantom = phantomAt(measured, node);
      if (phantom.state !== 'on') return null;
      return {
        level: 'warn',
        title: 'Phantom power into an output',
        says:
          `Phantom power is on at ${nameOf(measured, phantom.supply)} and goes back into ` +
          `${nameOf(measured, node)}. Switch it off there, use another input, or put a transformer between.`,
      };
    },
    fixes: (node, measured) => {
      const phantom = phantomAt(measured, node);
      return phantom.state === 'on'
        ? [
            {
              label: `Switch phantom power off at ${nameOf(measured, phantom.supply)}`,
              command: switchOff(phantom.supply.device.id, phantom.control),
            },
          ]
        : [];
    },
  },
);
