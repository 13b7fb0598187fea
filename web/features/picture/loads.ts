import {
  deliveredBitsPerPixel,
  driveLoads,
  figure,
  inOrder,
  parseFormat,
  uplinkOf,
  workloads,
  type Analysis,
} from '@echo-loom/core';

/** Something that is loaded, against what it can. */
export interface Load {
  readonly label: string;
  readonly load: number;
  readonly limit: number;
  readonly unit: string;
}

/** Every USB branch, computer, drive and line of the rig with its load, the fullest first. */
export const loadsOf = (analysis: Analysis): Load[] => {
  const links = [...analysis.usb.links.values()]
    .filter(({ loadMBps }) => loadMBps > 1)
    .map(({ link, loadMBps, limitMBps }): Load => ({
      label: `${analysis.device(link.from.device).name}, ${link.to.port.name}`,
      load: loadMBps,
      limit: limitMBps,
      unit: 'MB/s',
    }));
  const controllers = analysis.usb.controllers
    .filter(({ streams }) => streams.length > 1)
    .map(({ deviceId, controller, loadMBps, limitMBps }): Load => ({
      label: `USB controller ${controller.toUpperCase()}, ${analysis.device({ id: deviceId }).name}`,
      load: loadMBps,
      limit: limitMBps,
      unit: 'MB/s',
    }));
  const work = workloads(analysis).flatMap(({ node, units, budget }): Load[] =>
    budget === null
      ? []
      : [
          {
            label: `Work of ${analysis.device(node).name}`,
            load: units,
            limit: budget,
            unit: '× 1080p30',
          },
        ],
  );
  const drives = driveLoads(analysis).flatMap(({ node, storage, writeMBps }): Load[] =>
    storage.writeMBps === null || writeMBps === 0
      ? []
      : [
          {
            label: `Drive of ${analysis.device(node).name}`,
            load: writeMBps,
            limit: storage.writeMBps,
            unit: 'MB/s',
          },
        ],
  );
  const { mbps, lineMbps } = uplinkOf(analysis);
  const line: Load[] =
    lineMbps === null || mbps === 0
      ? []
      : [{ label: 'Line out of the building', load: mbps, limit: lineMbps, unit: 'Mb/s' }];
  return [...links, ...controllers, ...work, ...drives, ...line].sort(
    (a, b) => b.load / b.limit - a.load / a.limit,
  );
};

export const loadText = ({ load, limit, unit }: Load): string =>
  `${figure(load)} of ${figure(limit, limit % 1 === 0 ? 0 : 1)} ${unit}`;

/** A deliverable and what is left of each of its pixels. */
export interface Bits {
  readonly label: string;
  readonly bits: number;
}

export const bitsOf = ({ rig }: Analysis): Bits[] =>
  inOrder(rig.brief?.deliverables ?? {}).flatMap(([, { name, format, bitrateMbps }]) =>
    format === null || bitrateMbps === null
      ? []
      : [{ label: name, bits: deliveredBitsPerPixel(parseFormat(format), bitrateMbps) }],
  );
