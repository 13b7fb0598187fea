import type { Fix } from '../../edits/fix';
import { replug } from '../../edits/splice';
import type { PortNode, Stage } from '../../graph';
import { nameOf } from '../../passes/names';
import { usableMBps, type UsbLinkBranch } from '../../passes/computer';
import type { Measured } from '../../passes/measured';
import { explainStream } from '../../passes/picture/sums';
import { explainBranch } from '../../passes/computer/sums';
import { figure } from '../../passes/sum';
import {
  AS_RECEIVED,
  ENCODING_BITS_PER_PIXEL,
  entry,
  settingOf,
  type SimpleCommand,
} from '../../rig';
import { CABLES } from '../../rig/links/cables';
import { parseFormat, streamMBps } from '../../units';
import { at } from '../about';
import type { Finding, Rule } from '../rule';

const CODE = 'computer.branch-full';

const streamTotal = (streams: Iterable<UsbLinkBranch['streams'][number]>): number => {
  let total = 0;
  for (const stream of streams) total += stream.mBps ?? 0;
  return total;
};

/** Overfull links that are not merely the continuation of an overfull one below them. */
const overfull = (measured: Measured): UsbLinkBranch[] => {
  const full = [...measured.usb.links.values()].filter(
    (branch) => branch.loadMBps > branch.limitMBps,
  );
  return full.filter((branch) => {
    const below = full.filter(
      (other) => other !== branch && other.link.to.device.id === branch.link.from.device.id,
    );
    const told = new Set(below.flatMap((other) => other.streams));
    const rest = branch.streams.filter((stream) => !told.has(stream));
    return below.length === 0 || streamTotal(rest) > branch.limitMBps;
  });
};

const pictureStreams = (branch: UsbLinkBranch) =>
  branch.streams.filter(
    (stream) => stream.from.device.model.kind !== 'interface' && (stream.mBps ?? 0) > 1,
  );

/**
 * Free sockets of computers that carry a load on a device of a given speed, one of each controller,
 * the slowest sufficient first.
 */
const freeSockets = (measured: Measured, from: PortNode, loadMBps: number): PortNode[] => {
  if (from.port.family !== 'usb') return [];
  const { gbps } = from.port;
  const controllers = new Set<string>();
  return measured.graph.ports
    .filter(
      (node) =>
        node.port.family === 'usb' &&
        node.port.role === 'host' &&
        node.links.length === 0 &&
        node.device.model.kind === 'computer' &&
        usableMBps(Math.min(node.port.gbps, gbps)) >= loadMBps,
    )
    .sort(
      (a, b) =>
        (a.port.family === 'usb' ? a.port.gbps : 0) - (b.port.family === 'usb' ? b.port.gbps : 0),
    )
    .filter(({ port, device }) => {
      const controller = `${device.id} ${port.family === 'usb' ? (port.controller ?? '') : ''}`;
      const isNew = !controllers.has(controller);
      controllers.add(controller);
      return isNew;
    });
};

const USB_CABLE = { 0.48: 'usb-2', 5: 'usb-5g', 10: 'usb-10g' } as const;

/** The cable class for a speed; a 10 Gb/s cable only where 5 Gb/s would not do. */
const cableFor = (loadMBps: number): 'usb-2' | 'usb-5g' | 'usb-10g' =>
  loadMBps <= usableMBps(0.48)
    ? USB_CABLE[0.48]
    : loadMBps <= usableMBps(5)
      ? USB_CABLE[5]
      : USB_CABLE[10];

const fasterPort = (measured: Measured, branch: UsbLinkBranch): Fix[] => {
  // On a hub, one capture device moves to the computer; on a socket, the device itself moves.
  const edge =
    branch.link.from.device.model.kind === 'hub'
      ? pictureStreams(branch)[0]?.from.links[0]
      : branch.link;
  const own = edge && measured.usb.links.get(edge.id);
  if (!edge || !own) return [];
  return freeSockets(measured, edge.from, own.loadMBps).flatMap((socket): Fix[] => {
    if (socket.port.family !== 'usb') return [];
    const label =
      `Move ${measured.device(edge.from.device).name} to ${nameOf(measured, socket)} ` +
      `(${socket.port.gbps === 0.48 ? '480 Mb/s' : `${socket.port.gbps} Gb/s`})`;
    const needed = cableFor(own.loadMBps);
    const present = CABLES[edge.link.cable.kind];
    const carries = 'maxGbps' in present && usableMBps(present.maxGbps) >= own.loadMBps;
    return [
      {
        label,
        command: {
          type: 'batch',
          label: label.replace('Move', 'Moved'),
          commands: replug(edge, socket, carries ? edge.link.cable.kind : needed),
        },
      },
    ];
  });
};

const fasterCable = (branch: UsbLinkBranch): Fix[] => {
  const { from, to, link, id } = branch.link;
  if (branch.slowest !== 'cable' || from.port.family !== 'usb' || to.port.family !== 'usb')
    return [];
  const kind = cableFor(branch.loadMBps);
  if (
    kind === link.cable.kind ||
    usableMBps(Math.min(from.port.gbps, to.port.gbps)) < branch.loadMBps
  )
    return [];
  return [
    {
      label: `Use a ${CABLES[kind].name}`,
      command: { type: 'setCable', linkId: id, cable: { kind, lengthM: link.cable.lengthM } },
    },
  ];
};

/** The stage at which a stream is made, for its format and its controls. */
const madeAt = (measured: Measured, node: PortNode): Stage | undefined =>
  measured.traced.stages.find(
    (stage) =>
      stage.at === node &&
      stage.signal === 'picture' &&
      stage.via.by !== 'link' &&
      measured.picture[stage.index]?.streamMBps !== null,
  );

/**
 * The best format and encoding of a capture device under a load; uncompressed before compressed at
 * the same rate of pixels.
 */
const lighterCapture = (measured: Measured, branch: UsbLinkBranch): Fix[] => {
  for (const stream of pictureStreams(branch)) {
    const stage = madeAt(measured, stream.from);
    const does = stage?.via.by === 'route' ? stage.via.route.route.picture : undefined;
    const format = stage && measured.picture[stage.index]?.format;
    if (!stage || does?.does !== 'capture' || !format || stream.mBps === null) continue;
    const { id } = stream.from.device;
    const device = measured.device(stream.from.device);
    const formatControl = entry(device.model.controls, does.formatControl);
    const encodingControl = entry(device.model.controls, does.encodingControl);
    if (formatControl?.type !== 'choice' || encodingControl?.type !== 'choice') continue;
    const room = branch.limitMBps - (branch.loadMBps - stream.mBps);
    const candidates = formatControl.options
      .filter(({ value }) => value !== AS_RECEIVED)
      .map(({ value, label }) => ({ value, label, format: parseFormat(value) }))
      // Half the present frame rate at the same size is the usual step down.
      .filter(
        (option) =>
          option.format.width === format.width &&
          option.format.height === format.height &&
          option.format.scan === 'p' &&
          option.format.rate.num / option.format.rate.den <=
            format.rate.num / format.rate.den / 2 + 0.01,
      )
      .sort(
        (a, b) => b.format.rate.num / b.format.rate.den - a.format.rate.num / a.format.rate.den,
      );
    for (const option of candidates)
      for (const encoding of encodingControl.options) {
        const bits = ENCODING_BITS_PER_PIXEL[encoding.value];
        if (bits === undefined || streamMBps(option.format, bits) > room) continue;
        const commands: SimpleCommand[] = [];
        if (settingOf(device, does.formatControl) !== option.value)
          commands.push({
            type: 'setControl',
            deviceId: id,
            control: does.formatControl,
            value: option.value,
          });
        if (settingOf(device, does.encodingControl) !== encoding.value)
          commands.push({
            type: 'setControl',
            deviceId: id,
            control: does.encodingControl,
            value: encoding.value,
          });
        const label =
          `Capture ${option.label}${encoding.value === 'compressed' ? ' compressed' : ''} on ` +
          `${device.name}`;
        if (commands.length) return [{ label, command: { type: 'batch', label, commands } }];
      }
  }
  return [];
};

const describe = (measured: Measured, branch: UsbLinkBranch): Finding => {
  const { from, to } = branch.link;
  const picture = pictureStreams(branch);
  const narrowest = {
    cable: 'cable',
    socket: `port, ${nameOf(measured, to)},`,
    device: 'own USB',
  }[branch.slowest];
  const shared = picture.length > 1;
  return {
    code: CODE,
    area: 'computer',
    level: 'stop',
    about: at({ deviceId: from.device.id, portId: from.id, linkId: branch.link.id }),
    title: `${figure(branch.loadMBps)} MB/s into ${branch.limitMBps} MB/s`,
    says: shared
      ? `${picture.map((stream) => measured.device(stream.from.device).name).join(' and ')} together ` +
        `send ${figure(branch.loadMBps)} MB/s through ${nameOf(measured, from)} to ${nameOf(measured, to)}, which ` +
        `carries ${branch.limitMBps} MB/s. Pictures will drop. Take one of them straight to ` +
        'the computer.'
      : `${measured.device((picture[0]?.from ?? from).device).name} sends ` +
        `${figure(branch.loadMBps)} MB/s and its ` +
        `${narrowest} ` +
        `carries ${branch.limitMBps} MB/s. Pictures will drop or be squeezed. Use a faster ` +
        'port, or capture less.',
  };
};

export const branchFull: Rule = {
  code: CODE,
  area: 'computer',
  matters: ['size'],
  looksFor: 'A USB port, cable or hub through which more is sent than it carries.',
  why:
    'Pictures stutter or are squeezed without a word. Two capture devices that work alone ' +
    'may not work together on one hub.',
  remedy:
    'Use a faster port, take capture devices straight to the computer, or capture a smaller or compressed picture.',
  source: 'handbook 3-picture, into the computer',
  find: (measured) => overfull(measured).map((branch) => describe(measured, branch)),
  sums: (measured, { about }) => {
    const branch = about.linkId === undefined ? undefined : measured.usb.links.get(about.linkId);
    if (!branch) return [];
    const made = pictureStreams(branch).flatMap((stream) => {
      const stage = madeAt(measured, stream.from);
      return stage ? explainStream(measured, stage) : [];
    });
    return [...made, ...explainBranch(`Through ${nameOf(measured, branch.link.to)}`, branch)];
  },
  fixes: (measured, { about }) => {
    const branch = about.linkId === undefined ? undefined : measured.usb.links.get(about.linkId);
    return branch
      ? [
          ...fasterCable(branch),
          ...fasterPort(measured, branch),
          ...lighterCapture(measured, branch),
        ]
      : [];
  },
};
