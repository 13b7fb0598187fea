import type { Fix } from '../../edits/fix';
import { type Uplink, uplinkOf } from '../../passes/computer/lines';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import { inOrder } from '../../rig';
import type { Deliverable } from '../../rig/brief/schema';
import { THE_RIG } from '../about';
import { computerRule } from '../rule-of';

const crowdedLine = (
  measured: Measured,
): (Uplink & { readonly lineMbps: number; readonly may: number }) | null => {
  const uplink = uplinkOf(measured);
  if (uplink.lineMbps === null) return null;
  const may = uplink.lineMbps * measured.rig.houseRules.uplinkShare;
  return uplink.mbps > may ? { ...uplink, lineMbps: uplink.lineMbps, may } : null;
};

/** What lines are sold with upwards, typically. @unit Mb/s */
const LINES_MBPS = [10, 20, 50, 100, 250, 500, 1000] as const;

/** Every stream slow enough that what else goes up the line has its share. */
const lowerBitrate = (
  line: { readonly mbps: number; readonly may: number },
  streams: number,
  [deliverableId, stream]: readonly [string, Deliverable],
): Fix[] => {
  const others = line.mbps - streams * (stream.bitrateMbps ?? 0);
  const bitrateMbps = Math.floor(((line.may - others) / streams) * 10) / 10;
  return bitrateMbps > 0
    ? [
        {
          label: `Stream at ${bitrateMbps} Mb/s`,
          command: { type: 'changeDeliverable', deliverableId, deliverable: { bitrateMbps } },
        },
      ]
    : [];
};

export const uplink = computerRule(
  'computer.uplink',
  {
    matters: ['size'],
    looksFor:
      'Streams and calls that together use more of the line out of the building than the house rule allows.',
    why: 'A line is never as fast as it was measured; the stream stutters for everyone at once.',
    remedy: 'Lower the bitrate, use a faster line, or bring a second one.',
    source: 'handbook 3-picture: uplink at most 70 % used',
  },
  (measured) => {
    const line = crowdedLine(measured);
    return line
      ? [
          {
            level: line.mbps > line.lineMbps ? ('stop' as const) : ('warn' as const),
            about: THE_RIG,
            title: `${figure(line.mbps)} Mb/s on a line of ${figure(line.lineMbps)}`,
            says:
              `${line.flows.map(({ label }) => label).join(', ')} send ${figure(line.mbps)} Mb/s ` +
              `together; of ${figure(line.lineMbps)} Mb/s the house rule lets you use ` +
              `${figure(line.may)}. Lower the bitrate or bring a second line.`,
            houseRule: 'uplinkShare' as const,
          },
        ]
      : [];
  },
  {
    sums: (measured) => {
      const line = crowdedLine(measured);
      return line
        ? [
            {
              label: 'Uplink used',
              formula: 'sum of what goes up ÷ line',
              inputs: [
                ...line.flows.map(({ label, mbps }) => ({
                  name: label,
                  value: mbps,
                  unit: 'Mb/s',
                })),
                { name: 'line', value: line.lineMbps, unit: 'Mb/s' },
                { name: 'allowed', value: measured.rig.houseRules.uplinkShare * 100, unit: '%' },
              ],
              result: (100 * line.mbps) / line.lineMbps,
              unit: '%',
              source: 'house rule',
            },
          ]
        : [];
    },
    fixes: (measured): Fix[] => {
      const line = crowdedLine(measured);
      const streams = line?.flows.filter(
        ({ deviceId }) => measured.graph.devices.get(deviceId)?.model.kind === 'stream',
      );
      const found = inOrder(measured.rig.brief?.deliverables ?? {}).find(
        ([, { what }]) => what === 'stream',
      );
      if (!line) return [];
      const needed = line.mbps / measured.rig.houseRules.uplinkShare;
      const faster = LINES_MBPS.find((mbps) => mbps >= needed);
      return [
        ...(found && streams?.length ? lowerBitrate(line, streams.length, found) : []),
        ...(faster === undefined
          ? []
          : [
              {
                label: `Order a line of ${faster} Mb/s up`,
                command: { type: 'writeBrief', brief: { uplinkMbps: faster } } as const,
              },
            ]),
      ];
    },
  },
);
