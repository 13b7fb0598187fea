import type { DeviceNode, PortNode, Thread } from '../../graph';
import { numberSetting, type Storage } from '../../rig';
import type { Format } from '../../units';
import type { Measured } from '../measured';
import { deviceName } from '../names';
import { pass } from '../pass';
import { gbPerHour, hoursThatFit, SOUND_CHANNEL_MBPS, writeMBps } from '../storage';
import { deliverableFor, deliverableOf, pictureInto } from './work';

/** Something that flows to a drive or up the line. */
export interface Flow {
  readonly deviceId: string;
  readonly label: string;
  /** @unit Mb/s */
  readonly mbps: number;
}

/** A file or picture that a drive writes. */
export interface FileOnDrive {
  readonly end: PortNode;
  /** Whose file it is, where each voice or picture has its own */
  readonly source: PortNode | null;
  /** @unit Mb/s */
  readonly mbps: number;
  readonly isSound: boolean;
  /** Of its picture; null for sound, and where it is not known */
  readonly format: Format | null;
  /** What is seen or heard in it */
  readonly of: ReadonlySet<DeviceNode>;
}

type Writing = FileOnDrive & { readonly of: Set<DeviceNode> };

/** What a drive is asked to write, against what it can. */
export interface DriveLoad {
  readonly node: DeviceNode;
  readonly storage: Storage;
  readonly files: readonly FileOnDrive[];
  /** @unit Mb/s */
  readonly mbps: number;
  /** @unit MB/s */
  readonly writeMBps: number;
  /** @unit GB per hour */
  readonly gbPerHour: number;
  /** @unit h; null where the capacity is not known or nothing is written */
  readonly hours: number | null;
}

const total = (flows: readonly Flow[]): number => flows.reduce((sum, { mbps }) => sum + mbps, 0);

/** Whose picture or voice a file is, where each has its own. @returns null of a recorder’s own input, and of a mix */
export const fileOwner = (
  { node }: DriveLoad,
  { end, source, of }: FileOnDrive,
): DeviceNode | null => {
  if (end.device === node || !source) return null;
  const [alone, ...others] = of;
  return alone && others.length === 0 ? alone : source.device;
};

/** A file on a drive by its name: `Cameras: Camera 3`. */
export const fileName = (measured: Measured, load: DriveLoad, file: FileOnDrive): string => {
  const { end } = file;
  if (end.device === load.node) return end.port.name;
  const owner = fileOwner(load, file);
  const name = deviceName(measured, end.device);
  return owner ? `${name}: ${deviceName(measured, owner)}` : name;
};

const loadOf = (node: DeviceNode, storage: Storage, files: readonly FileOnDrive[]): DriveLoad => {
  const mbps = files.reduce((sum, file) => sum + file.mbps, 0);
  return {
    node,
    storage,
    files,
    mbps,
    writeMBps: writeMBps(mbps),
    gbPerHour: gbPerHour(mbps),
    hours:
      storage.capacityGb === null || mbps === 0 ? null : hoursThatFit(storage.capacityGb, mbps),
  };
};

/**
 * Files that computers write: one for a programme, one for each picture, one for each voice; and
 * pictures that recorders and recording switchers write.
 */
const filesByDevice = (measured: Measured): ReadonlyMap<DeviceNode, readonly FileOnDrive[]> => {
  const found = new Map<DeviceNode, Writing[]>();
  const seen = new Map<number, Writing>();
  const ports = measured.graph.ports.length;
  const { picture } = measured;
  const add = (node: DeviceNode, file: Writing): void => {
    const files = found.get(node);
    if (files) files.push(file);
    else found.set(node, [file]);
  };
  const addVoice = (node: DeviceNode, { end, source }: Thread): void =>
    add(node, {
      end,
      source,
      mbps: SOUND_CHANNEL_MBPS,
      format: null,
      isSound: true,
      of: new Set([source.device]),
    });
  /** A picture, whatever was put together in it before. */
  const addPicture = (
    node: DeviceNode,
    { source: from, last }: Thread,
    { end, source, mbps }: Pick<Writing, 'end' | 'source' | 'mbps'>,
  ): void => {
    const key = end.index * (ports + 1) + (source ? source.index + 1 : 0);
    const known = seen.get(key);
    if (known) {
      known.of.add(from.device);
      return;
    }
    const format = picture[last.index]?.format ?? null;
    const file = { end, source, mbps, format, isSound: false, of: new Set([from.device]) };
    seen.set(key, file);
    add(node, file);
  };
  const deliverables: (ReturnType<typeof deliverableFor> | undefined)[] = [];
  for (const thread of measured.traced.threads) {
    const { signal, last, end } = thread;
    const { storage, kind } = end.device.model;
    // A card of sound alone holds a track a voice; beside a picture, sound is in the picture's bitrate.
    if (end.port.records && storage && !end.port.ends?.picture) {
      if (signal === 'sound' && last.way === 1) addVoice(end.device, thread);
      continue;
    }
    if (storage?.bitrateControl !== undefined) {
      // An input is one picture, whatever was put together before it.
      const input = last.via.by === 'route' && last.parent ? last.parent.at : last.at;
      const mbps = numberSetting(measured.device(end.device), storage.bitrateControl) ?? 0;
      if (signal === 'picture' && picture[last.index]?.format)
        addPicture(end.device, thread, { end: input, source: null, mbps });
      continue;
    }
    if (kind !== 'recording' || last.via.by !== 'link') continue;
    const deliverable = (deliverables[end.device.index] ??= deliverableFor(measured, end.device));
    if (!deliverable) continue;
    const writer = last.via.link.from.device;
    const { what, bitrateMbps: mbps } = deliverable;
    if (what === 'voice tracks') {
      // Several ways of one voice into one file are one track.
      if (signal === 'sound' && last.way === 1) addVoice(writer, thread);
    } else if (signal === 'picture' && mbps !== null) {
      const source = what === 'camera recordings' ? pictureInto(thread) : null;
      addPicture(writer, thread, { end, source, mbps });
    }
  }
  return found;
};

/** What every drive and card of the rig has to write. */
export const driveLoads = pass('drive loads', (measured): readonly DriveLoad[] =>
  makeLoads(measured),
);

const makeLoads = (measured: Measured): readonly DriveLoad[] => {
  const files = filesByDevice(measured);
  const loads: DriveLoad[] = [];
  for (const node of measured.graph.devices.values())
    if (node.model.storage) loads.push(loadOf(node, node.model.storage, files.get(node) ?? []));
  return loads;
};

/** What a call sends up for one guest. @unit Mb/s, typical of 720p */
export const CALL_MBPS = 3;

/** Everything that goes up the line out of the building. */
export interface Uplink {
  readonly flows: readonly Flow[];
  /** @unit Mb/s */
  readonly mbps: number;
  /** What the line carries; null where nobody has measured it. @unit Mb/s */
  readonly lineMbps: number | null;
}

/** What goes up the line: streams at the bitrate the brief asks for, and what callers are sent. */
export const uplinkOf = pass('uplink of', (measured): Uplink => makeUplink(measured));

const makeUplink = (measured: Measured): Uplink => {
  const flows = new Map<DeviceNode, Flow>();
  for (const { end, signal } of measured.traced.threads) {
    const { kind } = end.device.model;
    // What is kept at a caller's side does not go up the line.
    if ((kind !== 'stream' && kind !== 'call') || end.port.records || flows.has(end.device))
      continue;
    if (kind === 'call')
      flows.set(end.device, {
        deviceId: end.device.id,
        label: measured.device(end.device).name,
        mbps: CALL_MBPS,
      });
    else if (signal === 'picture')
      flows.set(end.device, {
        deviceId: end.device.id,
        label: measured.device(end.device).name,
        mbps: deliverableOf(measured, 'stream').bitrateMbps ?? 0,
      });
  }
  const list = [...flows.values()];
  return { flows: list, mbps: total(list), lineMbps: measured.rig.brief?.uplinkMbps ?? null };
};
