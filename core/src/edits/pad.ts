import { classById } from '../catalogue';
import type { LinkEdge } from '../graph';
import type { Measured } from '../passes/measured';
import type { Fix } from './fix';
import { splice } from './splice';

/** A barrel in a balanced cable that takes its level down by 20 dB. @returns none in a cable of another kind */
export const inlinePad = (measured: Measured, edge: LinkEdge): Fix[] =>
  edge.link.cable.kind === 'balanced'
    ? [
        {
          label: `Add an ${classById('pad-inline').name.toLowerCase()}`,
          command: {
            type: 'batch',
            label: `Added an inline pad after ${measured.device(edge.from.device).name}`.slice(
              0,
              200,
            ),
            commands: splice(measured.rig, edge, 'pad-inline', { in: 'in', out: 'out' }).commands,
          },
        },
      ]
    : [];
