import { type DriveLoad, driveLoads, fileName } from '../../passes/computer/lines';
import type { Measured } from '../../passes/measured';
import { figure } from '../../passes/sum';
import { at } from '../about';
import { computerRule } from '../rule-of';
import { lighter, loadOf } from './drives';

/** Share of what a drive writes that may be asked of it: it slows down as it fills. */
const SAFE = 0.7;

const slow = (measured: Measured): { load: DriveLoad; canMBps: number }[] =>
  driveLoads(measured).flatMap((load) =>
    load.storage.writeMBps !== null && load.writeMBps > load.storage.writeMBps * SAFE
      ? [{ load, canMBps: load.storage.writeMBps }]
      : [],
  );

export const driveSlow = computerRule(
  'computer.drive-slow',
  {
    matters: ['size'],
    looksFor: 'A drive or card that is asked to write more than it does in the long run.',
    why: 'The recording stops or drops frames, often after the first minutes, when its fast memory is full.',
    remedy: 'Use a faster drive, a lower bitrate, or fewer files on one drive.',
    source: 'handbook 4-time-storage, recorders and files',
  },
  (measured) =>
    slow(measured).map(({ load: { node, writeMBps }, canMBps }) => ({
      level: writeMBps > canMBps ? 'stop' : 'warn',
      about: at({ deviceId: node.id }),
      title: `Writes ${figure(writeMBps)} MB/s on a drive of ${figure(canMBps, 0)}`,
      says:
        `${measured.device(node).name} has to write ${figure(writeMBps)} MB/s and its drive keeps up ` +
        `${figure(canMBps, 0)} MB/s. ` +
        `${writeMBps > canMBps ? 'The recording will stop.' : 'A full drive is slower than an empty one.'} ` +
        'Use a faster drive or a lower bitrate.',
    })),
  {
    sums: (measured, { about }) =>
      slow(measured)
        .filter(({ load: { node } }) => node.id === about.deviceId)
        .map(({ load, canMBps }) => ({
          label: 'Written',
          formula: 'sum of the bitrates ÷ 8',
          inputs: [
            ...load.files.map((file) => ({
              name: fileName(measured, load, file),
              value: file.mbps,
              unit: 'Mb/s',
            })),
            { name: 'drive', value: canMBps, unit: 'MB/s' },
          ],
          result: load.writeMBps,
          unit: 'MB/s',
          source: 'handbook 4-time-storage',
        })),
    fixes: (measured, { about }) => {
      const load = loadOf(measured, about.deviceId);
      return load?.storage.writeMBps
        ? lighter(measured, load, (load.storage.writeMBps * SAFE) / load.writeMBps)
        : [];
    },
  },
);
