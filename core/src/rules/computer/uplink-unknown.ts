import { uplinkOf } from '../../passes/computer/lines';
import { figure } from '../../passes/sum';
import { THE_RIG } from '../about';
import { computerRule } from '../rule-of';

export const uplinkUnknown = computerRule(
  'computer.uplink-unknown',
  {
    looksFor: 'A stream from a place whose line nobody has measured.',
    why: 'Whether it carries the stream is found out on air.',
    remedy: 'Measure it at the hour of the show and type it into the brief.',
    source: 'handbook 3-picture, uplink',
  },
  (measured) => {
    const { flows, mbps, lineMbps } = uplinkOf(measured);
    const streams =
      measured.rig.brief !== null &&
      [...measured.graph.devices.values()].some(({ model }) => model.kind === 'stream');
    return streams && lineMbps === null && flows.length > 0
      ? [
          {
            level: 'note' as const,
            about: THE_RIG,
            title: 'The line is not measured',
            says:
              `Cannot tell whether the line out carries ${figure(mbps)} Mb/s: measure it at the ` +
              'hour of the show and type it into the brief. It should carry ' +
              `${figure(mbps / measured.rig.houseRules.uplinkShare)} Mb/s at least.`,
            houseRule: 'uplinkShare' as const,
          },
        ]
      : [];
  },
  {
    sums: (measured) => {
      const { flows, mbps } = uplinkOf(measured);
      return [
        {
          label: 'Line needed',
          formula: 'sum of what goes up ÷ share allowed',
          inputs: [
            ...flows.map(({ label, mbps: each }) => ({ name: label, value: each, unit: 'Mb/s' })),
            { name: 'share', value: measured.rig.houseRules.uplinkShare * 100, unit: '%' },
          ],
          result: mbps / measured.rig.houseRules.uplinkShare,
          unit: 'Mb/s',
          source: 'house rule',
        },
      ];
    },
  },
);
