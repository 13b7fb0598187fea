import { type DriveLoad, driveLoads } from '../../passes/computer/lines';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import { at } from '../about';
import { computerRule } from '../rule-of';
import { lighter, loadOf } from './drives';

const full = (measured: Measured): { load: DriveLoad; hours: number; showHours: number }[] => {
  const showHours = (measured.rig.brief?.lengthMin ?? 0) / 60;
  return driveLoads(measured).flatMap((load) =>
    load.hours !== null && load.hours < showHours ? [{ load, hours: load.hours, showHours }] : [],
  );
};

export const driveFull = computerRule(
  'computer.drive-full',
  {
    matters: ['size'],
    looksFor: 'A drive or card, empty at the start, that is full before the show is over.',
    why: 'The end of the show is not recorded.',
    remedy: 'Use a larger one, a lower bitrate, or change it in a break.',
    source: 'handbook 4-time-storage: GB an hour = Mb/s × 0.45',
  },
  (measured) =>
    full(measured).map(({ load: { node, gbPerHour, storage }, hours, showHours }) => ({
      level: 'stop',
      about: at({ deviceId: node.id }),
      title: `Full after ${figure(hours * 60, 0)} min`,
      says:
        `${measured.device(node).name} writes ${figure(gbPerHour)} GB an hour on ` +
        `${figure(storage.capacityGb ?? 0, 0)} GB: full after ${figure(hours * 60, 0)} min, ` +
        `and the show lasts ${figure(showHours * 60, 0)} min. Use a larger drive or a lower ` +
        'bitrate.',
    })),
  {
    sums: (measured, { about }) =>
      full(measured)
        .filter(({ load: { node } }) => node.id === about.deviceId)
        .map(({ load: { mbps, storage }, hours }) => ({
          label: 'Hours that fit',
          formula: 'capacity ÷ (bitrate × 0.45)',
          inputs: [
            { name: 'capacity', value: storage.capacityGb ?? 'unknown', unit: 'GB' },
            { name: 'bitrate', value: mbps, unit: 'Mb/s' },
          ],
          result: hours,
          unit: 'h',
          source: 'handbook 4-time-storage',
        })),
    fixes: (measured, { about }) => {
      const load = loadOf(measured, about.deviceId);
      const showHours = (measured.rig.brief?.lengthMin ?? 0) / 60;
      return load?.hours ? lighter(measured, load, load.hours / showHours) : [];
    },
  },
);
