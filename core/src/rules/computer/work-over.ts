import type { Fix } from '../../edits/fix';
import { type Workload, workloads } from '../../passes/computer/work';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import { inOrder } from '../../rig';
import { at } from '../about';
import { computerRule } from '../rule-of';

/** Share of the budget from which a computer has no room for surprises. */
const BUSY = 0.8;

const over = (measured: Measured): (Workload & { readonly budget: number })[] =>
  workloads(measured).flatMap((load) =>
    load.budget !== null && load.units > load.budget * BUSY
      ? [{ ...load, budget: load.budget }]
      : [],
  );

export const workOver = computerRule(
  'computer.work',
  {
    matters: ['size'],
    looksFor:
      'A computer that is asked to take in, put together and encode more pictures than its budget.',
    why: 'It drops frames, and first when most happens.',
    remedy:
      'Encode in hardware, take in fewer or smaller pictures, switch in hardware, or share ' +
      'the work between two machines.',
    source: 'handbook 3-picture, work on the computer; indicative figures, a measured budget wins',
  },
  (measured) =>
    over(measured).map(({ node, units, budget }) => ({
      level: units > budget ? 'stop' : 'warn',
      about: at({ deviceId: node.id }),
      title: `${figure(units)} of ${figure(budget, 0)} pictures’ work`,
      says:
        `${measured.device(node).name} is asked for the work of ${figure(units)} pictures of 1080p30 ` +
        `and its budget is ${figure(budget, 0)}. ` +
        `${units > budget ? 'Frames will drop.' : 'There is little room for surprises.'} ` +
        'Encode in hardware, take in less, or use a second machine.',
      houseRule: 'computers',
    })),
  {
    sums: (measured, { about }) =>
      over(measured)
        .filter(({ node }) => node.id === about.deviceId)
        .map(({ node, items, units, budget }) => ({
          label: `Work of ${measured.device(node).name}`,
          formula: 'sum of what it does at once',
          inputs: [
            ...items.map(({ what, label, units: each }) => ({
              name: `${what}: ${label}`,
              value: each,
              unit: '× 1080p30',
            })),
            { name: 'budget', value: budget, unit: '× 1080p30' },
          ],
          result: units,
          unit: '× 1080p30',
          source: 'indicative; measure your own machine',
        })),
    fixes: (measured, { about }): Fix[] => {
      const load = over(measured).find(({ node }) => node.id === about.deviceId);
      if (!load?.items.some(({ what }) => what === 'encode in software')) return [];
      // The lightest codec to encode is tried; it is kept only where it is enough.
      const lighter = inOrder(measured.rig.brief?.deliverables ?? {}).filter(
        ([, { codec }]) => codec === 'HEVC' || codec === 'AV1',
      );
      const commands = lighter.map(([deliverableId]) => ({
        type: 'changeDeliverable' as const,
        deliverableId,
        deliverable: { codec: 'AVC' as const },
      }));
      return commands.length
        ? [
            {
              label: 'Encode everything as AVC',
              command: { type: 'batch', label: 'Encode everything as AVC', commands },
            },
          ]
        : [];
    },
  },
);
