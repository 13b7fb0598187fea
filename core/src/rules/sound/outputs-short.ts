import { newAmplifier } from '../../edits/plugging';
import { measure } from '../../passes/measure';
import type { Measured } from '../../passes/measured';
import { apply, inOrder } from '../../rig';
import { THE_RIG } from '../about';
import { batchFix, soundRule } from '../rule-of';

interface Count {
  readonly people: number;
  readonly outputs: number;
}

/** People on site who need headphones, and sockets for them, of whatever box is in use. */
const counted = ({ rig, graph }: Measured): Count => {
  const people = inOrder(rig.people).filter(
    ([, { is, where, isHeard }]) => is === 'person' && where === 'on site' && isHeard,
  ).length;
  // What comes out of a computer comes late: nobody speaks with that in their ears.
  const inUse = [...graph.devices.values()].filter(
    (node) =>
      node.model.kind !== 'computer' && node.ports.values().some(({ links }) => links.length > 0),
  );
  const outputs = inUse.reduce(
    (sum, node) =>
      sum +
      node.ports
        .values()
        .filter(
          ({ port }) =>
            port.family === 'analogue' && port.direction === 'out' && port.nominal === 'headphone',
        ).length,
    0,
  );
  // A pack on the belt is a socket of its own.
  const packs = inUse.filter(
    ({ model, ports }) =>
      model.kind === 'headphones' && ports.values().some(({ port }) => port.connector === 'radio'),
  ).length;
  return { people, outputs: outputs + packs };
};

export const outputsShort = soundRule(
  'sound.outputs-short',
  {
    matters: ['ears'],
    looksFor: 'Fewer headphone sockets in the whole rig than people on site who speak.',
    why: 'Two people on one splitter hear each other’s level; the quieter pair is turned up until it hurts.',
    remedy: 'Add a headphone amplifier with an output each.',
    source: 'handbook 2-sound, hearing: outputs of the amplifier at least as many as people',
  },
  (measured) => {
    const { rig } = measured;
    if (rig.brief === null || rig.houseRules.monitoring === 'loudspeakers muted') return [];
    const { people, outputs } = counted(measured);
    if (outputs === 0 || outputs >= people) return [];
    return [
      {
        level: 'warn',
        about: THE_RIG,
        title: `${outputs} headphone output${outputs === 1 ? '' : 's'}, ${people} people`,
        says:
          `${people} people speak on site and the rig has ${outputs} headphone ` +
          `socket${outputs === 1 ? '' : 's'}. Add a headphone amplifier with an output each.`,
        houseRule: 'monitoring',
      },
    ];
  },
  {
    sums: (measured) => {
      const { people, outputs } = counted(measured);
      return [
        {
          label: 'Headphone outputs over people',
          formula: 'outputs − people on site who speak',
          inputs: [
            { name: 'outputs', value: outputs, unit: '' },
            { name: 'people', value: people, unit: '' },
          ],
          result: outputs - people,
          unit: '',
          source: 'handbook 2-sound, hearing',
        },
      ];
    },
    fixes: (measured) => {
      // One of each way: the first output that does, not every output that would.
      const kinds = new Set<string>();
      return newAmplifier(measured)
        .filter(({ kind, commands }) => {
          if (kinds.has(kind)) return false;
          const after = counted(
            measure(
              apply(measured.rig, { type: 'batch', label: 'Try', commands: [...commands] }),
              measured,
            ),
          );
          if (after.outputs >= after.people) kinds.add(kind);
          return kinds.has(kind);
        })
        .map(({ label, commands }) => batchFix(label, commands));
    },
  },
);
