import type { Sum } from '../sum';
import type { UsbBranch } from './';

/** What runs through one branch of the USB tree, against what it carries. */
export const explainBranch = (label: string, branch: UsbBranch): Sum[] => [
  {
    label,
    formula: 'sum of the streams',
    inputs: [
      ...branch.streams.map((stream) => ({
        name: stream.label,
        value: stream.mBps ?? 'unknown',
        unit: 'MB/s',
      })),
      { name: `usable of ${branch.gbps} Gb/s`, value: branch.limitMBps, unit: 'MB/s' },
    ],
    result: branch.loadMBps,
    unit: 'MB/s',
    source:
      branch.gbps < 5
        ? 'USB 2.0 isochronous: 3 × 1024 B × 8000/s = 24.576 MB/s'
        : 'handbook 3-picture, usable rates',
  },
];
