import type { LinkEdge } from '../../graph';
import { firstCable } from '../../edits/splice';
import { nameOf } from '../../passes/names';
import { at } from '../about';
import { batchFix, eachSoundRule } from '../rule-of';

const isLine = (nominal: string): boolean => nominal === 'line' || nominal === 'consumer line';

export const headphonesOnLine = eachSoundRule<LinkEdge>(
  'sound.headphones-on-line',
  {
    looksFor: 'Headphones plugged into a line output.',
    why:
      'A line output drives thousands of ohms, not tens: it is far too quiet, loses its bass, and has ' +
      'no volume of its own.',
    remedy: 'Use a headphone output, or put a headphone amplifier between.',
    source: 'handbook 2-sound, headphones: V = V₀·Z ÷ (Z + Zout)',
  },
  {
    all: (measured) =>
      [...measured.graph.links.values()].filter(
        ({ from, to }) =>
          from.port.family === 'analogue' &&
          isLine(from.port.nominal) &&
          // What is heard by radio drives its own headphones.
          from.port.connector !== 'radio' &&
          to.device.model.kind === 'headphones',
      ),
    about: ({ id, to }) => at({ deviceId: to.device.id, portId: to.id, linkId: id }),
    judge: ({ from, to }, measured) => ({
      level: 'warn',
      title: 'Headphones on a line output',
      says:
        `${measured.device(to.device).name} hangs on ${nameOf(measured, from)}, a line output that is made for ` +
        'thousands of ohms. Too little drive, and nobody can turn it down. Use a headphone output.',
    }),
    sums: ({ from, to }) => {
      const [out, z] = [from.port, to.port].map((port) =>
        port.family === 'analogue'
          ? port.direction === 'out'
            ? port.sourceOhms
            : port.inputOhms
          : null,
      );
      return [
        {
          label: 'Left of the voltage',
          formula: '20·log10(Z ÷ (Z + Zout))',
          inputs: [
            { name: 'Z', value: z ?? 'unknown', unit: 'Ω' },
            { name: 'Zout', value: out ?? 'unknown', unit: 'Ω' },
          ],
          result: out === null || out === undefined || !z ? null : 20 * Math.log10(z / (z + out)),
          unit: 'dB',
          source: 'handbook 2-sound, headphones',
        },
      ];
    },
    fixes: (edge, measured) =>
      edge.from.device.ports
        .values()
        .filter(
          ({ port, links }) =>
            port.family === 'analogue' && port.nominal === 'headphone' && links.length === 0,
        )
        .slice(0, 1)
        .flatMap((socket) => {
          const cableId = firstCable(socket, edge.to);
          return cableId
            ? [
                batchFix(`Use ${nameOf(measured, socket)}`, [
                  { type: 'disconnect', linkId: edge.id },
                  {
                    type: 'connect',
                    linkId: edge.id,
                    from: { deviceId: socket.device.id, portId: socket.id },
                    to: edge.link.to,
                    cable: { kind: cableId, lengthM: edge.link.cable.lengthM },
                  },
                ]),
              ]
            : [];
        }),
  },
);
