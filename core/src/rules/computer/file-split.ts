import { driveLoads } from '../../passes/computer/lines';
import { gbPerHour } from '../../passes/storage';
import { figure } from '../../passes/sum';
import { at } from '../about';
import { computerRule } from '../rule-of';

const split = (measured: Parameters<typeof driveLoads>[0]) => {
  const showMin = measured.rig.brief?.lengthMin ?? 0;
  return driveLoads(measured).flatMap(({ node, storage, files }) => {
    const mbps = Math.max(0, ...files.map((file) => file.mbps));
    if (storage.maxFileGb === undefined || mbps === 0) return [];
    const minutes = (storage.maxFileGb / gbPerHour(mbps)) * 60;
    return minutes < showMin ? [{ node, mbps, maxFileGb: storage.maxFileGb, minutes }] : [];
  });
};

export const fileSplit = computerRule(
  'computer.file-split',
  {
    looksFor: 'A card on which no file grows longer than a part of the show.',
    why: 'A new file begins every few minutes; some recorders lose a few frames at each join.',
    remedy:
      'Join them in the cut and check the joins, or format the card for larger files where the recorder allows it.',
    source: 'handbook 4-time-storage: limits of file size',
  },
  (measured) =>
    split(measured).map(({ node, minutes, maxFileGb }) => ({
      level: 'note',
      about: at({ deviceId: node.id }),
      title: `A new file every ${figure(minutes, 0)} min`,
      says:
        `${measured.device(node).name} begins a new file every ${figure(minutes, 0)} min, since its ` +
        `card holds files of ${maxFileGb} GB. Check the joins.`,
    })),
  {
    sums: (measured, { about }) =>
      split(measured)
        .filter(({ node }) => node.id === about.deviceId)
        .map(({ minutes, mbps, maxFileGb }) => ({
          label: 'Minutes in a file',
          formula: 'largest file ÷ (bitrate × 0.45) × 60',
          inputs: [
            { name: 'largest file', value: maxFileGb, unit: 'GB' },
            { name: 'bitrate', value: mbps, unit: 'Mb/s' },
          ],
          result: minutes,
          unit: 'min',
          source: 'handbook 4-time-storage',
        })),
  },
);
